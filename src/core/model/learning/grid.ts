import { exp, ln } from "../../shared/exponential";

/** What a posterior over a grid comes to. */
export interface Learned {
  /** The posterior mean. */
  readonly mean: number;
  /** Bounds within which the true value lies four times in five. */
  readonly low: number;
  readonly high: number;
}

/** From how likely each value of a grid is: `density` sums to 1, the values ascend. @example learnedOver([1, 2], [0.5, 0.5]).mean // 1.5 */
export function learnedOver(values: readonly number[], density: readonly number[]): Learned {
  const within = (share: number) => {
    let sum = 0;
    return values[density.findIndex((d) => (sum += d) >= share)] ?? values.at(-1)!;
  };
  return { mean: density.reduce((sum, d, i) => sum + d * values[i]!, 0), low: within(0.1), high: within(0.9) };
}

/** Values even in their logarithm, each in the middle of its cell. */
export function evenInLog(least: number, most: number, steps: number): readonly number[] {
  return Array.from({ length: steps }, (_, i) => least * (most / least) ** ((i + 0.5) / steps));
}

/** Densities that sum to 1, from their logarithms up to a constant. @example normalised([0, 0]) // [0.5, 0.5] */
export function normalised(logs: readonly number[]): readonly number[] {
  const most = Math.max(...logs);
  const density = logs.map((log) => exp(log - most));
  const all = density.reduce((sum, d) => sum + d, 0);
  return density.map((d) => d / all);
}

/** What a factor is taken to be, or what a record tells of it: the natural parameters of a normal density of its logarithm, which add. */
export interface FactorWorth {
  /** One over the variance of the logarithm; 0 tells nothing. */
  readonly precision: number;
  /** The mean of the logarithm times its precision. */
  readonly pull: number;
}

export const NOTHING_TOLD_OF_FACTOR: FactorWorth = { precision: 0, pull: 0 };

/** Log-normal with mean 1; `spread` is that of the logarithm. RangeError for one that is not above 0. @example factorBefore(0.5) // { precision: 4, pull: -0.5 } */
export function factorBefore(spread: number): FactorWorth {
  if (!(spread > 0)) throw new RangeError(`a spread above 0 is needed, got ${spread}`);
  return { precision: 1 / spread ** 2, pull: -1 / 2 };
}

/** Beforehand, and what others tell of which each unit counts `tells`, all of it together never more than what was believed beforehand. */
export function withOthers(before: FactorWorth, others: FactorWorth, tells: number): FactorWorth {
  const counts = others.precision > 0 ? Math.min(tells, before.precision / others.precision) : 0;
  return { precision: before.precision + counts * others.precision, pull: before.pull + counts * others.pull };
}

/** The logarithm of how likely a factor above 0 is, up to a constant. @example logChance(factorBefore(0.7), 1) // 0 */
export function logChance({ precision, pull }: FactorWorth, factor: number): number {
  return ln(factor) * (pull - (precision * ln(factor)) / 2);
}

/**
 * What has moved a density over factors away from `before`, where it counted `tells`: the normal density of the logarithm that, counted so and
 * put upon `before`, has the mean and the spread of `density`. Its precision is `most` at most, its mean no further from 0 than `furthest`; nothing where the
 * density is wider than before.
 */
export function factorWorth(
  values: readonly number[],
  density: readonly number[],
  before: FactorWorth,
  { tells, most, furthest }: { readonly tells: number; readonly most: number; readonly furthest: number },
): FactorWorth {
  const mean = density.reduce((sum, d, i) => sum + d * ln(values[i]!), 0);
  const variance = density.reduce((sum, d, i) => sum + d * (ln(values[i]!) - mean) ** 2, 0);
  const moved = (1 / variance - before.precision) / tells;
  const precision = Math.min(most, moved);
  if (!(precision > 0)) return NOTHING_TOLD_OF_FACTOR;
  // Where less of it counts, its mean stays where it was.
  const pull = ((mean / variance - before.pull) / tells) * (precision / moved);
  return { precision, pull: Math.max(-precision * furthest, Math.min(precision * furthest, pull)) };
}
