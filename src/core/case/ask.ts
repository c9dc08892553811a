import { addDays, type Day } from "../climate/days";
import { approachIds, approachOf, dosesOf, type Approach, type ApproachId } from "../planning/approaches";
import { isWork, type Dose } from "../planning/doses";
import { compare, type ApproachPlan, type Comparison } from "../planning/compare";
import { decide, type Decision, type DecisionRequest } from "../planning/decision";
import { outOfSeason, type OutOfSeason } from "../planning/outOfSeason";
import { scorerOf } from "../planning/score";
import type { Courses } from "../planning/course";
import { prepare, type Preparation } from "../planning/preparation";
import { comingOf, scored, scoredDoses, searchSchedules, type Schedule, type SearchRequest } from "../planning/search";
import type { Worth } from "../plants/worth";
import { schools, type SchoolId } from "../remedies/schools";
import type { Blame } from "../planning/why";
import type { Objection } from "../suitability/suitability";
import { isKnownPest, pestOf } from "../pests/pests";
import { assessFile } from "./assess";
import { calendarOf, type CaseCalendar } from "./calendar";
import { coursesIn } from "./judge";
import { runsOn } from "../planning/resistance";
import { comparisonOn, isAgainst, refusedOn, requestOn, type OnPlant } from "./onPlant";
import type { CaseFile } from "../format/schema";

/** What a keeper asks of a plan. */
export interface PlanQuestion {
  /** The first day on which a treatment is possible; it may lie in the past, for what is written down late. */
  readonly first: Day;
  readonly workDays: readonly number[];
  /** The probability to be reached, 0–1. */
  readonly target: number;
  /** The courses of remedies that run on the plant. */
  readonly courses: Courses;
  /** What the plant bears and the keeper has; null where that is not known: the tables' own figures then hold. */
  readonly on: OnPlant | null;
}

/** A schedule in days of the calendar. */
export interface DatedSchedule {
  readonly dates: readonly Day[];
  /** What is put on on each of them. */
  readonly doses: readonly Dose[];
  readonly pOver: number;
  readonly by: Day;
}

export interface DatedComparison extends Pick<Comparison, "fewest" | "soonest" | "gentlest" | "spent" | "beyond"> {
  readonly without: { readonly pOver: number; readonly by: Day };
  readonly plans: readonly (DatedSchedule & {
    readonly approach: ApproachId;
    readonly reaches: boolean;
    readonly soonest: DatedSchedule | null;
    readonly rising: readonly number[];
    readonly why: Blame;
    readonly help: ApproachPlan["help"];
  })[];
  /** What hands can do before the best of the plans; null where there is none, or where nothing is known of the plant. */
  readonly preparation: Preparation | null;
  /** What the plant does not bear, and why. */
  readonly refused: readonly { readonly id: ApproachId | SchoolId; readonly why: readonly Objection["code"][] }[];
  readonly schools: readonly (DatedSchedule & { readonly school: SchoolId; readonly reaches: boolean })[];
}

/** A case as of the first day of a plan: what came after it is left out. */
function asked(file: CaseFile, { first, workDays, target, courses, on }: PlanQuestion) {
  const asOf = addDays(first, 1);
  const assessed = assessFile(asOf < file.asOf ? { ...file, asOf } : file);
  if (!assessed.ok) throw new RangeError(assessed.problems.map((p) => `${p.path}: ${p.message}`).join("; "));
  const calendar = calendarOf(file, workDays);
  const scorer = scorerOf(assessed.reckoning);
  const days = { fromDay: calendar.of(first), worksOn: calendar.worksOn, ...coursesIn(calendar, courses) };
  const { pest } = scorer.reckoning.timeline.layout;
  const request: SearchRequest = { scorer, target, ...days, ...requestOn(pest.id, on, calendar) };
  return { request, calendar, pest };
}

function dated({ days, doses, pOver, overByDay }: Schedule, calendar: CaseCalendar): DatedSchedule {
  return { dates: days.map(calendar.day), doses, pOver, by: calendar.day(overByDay) };
}

/**
 * Compares approaches and schools on a case, from a day on. A generator that yields the share done. Throws RangeError where no
 * find lies before the end of that day.
 */
export function* compareFor(file: CaseFile, question: PlanQuestion): Generator<number, DatedComparison> {
  const { request, calendar, pest } = asked(file, question);
  const done = yield* compare({ ...request, ...comparisonOn(pest.id, question.on, question.courses) });
  const { without, plans, spent, schools: bySchool, fewest, soonest, gentlest, beyond } = done;
  return {
    without: { pOver: without.pOver, by: calendar.day(without.byDay) },
    plans: plans.map(({ approach, schedule, reaches, soonest: other, rising, why, help }) => ({
      approach,
      reaches,
      rising,
      why,
      help,
      ...dated(schedule, calendar),
      soonest: other && dated(other, calendar),
    })),
    spent,
    schools: bySchool.map(({ school, schedule, reaches }) => ({ school, reaches, ...dated(schedule, calendar) })),
    preparation: preparationFor(request, pest.id, question, plans),
    refused: refusedBy(pest.id, question),
    fewest,
    soonest,
    gentlest,
    beyond,
  };
}

