import { addDays, daysBetween, type Day } from "../../shared/days";
import { CLEAN_LOOK_GAP_DAYS } from "../../model/inspection/cleanLooks";
import { seeChances, seeShare, type Search } from "../../model/inspection/see";
import type { PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { Approach } from "../planning/approaches";
import type { Dose } from "../planning/doses";
import { leftSitting } from "../planning/looks";
import { looksUntilSure } from "../planning/lookWorth";
import { outlookOf } from "../planning/mend";
import { scorerOf } from "../planning/score";
import { tooManyRunning } from "../labels/resistance";
import type { SearchRequest } from "../planning/search";
import { checkCaseFile, type FileProblem } from "../../record/format/read";
import type { CaseFileInput } from "../../record/format/schema";
import type { TreatmentCourses } from "../planning/treatmentCourse";
import { assessFile, type Assessment } from "./assess";
import { requestOn, type OnPlant } from "../plans/onPlant";
import { calendarOf, type CaseCalendar } from "../../record/cases/calendar";
import { dated, type DatedSchedule } from "../plans/schedules";

/** How a keeper works, as far as it bears on a case. */
export interface KeepersWays {
  /** ISO weekdays on which treatments are possible. */
  readonly workDays: readonly number[];
  /** How sure it must be before "clear" is proposed, and what a plan's clean looks must come to, 0–1. */
  readonly clearTarget: number;
}

/** A plan in force, as far as it bears on what is to come. */
export interface RunningPlan {
  /** The treatments that have not been carried out, by day, each with its own dose. */
  readonly remaining: readonly { readonly day: Day; readonly dose: Dose }[];
  /** How to go on where these are not enough. */
  readonly goOn: Approach;
}

/** What bears on a case beside its file. */
export interface Standing {
  readonly today: Day;
  /** The last look at the plant, and how it was made: the next one is supposed to be made like it. */
  readonly lastLook: Day;
  readonly search: Search;
  /** How much of what our estimate sees so the keeper is known to see; as much where left out. */
  readonly sees?: number;
  readonly plan: RunningPlan | null;
  /** The courses of remedies that run on the plant. */
  readonly courses: TreatmentCourses;
  readonly on: OnPlant;
  /** The case's file as it would be by our estimates alone; left out where the keeper's record bears on nothing in it. */
  readonly byOurs?: CaseFileInput | null;
}

/** Everything the application says of a case; plain data, as it is kept. */
export interface Judgement {
  readonly assessment: Assessment;
  /** How likely it would be over by our estimates alone, 0–1; left out where that is the same question. */
  readonly byOurs?: number;
  /** How many clean looks would make it sure enough, when the next would be, and how likely they are; null when eight would not, and
   * while nothing has been done since live animals were seen. */
  readonly sureAfter: {
    readonly looks: number;
    readonly next: Day;
    readonly pClean: number;
    readonly sure: number;
  } | null;
  /** What is left of the plan in force comes to this; null without one. */
  readonly outlook: {
    readonly asItStands: DatedSchedule;
    readonly lateDays: number;
    /** Whether not even clean looks after it would make it sure enough. */
    readonly behind: boolean;
    readonly mended: DatedSchedule | null;
  } | null;
}

/** Looks at a plant in a case are a week apart (common practice). */
const LOOK_EVERY_DAYS = 7;

/** A judgement, or why there can be none. */
export type Judged =
  | { readonly ok: true; readonly judgement: Judgement }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

/**
 * Judges a case as of the end of `today`, the day that its file asks about. The file is checked like one that comes from
 * outside: a case that cannot be reckoned says why, and never throws.
 */
export function judgeCase(input: CaseFileInput, form: GrowthFormId, standing: Standing, ways: KeepersWays): Judged {
  const { today, lastLook, search, sees = 1, plan, courses, on, byOurs } = standing;
  const read = checkCaseFile(input);
  if (!read.ok) return read;
  const { file } = read;
  const assessed = assessFile(file);
  if (!assessed.ok) return assessed;
  const { reckoning, assessment } = assessed;
  const calendar = calendarOf(file, ways.workDays);
  const { pest } = reckoning.timeline.layout;
  const scorer = scorerOf(reckoning);
  const see = seeShare(seeChances(pest, pest.id as PestId, form, search), sees);
  const soonest = addDays(lastLook, LOOK_EVERY_DAYS);
  const next = soonest > today ? soonest : addDays(today, 1);
  const everyDays = Math.max(LOOK_EVERY_DAYS, CLEAN_LOOK_GAP_DAYS);
  const worth =
    // Of animals that nobody has touched no look says that they are gone.
    assessment.pClear < ways.clearTarget && !leftSitting(reckoning)
      ? looksUntilSure(scorer, see, { firstDay: calendar.of(next), everyDays, target: ways.clearTarget })
      : null;
  const ours = byOurs ? chanceIn(byOurs) : null;
  const judgement = {
    assessment,
    ...(ours !== null && { byOurs: ours }),
    sureAfter: worth && { looks: worth.looks, next, pClean: worth.pClean, sure: worth.sure },
    outlook:
      plan &&
      outlook(
        plan,
        calendar,
        today,
        { scorer, ...coursesIn(calendar, courses), ...requestOn(reckoning, on, calendar, next) },
        ways,
      ),
  };
  return { ok: true, judgement };
}

/** How likely a case is over by its file; null where that cannot be reckoned. */
function chanceIn(input: CaseFileInput): number | null {
  const read = checkCaseFile(input);
  const assessed = read.ok && assessFile(read.file);
  return assessed && assessed.ok ? assessed.assessment.pClear : null;
}

/** The courses in days of the model, and what may follow on them. */
export function coursesIn(
  calendar: Pick<CaseCalendar, "of">,
  courses: TreatmentCourses,
): Pick<SearchRequest, "courses" | "mayFollow"> {
  const inDays = Object.entries(courses).map(([remedy, { times, last, limits }]) => {
    return [remedy, { times, lastDay: last === null ? null : calendar.of(last), limits }];
  });
  return {
    courses: Object.fromEntries(inDays) as SearchRequest["courses"],
    mayFollow: (inOrder) => tooManyRunning(inOrder, courses) === null,
  };
}

function outlook(
  { remaining, goOn }: RunningPlan,
  calendar: CaseCalendar,
  today: Day,
  known: Omit<SearchRequest, "fromDay" | "worksOn" | "target">,
  { clearTarget }: KeepersWays,
): Judgement["outlook"] {
  const request = { ...known, fromDay: calendar.of(today), worksOn: calendar.worksOn, target: clearTarget };
  const doses = remaining.map(({ day, dose }) => ({ atDays: calendar.of(day), dose }));
  const { asItStands, behind, mended } = outlookOf(doses, goOn, request);
  const first = remaining[0]?.day;
  return {
    asItStands: dated(asItStands, calendar),
    lateDays: first && first < today ? daysBetween(first, today) : 0,
    behind,
    mended: mended && dated(mended, calendar),
  };
}
