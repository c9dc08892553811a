import type { PestId } from "../pests/pests";
import { spotsOf, type GrowthFormId } from "./growthForms";
import { spots, type Spot, type SpotId } from "./spots";

/** A hiding place on a plant of some form, with the share of a pest's animals that sit there. */
export interface WeighedSpot {
  readonly id: SpotId;
  readonly sheltered: boolean;
  /** 0–1; the weights of all spots of a form sum to 1. */
  readonly weight: number;
}

/**
 * Where a pest sits on a plant of this form: spots that the form lacks are dropped and the rest scaled to 1. In the order
 * in which a look goes. @example spotWeights("stemSucculent", "fungusGnat").map((s) => s.id) // neck, mixTop, roots, pot
 */
export function spotWeights(form: GrowthFormId, pest: PestId): readonly WeighedSpot[] {
  const there = spotsOf(form).map((id) => {
    const spot: Spot = spots[id];
    return { id, sheltered: spot.sheltered, weight: spot.weight[pest] ?? 0 };
  });
  const total = there.reduce((sum, { weight }) => sum + weight, 0);
  return there.filter(({ weight }) => weight > 0).map((spot) => ({ ...spot, weight: spot.weight / total }));
}

/**
 * The share of a pest's animals that sits where a spray or an eye reaches badly, 0–1.
 * @example shelteredShare("trailingVine", "spiderMite") // 0.145…
 */
export function shelteredShare(form: GrowthFormId, pest: PestId): number {
  return spotWeights(form, pest).reduce((sum, { sheltered, weight }) => sum + (sheltered ? weight : 0), 0);
}

/**
 * How much of each site's animals sit on the named spots, 0–1 for open and sheltered ones; 0 for a site without animals.
 * Spots that the form lacks count nothing. @example shareOn("trailingVine", "mealybug", allSpots) // [1, 1]
 */
export function shareOn(form: GrowthFormId, pest: PestId, named: readonly SpotId[]): [open: number, sheltered: number] {
  const covered: [number, number] = [0, 0];
  const all: [number, number] = [0, 0];
  for (const { id, sheltered, weight } of spotWeights(form, pest)) {
    const site = sheltered ? 1 : 0;
    all[site] += weight;
    if (named.includes(id)) covered[site] += weight;
  }
  return [all[0] > 0 ? covered[0] / all[0] : 0, all[1] > 0 ? covered[1] / all[1] : 0];
}

/**
 * Every place of a growth form, those where most animals of the pest sit first; places where it never sits come last.
 * @example placesOfPest("trailingVine", "spiderMite")[0] // "underside"
 */
export function placesOfPest(form: GrowthFormId, pest: PestId): SpotId[] {
  const weights = new Map(spotWeights(form, pest).map((spot) => [spot.id, spot.weight]));
  return [...spotsOf(form)].toSorted((a, b) => (weights.get(b) ?? 0) - (weights.get(a) ?? 0));
}
