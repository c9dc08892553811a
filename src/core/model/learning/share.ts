import { ln } from "../../shared/exponential";
import { normalised, type Learned } from "./grid";

/** What is believed of a share before anything was counted: its mean, above 0 and below 1, and how many counts that weighs, above 0. */
export interface SharePrior {
  readonly share: number;
  readonly weigh: number;
}

/** What counts have told of a share. */
export type LearnedShare = Learned;

/** Cells of equal width over all shares from 0 to 1. */
const STEPS = 2000;

/**
 * The posterior of a share, Beta beforehand, after `hits` of `of`. The mean is exact; the bounds are read off a grid of {@link STEPS}
 * cells, and against a library's quantiles are off by less than 0.0005. RangeError unless 0 ≤ hits ≤ of.
 * @example learnedShare(0, 0, { share: 0.1, weigh: 10 }).mean // 0.1
 */
export function learnedShare(hits: number, of: number, { share, weigh }: SharePrior): LearnedShare {
  if (!(hits >= 0 && hits <= of)) throw new RangeError(`so many of so many, got ${hits} of ${of}`);
  const a = share * weigh + hits;
  const b = (1 - share) * weigh + of - hits;
  const logs = Array.from({ length: STEPS }, (_, i) => {
    const x = (i + 0.5) / STEPS;
    return (a - 1) * ln(x) + (b - 1) * ln(1 - x);
  });
  const density = normalised(logs);
  const within = (part: number) => {
    let sum = 0;
    const cell = density.findIndex((d) => (sum += d) >= part);
    if (cell < 0) return 1;
    // Within a cell the density is taken as level.
    return (cell + 1 - (sum - part) / density[cell]!) / STEPS;
  };
  return { mean: a / (a + b), low: within(0.1), high: within(0.9) };
}
