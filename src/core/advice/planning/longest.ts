import { doseAt, type Approach } from "./approaches";
import { courseOf, gapBetween, limitsOf, OTHER_REMEDY_DAYS, type CourseId, type Dose, type Limits } from "./doses";
import { bears, washesOf, type StressBudget } from "./stress";

/** What decides on which days something may be done. Days since day 0. */
export interface CourseRequest {
  /** The first day on which a treatment is possible; whole. */
  readonly fromDay: number;
  /** Whether the keeper works on a day. Must be true for some day of every fortnight. */
  readonly worksOn: (day: number) => boolean;
  /** The course of each remedy and work that runs already: how often, on which day last (null for never), and what it bears. */
  readonly courses?: Partial<
    Readonly<Record<CourseId, { readonly times: number; readonly lastDay: number | null; readonly limits?: Limits }>>
  >;
  /** Whether what is put on one after the other, from the first treatment on, may follow each other; anything may where left out. */
  readonly mayFollow?: (inOrder: readonly CourseId[]) => boolean;
  /** What the plant bears; anything where left out. */
  readonly stress?: StressBudget;
}

/** So many treatments are proposed at most. */
const MOST_TREATMENTS = 8;
const DAYS_IN_A_YEAR = 366;

/** Something done on a day. */
export interface Dated {
  readonly day: number;
  readonly dose: Dose;
}

/** What a dose bears: by the course that runs, else by the tables. */
export function limitsIn({ courses = {} }: Pick<CourseRequest, "courses">, dose: Dose): Limits {
  const course = courseOf(dose);
  return courses[course]?.limits ?? limitsOf(course);
}

/**
 * The longest course of an approach at an interval that the labels and the plant bear, at most eight treatments beside what is done
 * once; empty where they bear none. Throws RangeError when the keeper works on no day.
 */
export function longest(approach: Approach, request: CourseRequest, interval: number, delayDays: number): Dated[] {
  const { courses, stress, worksOn, mayFollow = () => true } = request;
  const start = soonestDay(doseAt(approach, 0), request) + delayDays;
  const times = new Map<CourseId, number>();
  const lastOf = new Map<CourseId, number>();
  const done: Dated[] = [];
  if (approach.once) {
    const before = courses?.[courseOf(approach.once)]?.times ?? 0;
    if (before >= limitsIn(request, approach.once).mostTimes) return [];
    const day = nextWorkingDay(Math.max(start, soonestDay(approach.once, request)), worksOn);
    if (stress && !bears(stress, [], day, approach.once)) return [];
    done.push({ day, dose: approach.once });
  }
  for (let i = 0; i < MOST_TREATMENTS; i++) {
    const dose = doseAt(approach, i);
    const course = courseOf(dose);
    const before = times.get(course) ?? courses?.[course]?.times ?? 0;
    if (before >= limitsIn(request, dose).mostTimes) break;
    if (!mayFollow([...done.map((one) => courseOf(one.dose)), course])) break;
    const soonest = Math.max(
      lastOf.has(course) ? start : soonestDay(dose, request),
      ...[...lastOf].map(([other, day]) => day + gapBetween(other, dose, limitsIn(request, dose))),
    );
    const day = nextWorkingDay(Math.max(start + i * interval, soonest), worksOn);
    const washed = done.map((one) => ({ day: one.day, washes: washesOf(one.dose) }));
    if (stress && !bears(stress, washed, day, dose)) break;
    done.push({ day, dose });
    times.set(course, before + 1);
    lastOf.set(course, day);
  }
  return done;
}

/**
 * The first day on which a dose may be put on: after its interval from the last time it was, in the course that runs, and as long
 * after something else as the two bear each other.
 */
export function soonestDay(dose: Dose, { fromDay, courses = {} }: Pick<CourseRequest, "fromDay" | "courses">): number {
  const own = courseOf(dose);
  const days = Object.entries(courses).flatMap(([course, { lastDay }]) => {
    const gap = gapBetween(course as CourseId, dose, limitsIn({ courses }, dose));
    return lastDay === null || (course !== own && gap <= OTHER_REMEDY_DAYS) ? [] : [Math.ceil(lastDay + gap)];
  });
  return Math.max(fromDay, ...days);
}

/** The day itself or the next one on which the keeper works. */
function nextWorkingDay(day: number, worksOn: (day: number) => boolean): number {
  for (let next = day; next < day + DAYS_IN_A_YEAR; next++) if (worksOn(next)) return next;
  throw new RangeError("the keeper works on no day");
}
