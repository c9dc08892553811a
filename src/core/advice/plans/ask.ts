import { addDays, type Day } from "../../shared/days";
import { approachIds, approachOf, dosesOf, type Approach, type ApproachId } from "../planning/approaches";
import { isWork, limitsOf, type Dose } from "../planning/doses";
import { compare, detailOf, type Comparison, type WayDetail, type WayId, type WayPlan } from "../planning/compare";
import { decide, type Decision, type DecisionRequest, type FirstChoice } from "../decision/decision";
import { outOfSeason, type OutOfSeason } from "../decision/outOfSeason";
import { pRight, scorerOf } from "../planning/score";
import type { TreatmentCourses } from "../planning/treatmentCourse";
import { prepare, type Preparation } from "../planning/preparation";
import {
  datedOf,
  effortOf,
  isCool,
  scored,
  scoredDoses,
  searchSchedules,
  type Effort,
  type SearchRequest,
} from "../planning/search";
import { approachOfSchool, schools, type SchoolId } from "../../knowledge/remedies/schools";
import { hindrancesOf, type HindranceId } from "../planning/feasible";
import type { Objection } from "../tolerance/suitability";
import { isKnownPest, pestOf } from "../../knowledge/pests/pests";
import { assessFile } from "../clearance/assess";
import { calendarOf } from "../../record/cases/calendar";
import { coursesIn } from "../clearance/judge";
import { dated, type DatedSchedule } from "./schedules";
import { runsOn } from "../labels/resistance";
import { comparisonOn, isAgainst, isFor, refusedOn, requestOn, type OnPlant } from "./onPlant";
import type { CaseFile } from "../../record/format/schema";

/** What a keeper asks of a plan. */
export interface PlanQuestion {
  /** The first day on which a treatment is possible; it may lie in the past, for what is written down late. */
  readonly first: Day;
  readonly workDays: readonly number[];
  /** How sure clean looks must make it, 0–1. */
  readonly target: number;
  /** The courses of remedies that run on the plant. */
  readonly courses: TreatmentCourses;
  /** What the plant bears and the keeper has; null where that is not known: the tables' own figures then hold. */
  readonly on: OnPlant | null;
  /** When the plant is looked at next where nothing is done before it; the day after the first where left out. */
  readonly nextLook?: Day;
}

/** A way of a comparison in days of the calendar. */
export interface DatedWay extends Effort {
  readonly approach: WayId;
  readonly schedule: DatedSchedule;
  readonly soonest: DatedSchedule | null;
  readonly gentlest: DatedSchedule | null;
  readonly bottleMissing: boolean;
}

export interface DatedComparison extends Pick<
  Comparison,
  "leastWork" | "soonest" | "gentlest" | "withBottle" | "spent" | "beyond"
> {
  readonly without: { readonly pOver: number; readonly by: Day };
  /** Whether it is too cold there for the pest to develop: nothing is over then, whatever is done. */
  readonly tooCold: boolean;
  /** Whether it is so cool there that treatments lie weeks apart. */
  readonly cool: boolean;
  readonly plans: readonly DatedWay[];
  readonly oftener: DatedSchedule | null;
  /** What the plant does not bear, or cannot be done now, and why. */
  readonly refused: readonly {
    readonly id: ApproachId | SchoolId;
    readonly why: readonly (Objection["code"] | HindranceId)[];
  }[];
  readonly schools: readonly ({ readonly school: SchoolId; readonly schedule: DatedSchedule } & Effort)[];
}

/** How far a comparison is, and the way that was reckoned last. */
export interface DatedProgress {
  readonly share: number;
  readonly plan: DatedWay | null;
}

