import { addDays, type Day } from "@/core/shared/days";
import { HOURS_FOR_A_MEAN } from "@/core/climate/samples";
import { sineDegreeDays } from "@/core/climate/singleSine";
import { temperaturesBy } from "@/core/record/cases/warmth";
import { dailyMeans } from "@/core/climate/dailyMeans";
import { idIn } from "@/core/shared/fields";
import { meanOf } from "@/core/shared/mean";
import { pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { developmentRatesAt, developmentRateAt, type DevelopmentRate } from "@/core/advice/seasons/developmentRate";
import { moveBefore } from "@/core/advice/seasons/wintering";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as sensors from "@/db/stores/climate/sensors";
import { scopeOf, today, type Context } from "../../shared/context";
import { measuredAt, measuredLately } from "../measured";

/** One day of a place as it is shown; a day that nobody measured is as warm as the last known. */
export interface ShownDay {
  readonly day: Day;
  readonly meanC: number;
  readonly minC: number | null;
  readonly maxC: number | null;
  readonly humidity: number | null;
  readonly deficitKpa: number | null;
  /** Whether it was filled in. */
  readonly filled: boolean;
}

export interface ClimateView {
  readonly place: { readonly id: string; readonly name: string };
  readonly day: Day;
  /** The last year, oldest first, from the first day of which anything is known; empty where nothing is. */
  readonly days: readonly ShownDay[];
  /** Mean of the last two weeks; null where nothing is known. */
  readonly lately: {
    readonly meanC: number;
    readonly deficitKpa: number | null;
    readonly humidity: number | null;
  } | null;
  readonly paces: readonly (DevelopmentRate & { readonly cooler: number | null; readonly degreeDays: number | null })[];
  readonly sensors: readonly sensors.Sensor[];
  /** The first day to come whose night was colder than neem bears, a year ago; null where none was, or nothing was measured. */
  readonly stiffFrom: Day | null;
  /** The place whose climate is shown, where this one has none of its own. */
  readonly from: string | null;
}

/** Neem stiffens on the leaf in nights colder than this, °C (common practice). */
export const NEEM_STIFF_C = 10;
const YEAR_DAYS = 365;
const LATELY_DAYS = 14;
const COOLER_C = 3;
const MONTH_DAYS = 30;

/** What is known of the air of a place, and how fast pests go in it. Null for no such place. */
export async function readClimate(context: Context, asked: string): Promise<ClimateView | null> {
  const id = idIn(asked);
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [all, readings, measured, devices] = await inParallel(
    scope,
    () => places.all(scope),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
    () => sensors.all(scope),
  );
  const place = all.find((one) => one.id === id);
  if (!place) return null;
  const temperaturesOf = temperaturesBy(all, readings, measured);
  const begin = addDays(day, -YEAR_DAYS + 1);
  const source = measuredAt(all, place.id, new Set(measured.map(({ placeId }) => placeId)));
  const own = new Map(measured.filter((one) => one.placeId === source).map((one) => [one.day, one]));
  const temperatures = temperaturesOf(place.id);
  const firstDay = temperatures.map((one) => one.day).toSorted()[0];
  const from = firstDay === undefined ? null : firstDay > begin ? firstDay : begin;
  const days = (from === null ? [] : dailyMeans(temperatures, from, day)).map((meanC, i): ShownDay => {
    const on = addDays(from!, i);
    const known = own.get(on);
    const through = known !== undefined && known.hours >= HOURS_FOR_A_MEAN;
    return {
      ...{ day: on, meanC },
      minC: through ? known.minC : null,
      maxC: through ? known.maxC : null,
      humidity: known?.humidity ?? null,
      deficitKpa: known?.deficitKpa ?? null,
      filled: !through && !temperatures.some((one) => one.day === on),
    };
  });
  const last = days.slice(-LATELY_DAYS);
  const latelyC = meanOf(last.map(({ meanC }) => meanC));
  const known = <T>(values: readonly (T | null)[]) => values.filter((value) => value !== null);
  const degreeDays = (pest: PestId): number | null => {
    const month = days.slice(-MONTH_DAYS).filter(({ minC }) => minC !== null);
    if (month.length < MONTH_DAYS / 2) return null;
    return month.reduce((sum, { minC, maxC }) => sum + sineDegreeDays(pestOf(pest), minC!, maxC!), 0);
  };
  return {
    place: { id: place.id, name: place.name },
    ...{ day, days },
    lately:
      latelyC === null
        ? null
        : {
            meanC: latelyC,
            deficitKpa: meanOf(known(last.map((one) => one.deficitKpa))),
            humidity: meanOf(known(last.map((one) => one.humidity))),
          },
    paces:
      latelyC === null
        ? []
        : developmentRatesAt(latelyC).map((pace) => ({
            ...pace,
            cooler: developmentRateAt(pace.pest, latelyC - COOLER_C).doublingDays,
            degreeDays: degreeDays(pace.pest),
          })),
    sensors: devices.filter(({ placeId }) => placeId === place.id),
    stiffFrom: moveBefore(
      measured.filter((one) => one.placeId === source),
      NEEM_STIFF_C,
      day,
    ),
    from: source !== null && source !== place.id ? (all.find((one) => one.id === source)?.name ?? null) : null,
  };
}
