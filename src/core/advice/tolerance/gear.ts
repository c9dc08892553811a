import type { Objection } from "./suitability";
import type { CautionId } from "../../knowledge/remedies/remedies";
import { touchesOf, type Act } from "../../acts/acts";

/** What one puts on, and has at hand, before a session. */
export const gearIds = ["gloves", "glasses", "mask", "dustMask", "openWindow", "tongs"] as const;
export type GearId = (typeof gearIds)[number];

/**
 * What is worn for acts, by their cautions and by what speaks up on the plants: gloves and glasses for anything that is put on, a mask
 * for what is sprayed, a dust mask for dust, an open window for alcohol, tongs for spines. Each once, in the order of harm.
 * Source: labels, from memory; common practice. @example gearFor([], [], false) // []
 */
export function gearFor(
  cautions: readonly CautionId[],
  onPlants: readonly Objection["code"][],
  sprayed: boolean,
): readonly GearId[] {
  const has = (...ids: readonly CautionId[]) => ids.some((id) => cautions.includes(id));
  const worn: Record<GearId, boolean> = {
    gloves: has("protectYourself", "neemIrritates") || onPlants.includes("milkySap"),
    glasses: has("protectYourself", "dustMask") || onPlants.includes("milkySap"),
    mask: has("protectYourself") && sprayed,
    dustMask: has("dustMask"),
    openWindow: has("flammable"),
    tongs: onPlants.includes("spines"),
  };
  return gearIds.filter((id) => worn[id]);
}

/** Whether an act puts something into the air. @example isSprayed({ kind: "dust", dryDays: 7 }) // true */
export function isSprayed(act: Act): boolean {
  return touchesOf(act).air;
}