/** A case as of the first day of a plan: what came after it is left out. */
function asked(file: CaseFile, { first, workDays, target, courses, on, nextLook }: PlanQuestion) {
  const asOf = addDays(first, 1);
  const assessed = assessFile(asOf < file.asOf ? { ...file, asOf } : file);
  if (!assessed.ok) throw new RangeError(assessed.problems.map((p) => `${p.path}: ${p.message}`).join("; "));
  const calendar = calendarOf(file, workDays);
  const { reckoning } = assessed;
  const scorer = scorerOf(reckoning);
  const days = { fromDay: calendar.of(first), worksOn: calendar.worksOn, ...coursesIn(calendar, courses) };
  const { pest } = reckoning.timeline.layout;
  const request: SearchRequest = { scorer, target, ...days, ...requestOn(reckoning, on, calendar, nextLook) };
  const last = reckoning.past[reckoning.lastFind]!;
  const found = last.kind === "inspection" ? last.found : 0;
  return { request: { ...atRest(request, on), ...comparisonOn(pest.id, on, courses, found) }, calendar, pest, found };
}

/** What rests dry is unpotted once more at most before it grows. */
function atRest(request: SearchRequest, on: OnPlant | null): SearchRequest {
  const unpot = request.courses?.unpot;
  if (!on || !unpot || !on.bearer.resting || !on.bearer.sensitivities.includes("winterDry")) return request;
  const limits = { ...limitsOf("unpot"), ...unpot.limits, mostTimes: 1 };
  return { ...request, courses: { ...request.courses, unpot: { ...unpot, limits } } };
}

/**
 * Compares approaches and schools on a case, from a day on. A generator that yields each way as it is reckoned. Throws RangeError
 * where no find lies before the end of that day.
 */
export function* compareFor(file: CaseFile, question: PlanQuestion): Generator<DatedProgress, DatedComparison> {
  const { request, calendar, pest, found } = asked(file, question);
  const way = ({ approach, schedule, soonest, gentlest, bottleMissing, minutes, burden }: WayPlan): DatedWay => ({
    approach,
    schedule: dated(schedule, calendar),
    soonest: soonest && dated(soonest, calendar),
    gentlest: gentlest && dated(gentlest, calendar),
    ...{ bottleMissing, minutes, burden },
  });
  const run = compare(request);
  let next = run.next();
  for (; !next.done; next = run.next()) {
    const { share, plan } = next.value;
    yield { share, plan: plan && way(plan) };
  }
  const {
    without,
    plans,
    schools: bySchool,
    oftener,
    spent,
    leastWork,
    soonest,
    gentlest,
    withBottle,
    beyond,
  } = next.value;
  return {
    without: { pOver: without.pOver, by: calendar.day(without.byDay) },
    tooCold: request.scorer.generationOver === null,
    cool: isCool(request.scorer),
    plans: plans.map(way),
    oftener: oftener && dated(oftener, calendar),
    schools: bySchool.map(({ school, schedule }) => {
      return {
        school,
        schedule: dated(schedule, calendar),
        ...effortOf(datedOf(schedule), schedule.looks.length, request),
      };
    }),
    refused: refusedBy(pest.id, question, found),
    ...{ spent, leastWork, soonest, gentlest, withBottle, beyond },
  };
}

/** Beside a schedule: why it does what it does, what would add to it, and what hands do before it. */
export interface Detail extends WayDetail {
  readonly preparation: Preparation | null;
}

/** What is told of one schedule of a comparison when it is asked for. Throws as {@link compareFor} does. */
export function detailFor(
  file: CaseFile,
  question: PlanQuestion,
  { dates, doses }: Pick<DatedSchedule, "dates" | "doses">,
): Detail {
  const { request, calendar, pest } = asked(file, question);
  const steps = dates.map((day, i) => ({ atDays: calendar.of(day), dose: doses[i]! }));
  const schedule = scoredDoses(steps, request);
  const { on } = question;
  const preparation =
    on && steps.length > 0 && isKnownPest(pest.id) ? prepare(request, pest.id, on.bearer, on.tool, schedule) : null;
  return { ...detailOf(schedule, request), preparation };
}

