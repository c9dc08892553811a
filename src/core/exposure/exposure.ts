import type { Day } from "../climate/days";
import { CLEAN_LOOKS_NEEDED, countedCleanLooks } from "../inspection/cleanLooks";

/** A plant stood near a find of something on `since`. */
export interface Exposure {
  readonly since: Day;
}

/**
 * Whether a plant that stood near a find is still at risk: until two clean looks, six days apart, on or after that day
 * (HOUSE). `cleanLookDays` in ascending order.
 * @example isAtRisk({ since: day("2026-11-01") }, [day("2026-11-02"), day("2026-11-09")]) // false
 */
export function isAtRisk(exposure: Exposure, cleanLookDays: readonly Day[]): boolean {
  return countedCleanLooks(cleanLookDays.filter((d) => d >= exposure.since)) < CLEAN_LOOKS_NEEDED;
}
