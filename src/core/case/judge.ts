import type { Day } from "../climate/days";
import { addDays, daysBetween } from "../climate/days";
import { CLEAN_LOOK_GAP_DAYS } from "../inspection/cleanLooks";
import { seeChances, type Search } from "../inspection/see";
import type { PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import type { Approach } from "../planning/approaches";
import { looksUntilSure } from "../planning/lookWorth";
import { outlookOf } from "../planning/mend";
import { scorerOf } from "../planning/score";
import type { Schedule } from "../planning/search";
import { assessFile, type Assessment } from "./assess";
import { calendarOf, type CaseCalendar } from "./calendar";
import type { CaseFile } from "../format/schema";

/** How a keeper works, as far as it bears on a case. */
export interface KeepersWays {
  /** ISO weekdays on which treatments are possible. */
  readonly workDays: readonly number[];
  /** The probability a plan is to reach, 0–1. */
  readonly planTarget: number;
  /** The probability from which on "clear" is proposed, 0–1. */
  readonly clearTarget: number;
}

/** A plan in force, as far as it bears on what is to come. */
export interface RunningPlan {
  readonly approach: Approach;
  /** Days of the treatments that have not been carried out, ascending. */
  readonly remaining: readonly Day[];
}

/** Everything the application says of a case; plain data, as it is kept. */
export interface Judgement {
  readonly assessment: Assessment;
  /** How many clean looks would make it sure enough, and when the next would be; null when four would not. */
  readonly sureAfter: { readonly looks: number; readonly next: Day; readonly pClear: number } | null;
  /** What is left of the plan in force comes to this; null without one. */
  readonly outlook: {
    readonly pOver: number;
    readonly by: Day;
    readonly lateDays: number;
    readonly mended: { readonly dates: readonly Day[]; readonly pOver: number; readonly by: Day } | null;
  } | null;
}

/** Looks at a plant in a case are a week apart (common practice). */
const LOOK_EVERY_DAYS = 7;

/**
 * Judges a case as of the end of `today`, the day that the file asks about. `search` is how the keeper usually looks at this
 * plant; `lastLook` the day of the last look. Null when the file contradicts itself, which facts on record do not.
 */
export function judgeCase(
  file: CaseFile,
  form: GrowthFormId,
  { today, lastLook, search, plan }: { today: Day; lastLook: Day; search: Search; plan: RunningPlan | null },
  ways: KeepersWays,
): Judgement | null {
  const assessed = assessFile(file);
  if (!assessed.ok) return null;
  const { reckoning, assessment } = assessed;
  const calendar = calendarOf(file, ways.workDays);
  const { pest } = reckoning.timeline.layout;
  const see = seeChances(pest, pest.id as PestId, form, search);
  const soonest = addDays(lastLook, LOOK_EVERY_DAYS);
  const next = soonest > today ? soonest : addDays(today, 1);
  const everyDays = Math.max(LOOK_EVERY_DAYS, CLEAN_LOOK_GAP_DAYS);
  const worth =
    assessment.pClear < ways.clearTarget
      ? looksUntilSure(reckoning, see, { firstDay: calendar.of(next), everyDays, target: ways.clearTarget })
      : null;
  return {
    assessment,
    sureAfter: worth && { looks: worth.looks, next, pClear: worth.pClear },
    outlook: plan && outlook(plan, calendar, today, scorerOf(reckoning), ways),
  };
}

function outlook(
  { approach, remaining }: RunningPlan,
  calendar: CaseCalendar,
  today: Day,
  scorer: ReturnType<typeof scorerOf>,
  { planTarget }: KeepersWays,
): Judgement["outlook"] {
  const request = { scorer, fromDay: calendar.of(today), worksOn: calendar.worksOn, target: planTarget };
  const { pOver, byDay, mended } = outlookOf(approach, remaining.map(calendar.of), request);
  const first = remaining[0];
  return {
    pOver,
    by: calendar.day(byDay),
    lateDays: first && first < today ? daysBetween(first, today) : 0,
    mended: mended && printed(mended, calendar),
  };
}

/** A schedule in days of the calendar. */
export function printed(
  { days, pOver, overByDay }: Schedule,
  calendar: CaseCalendar,
): { dates: readonly Day[]; pOver: number; by: Day } {
  return { dates: days.map(calendar.day), pOver, by: calendar.day(overByDay) };
}
