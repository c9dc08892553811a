import { exp } from "../../shared/exponential";

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
