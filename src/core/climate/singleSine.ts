import type { DevelopmentRange } from "./degreeDays";

/** Degree-days above one threshold under a sine between the extremes of a day. */
function above(threshold: number, minC: number, maxC: number): number {
  const mean = (minC + maxC) / 2;
  if (minC >= threshold) return mean - threshold;
  if (maxC <= threshold) return 0;
  const half = (maxC - minC) / 2;
  // When the sine crosses the threshold, as an angle from its mean.
  const angle = Math.asin((threshold - mean) / half);
  return ((mean - threshold) * (Math.PI / 2 - angle) + half * Math.cos(angle)) / Math.PI;
}

/**
 * Degree-days gathered in a day that is known by its lowest and highest temperature, between a lower threshold and a horizontal
 * cut-off: the warmth of the day is a sine between the two. Never below 0; equal to {@link degreeDaysPerDay} where they are the same.
 * Source: Baskerville and Emin 1969, Ecology 50, 514–517. Throws RangeError unless minC ≤ maxC are finite.
 * @example sineDegreeDays({ lowerC: 10, upperC: 34 }, 6, 18) // 3.09
 */
export function sineDegreeDays({ lowerC, upperC }: DevelopmentRange, minC: number, maxC: number): number {
  if (!(minC <= maxC) || !Number.isFinite(minC) || !Number.isFinite(maxC))
    throw new RangeError(`a day has a lowest and a highest temperature, got ${minC} and ${maxC}`);
  return above(lowerC, minC, maxC) - above(upperC, minC, maxC);
}
