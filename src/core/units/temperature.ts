/**
 * Temperatures in degrees Celsius, from exact definitions: water freezes at 32 °F and boils at 212 °F.
 * Source: NIST SP 811 (2008), appendix B.8.
 */
const FREEZES_F = 32;
const PER_DEGREE = 1.8;

/** Degrees Fahrenheit of degrees Celsius; any finite number. @example toFahrenheit(100) // 212 */
export const toFahrenheit = (celsius: number): number => celsius * PER_DEGREE + FREEZES_F;

/** Degrees Celsius of degrees Fahrenheit; the inverse of {@link toFahrenheit}. @example toCelsius(32) // 0 */
export const toCelsius = (fahrenheit: number): number => (fahrenheit - FREEZES_F) / PER_DEGREE;

/** A difference in degrees Celsius as one in degrees Fahrenheit. @example inFahrenheitSteps(5) // 9 */
export const inFahrenheitSteps = (celsius: number): number => celsius * PER_DEGREE;
