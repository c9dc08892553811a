import { doseAt, dosesOf, type Approach } from "./approaches";
import {
  courseOf,
  gapBetween,
  isWork,
  lastsDays,
  limitsOf,
  OTHER_REMEDY_DAYS,
  type CourseId,
  type Dose,
  type Limits,
} from "./doses";
import type { ComingDose } from "./future";
import { endOf, type Scorer } from "./score";
import { bears, washesOf, type StressBudget } from "./stress";

/** Treatments on certain days with what may be expected of them. Days are counted from the case's day 0. */
export interface Schedule {
  readonly days: readonly number[];
  /** What is put on on each of them. */
  readonly doses: readonly Dose[];
  /** Probability that nothing is left one egg-to-adult time after the last treatment, no look assumed. */
  readonly pOver: number;
  /** The day that probability is for, and the next whole one. */
  readonly scoredAtDay: number;
  readonly overByDay: number;
  /** Days between two treatments before they were moved to working days. */
  readonly intervalDays: number;
}

export interface SearchRequest {
  readonly scorer: Scorer;
  /** The first day on which a treatment is possible; whole. */
  readonly fromDay: number;
  /** Whether the keeper works on a day. Must be true for some day of every fortnight. */
  readonly worksOn: (day: number) => boolean;
  /** The probability to be reached, 0–1. */
  readonly target: number;
  /**
   * What a dose comes to on this plant: the mix proposed for it, the spots its technique goes to, what is searched with. The same
   * dose must always give the same object. As the tables say, on the whole plant, where left out.
   */
  readonly apply?: (dose: Dose) => ComingDose["dose"];
  /** The course of each remedy and work that runs already: how often, on which day last (null for never), and what it bears. */
  readonly courses?: Partial<
    Readonly<Record<CourseId, { readonly times: number; readonly lastDay: number | null; readonly limits?: Limits }>>
  >;
  /** What the plant bears; anything where left out. */
  readonly stress?: StressBudget;
}

/** What a search for one approach gives. */
export interface Found {
  /** Fewest treatments that reach the target, among them the earliest end; null when none does. */
  readonly fewest: Schedule | null;
  /** Earliest end that reaches the target; null when none does. */
  readonly soonest: Schedule | null;
  /** The best of those that were scored: the most that this approach can do, where none reaches the target. */
  readonly best: Schedule;
}

const LONGEST_INTERVAL_DAYS = 14;
/** So many treatments are proposed at most. */
const MOST_TREATMENTS = 12;
const DAYS_IN_A_YEAR = 366;
/** Longer intervals are not tried once so many of them in a row have fallen so far behind the best (HOUSE). */
const FALLEN = 2;
const FALL = 0.05;
/** Later first days that are tried where one treatment fewer may then do: a hatch is waited for (HOUSE, up to ten days). */
const DELAYS_DAYS = [3, 7, 10];

/**
 * Searches the schedules of one approach: from the remedy's smallest interval to a fortnight, one treatment up to as many as the
 * labels and the plant bear, the first of them as soon as may be or some days later; what has been put on in the course that
 * runs counts, and its interval is kept from the last of them.
 * The chance that it is over hardly ever falls when a treatment is added, so that for each interval the fewest that reach the
 * target are found by halving. Null where the course or the plant leaves none.
 * Throws RangeError when the keeper works on no day or the target is no probability.
 */
export function searchSchedules(approach: Approach, request: SearchRequest): Found | null {
  const { target } = request;
  if (!(target > 0 && target < 1)) throw new RangeError(`the target is between 0 and 1, got ${target}`);
  const smallest = Math.min(...dosesOf(approach).map((dose) => limitsIn(request, dose).smallestIntervalDays));
  const reaching: Schedule[] = [];
  let best: Schedule | null = null;
  let falling = 0;
  const longestInterval = Math.max(LONGEST_INTERVAL_DAYS, smallest);
  for (let interval = smallest; interval <= longestInterval && falling < FALLEN; interval++) {
    const all = longest(approach, request, interval, 0);
    if (all.length === 0) continue;
    const { enough, most } = fewestOf(
      (count) => scheduleOf(all.slice(0, count), request, interval),
      all.length,
      target,
    );
    const fell = best !== null && most.pOver < best.pOver - FALL && best.pOver < target;
    falling = fell && !enough ? falling + 1 : 0;
    if (best === null || most.pOver > best.pOver) best = most;
    if (enough) reaching.push(enough);
    // A single treatment has no interval: the others would say the same.
    if (enough?.days.length === 1) break;
  }
  if (!best) return null;
  reaching.push(...later(approach, request, reaching));
  const fewer = (a: Schedule, b: Schedule) => a.days.length - b.days.length || a.overByDay - b.overByDay;
  const sooner = (a: Schedule, b: Schedule) => a.overByDay - b.overByDay || a.days.length - b.days.length;
  return { fewest: reaching.toSorted(fewer)[0] ?? null, soonest: reaching.toSorted(sooner)[0] ?? null, best };
}

/**
 * The fewest treatments that reach the target, by ever greater steps up to `most` of them and then by halving; null where not even
 * all do. With it the best of those that were scored.
 */
