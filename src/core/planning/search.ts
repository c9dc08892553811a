import type { Application } from "../acts/contact";
import { remedyOf, type RemedyId } from "../remedies/remedies";
import type { Approach, Dose } from "./approaches";
import type { ComingDose } from "./future";
import { endOf, type Scorer } from "./score";

/** Treatments on certain days with what may be expected of them. Days are counted from the case's day 0. */
export interface Schedule {
  readonly days: readonly number[];
  /** Probability that nothing is left one egg-to-adult time after the last treatment, no look assumed. */
  readonly pOver: number;
  /** The day that probability is for. */
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
  /** The spots that can be reached, for the animals that sit there; the whole plant where left out. */
  readonly on?: Application["on"];
  /** The course of each remedy that runs already: how often it was put on, and on which day last (null for never). */
  readonly courses?: Partial<Readonly<Record<RemedyId, { readonly times: number; readonly lastDay: number | null }>>>;
}

/** What a search for one approach gives. */
export interface Found {
  /** Fewest treatments that reach the target, among them the earliest end; null when none does. */
  readonly fewest: Schedule | null;
  /** Earliest end that reaches the target; null when none does. */
  readonly soonest: Schedule | null;
  /** The most that this approach can do. */
  readonly best: Schedule;
}

const LONGEST_INTERVAL_DAYS = 14;
const DAYS_IN_A_YEAR = 366;

/**
 * Searches the schedules of one approach: from the remedy's smallest interval to a fortnight, one treatment up to as many
 * as the remedy bears; what has been put on in the course that runs counts, and its interval is kept from the last of them.
 * The chance that it is over never falls when a treatment is added, so that for each interval the fewest that reach the
 * target are found by halving. Null where the course leaves none.
 * Throws RangeError when the keeper works on no day or the target is no probability.
 */
export function searchSchedules(approach: Approach, request: SearchRequest): Found | null {
  const { target } = request;
  if (!(target > 0 && target < 1)) throw new RangeError(`the target is between 0 and 1, got ${target}`);
  const { smallestIntervalDays } = remedyOf(approach.then.remedy);
  const mostTimes = timesLeft(approach, request);
  if (mostTimes < 1) return null;
  const reaching: Schedule[] = [];
  let best: Schedule | null = null;
  for (let interval = smallestIntervalDays; interval <= LONGEST_INTERVAL_DAYS; interval++) {
    const at = (count: number) => scheduleOf(approach, request, interval, count);
    const most = at(mostTimes);
    if (best === null || most.pOver > best.pOver) best = most;
    if (most.pOver < target) continue;
    let enough = most;
    let tooFew = 0;
    while (enough.days.length - tooFew > 1) {
      const middle = at(Math.floor((tooFew + enough.days.length) / 2));
      if (middle.pOver >= target) enough = middle;
      else tooFew = middle.days.length;
    }
    reaching.push(enough);
    // A single treatment has no interval: the others would say the same.
    if (enough.days.length === 1) break;
  }
  const fewer = (a: Schedule, b: Schedule) => a.days.length - b.days.length || a.overByDay - b.overByDay;
  const sooner = (a: Schedule, b: Schedule) => a.overByDay - b.overByDay || a.days.length - b.days.length;
  return {
    fewest: reaching.toSorted(fewer)[0] ?? null,
    soonest: reaching.toSorted(sooner)[0] ?? null,
    best: best!,
  };
}

/** How many treatments the labels leave: those of the knock-down's remedy, and those of the one that follows it. */
function timesLeft({ first, then }: Approach, { courses }: SearchRequest): number {
  const left = (remedy: RemedyId) => remedyOf(remedy).mostTimes - (courses?.[remedy]?.times ?? 0);
  if (!first || first.remedy === then.remedy) return left(then.remedy);
  const all = Math.min(remedyOf(then.remedy).mostTimes, 1 + Math.max(0, left(then.remedy)));
  return left(first.remedy) < 1 ? 0 : all;
}

/** The first day on which a dose may be put on: after the interval from the last time it was, in the course that runs. */
export function soonestDay({ remedy }: Dose, { fromDay, courses }: SearchRequest): number {
  const last = courses?.[remedy]?.lastDay ?? null;
  return last === null ? fromDay : Math.max(fromDay, Math.ceil(last + remedyOf(remedy).smallestIntervalDays));
}

function scheduleOf(approach: Approach, request: SearchRequest, interval: number, count: number): Schedule {
  const { smallestIntervalDays } = remedyOf(approach.then.remedy);
  const start = soonestDay(approach.first ?? approach.then, request);
  const days: number[] = [];
  for (let i = 0; i < count; i++) {
    const last = days.at(-1);
    const soonest =
      last === undefined ? start : Math.max(last + smallestIntervalDays, soonestDay(approach.then, request));
    days.push(nextWorkingDay(Math.max(start + i * interval, soonest), request.worksOn));
  }
  return { ...scored(approach, request, days), intervalDays: interval };
}

/** Scores treatments on given days, in ascending order. @example the days of a school beside the searched ones */
export function scored(approach: Approach, request: SearchRequest, days: readonly number[]): Schedule {
  return scoredDoses(dosesOn(approach, days, request.on), request);
}

/** Scores treatments that each have a dose of their own, in ascending order; at least one. */
export function scoredDoses(doses: readonly ComingDose[], { scorer }: Pick<SearchRequest, "scorer">): Schedule {
  const days = doses.map(({ atDays }) => atDays);
  const overByDay = endOf(scorer, days.at(-1)!);
  const gap = days.length > 1 ? days[1]! - days[0]! : 0;
  return { days, pOver: scorer.pOverAt(doses, overByDay), overByDay: Math.ceil(overByDay), intervalDays: gap };
}

const applications = new WeakMap<Dose, Map<Application["on"], Application>>();

/** One application for each dose and spots, so that a scorer knows again what it has laid out already. */
function applicationOf(dose: Dose, on: Application["on"]): Application {
  const known = applications.get(dose) ?? new Map<Application["on"], Application>();
  applications.set(dose, known);
  const made = known.get(on) ?? { ...dose, ...(on && { on }) };
  known.set(on, made);
  return made;
}

function dosesOn(approach: Approach, days: readonly number[], on: Application["on"]): ComingDose[] {
  return days.map((day, i) => {
    const dose = i === 0 && approach.first ? approach.first : approach.then;
    return { atDays: day, dose: applicationOf(dose, on) };
  });
}

/** The day itself or the next one on which the keeper works. */
function nextWorkingDay(day: number, worksOn: (day: number) => boolean): number {
  for (let next = day; next < day + DAYS_IN_A_YEAR; next++) if (worksOn(next)) return next;
  throw new RangeError("the keeper works on no day");
}
