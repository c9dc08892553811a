import type { Act } from "../acts/acts";
import { anyHome, homeObjections, type ProductId } from "../household/household";
import { mixes } from "../mixing/mixes";
import type { Bearer } from "./bearer";
import { objections, type Objection } from "./suitability";

/** What an act puts on or lets loose, by the name a home knows it by; null for hands, water, cards and ways of growing. */
export function productOf(act: Act): ProductId | null {
  switch (act.kind) {
    case "contact":
      return mixes[act.mix].remedy;
    case "drench":
    case "systemic":
      return act.remedy;
    case "release":
      return act.predator;
    case "dust":
      return "dust";
    default:
      return null;
  }
}

/**
 * What speaks against an act of any kind on a plant: what the plant does not bear, what the home keeps out, and helpful animals that
 * live there or soon would. Refusals come first. @example actObjections({ kind: "trap", cards: 1, days: 7 }, hoya) // []
 */
export function actObjections(act: Act, bearer: Bearer): readonly Objection[] {
  const product = productOf(act);
  const against =
    act.kind === "contact"
      ? objections(bearer, act.mix, act.technique)
      : product
        ? homeObjections(product, bearer.home ?? anyHome, bearer.sensitivities)
        : [];
  const { today, helpers } = bearer;
  if (!today || !helpers) return against;
  const kills = act.kind === "contact" || act.kind === "dust";
  const alive = kills && helpers.aliveUntil !== null && today <= helpers.aliveUntil;
  const tooSoon = act.kind === "release" && helpers.freeFrom !== null && today < helpers.freeFrom;
  return [
    ...against,
    ...(alive ? [{ level: "warn", code: "helpersAlive" } as const] : []),
    ...(tooSoon ? [{ level: "warn", code: "sprayedLately" } as const] : []),
  ];
}
