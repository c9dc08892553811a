import type { Day } from "../../shared/days";
import type { Dose } from "../planning/doses";
import type { Schedule } from "../planning/search";
import type { CaseCalendar } from "../../record/cases/calendar";

/** A course and the looks after it in days of the calendar, with its chances; plain data. */
export interface DatedSchedule {
  readonly dates: readonly Day[];
  /** What is done on each of them; of one day in this order. */
  readonly doses: readonly Dose[];
  readonly looks: readonly Day[];
  /** The chance that the looks are clean, and how sure they then make it. */
  readonly pClean: number;
  readonly sure: number;
  /** Whether that is as sure as the keeper wants it. */
  readonly reaches: boolean;
  /** The chance that it is over one egg-to-adult time after the last treatment, no look assumed, and that day. */
  readonly pOver: number;
  readonly by: Day;
  readonly intervalDays: number;
}

/** A schedule of the model in days of the calendar. */
export function dated(schedule: Schedule, calendar: Pick<CaseCalendar, "day">): DatedSchedule {
  const { days, doses, looks, pClean, sure, reaches, pOver, overByDay, intervalDays } = schedule;
  return {
    dates: days.map(calendar.day),
    doses,
    looks: looks.map(calendar.day),
    ...{ pClean, sure, reaches, pOver, intervalDays },
    by: calendar.day(overByDay),
  };
}