function fewestOf(
  at: (count: number) => Schedule,
  most: number,
  target: number,
): { enough: Schedule | null; most: Schedule } {
  let tooFew = 0;
  let tried = at(Math.min(2, most));
  while (tried.pOver < target && tried.days.length < most) {
    tooFew = tried.days.length;
    tried = at(Math.min(2 * tooFew, most));
  }
  if (tried.pOver < target) return { enough: null, most: tried };
  let enough = tried;
  while (enough.days.length - tooFew > 1) {
    const middle = at(Math.floor((tooFew + enough.days.length) / 2));
    if (middle.pOver >= target) enough = middle;
    else tooFew = middle.days.length;
  }
  return { enough, most: tried };
}

/** Schedules that begin later and do with fewer treatments than any of those given; empty where waiting saves none. */
function later(approach: Approach, request: SearchRequest, reaching: readonly Schedule[]): Schedule[] {
  const found: Schedule[] = [];
  const fewest = Math.min(...reaching.map((one) => one.days.length));
  const near = reaching.filter((one) => one.days.length <= fewest + 1);
  const intervals = [...new Set(near.map((one) => one.intervalDays))];
  let count = fewest - 1;
  for (let saved = true; saved && count >= 1; count--) {
    saved = false;
    for (const interval of intervals) {
      for (const delay of DELAYS_DAYS) {
        const days = longest(approach, request, interval, delay, count);
        if (days.length < count) continue;
        const schedule = scheduleOf(days, request, interval);
        if (schedule.pOver < request.target) continue;
        found.push(schedule);
        saved = true;
        break;
      }
    }
  }
  return found;
}

/** What a dose bears: by the course that runs, else by the tables. */
function limitsIn({ courses = {} }: Pick<SearchRequest, "courses">, dose: Dose): Limits {
  const course = courseOf(dose);
  return courses[course]?.limits ?? limitsOf(course);
}

interface Dated {
  readonly day: number;
  readonly dose: Dose;
}

/** The longest course of an approach at an interval that the labels and the plant bear. */
function longest(
  approach: Approach,
  request: SearchRequest,
  interval: number,
  delayDays: number,
  most = MOST_TREATMENTS,
): Dated[] {
  const { courses, stress, worksOn } = request;
  const start = soonestDay(doseAt(approach, 0), request) + delayDays;
  const times = new Map<CourseId, number>();
  const lastOf = new Map<CourseId, number>();
  const done: Dated[] = [];
  for (let i = 0; i < most; i++) {
    const dose = doseAt(approach, i);
    const course = courseOf(dose);
    const before = times.get(course) ?? courses?.[course]?.times ?? 0;
    if (before >= limitsIn(request, dose).mostTimes) break;
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
export function soonestDay(dose: Dose, { fromDay, courses = {} }: Pick<SearchRequest, "fromDay" | "courses">): number {
  const own = courseOf(dose);
  const days = Object.entries(courses).flatMap(([course, { lastDay }]) => {
    const gap = gapBetween(course as CourseId, dose, limitsIn({ courses }, dose));
    return lastDay === null || (course !== own && gap <= OTHER_REMEDY_DAYS) ? [] : [Math.ceil(lastDay + gap)];
  });
  return Math.max(fromDay, ...days);
}

/** Scores treatments on given days, in ascending order. @example the days of a school beside the searched ones */
export function scored(approach: Approach, request: SearchRequest, days: readonly number[]): Schedule {
  const dated = days.map((day, i) => ({ day, dose: doseAt(approach, i) }));
  return scheduleOf(dated, request, days.length > 1 ? days[1]! - days[0]! : 0);
}

/** Scores treatments that each have a dose of their own, in ascending order; at least one. */
export function scoredDoses(
  doses: readonly { readonly atDays: number; readonly dose: Dose }[],
  request: Pick<SearchRequest, "scorer" | "apply">,
): Schedule {
  const dated = doses.map(({ atDays, dose }) => ({ day: atDays, dose }));
  return scheduleOf(dated, request, dated.length > 1 ? dated[1]!.day - dated[0]!.day : 0);
}

function scheduleOf(
  dated: readonly Dated[],
  request: Pick<SearchRequest, "scorer" | "apply">,
  interval: number,
): Schedule {
  const days = dated.map(({ day }) => day);
  const scoredAtDay = endOf(request.scorer, workedUntil(dated));
  return {
    days,
    doses: dated.map(({ dose }) => dose),
    pOver: request.scorer.pOverAt(comingOf(dated, request), scoredAtDay),
    scoredAtDay,
    overByDay: Math.ceil(scoredAtDay),
    intervalDays: interval,
  };
}

/** The day until which the last of some treatments works. At least one. */
function workedUntil(dated: readonly Dated[]): number {
  return Math.max(...dated.map(({ day, dose }) => day + lastsDays(dose)));
}

/** Treatments to come as the model takes them. Throws RangeError for a work where nothing is known of the plant. */
export function comingOf(dated: readonly Dated[], { apply }: Pick<SearchRequest, "apply">): ComingDose[] {
  return dated.map(({ day, dose }) => {
    if (apply) return { atDays: day, dose: apply(dose) };
    if (isWork(dose)) throw new RangeError(`${dose.work} is done to a plant of a known form`);
    return { atDays: day, dose };
  });
}

/** The day itself or the next one on which the keeper works. */
function nextWorkingDay(day: number, worksOn: (day: number) => boolean): number {
  for (let next = day; next < day + DAYS_IN_A_YEAR; next++) if (worksOn(next)) return next;
  throw new RangeError("the keeper works on no day");
}