function preparationFor(
  request: SearchRequest,
  pestId: string,
  { on }: PlanQuestion,
  plans: readonly ApproachPlan[],
): Preparation | null {
  const best = plans.toSorted(
    (a, b) => Number(b.reaches) - Number(a.reaches) || b.schedule.pOver - a.schedule.pOver,
  )[0];
  if (!on || !best || !isKnownPest(pestId)) return null;
  const { days, doses } = best.schedule;
  const coming = comingOf(
    days.map((day, i) => ({ day, dose: doses[i]! })),
    request,
  );
  return prepare(request.scorer, pestId, on.bearer, on.tool, on.bearer.potCm, coming);
}

function refusedBy(pestId: string, { on, courses }: PlanQuestion): DatedComparison["refused"] {
  if (!on) return [];
  const all = [...approachIds.map(approachOf), ...schools.map((school) => ({ id: school.id, then: school }))];
  return all.flatMap((approach) => {
    // What would do nothing to this pest needs no reason, but for what many would do.
    if (belongsOnNoRoots(approach, pestId))
      return [{ id: approach.id as ApproachId | SchoolId, why: ["alcoholOnRoots"] }];
    if (!isAgainst(approach, pestId)) return [];
    const running = runsOn(approach, courses) ? ["sameGroupRunning" as const] : [];
    const why = [...refusedOn(approach, on.bearer), ...running];
    // Of what is in no bottle nobody asks why it is not proposed.
    return why.length > 0 && !why.includes("noBottle") ? [{ id: approach.id as ApproachId | SchoolId, why }] : [];
  });
}

/** Alcohol dabbed on what lives at the roots. */
function belongsOnNoRoots(approach: Approach, pestId: string): boolean {
  if (!isKnownPest(pestId) || pestOf(pestId).stages.some(({ where }) => where !== "soil")) return false;
  return dosesOf(approach).every((dose) => !isWork(dose) && dose.remedy === "alcohol" && dose.technique === "dab");
}

/** The probability that treatments, each with its own dose, end a case; by day, at least one. */
export function promiseOf(
  file: CaseFile,
  question: PlanQuestion,
  steps: readonly { readonly day: Day; readonly dose: Dose }[],
): number {
  const { request, calendar } = asked(file, question);
  return scoredDoses(
    steps.map(({ day, dose }) => ({ atDays: calendar.of(day), dose })),
    request,
  ).pOver;
}

/** What the first decision takes beside a plan's question. */
export interface DecisionQuestion extends PlanQuestion {
  readonly on: OnPlant;
  readonly potCm: number;
  readonly worth: Worth;
  readonly neighbours: DecisionRequest["neighbours"];
  readonly warmOutside: boolean;
}

/** The first decision on a case, from a day on. A generator that yields the share done. Throws as {@link compareFor} does. */
export function* decideFor(file: CaseFile, question: DecisionQuestion): Generator<number, Decision> {
  const { request, pest } = asked(file, question);
  const compared = yield* compare({ ...request, ...comparisonOn(pest.id, question.on, question.courses) });
  const best = compared.plans.toSorted((a, b) => b.schedule.pOver - a.schedule.pOver)[0];
  const good = compared.plans.find(({ approach }) => approach === compared.fewest) ?? best;
  const { bearer, tool } = question.on;
  return decide({
    ...request,
    ...{ form: bearer.form, potCm: question.potCm, tool, worth: question.worth, neighbours: question.neighbours },
    programme: good ? { schedule: good.schedule, burden: good.burden } : null,
    warmOutside: question.warmOutside,
    resting: bearer.resting && bearer.sensitivities.includes("winterDry"),
  });
}

/** What unpotting on a day out of season is weighed against. */
export interface OutOfSeasonQuestion extends PlanQuestion {
  readonly on: OnPlant;
  /** The day on which it would be done instead. */
  readonly spring: Day;
}

/** Unpotting now or once it grows, from a day on. Throws as {@link compareFor} does. */
export function outOfSeasonFor(file: CaseFile, question: OutOfSeasonQuestion): OutOfSeason {
  const { request, calendar } = asked(file, question);
  return outOfSeason(request.scorer, question.on.bearer, request.fromDay, calendar.of(question.spring));
}

/** One dose: the schedule recommended for it (null where its label leaves none), and lists of days scored, none as null. */
export function datesFor(
  file: CaseFile,
  question: PlanQuestion,
  dose: Dose,
  lists: readonly (readonly Day[])[],
): { recommended: (DatedSchedule & { reaches: boolean }) | null; scores: readonly (DatedSchedule | null)[] } {
  const { request, calendar } = asked(file, question);
  const approach = { id: "chosen", then: dose };
  const found = searchSchedules(approach, request);
  return {
    recommended: found && { ...dated(found.fewest ?? found.best, calendar), reaches: found.fewest !== null },
    scores: lists.map((days) =>
      days.length > 0 ? dated(scored(approach, request, days.map(calendar.of)), calendar) : null,
    ),
  };
}
