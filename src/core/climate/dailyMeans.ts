import { meanOf } from "../shared/mean";
import { addDays, daysBetween, type Day } from "../shared/days";

/** How warm it was somewhere: the keeper's "about so much from that day on", what a thermometer showed on it, or the mean of a day that was measured. */
export interface DatedTemperature {
  readonly day: Day;
  readonly celsius: number;
  readonly source: "about" | "thermometer" | "measured";
  /** Relative humidity, %; null or left out where it was not measured. */
  readonly humidity?: number | null;
}

/**
 * The mean temperature of each day from `from` to `to`, both included, °C.
 *
 * A day on which a thermometer was read has the mean of its lowest and its highest reading; one on which the keeper said
 * "about so much" has that; one that was measured through has its own mean, whatever else was said of it. Every other day is as warm as the last one known, and days before the first are as warm as that.
 * What the keeper said on a measured day holds from the next on, until that is measured too. Of two words of one day the later in the list counts. `temperatures` in the order in which they were taken; not empty
 * (RangeError). Source: daily mean from extremes, the usual practice of meteorological services; from memory.
 * @example dailyMeans([{ day: day("2026-03-01"), celsius: 20, source: "about" }], day("2026-03-01"), day("2026-03-02")) // [20, 20]
 */
export function dailyMeans(temperatures: readonly DatedTemperature[], from: Day, to: Day): number[] {
  const known = knownMeans(temperatures);
  const means = Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, () => known[0]!.mean);
  // Each holds from its day on, until the next fills in the rest.
  for (const { day, mean, after } of known) {
    if (day > to) continue;
    means.fill(after, Math.max(0, daysBetween(from, day)));
    if (day >= from) means[daysBetween(from, day)] = mean;
  }
  return means;
}

/** The mean temperature of one day; see {@link dailyMeans}. */
export function dailyMean(temperatures: readonly DatedTemperature[], day: Day): number {
  return dailyMeans(temperatures, day, day)[0]!;
}

/** The days for which something is known, ascending: their mean, and how warm the days after are taken to be. */
function knownMeans(
  temperatures: readonly DatedTemperature[],
): { readonly day: Day; readonly mean: number; readonly after: number }[] {
  if (temperatures.length === 0) throw new RangeError("there is no temperature");
  const byDay = new Map<Day, { about: number | null; measured: number | null; low: number; high: number }>();
  for (const { day, celsius, source } of temperatures) {
    const there = byDay.get(day) ?? { about: null, measured: null, low: Infinity, high: -Infinity };
    byDay.set(
      day,
      source === "about"
        ? { ...there, about: celsius }
        : source === "measured"
          ? { ...there, measured: celsius }
          : { ...there, low: Math.min(there.low, celsius), high: Math.max(there.high, celsius) },
    );
  }
  return [...byDay]
    .map(([day, { about, measured, low, high }]) => {
      const mean = measured ?? (low <= high ? (low + high) / 2 : about!);
      return { day, mean, after: measured !== null && about !== null ? about : mean };
    })
    .toSorted((a, b) => (a.day < b.day ? -1 : 1));
}

/** What was measured of the humidity holds for so many days more (HOUSE): rooms change with the season. */
const HUMIDITY_HOLDS_DAYS = 14;

/**
 * The mean relative humidity of each day from `from` to `to`, both included, %: that of the day's own readings, else of the last day
 * before it within a fortnight; null where there is none. @example dailyHumidity([], from, to) // null for each day
 */
export function dailyHumidity(readings: readonly DatedTemperature[], from: Day, to: Day): (number | null)[] {
  const byDay = new Map<Day, number[]>();
  for (const { day, humidity } of readings)
    if (typeof humidity === "number") byDay.set(day, [...(byDay.get(day) ?? []), humidity]);
  const known = [...byDay].toSorted(([a], [b]) => (a < b ? -1 : 1));
  let next = 0;
  return Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, i) => {
    const day = addDays(from, i);
    while (next < known.length && known[next]![0] <= day) next++;
    const last = known[next - 1];
    return last && daysBetween(last[0], day) <= HUMIDITY_HOLDS_DAYS ? meanOf(last[1]) : null;
  });
}
