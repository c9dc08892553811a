import { placeOrder } from "../facts/placeOrder";
import { dailyMean, dailyMeans, type DatedTemperature } from "../climate/dailyMeans";
import { addDays, type Day } from "../climate/days";
import { HOURS_FOR_A_MEAN } from "../climate/samples";
import type { Place } from "../facts/descriptions";
import { standing, type Placement, type Reading } from "../facts/facts";

/** A day of a place that was measured through, or as many hours of it as are known. */
export interface MeasuredDay {
  readonly placeId: string;
  readonly day: Day;
  readonly meanC: number;
  readonly hours: number;
}

/** The temperatures of every place, in the order in which they were taken. */
export type TemperaturesOf = (placeId: string) => readonly DatedTemperature[];

/**
 * What is known of each place's warmth: its own readings, or those of the place it stands in where it has none; a bag is as
 * warm as what is around it. Days of which enough was measured go before what was said of them. Readings in the order in which they were taken; those struck out count nothing.
 */
export function temperaturesBy(
  places: readonly Place[],
  readings: readonly Reading[],
  measured: readonly MeasuredDay[] = [],
): TemperaturesOf {
  const own = new Map<string, DatedTemperature[]>();
  const add = (placeId: string, one: DatedTemperature) => {
    const there = own.get(placeId);
    if (there) there.push(one);
    else own.set(placeId, [one]);
  };
  for (const reading of standing(readings)) add(reading.placeId, reading);
  for (const { placeId, day, meanC, hours } of measured)
    if (hours >= HOURS_FOR_A_MEAN) add(placeId, { day, celsius: meanC, source: "measured" });
  const { outwards } = placeOrder(places);
  return (placeId) => {
    const warm = outwards(placeId).find(({ id }) => own.has(id));
    return warm ? own.get(warm.id)! : [];
  };
}

/** How warm a plant had it on each day from one to another, both included, °C; empty where nothing is known. */
export type WarmthBetween = (from: Day, to: Day) => number[];

/**
 * The warmth of the places where a plant stood, day by day: that of the place where it stood at the end of the day, and
 * before its first placement that of the first.
 */
export function warmthAlong(placements: readonly Placement[], temperaturesOf: TemperaturesOf): WarmthBetween {
  const stood = standing(placements);
  return (from, to) => {
    const means: number[] = [];
    for (const [i, { placeId, day }] of stood.entries()) {
      const begin = i === 0 || day < from ? from : day;
      const next = stood[i + 1]?.day;
      const end = next !== undefined && next <= to ? addDays(next, -1) : to;
      if (begin > end) continue;
      const temperatures = temperaturesOf(placeId);
      if (temperatures.length === 0) return [];
      means.push(...dailyMeans(temperatures, begin, end));
    }
    return means;
  };
}

/** How warm it is at a place on a day, °C; null where nothing is known. */
export function warmthAt(temperaturesOf: TemperaturesOf, placeId: string, day: Day): number | null {
  const temperatures = temperaturesOf(placeId);
  return temperatures.length > 0 ? dailyMean(temperatures, day) : null;
}
