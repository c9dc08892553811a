import { meanOf } from "../shared/mean";
import type { Day } from "../shared/days";
import { deficitKPa } from "./vapour";

/** What a device or a table said of the air of a place at a moment. */
export interface Sample {
  readonly at: Date;
  readonly celsius: number;
  /** Relative humidity, %; null where it was not measured. */
  readonly humidity: number | null;
}

/** Why a sample is not believed. */
export type Doubt = "future" | "impossible" | "spike" | "stuck";

export interface ScreenedSample extends Sample {
  readonly doubt: Doubt | null;
}

/** Air where plants live is not colder or warmer than this, °C. */
const COLDEST_C = -30;
const WARMEST_C = 60;
/** A device's clock may be so far ahead, ms. */
const AHEAD_MS = 5 * 60_000;
/** One that stands out from both sides by so much within an hour was not the air of a room (HOUSE). */
const SPIKE_C = 12;
const SPIKE_MS = 60 * 60_000;
/** The very same numbers for so long, told so often, come from a device that has stopped measuring (HOUSE). */
const STUCK_MS = 24 * 60 * 60_000;
const STUCK_TIMES = 24;

const impossible = ({ celsius, humidity }: Sample) =>
  !(celsius >= COLDEST_C && celsius <= WARMEST_C) || (humidity !== null && !(humidity >= 0 && humidity <= 100));

/**
 * Samples in the order of time, each moment once, with what speaks against believing them: from the future, impossible, a spike
 * between two that agree, or one of a long run without the least change. Of two for one moment the first told counts. Any order in.
 * Source: common practice of weather services (range, step and persistence tests), from memory; bounds HOUSE.
 * @example screened([], now) // []
 */
export function screened(samples: readonly Sample[], now: Date): readonly ScreenedSample[] {
  const byMoment = new Map<number, Sample>();
  for (const sample of samples) {
    const at = sample.at.getTime();
    if (!byMoment.has(at)) byMoment.set(at, sample);
  }
  const sorted = [...byMoment.values()].toSorted((a, b) => a.at.getTime() - b.at.getTime());
  const doubts = sorted.map((sample): Doubt | null =>
    sample.at.getTime() > now.getTime() + AHEAD_MS ? "future" : impossible(sample) ? "impossible" : null,
  );
  markSpikes(sorted, doubts);
  markStuck(sorted, doubts);
  return sorted.map((sample, i) => ({ ...sample, doubt: doubts[i]! }));
}

function markSpikes(sorted: readonly Sample[], doubts: (Doubt | null)[]): void {
  const sound = sorted.flatMap((_, i) => (doubts[i] === null ? [i] : []));
  for (let k = 1; k < sound.length - 1; k++) {
    const [before, here, after] = [sorted[sound[k - 1]!]!, sorted[sound[k]!]!, sorted[sound[k + 1]!]!];
    if (after.at.getTime() - before.at.getTime() > SPIKE_MS) continue;
    const [up, down] = [here.celsius - before.celsius, here.celsius - after.celsius];
    if (Math.abs(up) > SPIKE_C && Math.abs(down) > SPIKE_C && up > 0 === down > 0) doubts[sound[k]!] = "spike";
  }
}

function markStuck(sorted: readonly Sample[], doubts: (Doubt | null)[]): void {
  let begin = 0;
  const same = (a: Sample, b: Sample) => a.celsius === b.celsius && a.humidity === b.humidity;
  for (let i = 1; i <= sorted.length; i++) {
    if (i < sorted.length && same(sorted[i]!, sorted[begin]!)) continue;
    const long = sorted[i - 1]!.at.getTime() - sorted[begin]!.at.getTime() >= STUCK_MS && i - begin >= STUCK_TIMES;
    // What it said first it may have measured.
    if (long) for (let k = begin + 1; k < i; k++) doubts[k] ??= "stuck";
    begin = i;
  }
}

/** What the samples of one day come to. */
export interface DaySummary {
  readonly day: Day;
  /** The moment of its last sample. */
  readonly at: Date;
  readonly minC: number;
  readonly maxC: number;
  readonly meanC: number;
  /** Mean relative humidity, % ; null where none was measured. */
  readonly humidity: number | null;
  /** Mean vapour-pressure deficit, kPa; null where no humidity was measured. */
  readonly deficitKpa: number | null;
  /** Hours of the day of which there is a sample, 1 to 25. */
  readonly hours: number;
  readonly samples: number;
}

const HOUR_MS = 3_600_000;

/**
 * Days from samples that are believed, ascending. Means are those of hourly means, so that a burst of samples weighs no more than the
 * hour it fell in. `dayOf` gives the day of an instant where the place is. @example daysFrom([], dayOf) // []
 */
export function daysFrom(samples: readonly Sample[], dayOf: (at: Date) => Day): readonly DaySummary[] {
  const byDay = new Map<Day, Sample[]>();
  for (const sample of samples.toSorted((a, b) => a.at.getTime() - b.at.getTime())) {
    const day = dayOf(sample.at);
    const there = byDay.get(day);
    if (there) there.push(sample);
    else byDay.set(day, [sample]);
  }
  return [...byDay].map(([day, there]) => {
    const hours = new Map<number, Sample[]>();
    for (const sample of there) {
      const hour = Math.floor(sample.at.getTime() / HOUR_MS);
      hours.set(hour, [...(hours.get(hour) ?? []), sample]);
    }
    const hourly = (value: (sample: Sample) => number | null): number | null => {
      const means = [...hours.values()].flatMap((group) => {
        const known = group.map(value).filter((one) => one !== null);
        return meanOf(known) ?? [];
      });
      return meanOf(means);
    };
    const celsius = there.map((sample) => sample.celsius);
    return {
      day,
      at: there.at(-1)!.at,
      minC: celsius.reduce((low, c) => Math.min(low, c)),
      maxC: celsius.reduce((high, c) => Math.max(high, c)),
      meanC: hourly((sample) => sample.celsius)!,
      humidity: hourly((sample) => sample.humidity),
      deficitKpa: hourly(({ celsius: c, humidity }) => (humidity === null ? null : deficitKPa(c, humidity))),
      hours: hours.size,
      samples: there.length,
    };
  });
}

/** A day of which fewer hours are known than this has no mean of its own (HOUSE). */
export const HOURS_FOR_A_MEAN = 16;