function refusedBy(pestId: string, { on, courses }: PlanQuestion, found: number): DatedComparison["refused"] {
  if (!on) return [];
  const all: readonly Approach[] = [...approachIds.map(approachOf), ...schools.map(approachOfSchool)];
  return all.flatMap((approach) => {
    if (!isFor(approach, on.bearer)) return [];
    // What would do nothing to this pest needs no reason, but for what many would do.
    if (belongsOnNoRoots(approach, pestId))
      return [{ id: approach.id as ApproachId | SchoolId, why: ["alcoholOnRoots"] }];
    if (!isAgainst(approach, pestId)) return [];
    const running = runsOn(approach, courses) ? ["sameGroupRunning" as const] : [];
    const why = [
      ...refusedOn(approach, on.bearer),
      ...hindrancesOf(approach, { ...on, pest: pestId, found }),
      ...running,
    ];
    // Of what is in no bottle nobody asks why it is not proposed.
    return why.length > 0 && !why.includes("noBottle") ? [{ id: approach.id as ApproachId | SchoolId, why }] : [];
  });
}

/** Alcohol dabbed on what lives at the roots. */
function belongsOnNoRoots(approach: Approach, pestId: string): boolean {
  if (!isKnownPest(pestId) || pestOf(pestId).stages.some(({ where }) => where !== "soil")) return false;
  return dosesOf(approach).every((dose) => !isWork(dose) && dose.remedy === "alcohol" && dose.technique === "dab");
}

/** What treatments, each with its own dose, come to with the looks after them; by day. */
export function promiseOf(
  file: CaseFile,
  question: PlanQuestion,
  steps: readonly { readonly day: Day; readonly dose: Dose }[],
): DatedSchedule {
  const { request, calendar } = asked(file, question);
  return dated(
    scoredDoses(
      steps.map(({ day, dose }) => ({ atDays: calendar.of(day), dose })),
      request,
    ),
    calendar,
  );
}

/** What the first decision takes beside a plan's question. */
export interface DecisionQuestion extends PlanQuestion, Pick<DecisionRequest, "worth" | "neighbours" | "warmOutside"> {
  readonly on: OnPlant;
}

/** The first decision on a case, from a day on. A generator that yields the share done. Throws as {@link compareFor} does. */
export function* decideFor(file: CaseFile, question: DecisionQuestion): Generator<number, DatedDecision> {
  const { request, calendar, found } = asked(file, question);
  const run = compare(request);
  let next = run.next();
  for (; !next.done; next = run.next()) yield next.value.share;
  const { plans, leastWork } = next.value;
  const here = plans.filter(({ bottleMissing }) => !bottleMissing);
  const least = here.find(({ approach }) => approach === leastWork);
  const best = here.toSorted((a, b) => pRight(b.schedule) - pRight(a.schedule))[0];
  const { on, worth, neighbours, warmOutside } = question;
  const decision = decide({
    ...request,
    ...{ ...on, worth, neighbours, warmOutside, found },
    programme: (least ?? best)?.schedule ?? null,
  });
  const choices = decision.choices.map(({ clearDay, ...choice }) => ({ ...choice, clearOn: calendar.day(clearDay) }));
  return { ...decision, choices };
}

/** A decision in days of the calendar; plain data. */
export interface DatedDecision extends Omit<Decision, "choices"> {
  readonly choices: readonly (Omit<FirstChoice, "clearDay"> & { readonly clearOn: Day })[];
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
): { recommended: DatedSchedule | null; scores: readonly (DatedSchedule | null)[] } {
  const { request, calendar } = asked(file, question);
  const approach = { id: "chosen", then: dose };
  const found = searchSchedules(approach, request);
  return {
    recommended: found && dated(found.best, calendar),
    scores: lists.map((days) =>
      days.length > 0 ? dated(scored(approach, request, days.map(calendar.of)), calendar) : null,
    ),
  };
}
