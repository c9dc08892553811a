import { daysBetween, type Day } from "./days";

/** How warm it was somewhere: the keeper's "about so much from that day on", or what a thermometer showed on it. */
export interface DatedTemperature {
  readonly day: Day;
  readonly celsius: number;
  readonly source: "about" | "thermometer";
}

/**
 * The mean temperature of each day from `from` to `to`, both included, °C.
 *
 * A day on which a thermometer was read has the mean of its lowest and its highest reading; one on which the keeper said
 * "about so much" has that; every other day is as warm as the last one known, and days before the first are as warm as that.
 * Of two words of one day the later in the list counts. `temperatures` in the order in which they were taken; not empty
 * (RangeError). Source: daily mean from extremes, the usual practice of meteorological services; from memory.
 * @example dailyMeans([{ day: day("2026-03-01"), celsius: 20, source: "about" }], day("2026-03-01"), day("2026-03-02")) // [20, 20]
 */
export function dailyMeans(temperatures: readonly DatedTemperature[], from: Day, to: Day): number[] {
  const known = knownMeans(temperatures);
  const means = Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, () => known[0]![1]);
  // Each holds from its day on, until the next fills in the rest.
  for (const [day, mean] of known) if (day <= to) means.fill(mean, Math.max(0, daysBetween(from, day)));
  return means;
}

/** The mean temperature of one day; see {@link dailyMeans}. */
export function dailyMean(temperatures: readonly DatedTemperature[], day: Day): number {
  return dailyMeans(temperatures, day, day)[0]!;
}

/** The days for which something is known, ascending, with their means. */
function knownMeans(temperatures: readonly DatedTemperature[]): [Day, number][] {
  if (temperatures.length === 0) throw new RangeError("there is no temperature");
  const byDay = new Map<Day, { about: number | null; low: number; high: number }>();
  for (const { day, celsius, source } of temperatures) {
    const there = byDay.get(day) ?? { about: null, low: Infinity, high: -Infinity };
    byDay.set(
      day,
      source === "about"
        ? { ...there, about: celsius }
        : { ...there, low: Math.min(there.low, celsius), high: Math.max(there.high, celsius) },
    );
  }
  return [...byDay]
    .map(([day, { about, low, high }]): [Day, number] => [day, low <= high ? (low + high) / 2 : about!])
    .toSorted(([a], [b]) => (a < b ? -1 : 1));
}
