import { addDays, type Day } from "../../shared/days";
import { eventsOfAct } from "../../acts/acts";
import { workOf } from "../../acts/works";
import { isKnownPest, pestOf, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { spotsFor } from "../../knowledge/remedies/remedies";
import { approachOf, dosesOf } from "../planning/approaches";
import { isWork, type Dose } from "../planning/doses";
import type { ComingDose } from "../planning/future";
import { compareAll, type WayId } from "../planning/compare";
import { cleanLooksCounted, looksLikeLast, looksOn } from "../planning/looks";
import { scorerOf } from "../planning/score";
import { tooManyRunning } from "../labels/resistance";
import type { Schedule } from "../planning/search";
import { assessFile } from "../clearance/assess";
import { coursesOn } from "./coursesOnRecord";
import type { FileProblem } from "../../record/format/read";
import type { CaseFile } from "../../record/format/schema";

/** A schedule as it is printed: days of the calendar. */
interface PrintedSchedule {
  readonly dates: readonly Day[];
  readonly treatments: number;
  /** The looks after them, the chance that they are clean, and how sure they then make it. */
  readonly looks: readonly Day[];
  readonly pClean: number;
  readonly sure: number;
  readonly reaches: boolean;
  /** Probability that nothing is left on `overBy`, one egg-to-adult time after the last treatment, no look assumed. */
  readonly pOver: number;
  readonly overBy: Day;
}

/** What `plan` says of a case. */
export interface PlanAnswer {
  readonly asOf: string;
  readonly target: number;
  readonly without: { readonly pOver: number; readonly by: Day };
  readonly leastWork: WayId | null;
  readonly soonest: WayId | null;
  readonly gentlest: WayId | null;
  readonly approaches: readonly (PrintedSchedule & {
    readonly approach: WayId;
    /** What is done once before the first treatment, on its day. */
    readonly once?: Dose;
    readonly first?: Dose;
    /** Left out where nothing is done but looking. */
    readonly then?: Dose;
    readonly turn?: { readonly dose: Dose; readonly every: number };
    readonly soonest?: PrintedSchedule;
    readonly gentlest?: PrintedSchedule;
  })[];
  readonly commonPractice: readonly (PrintedSchedule & { readonly school: string })[];
}

/** How sure clean looks are to make it unless the keeper says otherwise. */
const USUAL_TARGET = 0.95;

export type Planned =
  | { readonly ok: true; readonly answer: PlanAnswer }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

/** The recommended schedules from the moment asked about on, for a case file read without problems. */
export function planFile(file: CaseFile): Planned {
  const assessed = assessFile(file);
  if (!assessed.ok) return assessed;
  const { reckoning, expanded } = assessed;
  const onDay = (day: number) => addDays(expanded.dayZero as Day, day);
  const printed = ({ days, looks, pClean, sure, reaches, pOver, overByDay }: Schedule): PrintedSchedule => ({
    dates: days.map(onDay),
    treatments: days.length,
    looks: looks.map(onDay),
    ...{ pClean, sure, reaches, pOver },
    overBy: onDay(overByDay),
  });
  const { id: pestId } = expanded.history.pest;
  const known =
    "growthForm" in file.plant && isKnownPest(pestId) ? { pest: pestId, form: file.plant.growthForm } : null;
  const comparison = compareAll({
    scorer: scorerOf(reckoning),
    fromDay: Math.ceil(expanded.asOfDays),
    worksOn: () => true,
    mayFollow: (inOrder) => tooManyRunning(inOrder, nothingRuns) === null,
    target: USUAL_TARGET,
    looks: {
      ...(known ? looksOn(known.pest, known.form, "lamp", USUAL_POT_CM) : looksLikeLast(reckoning)),
      have: cleanLooksCounted(reckoning),
    },
    ...(known ? { apply: wherever(known.pest, known.form) } : {}),
    // Works are told of a plant whose form is known, against pests that they are meant for.
    mayUse: (approach) =>
      dosesOf(approach).every((dose) => !isWork(dose) || (known && workOf(dose.work).against.includes(known.pest))),
  });
  const { without, plans, schools, leastWork, soonest, gentlest } = comparison;
  return {
    ok: true,
    answer: {
      asOf: file.asOf,
      target: USUAL_TARGET,
      without: { pOver: without.pOver, by: onDay(without.byDay) },
      leastWork,
      soonest,
      gentlest,
      approaches: plans.map((plan) => {
        const { approach, schedule, soonest: sooner, gentlest: gentler } = plan;
        const { id: _id, ...ways } = approach === "lookFirst" ? { id: approach } : approachOf(approach);
        return {
          approach,
          ...ways,
          ...printed(schedule),
          ...(sooner && { soonest: printed(sooner) }),
          ...(gentler && { gentlest: printed(gentler) }),
        };
      }),
      commonPractice: schools.map(({ school, schedule }) => ({ school, ...printed(schedule) })),
    },
  };
}

const nothingRuns = coursesOn([], "1970-01-01" as Day);

/** How wide its pot is no case file says; it bears on amounts only. */
const USUAL_POT_CM = 12;

/** A dose on the spots its technique goes to, as strong as the tables take it. */
function wherever(pest: PestId, form: GrowthFormId): (dose: Dose) => ComingDose["dose"] {
  const known = new Map<string, ComingDose["dose"]>();
  return (dose) => {
    if (isWork(dose)) {
      const act = workOf(dose.work).act({ form, potCm: USUAL_POT_CM });
      const there = known.get(dose.work) ?? {
        events: eventsOfAct(act, { pest: pestOf(pest), weights: pest, form }, 0),
      };
      known.set(dose.work, there);
      return there;
    }
    const { remedy, technique } = dose;
    const key = `${remedy} ${technique}`;
    const on = { form, weights: pest, spots: spotsFor(technique, form) };
    const made = known.get(key) ?? { remedy, technique, on };
    known.set(key, made);
    return made;
  };
}
