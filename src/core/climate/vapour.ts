import { exp } from "../shared/exponential";

/**
 * Saturation vapour pressure over water at an air temperature, kPa.
 * Source: Allen, Pereira, Raes and Smith 1998, FAO Irrigation and Drainage Paper 56, equation 11. Throws RangeError unless the
 * temperature is finite and above −237.3 °C. @example saturationKPa(24.5) // 3.075
 */
export function saturationKPa(celsius: number): number {
  if (!(celsius > -237.3) || !Number.isFinite(celsius)) throw new RangeError(`no air temperature: ${celsius}`);
  return 0.6108 * exp((17.27 * celsius) / (celsius + 237.3));
}

/**
 * Vapour-pressure deficit of air at one moment, kPa: how thirsty the air is. `humidity` is the relative humidity, 0–100 %
 * (RangeError). Source: FAO-56, equations 10 and 11. @example deficitKPa(25, 50) // 1.58
 */
export function deficitKPa(celsius: number, humidity: number): number {
  if (!(humidity >= 0 && humidity <= 100)) throw new RangeError(`relative humidity is 0 to 100 %, got ${humidity}`);
  return saturationKPa(celsius) * (1 - humidity / 100);
}

/** The extremes of a day; °C and %. */
export interface DayExtremes {
  readonly minC: number;
  readonly maxC: number;
  readonly minHumidity: number;
  readonly maxHumidity: number;
}

/**
 * Mean vapour-pressure deficit of a day known only by its extremes, kPa: the least humidity goes with the greatest warmth.
 * Source: FAO-56, equations 12 and 17. Throws RangeError where an extreme is no such number.
 * @example dayDeficitKPa({ minC: 18, maxC: 25, minHumidity: 54, maxHumidity: 82 }) // 0.91
 */
export function dayDeficitKPa({ minC, maxC, minHumidity, maxHumidity }: DayExtremes): number {
  const saturation = (saturationKPa(minC) + saturationKPa(maxC)) / 2;
  const there =
    (saturationKPa(minC) - deficitKPa(minC, maxHumidity) + (saturationKPa(maxC) - deficitKPa(maxC, minHumidity))) / 2;
  return Math.max(0, saturation - there);
}

/** How the air is, as far as pests care. */
export const airIds = ["damp", "even", "dry"] as const;
export type AirId = (typeof airIds)[number];

/** Below this air is damp: mixes dry slowly and gnats thrive; above the other it is dry: mites do (HOUSE, kPa). */
const DAMP_KPA = 0.4;
const DRY_KPA = 1.2;

/** What a mean deficit is for pests. @example airOf(1.5) // "dry" */
export function airOf(kPa: number): AirId {
  return kPa > DRY_KPA ? "dry" : kPa < DAMP_KPA ? "damp" : "even";
}
