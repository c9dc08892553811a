import { reaches } from "../clearance/scenarios";

/** Three weights of reach ×2.5, ×1, ×⅓. */
export type ReachWeights = readonly [number, number, number];

/** Whose numbers judgements begin with: ours alone, ours and the keeper's own together, or the keeper's own as far as there are any. */
export const numbersIds = ["ours", "mixed", "mine"] as const;
export type NumbersId = (typeof numbersIds)[number];

/** So many cases of the keeper's own weigh as much as our estimate (HOUSE). */
const OURS_WEIGH = { mixed: 12, mine: 4 } as const satisfies Record<Exclude<NumbersId, "ours">, number>;
/** A case of another hand, or of another technique, tells so much of what a case of its own tells (HOUSE). */
export const OTHERS_TELL = 0.25;
/** Fewer cases say nothing (HOUSE). */
export const FEWEST_CASES = 3;
/** The grid over all shares of three: so many steps along each edge. */
const STEPS = 48;

/** What cases have told of the hand. */
export interface LearnedReach {
  /** The posterior mean of each share; they sum to 1. */
  readonly mean: ReachWeights;
  /** Bounds within which the true share lies four times in five. */
  readonly low: ReachWeights;
  readonly high: ReachWeights;
}

/** What other keepers' records have told, in cases of each reach; none where nobody's are known. */
export const NOTHING_TOLD: ReachWeights = [0, 0, 0];

const usual: ReachWeights = [reaches[0].prior, reaches[1].prior, reaches[2].prior];

/** Points in the middle of cells of equal size that fill the triangle of all shares that sum to 1. */
const grid: readonly ReachWeights[] = Array.from({ length: STEPS }, (_, i) =>
  Array.from({ length: STEPS - i }, (_, j): ReachWeights[] => {
    const point = (a: number, b: number): ReachWeights => [a / STEPS, b / STEPS, 1 - (a + b) / STEPS];
    const up = point(i + 1 / 3, j + 1 / 3);
    return i + j < STEPS - 1 ? [up, point(i + 2 / 3, j + 2 / 3)] : [up];
  }).flat(),
).flat();

/**
 * What a case has told of the hand: how likely its record is with each reach, up to a factor, from the weights that the engine gave
 * after everything that was seen and those it began with. A weight that began at 0 tells nothing: its likelihood is 0.
 * @example likelihoodOf([0.4, 0.4, 0.2], [0.25, 0.5, 0.25]) // [1.6, 0.8, 0.8]
 */
export function likelihoodOf(after: ReachWeights, before: ReachWeights = usual): ReachWeights {
  const ratio = (i: 0 | 1 | 2) => (before[i] > 0 ? after[i] / before[i] : 0);
  return [ratio(0), ratio(1), ratio(2)];
}

/** How likely each cell of the grid is, up to a factor: Dirichlet beforehand, given cases that count as much as they weigh. */
function densityOver(
  prior: ReachWeights,
  evidence: readonly (readonly [likelihood: ReachWeights, power: number])[],
): readonly number[] {
  const powers = prior.map((count) => count - 1);
  let density = grid.map((w) => powers.reduce((product, power, i) => product * w[i]! ** power, 1));
  for (const [[a, b, c], power] of evidence) {
    const next = density.map((d, k) => d * (a * grid[k]![0] + b * grid[k]![1] + c * grid[k]![2]) ** power);
    // Kept within what a number holds, however many cases there are. What no reach can have led to tells nothing.
    const most = Math.max(...next);
    if (most > 0) density = next.map((d) => d / most);
  }
  const all = density.reduce((sum, d) => sum + d, 0);
  return density.map((d) => d / all);
}

const each = <T>(of: (i: 0 | 1 | 2) => T): readonly [T, T, T] => [of(0), of(1), of(2)];
const sumOf = ([a, b, c]: ReachWeights) => a + b + c;
const meanOver = (density: readonly number[], of: (share: number) => number = (share) => share) =>
  each((i) => density.reduce((sum, d, k) => sum + d * of(grid[k]![i]), 0));

