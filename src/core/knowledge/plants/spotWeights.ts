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
 * in which a look goes. Empty for a pest that has no place on it, as gnats have none on a plant without a pot. @example spotWeights("stemSucculent", "fungusGnat").map((s) => s.id) // neck, mixTop, roots, pot
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
 * The share of the sheltered animals that sits where no brush and no spray comes, 0–1; 0 where none is sheltered.
 * @example deepShare("trailingVine", "mealybug") // 0.16…
 */
export function deepShare(form: GrowthFormId, pest: PestId): number {
  const [, sheltered, deep] = sitesOf(spotWeights(form, pest), pest);
  return deep > 0 ? deep / (sheltered + deep) : 0;
}

/** What lives on the leaf and not behind it is found in deep places less often, by this factor (HOUSE). */
const SELDOM_DEEP: Partial<Readonly<Record<PestId, number>>> = { spiderMite: 0.3, aphid: 0.3, thrips: 0.6 };

/** Σ weights of the places of each site: what of a sheltered spot lies deep counts there. */
function sitesOf(there: readonly WeighedSpot[], pest: PestId): [open: number, sheltered: number, deep: number] {
  const sums: [number, number, number] = [0, 0, 0];
  const share = SELDOM_DEEP[pest] ?? 1;
  for (const { id, sheltered, weight } of there) {
    const deep: number = sheltered ? (spots[id] as Spot).deep * share : 0;
    sums[sheltered ? 1 : 0] += weight * (1 - deep);
    sums[2] += weight * deep;
  }
  return sums;
}

/**
 * How much of each site's animals sit on the named spots, 0–1 for open, sheltered and deep places; 0 for a site without
 * animals. Spots that the form lacks count nothing. @example shareOn("trailingVine", "mealybug", allSpots) // [1, 1, 1]
 */
export function shareOn(
  form: GrowthFormId,
  pest: PestId,
  named: readonly SpotId[],
): [open: number, sheltered: number, deep: number] {
  const there = spotWeights(form, pest);
  const all = sitesOf(there, pest);
  const covered = sitesOf(
    there.filter(({ id }) => named.includes(id)),
    pest,
  );
  const share = (site: 0 | 1 | 2) => (all[site] > 0 ? Math.min(1, covered[site] / all[site]) : 0);
  return [share(0), share(1), share(2)];
}

/**
 * Every place of a growth form, those where most animals of the pest sit first; places where it never sits come last.
 * @example placesOfPest("trailingVine", "spiderMite")[0] // "underside"
 */
export function placesOfPest(form: GrowthFormId, pest: PestId): SpotId[] {
  const weights = new Map(spotWeights(form, pest).map((spot) => [spot.id, spot.weight]));
  return [...spotsOf(form)].toSorted((a, b) => (weights.get(b) ?? 0) - (weights.get(a) ?? 0));
}
