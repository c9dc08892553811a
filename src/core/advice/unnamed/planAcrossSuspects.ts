import type { Day } from "../../shared/days";
import { caseFile } from "../../record/format/schema";

import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { approaches, approachOf, type Approach, type ApproachId } from "../planning/approaches";
import type { TreatmentCourses } from "../planning/treatmentCourse";
import type { Dose } from "../planning/doses";
import { pictureOf } from "../planning/picture";
import { hindrancesOf, isAtHand } from "../planning/feasible";
import { runsOn } from "../labels/resistance";
import { scorerOf } from "../planning/score";
import { comingOf, scoredDoses, searchSchedules, type Schedule, type SearchRequest } from "../planning/search";
import { assessFile } from "../clearance/assess";
import { calendarOf } from "../../record/cases/calendar";
import { coursesIn } from "../clearance/judge";
import { isAgainst, refusedOn, requestOn, type OnPlant } from "../plans/onPlant";
import { trialFile } from "../plans/trial";
import type { Candidate } from "./unnamed";

export interface PlanAcrossSuspectsQuestion {
  readonly candidates: readonly Candidate[];
  readonly none: number;
  readonly form: GrowthFormId;
  readonly meanC: number;
  readonly today: Day;
  readonly workDays: readonly number[];
  readonly target: number;
  readonly courses: TreatmentCourses;
  readonly on: OnPlant;
}

/** One way against everything that it may be. */
export interface PlanAcrossSuspects {
  readonly approach: ApproachId;
  readonly dates: readonly Day[];
  readonly doses: readonly Dose[];
  /** The chance that it is over, whatever it is: over the candidates and "none", scaled to those that are reckoned. */
  readonly pOver: number;
  /** The same for each candidate, in their order. */
  readonly each: readonly number[];
}

export interface PlanAcrossSuspectsAnswer {
  /** Best first. */
  readonly ways: readonly PlanAcrossSuspects[];
  /** A soap wash today and nothing more: the chance that it is over, and after how many days there are as many again as now. */
  readonly soapOnce: { readonly pOver: number; readonly asManyAfterDays: number | null };
}

/** A light infestation is supposed where nobody saw an animal (HOUSE). */
const SUPPOSED = 5.5;
const WAYS_SHOWN = 4;
const LOOK_AHEAD_DAYS = 45;
const SOAP: Dose = { remedy: "soap", technique: "spray" };

/**
 * Plans against a case without a name: each approach with the schedules that suit each candidate, scored against every candidate
 * and weighted by how likely that is. A generator that yields the share done. Throws RangeError without a candidate.
 * Source: the model for each pest, a light infestation supposed on today (HOUSE); the mean over what is not known.
 */
export function* planAcrossSuspects(question: PlanAcrossSuspectsQuestion): Generator<number, PlanAcrossSuspectsAnswer> {
  const { candidates, none, on, courses } = question;
  if (candidates.length === 0) throw new RangeError("nothing is in question against which dates are reckoned");
  const requests = candidates.map(({ pest }) => requestFor(question, pest));
  const total = candidates.reduce((sum, { p }) => sum + p, none);
  const weigh = (each: readonly number[]) =>
    (none + each.reduce((sum, chance, i) => sum + candidates[i]!.p * chance, 0)) / total;
  const ways: PlanAcrossSuspects[] = [];
  const allowed = approaches.filter(
    (approach: Approach) =>
      candidates.some(
        ({ pest }) =>
          isAgainst(approach, pest) && hindrancesOf(approach, { ...on, pest, found: SUPPOSED }).length === 0,
      ) &&
      isAtHand(approach, on.bearer) &&
      !runsOn(approach, courses) &&
      refusedOn(approach, on.bearer).length === 0,
  );
  for (const [i, { id }] of allowed.entries()) {
    yield i / allowed.length;
    const schedules = requests.flatMap((request): Schedule[] => {
      const found = searchSchedules(approachOf(id), request);
      return found ? [found.best] : [];
    });
    const scored = schedules.map((schedule): PlanAcrossSuspects => {
      const steps = schedule.days.map((atDays, n) => ({ atDays, dose: schedule.doses[n]! }));
      const each = requests.map((request) => scoredDoses(steps, request).pOver);
      const dates = schedule.days.map(calendarOf(fileFor(question, candidates[0]!.pest), question.workDays).day);
      return { approach: id, dates, doses: schedule.doses, each, pOver: weigh(each) };
    });
    const [best] = scored.toSorted((a, b) => b.pOver - a.pOver || a.dates.length - b.dates.length);
    if (best) ways.push(best);
  }
  return {
    ways: ways.toSorted((a, b) => b.pOver - a.pOver).slice(0, WAYS_SHOWN),
    soapOnce: {
      pOver: weigh(requests.map((request) => soapOnce(request))),
      asManyAfterDays: asManyAfter(requests[0]!),
    },
  };
}

const fileFor = ({ form, meanC, today }: PlanAcrossSuspectsQuestion, pest: Candidate["pest"]) =>
  caseFile.parse(trialFile({ pest, form, meanC, found: SUPPOSED, on: today }));

function requestFor(question: PlanAcrossSuspectsQuestion, pest: Candidate["pest"]): SearchRequest {
  const { workDays, target, courses, on } = question;
  const file = fileFor(question, pest);
  const assessed = assessFile(file);
  if (!assessed.ok) throw new RangeError(assessed.problems.map((p) => p.message).join("; "));
  const calendar = calendarOf(file, workDays);
  return {
    scorer: scorerOf(assessed.reckoning),
    // Day 1 of the model ends with this evening.
    fromDay: 1,
    ...{ target, worksOn: calendar.worksOn },
    ...coursesIn(calendar, courses),
    ...requestOn(assessed.reckoning, on, calendar),
  };
}

const soapOnce = (request: SearchRequest) => scoredDoses([{ atDays: request.fromDay, dose: SOAP }], request).pOver;

/** Days until there are as many animals as before a soap wash; null where that is not within the time looked at. */
function asManyAfter(request: SearchRequest): number | null {
  const { scorer, fromDay } = request;
  const washed = pictureOf(
    scorer.reckoning,
    comingOf([{ day: fromDay, dose: SOAP }], request),
    fromDay + LOOK_AHEAD_DAYS,
  );
  const totals = washed.days.map(({ day, expected }) => ({ day, all: expected.reduce((sum, n) => sum + n, 0) }));
  const before = totals.find(({ day }) => day === fromDay)?.all ?? totals[0]!.all;
  const again = totals.find(({ day, all }) => day > fromDay + 1 && all >= before);
  return again ? again.day - fromDay : null;
}
