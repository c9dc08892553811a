import { addDays, daysBetween, weekdayOf, type Day } from "../../shared/days";
import { dayZero } from "../format/times";
import type { CaseFile } from "../format/schema";

/**
 * The days of the calendar and those of a case's model. What is to be done on a day is done at its end, after sundown, when
 * all that was seen on it is known: day D of the calendar ends at the model's day `of(D)`.
 */
export interface CaseCalendar {
  readonly of: (day: Day) => number;
  readonly day: (modelDay: number) => Day;
  /** Whether the keeper works on the model's day. */
  readonly worksOn: (modelDay: number) => boolean;
}

/** `workDays` are ISO weekdays. */
export function calendarOf(file: Pick<CaseFile, "events">, workDays: readonly number[]): CaseCalendar {
  const zero = dayZero(file) as Day;
  const day = (modelDay: number) => addDays(zero, Math.round(modelDay) - 1);
  return { of: (d) => daysBetween(zero, d) + 1, day, worksOn: (n) => workDays.includes(weekdayOf(day(n))) };
}
