/** A share of counted things with the span in which the true one probably lies. */
export interface Counted {
  readonly hits: number;
  readonly of: number;
  /** The span that holds the true share four times in five, 0–1. */
  readonly low: number;
  readonly high: number;
}

/** Fewer counted things are no reason to say anything (HOUSE). */
export const FEWEST_COUNTED = 3;

/** Four times in five: a normal deviate. */
const Z_80 = 1.2816;

/**
 * The score interval of a share: `hits` of `of`. Nothing counted spans everything. Throws RangeError unless 0 ≤ hits ≤ of, both whole.
 * Source: Wilson 1927; as method 3 in Newcombe, Statistics in Medicine 17 (1998), 857–872. @example countedOf(0, 0) // low 0, high 1
 */
export function countedOf(hits: number, of: number, z = Z_80): Counted {
  if (!(Number.isInteger(hits) && Number.isInteger(of) && hits >= 0 && hits <= of))
    throw new RangeError(`so many of so many, got ${hits} of ${of}`);
  if (of === 0) return { hits, of, low: 0, high: 1 };
  const p = hits / of;
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half = (z / (1 + (z * z) / of)) * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of));
  return { hits, of, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}
