import type { MixId } from "../mixing/mixes";
import { mixes } from "../mixing/mixes";
import type { Sensitivity } from "../plants/genera";
import type { TechniqueId } from "../remedies/remedies";

export interface Bearer {
  readonly sensitivities: readonly Sensitivity[];
  readonly inFlower: boolean;
}

/** One reason against a mix on a plant: `refuse` means it must not be used, `warn` that the keeper decides. */
export interface Objection {
  readonly level: "refuse" | "warn";
  readonly code:
    | "oilOnShy"
    | "oilOnBloom"
    | "oilTooStrong"
    | "smotherFlowers"
    | "stripsBloom"
    | "thinLeaves"
    | "wetInRest"
    | "milkySap"
    | "spines";
}

/**
 * What speaks against putting `mix` on a plant with `technique`; refusals come first, none gives an empty list.
 * Source: common practice, no source; oil labels for the refusals, from memory.
 * @example objections({ sensitivities: ["oilShy"], inFlower: false }, "oil1", "spray")[0] // refuse, oilOnShy
 */
export function objections(plant: Bearer, mix: MixId, technique: TechniqueId): readonly Objection[] {
  const { remedy } = mixes[mix];
  const has = (s: Sensitivity) => plant.sensitivities.includes(s);
  const found: Objection[] = [];
  const add = (when: boolean, level: Objection["level"], code: Objection["code"]) => {
    if (when) found.push({ level, code });
  };
  add(remedy === "oil" && has("oilShy"), "refuse", "oilOnShy");
  add(remedy === "oil" && has("waxBloom"), "refuse", "oilOnBloom");
  add(mix === "oil2" && has("thinLeaf") && !has("oilShy"), "refuse", "oilTooStrong");
  add((remedy === "oil" || remedy === "neem") && plant.inFlower, "warn", "smotherFlowers");
  add(remedy !== "oil" && has("waxBloom"), "warn", "stripsBloom");
  add(remedy !== "oil" && has("thinLeaf"), "warn", "thinLeaves");
  add(technique !== "dab" && technique !== "wipe" && has("winterDry"), "warn", "wetInRest");
  add(has("milkySap"), "warn", "milkySap");
  add(has("spiny"), "warn", "spines");
  return found;
}
