/** A day on the calendar, `YYYY-MM-DD`, without a time zone: the zone is the collection's and is settled outside core. */
export type Day = string & { readonly __kind: "day" };

const DAY_MS = 86_400_000;
const pattern = /^\d{4}-\d{2}-\d{2}$/;

/**
 * Reads `YYYY-MM-DD` as a day.
 * Throws RangeError for anything else, 30 February included.
 * @example day("2026-11-24")
 */
export function day(text: string): Day {
  if (!isDay(text)) throw new RangeError(`not a day: ${text}`);
  return text;
}

/** Whether `text` is an existing calendar day written `YYYY-MM-DD`. @example isDay("2026-02-30") // false */
export function isDay(text: string): text is Day {
  if (!pattern.test(text)) return false;
  const ms = Date.parse(`${text}T00:00:00Z`);
  return Number.isFinite(ms) && new Date(ms).toISOString().slice(0, 10) === text;
}

/**
 * Whole days from `from` to `to`; negative when `to` is earlier.
 * Source: proleptic Gregorian calendar, no leap seconds (ECMA-262, Time Values).
 * @example daysBetween(day("2026-02-27"), day("2026-03-01")) // 2
 */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);
}

/**
 * The day `count` days later; a negative count goes back. Fractions are cut off towards zero.
 * @example addDays(day("2026-02-27"), 2) // "2026-03-01"
 */
export function addDays(from: Day, count: number): Day {
  return new Date(Date.parse(`${from}T00:00:00Z`) + Math.trunc(count) * DAY_MS).toISOString().slice(0, 10) as Day;
}

/** Number of whole days since 1970-01-01. @example dayNumber(day("1970-01-02")) // 1 */
export function dayNumber(d: Day): number {
  return daysBetween("1970-01-01" as Day, d);
}

/** The weekday, 1 for Monday to 7 for Sunday. Source: ISO 8601. @example weekdayOf(day("2026-12-12")) // 6 */
export function weekdayOf(d: Day): number {
  return new Date(`${d}T00:00:00Z`).getUTCDay() || 7;
}