/** As much as others' cases count beside ours: a quarter each, and together never more than our estimate. */
const telling = (cases: number, weigh: number) => Math.min(OTHERS_TELL, weigh / cases);

/**
 * How the keeper's cases divide among the reaches: the posterior of the three shares, Dirichlet beforehand with our estimate as its
 * mean and the weight of `weigh` cases, given each case's likelihood (a mixture with unknown proportions). Each of `others`, and each case
 * that other keepers' records are worth (`elsewhere`, cases of each reach), counts a quarter of a case; all of the one, and all of the other, never more than our
 * estimate. Exact on a grid of {@link STEPS}² cells; against the closed form, where each case is sure of its reach, its means are off by less than 0.002.
 * RangeError where `weigh` is below 4: the density would have no bound at the edges. @example learnedReach([], 12).mean // [0.25, 0.5, 0.25]
 */
export function learnedReach(
  cases: readonly ReachWeights[],
  weigh: number,
  others: readonly ReachWeights[] = [],
  elsewhere: ReachWeights = NOTHING_TOLD,
): LearnedReach {
  if (!(weigh >= 4)) throw new RangeError(`ours weigh at least four cases, got ${weigh}`);
  const tells = telling(sumOf(elsewhere), weigh);
  const density = densityOver(
    each((i) => weigh * usual[i] + (elsewhere[i] > 0 ? tells * elsewhere[i] : 0)),
    [...cases.map((one) => [one, 1] as const), ...others.map((one) => [one, telling(others.length, weigh)] as const)],
  );
  const within = (share: number) => (i: 0 | 1 | 2) => {
    const upwards = density.map((d, k) => [grid[k]![i], d] as const).toSorted(([a], [b]) => a - b);
    let sum = 0;
    return upwards.find(([, d]) => (sum += d) >= share)?.[0] ?? 1;
  };
  return { mean: meanOver(density), low: each(within(0.1)), high: each(within(0.9)) };
}

/**
 * What cases are worth to another keeper: as many cases, sure of their reach, as would leave a Dirichlet posterior of the same means and the
 * same spread (moments; Minka 2000, from memory). Never more than there were. Against the posterior from the cases themselves what a next keeper begins with
 * is off by less than 0.01 (test). @example worthOf([]) // [0, 0, 0]
 */
export function worthOf(cases: readonly ReachWeights[]): ReachWeights {
  if (cases.length === 0) return NOTHING_TOLD;
  const weigh = OURS_WEIGH.mixed;
  const density = densityOver(
    each((i) => weigh * usual[i]),
    cases.map((one) => [one, 1] as const),
  );
  const mean = meanOver(density);
  const squares = meanOver(density, (share) => share ** 2);
  const variance = sumOf(each((i) => squares[i] - mean[i] ** 2));
  const weight = sumOf(each((i) => mean[i] * (1 - mean[i]))) / variance - 1;
  const worth = each((i) => Math.max(0, weight * mean[i] - weigh * usual[i]));
  const most = Math.min(1, cases.length / sumOf(worth));
  return each((i) => (worth[i] > 0 ? worth[i] * most : 0));
}

/**
 * What a hand's own cases with a technique, a little of all others, and what other keepers' are worth say of the reach of the next. Null where
 * the keeper wants ours alone, or they come to fewer than {@link FEWEST_CASES}. @example reachOf([], [], "mixed") // null
 */
export function reachOf(
  own: readonly ReachWeights[],
  others: readonly ReachWeights[],
  numbers: NumbersId,
  elsewhere: ReachWeights = NOTHING_TOLD,
): LearnedReach | null {
  if (numbers === "ours") return null;
  const worth = own.length + OTHERS_TELL * (others.length + sumOf(elsewhere));
  return worth < FEWEST_CASES ? null : learnedReach(own, OURS_WEIGH[numbers], others, elsewhere);
}
