import type { Day } from "../../shared/days";
import type { Dose } from "../planning/doses";
import { pictureOf, type PictureDay } from "../planning/picture";
import type { ComingDose } from "../planning/future";
import { scorerOf } from "../planning/score";
import { comingOf } from "../planning/search";
import { blame, type Blame } from "../planning/why";
import { assessFile } from "../clearance/assess";
import { calendarOf, type CaseCalendar } from "../../record/cases/calendar";
import { requestOn, type OnPlant } from "./onPlant";
import type { CaseFile } from "../../record/format/schema";

/** A treatment to come, on a day of the calendar. */
export interface DatedDose {
  readonly day: Day;
  readonly dose: Dose;
}

/** A case over time, ready to be drawn: a point for the end of each day. */
export interface DatedPicture {
  readonly stages: readonly string[];
  /** For each part of a life, in its order, the index of its stage. */
  readonly parts: readonly number[];
  readonly points: readonly (Omit<PictureDay, "day"> & { readonly day: Day })[];
  /** What each treatment meets, by stage. */
  readonly meetings: readonly { readonly day: Day; readonly dies: readonly number[] }[];
}

/** Why treatments to come may leave something: the causes with their shares, as of the day their course is scored for. */
export function blameCase(file: CaseFile, coming: readonly DatedDose[], until: Day, on: OnPlant | null = null): Blame {
  const assessed = assessFile(file);
  if (!assessed.ok) throw new RangeError(assessed.problems.map((p) => `${p.path}: ${p.message}`).join("; "));
  const calendar = calendarOf(file, []);
  return blame(scorerOf(assessed.reckoning), laidOut(coming, assessed, calendar, on), calendar.of(until));
}

/**
 * Draws a case from its first find to the end of `until`, with treatments to come; those before its `asOf` are left out. `certain` false
 * leaves out how likely it is over on each day.
 */
export function drawCase(
  file: CaseFile,
  coming: readonly DatedDose[],
  until: Day,
  on: OnPlant | null = null,
  certain = true,
): DatedPicture {
  const assessed = assessFile(file);
  if (!assessed.ok) throw new RangeError(assessed.problems.map((p) => `${p.path}: ${p.message}`).join("; "));
  const calendar = calendarOf(file, []);
  const doses = laidOut(coming, assessed, calendar, on);
  const { stages, parts, days, meetings } = pictureOf(assessed.reckoning, doses, calendar.of(until), certain);
  const dated = <T extends { readonly day: number }>(one: T) => ({ ...one, day: calendar.day(one.day) });
  return { stages, parts, points: days.map(dated), meetings: meetings.map(dated) };
}

/** Doses to come as the model takes them, by day, those before the moment asked about left out. */
function laidOut(
  coming: readonly DatedDose[],
  { reckoning, expanded }: Extract<ReturnType<typeof assessFile>, { ok: true }>,
  calendar: CaseCalendar,
  on: OnPlant | null,
): ComingDose[] {
  const dated = coming
    .map(({ day, dose }) => ({ day: calendar.of(day), dose }))
    .filter(({ day }) => day >= expanded.asOfDays)
    .toSorted((a, b) => a.day - b.day);
  return comingOf(dated, requestOn(reckoning, on, calendar));
}
