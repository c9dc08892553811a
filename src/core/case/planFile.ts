import { addDays, type Day } from "../climate/days";
import { eventsOfAct } from "../acts/acts";
import { workOf } from "../acts/works";
import { isKnownPest, pestOf, type PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import { spotsFor } from "../remedies/remedies";
import { approachOf, dosesOf, type ApproachId } from "../planning/approaches";
import { isWork, type Dose } from "../planning/doses";
import type { ComingDose } from "../planning/future";
import { compareAll } from "../planning/compare";
import { scorerOf } from "../planning/score";
import type { Schedule } from "../planning/search";
import { assessFile } from "./assess";
import type { FileProblem } from "../format/read";
import type { CaseFile } from "../format/schema";

/** A schedule as it is printed: days of the calendar. */
interface PrintedSchedule {
  readonly dates: readonly Day[];
  readonly treatments: number;
  /** Probability that nothing is left on `overBy`, one egg-to-adult time after the last treatment. */
  readonly pOver: number;
  readonly overBy: Day;
}

/** What `plan` says of a case. */
export interface PlanAnswer {
  readonly asOf: string;
  readonly target: number;
  readonly without: { readonly pOver: number; readonly by: Day };
  readonly fewest: ApproachId | null;
  readonly soonest: ApproachId | null;
  readonly gentlest: ApproachId | null;
  readonly approaches: readonly (PrintedSchedule & {
    readonly approach: ApproachId;
    readonly first?: Dose;
    readonly then: Dose;
    readonly turn?: { readonly dose: Dose; readonly every: number };
    readonly reaches: boolean;
    readonly soonest?: PrintedSchedule;
  })[];
  readonly commonPractice: readonly (PrintedSchedule & { readonly school: string; readonly reaches: boolean })[];
}

/** The probability that a plan is to reach unless the keeper says otherwise. */
const USUAL_TARGET = 0.9;

export type Planned =
  | { readonly ok: true; readonly answer: PlanAnswer }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

/** The recommended schedules from the moment asked about on, for a case file read without problems. */
export function planFile(file: CaseFile): Planned {
  const assessed = assessFile(file);
  if (!assessed.ok) return assessed;
  const { reckoning, expanded } = assessed;
  const printed = ({ days, pOver, overByDay }: Schedule): PrintedSchedule => ({
    dates: days.map((day) => addDays(expanded.dayZero as Day, day)),
    treatments: days.length,
    pOver,
    overBy: addDays(expanded.dayZero as Day, overByDay),
  });
  const { id: pestId } = expanded.history.pest;
  const known =
    "growthForm" in file.plant && isKnownPest(pestId) ? { pest: pestId, form: file.plant.growthForm } : null;
  const comparison = compareAll({
    scorer: scorerOf(reckoning),
    fromDay: Math.ceil(expanded.asOfDays),
    worksOn: () => true,
    target: USUAL_TARGET,
    ...(known ? { apply: wherever(known.pest, known.form) } : {}),
    // Works are told of a plant whose form is known, against pests that they are meant for.
    mayUse: (approach) =>
      dosesOf(approach).every((dose) => !isWork(dose) || (known && workOf(dose.work).against.includes(known.pest))),
  });
  const { without, plans, schools, fewest, soonest, gentlest } = comparison;
  return {
    ok: true,
    answer: {
      asOf: file.asOf,
      target: USUAL_TARGET,
      without: { pOver: without.pOver, by: addDays(expanded.dayZero as Day, without.byDay) },
      fewest,
      soonest,
      gentlest,
      approaches: plans.map((plan) => {
        const { first, then, turn } = approachOf(plan.approach);
        return {
          approach: plan.approach,
          ...(first && { first }),
          then,
          ...(turn && { turn }),
          reaches: plan.reaches,
          ...printed(plan.schedule),
          ...(plan.soonest && { soonest: printed(plan.soonest) }),
        };
      }),
      commonPractice: schools.map(({ school, schedule, reaches }) => ({ school, reaches, ...printed(schedule) })),
    },
  };
}

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
