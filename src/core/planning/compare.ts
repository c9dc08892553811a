import { remedyOf } from "../remedies/remedies";
import { schools, type SchoolId } from "../remedies/schools";
import { approaches, type Approach, type ApproachId, type Dose } from "./approaches";
import { wetted } from "../acts/effort";
import { endOf } from "./score";
import { scored, searchSchedules, soonestDay, type Schedule, type SearchRequest } from "./search";

/** One approach with the schedule recommended for it. */
export interface ApproachPlan {
  readonly approach: ApproachId;
  /** The recommended schedule: the fewest treatments that reach the target, or the best there is. */
  readonly schedule: Schedule;
  readonly reaches: boolean;
  /** The schedule that ends earliest, where it is another one. */
  readonly soonest: Schedule | null;
  /** How hard all of it is on the plant, in soap washes. */
  readonly burden: number;
}

/** A school's own days, with their score. */
export interface SchoolPlan {
  readonly school: SchoolId;
  readonly schedule: Schedule;
  readonly reaches: boolean;
}

export interface Comparison {
  /** What is to be expected when nothing more is done but waiting one egg-to-adult time. */
  readonly without: { readonly pOver: number; readonly byDay: number };
  readonly plans: readonly ApproachPlan[];
  /** Approaches whose remedy has been put on as often as its label allows in one course. */
  readonly spent: readonly ApproachId[];
  readonly schools: readonly SchoolPlan[];
  /** The named choices among the plans that reach the target; null where none does. */
  readonly fewest: ApproachId | null;
  readonly soonest: ApproachId | null;
  readonly gentlest: ApproachId | null;
}

export interface CompareRequest extends SearchRequest {
  /** Approaches that may not be used on this plant are left out. */
  readonly mayUse: (approach: Approach) => boolean;
}

/**
 * Compares every approach and every school on one case. A generator: it yields the share of the work done (0–1) after each
 * approach, so that whoever runs it can show progress and stop; the comparison is its return value.
 */
export function* compare(request: CompareRequest): Generator<number, Comparison> {
  const { scorer, fromDay, target, mayUse } = request;
  const allowed = approaches.filter(mayUse);
  const plans: ApproachPlan[] = [];
  const spent: ApproachId[] = [];
  for (const [i, approach] of allowed.entries()) {
    const found = searchSchedules(approach, request);
    yield (i + 1) / (allowed.length + 1);
    if (!found) {
      spent.push(approach.id);
      continue;
    }
    const { fewest, soonest, best } = found;
    const schedule = fewest ?? best;
    const other = soonest && soonest.overByDay < schedule.overByDay ? soonest : null;
    const burden = burdenOf(approach, schedule.days.length);
    plans.push({ approach: approach.id, schedule, reaches: fewest !== null, soonest: other, burden });
  }
  const bySchool = schools.flatMap((school): SchoolPlan[] => {
    const approach: Approach = { id: school.id, then: { remedy: school.remedy, technique: school.technique } };
    if (!mayUse(approach)) return [];
    const start = soonestDay(school, request);
    const days = school.days.map((day) => start + day);
    const schedule = scored(approach, request, days);
    return [{ school: school.id, schedule, reaches: schedule.pOver >= target }];
  });
  const byDay = Math.ceil(endOf(scorer, fromDay));
  return {
    without: { pOver: scorer.pOverAt([], byDay), byDay },
    plans,
    spent,
    schools: bySchool,
    ...choices(plans),
  };
}

function choices(plans: readonly ApproachPlan[]): Pick<Comparison, "fewest" | "soonest" | "gentlest"> {
  const good = plans.filter((plan) => plan.reaches);
  const first = (key: (plan: ApproachPlan) => number, then: (plan: ApproachPlan) => number) =>
    good.toSorted((a, b) => key(a) - key(b) || then(a) - then(b))[0]?.approach ?? null;
  const end = (plan: ApproachPlan) => (plan.soonest ?? plan.schedule).overByDay;
  return {
    fewest: first((plan) => plan.schedule.days.length, end),
    soonest: first(end, (plan) => plan.schedule.days.length),
    gentlest: first((plan) => plan.burden, end),
  };
}

/** In soap washes of the whole plant (HOUSE). @example burdenOf({ id: "x", then: soapSpray }, 3) // 3 */
export function burdenOf(approach: Approach, times: number): number {
  const of = ({ remedy, technique }: Dose) => remedyOf(remedy).harshness * wetted[technique];
  return approach.first ? of(approach.first) + (times - 1) * of(approach.then) : times * of(approach.then);
}

/** Runs a comparison to its end. */
export function compareAll(request: CompareRequest): Comparison {
  const run = compare(request);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
