/** The temperatures between which a pest develops, °C. */
export interface DevelopmentRange {
  readonly lowerC: number;
  readonly upperC: number;
}

/**
 * Degree-days gathered in one day at a mean temperature of `meanC`: `min(meanC, upperC) − lowerC`, never below 0.
 * A horizontal upper cut-off: above `upperC` warmth adds nothing more.
 * Source: model of the mean-temperature method, Arnold 1960 (Proc. Am. Soc. Hort. Sci. 76), from memory.
 * Throws RangeError when a temperature is not finite.
 * @example degreeDaysPerDay({ lowerC: 10, upperC: 34 }, 22) // 12
 */
export function degreeDaysPerDay({ lowerC, upperC }: DevelopmentRange, meanC: number): number {
  if (!Number.isFinite(meanC)) throw new RangeError(`a temperature must be a number, got ${meanC}`);
  return Math.max(0, Math.min(meanC, upperC) - lowerC);
}

/**
 * Days needed to gather `degreeDays` at a constant `meanC`.
 * Returns null at or below the lower threshold: development stands still and has no end.
 * @example daysFor({ lowerC: 10, upperC: 34 }, 64, 22) // 5.33 days
 */
export function daysFor(range: DevelopmentRange, degreeDays: number, meanC: number): number | null {
  const perDay = degreeDaysPerDay(range, meanC);
  return perDay > 0 ? degreeDays / perDay : null;
}
