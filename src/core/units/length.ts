/** The international inch, exactly. Source: NIST SP 811 (2008), appendix B.8. */
const INCH_CM = 2.54;

/** Inches of centimetres; any finite number. @example toInches(2.54) // 1 */
export const toInches = (cm: number): number => cm / INCH_CM;

/** Centimetres of inches; the inverse of {@link toInches}. @example toCentimetres(6) // 15.24 */
export const toCentimetres = (inches: number): number => inches * INCH_CM;
