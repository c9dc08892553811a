import { placeOrder } from "../facts/placeOrder";
import { dailyHumidity, dailyMean, dailyMeans, type DatedTemperature } from "../../climate/dailyMeans";
import { addDays, type Day } from "../../shared/days";
import { HOURS_FOR_A_MEAN } from "../../climate/samples";
import type { Place } from "../facts/descriptions";
import { standing, type Placement, type Reading } from "../facts/facts";

/** A day of a place that was measured through, or as many hours of it as are known. */
export interface MeasuredDay {
  readonly placeId: string;
  readonly day: Day;
  readonly meanC: number;
  /** Mean relative humidity, %; null or left out where it was not measured. */
  readonly humidity?: number | null;
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
  for (const { placeId, day, meanC, humidity, hours } of measured)
    if (hours >= HOURS_FOR_A_MEAN)
      add(placeId, { day, celsius: meanC, humidity: humidity ?? null, source: "measured" });
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
  const along = stretchesOf(placements);
  return (from, to) => {
    const each = along(from, to).map(({ placeId, begin, end }) => {
      const temperatures = temperaturesOf(placeId);
      return temperatures.length === 0 ? null : dailyMeans(temperatures, begin, end);
    });
    return each.some((means) => means === null) ? [] : each.flatMap((means) => means ?? []);
  };
}

/** How humid a plant had it on each day from one to another, both included, %; null on days of which nothing is known. */
export type HumidityBetween = (from: Day, to: Day) => (number | null)[];

/** The humidity of the places where a plant stood, day by day, as {@link warmthAlong} has their warmth. */
export function humidityAlong(placements: readonly Placement[], temperaturesOf: TemperaturesOf): HumidityBetween {
  const along = stretchesOf(placements);
  return (from, to) =>
    along(from, to).flatMap(({ placeId, begin, end }) => dailyHumidity(temperaturesOf(placeId), begin, end));
}

/** Where a plant stood at the ends of days, in stretches; before its first placement where that was. */
function stretchesOf(placements: readonly Placement[]) {
  const stood = standing(placements);
  return (from: Day, to: Day) =>
    stood.flatMap(({ placeId, day }, i) => {
      const begin = i === 0 || day < from ? from : day;
      const next = stood[i + 1]?.day;
      const end = next !== undefined && next <= to ? addDays(next, -1) : to;
      return begin > end ? [] : [{ placeId, begin, end }];
    });
}

/** How warm it is at a place on a day, °C; null where nothing is known. */
export function warmthAt(temperaturesOf: TemperaturesOf, placeId: string, day: Day): number | null {
  const temperatures = temperaturesOf(placeId);
  return temperatures.length > 0 ? dailyMean(temperatures, day) : null;
}
