import { isWork, lastsDays, letsLoose } from "./doses";
import { schools, type SchoolId } from "../remedies/schools";
import { approaches, approachOf, type Approach, type ApproachId, dosesOf } from "./approaches";
import type { Help, HelpId } from "./helps";
import { endOf } from "./score";
import { comingOf, scored, searchSchedules, soonestDay, type Schedule, type SearchRequest } from "./search";
import { washesOf } from "./stress";
import { blame, type Blame } from "./why";

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
  /** The chance that it is over were the treatments to stop after the first, the second and so on; the last is the schedule's. */
  readonly rising: readonly number[];
  readonly why: Blame;
  /** What would add most if it were done once on the first day, and what it would make of the chance; null where nothing adds. */
  readonly help: { readonly id: HelpId; readonly pOver: number } | null;
}

/** What would reach the target where no approach does: the best of them with something more, what does most first. */
export interface Beyond {
  readonly approach: ApproachId;
  readonly pOver: number;
  readonly helps: readonly { readonly id: HelpId | "loupe"; readonly pOver: number }[];
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
  /** Null where some approach reaches the target, or none is left. */
  readonly beyond: Beyond | null;
}

export interface CompareRequest extends SearchRequest {
  /** Approaches that may not be used on this plant are left out. */
  readonly mayUse: (approach: Approach) => boolean;
  /** Whether an approach may be called gentle on this plant; any may where left out. */
  readonly gentle?: (approach: Approach) => boolean;
  /** What else can be done to this plant. */
  readonly helps?: readonly Help[];
  /** As `apply`, with a loupe in the other hand; left out where the keeper has one. */
  readonly withLoupe?: SearchRequest["apply"];
}

/** Less than this is not worth the trouble (HOUSE). */
const WORTH = 0.02;

/**
 * Compares every approach and every school on one case. A generator: it yields the share of the work done (0–1) after each
 * approach, so that whoever runs it can show progress and stop; the comparison is its return value.
 */
export function* compare(request: CompareRequest): Generator<number, Comparison> {
  const { scorer, fromDay, target, mayUse } = request;
  // Works are done to a plant of a known form.
  const allowed = approaches.filter(
    (approach) => mayUse(approach) && (request.apply !== undefined || !dosesOf(approach).some(isWork)),
  );
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
    const burden = schedule.doses.reduce((sum, dose) => sum + washesOf(dose), 0);
    const reaches = fewest !== null;
    plans.push({ approach: approach.id, schedule, reaches, soonest: other, burden, ...told(schedule, request) });
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
    ...choices(plans, request.gentle),
    beyond: beyond(plans, request),
  };
}

/** What is told of a schedule beside its dates. */
function told(schedule: Schedule, request: CompareRequest): Pick<ApproachPlan, "rising" | "why" | "help"> {
  const { scorer } = request;
  const coming = comingOf(datedOf(schedule), request);
  const end = schedule.scoredAtDay;
  const rising = coming.map(({ atDays }, i) =>
    i === coming.length - 1
      ? schedule.pOver
      : scorer.pOverAt(coming.slice(0, i + 1), endOf(scorer, atDays + lastsDays(schedule.doses[i]!))),
  );
  const best = helped(schedule, request)[0];
  const help = best && best.pOver > schedule.pOver + WORTH ? best : null;
  return { rising, why: blame(scorer, coming, end), help };
}

const datedOf = ({ days, doses }: Schedule) => days.map((day, i) => ({ day, dose: doses[i]! }));

/** A schedule with each of the helps added on its first day, the best first. */
function helped(schedule: Schedule, request: CompareRequest): { id: HelpId; pOver: number }[] {
  const { scorer, helps = [] } = request;
  const coming = comingOf(datedOf(schedule), request);
  const first = schedule.days[0]!;
  const end = schedule.scoredAtDay;
  // What a plan does already is no help to it.
  const done = new Set<string>(schedule.doses.flatMap((dose) => (isWork(dose) ? [dose.work] : [])));
  // A bath would drown the helpful animals that it lets loose.
  if (schedule.doses.some(letsLoose)) done.add("dunk");
  return helps
    .filter(({ id }) => !done.has(id))
    .map(({ id, does }) => ({ id, pOver: scorer.pOverAt([{ atDays: first, dose: does }, ...coming], end) }))
    .toSorted((a, b) => b.pOver - a.pOver);
}

function beyond(plans: readonly ApproachPlan[], request: CompareRequest): Beyond | null {
  if (plans.some((plan) => plan.reaches)) return null;
  const [best] = plans.toSorted((a, b) => b.schedule.pOver - a.schedule.pOver);
  if (!best) return null;
  const { approach, schedule } = best;
  const dab = plans.find((plan) => plan.approach === "alcoholDab");
  const loupe =
    dab && request.withLoupe
      ? [
          {
            id: "loupe" as const,
            pOver: request.scorer.pOverAt(
              comingOf(datedOf(dab.schedule), { apply: request.withLoupe }),
              dab.schedule.scoredAtDay,
            ),
          },
        ]
      : [];
  const helps = [...helped(schedule, request), ...loupe]
    .filter((help) => help.pOver > schedule.pOver + WORTH)
    .toSorted((a, b) => b.pOver - a.pOver);
  return { approach, pOver: schedule.pOver, helps };
}

function choices(
  plans: readonly ApproachPlan[],
  gentle: CompareRequest["gentle"] = () => true,
): Pick<Comparison, "fewest" | "soonest" | "gentlest"> {
  const good = plans.filter((plan) => plan.reaches);
  type Key = (plan: ApproachPlan) => number;
  const first = (key: Key, then: Key, among = good) =>
    among.toSorted((a, b) => key(a) - key(b) || then(a) - then(b))[0]?.approach ?? null;
  const end = (plan: ApproachPlan) => (plan.soonest ?? plan.schedule).overByDay;
  return {
    fewest: first((plan) => plan.schedule.days.length, end),
    soonest: first(end, (plan) => plan.schedule.days.length),
    gentlest: first(
      (plan) => plan.burden,
      end,
      good.filter((plan) => gentle(approachOf(plan.approach))),
    ),
  };
}

/** Runs a comparison to its end. */
export function compareAll(request: CompareRequest): Comparison {
  const run = compare(request);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
