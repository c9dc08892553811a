import type { DaySummary, Sample } from "../../climate/samples";
import { isDay } from "../../shared/days";
import type { Cells } from "./csvFacts";
import { toCelsius } from "../../units/temperature";

/** What is wrong with a row; `row` is counted from 1, without the headings. */
export interface ReadingProblem {
  readonly row: number;
  readonly column: string;
  readonly code: "not_a_moment" | "not_a_number" | "required";
}

/** A day as a table gives it, without its moments. */
export type TableDay = Pick<DaySummary, "day" | "minC" | "maxC" | "meanC" | "humidity">;

export interface ReadReadings {
  readonly samples: readonly Sample[];
  /** Rows that tell a day at once: by its extremes, or its mean. */
  readonly days: readonly TableDay[];
  readonly problems: readonly ReadingProblem[];
}

/** A day is not colder or warmer than this, °C; single readings that are, are told and not believed. */
const COLDEST_C = -30;
const WARMEST_C = 60;

/** The names a column may have, in small letters without spaces, signs and units. */
const columns = {
  when: ["time", "at", "date", "day", "datetime", "timestamp", "when", "moment"],
  celsius: [
    "celsius",
    "temperature",
    "temp",
    "c",
    "tempc",
    "temperaturec",
    "airtemperature",
    "fahrenheit",
    "f",
    "tempf",
    "temperaturef",
  ],
  humidity: ["humidity", "rh", "relativehumidity", "hum"],
  min: ["min", "minc", "minf", "low", "lowc", "lowf", "lowest", "tmin", "mintemperature", "minimum"],
  max: ["max", "maxc", "maxf", "high", "highc", "highf", "highest", "tmax", "maxtemperature", "maximum"],
  mean: ["mean", "meanc", "meanf", "average", "avg", "tmean", "meantemperature"],
} as const;
type Column = keyof typeof columns;

const plainName = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/°|\(.*\)|\[.*\]|%/g, "")
    .replace(/[^a-z]/g, "");

/** Whether a heading says that its numbers are in Fahrenheit, whatever else it is called. */
const isFahrenheit = (heading: string) =>
  /°\s*f|\(f\)|fahrenheit|^\s*f\s*$|(temp|temperature|min|max|mean|low|high)[_ ]?f$/i.test(heading.trim());

/** Air of a room or a garden is not beyond these: whatever is, is a mistake of the table. */
const isAir = (column: Column, value: number) =>
  column === "humidity" ? value >= 0 && value <= 100 : Number.isFinite(value) && value >= -90 && value <= 100;

/** Which column of a table is which. */
function meaningOf(headings: readonly string[]): Partial<Record<Column, string>> {
  const found: Partial<Record<Column, string>> = {};
  for (const heading of headings) {
    const name = plainName(heading);
    const column = (Object.keys(columns) as Column[]).find((one) => (columns[one] as readonly string[]).includes(name));
    if (!column) continue;
    found[column] ??= heading;
  }
  return found;
}

const numberIn = (cell: string | undefined): number | null => {
  const text = (cell ?? "")
    .trim()
    .replace(",", ".")
    .replace(/\s*(°?\s*[CF]|%)$/i, "");
  return text === "" ? null : Number(text);
};

/**
 * Readings of a place from the rows of a table: moments with temperature and, where it was measured, humidity; or days with their lowest
 * and highest temperature, or their mean. Celsius or Fahrenheit by the heading; commas or points. `momentOf` gives the moment that a cell means,
 * or null. Everything that is wrong is told; nothing throws.
 * @example readingsFromRows([{ time: "2026-03-01 08:00", celsius: "20.5", rh: "48" }], momentOf).samples.length // 1
 */
export function readingsFromRows(rows: readonly Cells[], momentOf: (cell: string) => Date | null): ReadReadings {
  const samples: Sample[] = [];
  const days: TableDay[] = [];
  const problems: ReadingProblem[] = [];
  const names = meaningOf(Object.keys(rows[0] ?? {}));
  for (const [i, cells] of rows.entries()) {
    const row = i + 1;
    const wrong = (column: string, code: ReadingProblem["code"]) => problems.push({ row, column, code });
    const read = (column: Column): number | null => {
      const heading = names[column];
      const value = heading === undefined ? null : numberIn(cells[heading]);
      if (value === null) return null;
      const inCelsius = column !== "humidity" && isFahrenheit(heading!) ? toCelsius(value) : value;
      if (isAir(column, inCelsius)) return inCelsius;
      wrong(heading!, "not_a_number");
      return NaN;
    };
    const when = names.when === undefined ? "" : (cells[names.when] ?? "").trim();
    if (when === "") {
      wrong(names.when ?? "time", "required");
      continue;
    }
    const celsius = read("celsius");
    const [minC, maxC, meanC, humidity] = [read("min"), read("max"), read("mean"), read("humidity")];
    if ([celsius, minC, maxC, meanC, humidity].some((value) => value !== null && Number.isNaN(value))) continue;
    const outside = [minC, maxC, meanC].some((value) => value !== null && (value < COLDEST_C || value > WARMEST_C));
    if (isDay(when) && outside) {
      wrong(names.mean ?? names.min ?? "min", "not_a_number");
      continue;
    }
    if (isDay(when) && ((minC !== null && maxC !== null) || meanC !== null)) {
      const mean = meanC ?? (minC! + maxC!) / 2;
      const [low, high] = [minC ?? mean, maxC ?? mean];
      if (low <= mean && mean <= high) days.push({ day: when, minC: low, maxC: high, meanC: mean, humidity });
      else wrong(names.mean ?? names.min ?? "min", "not_a_number");
      continue;
    }
    const at = momentOf(when);
    if (at === null) wrong(names.when!, "not_a_moment");
    else if (celsius === null) wrong(names.celsius ?? "celsius", "required");
    else samples.push({ at, celsius, humidity });
  }
  return { samples, days, problems };
}
