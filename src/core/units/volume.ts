/**
 * Volumes in millilitres, from exact definitions.
 *
 * The inch is exactly 25.4 mm and the US gallon exactly 231 cubic inches, so every US kitchen measure is an exact
 * binary fraction of a gallon. Source: NIST SP 811 (2008) appendix B.8; NIST Handbook 44 appendix C.
 */
export type Millilitres = number & { readonly __unit: "mL" };

const CUBIC_INCH_ML = 2.54 ** 3;
const US_GALLON_ML = 231 * CUBIC_INCH_ML;

/** Exact size of each measure a keeper may pour with, in millilitres. */
export const measureMl = {
  millilitre: 1,
  litre: 1000,
  usTeaspoon: US_GALLON_ML / 768,
  usTablespoon: US_GALLON_ML / 256,
  usFluidOunce: US_GALLON_ML / 128,
  usCup: US_GALLON_ML / 16,
  usPint: US_GALLON_ML / 8,
  usQuart: US_GALLON_ML / 4,
  usGallon: US_GALLON_ML,
  /** Metric kitchen spoons (common practice; an Australian tablespoon is 20 mL and is not offered). */
  metricTeaspoon: 5,
  metricTablespoon: 15,
  /** A pharmacy drop: 20 drops make a millilitre (common practice; real droppers differ by half). */
  drop: 0.05,
} as const satisfies Record<string, number>;

export type Measure = keyof typeof measureMl;

/**
 * Marks a plain number as millilitres.
 * Throws RangeError when it is not a finite number of at least 0.
 * @example mL(500) // 500 mL
 */
export function mL(value: number): Millilitres {
  if (!Number.isFinite(value) || value < 0) throw new RangeError(`a volume must be 0 mL or more, got ${value}`);
  return value as Millilitres;
}

/**
 * Converts `amount` of `measure` to millilitres; 0 gives 0.
 * Throws RangeError for a negative or non-finite amount. Source: see {@link measureMl}.
 * @example toMillilitres(1, "usQuart") // 946.352946 mL
 */
export function toMillilitres(amount: number, measure: Measure): Millilitres {
  return mL(mL(amount) * measureMl[measure]);
}

/**
 * Converts millilitres to a number of `measure`. The inverse of {@link toMillilitres}.
 * @example fromMillilitres(mL(4.92892159375), "usTeaspoon") // 1
 */
export function fromMillilitres(volume: Millilitres, measure: Measure): number {
  return volume / measureMl[measure];
}

/**
 * Millilitres in a litre as US teaspoons in a US quart, as labels for kitchens with those give it. Any number, whatever its sign.
 * Source: see {@link measureMl}. @example toTeaspoonsAQuart(1000 / 192) // 1: a quart is 192 teaspoons
 */
export function toTeaspoonsAQuart(mlPerLitre: number): number {
  return (mlPerLitre * measureMl.usQuart) / 1000 / measureMl.usTeaspoon;
}

/** The inverse of {@link toTeaspoonsAQuart}. @example fromTeaspoonsAQuart(1) // 5.208 */
export function fromTeaspoonsAQuart(teaspoons: number): number {
  return (teaspoons * measureMl.usTeaspoon * 1000) / measureMl.usQuart;
}
