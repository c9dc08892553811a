import { isWork, letsLoose } from "./doses";
import { approachOfSchool, schools, type SchoolId } from "../../knowledge/remedies/schools";
import { approaches, approachOf, type Approach, type ApproachId, dosesOf } from "./approaches";
import type { Help, HelpId } from "./helps";
import { endOf, pRight } from "./score";
import { soonestDay } from "./longest";
import {
  AS_GOOD,
  comingOf,
  datedOf,
  effortOf,
  expectedEffort,
  lookingOnly,
  scored,
  searchSchedules,
  withMore,
  type Effort,
  type Found,
  type Schedule,
  type SearchRequest,
} from "./search";
import { blame, type Blame } from "./why";

/** What is compared: the approaches, and looking on without doing anything more. */
export type WayId = ApproachId | "lookFirst";

/** One way with the schedule recommended for it. */
export interface WayPlan extends Effort {
  readonly approach: WayId;
  /** The recommended schedule: the least expected effort until it may be called clear, or the surest there is. */
  readonly schedule: Schedule;
  readonly reaches: boolean;
  /** Schedules that are better by another measure, where they are others. */
  readonly soonest: Schedule | null;
  readonly gentlest: Schedule | null;
  /** Whether something in it stands in no bottle of the keeper's while a way without a bottle is open. */
  readonly bottleMissing: boolean;
}

/** What is told of one way beside its dates. */
export interface WayDetail {
  readonly why: Blame;
  /** What would add most to the chance of clean looks if it were done once on the first day; null where nothing adds. */
  readonly help: HelpScore | null;
}

/** Something more on the first day, and the two chances with it. */
export interface HelpScore {
  readonly id: HelpId | "loupe";
  readonly pClean: number;
  readonly sure: number;
}

/** What would get there where no way at hand does: the surest of those with something more, and ways with a bottle that is missing. */
export interface Beyond {
  readonly approach: WayId;
  readonly pClean: number;
  readonly sure: number;
  readonly helps: readonly HelpScore[];
  readonly bottles: readonly ApproachId[];
}

/** A school's own days, with their chances. */
export interface SchoolPlan {
  readonly school: SchoolId;
  readonly schedule: Schedule;
}

export interface Comparison {
  /** What is to be expected when nothing more is done but waiting one egg-to-adult time. */
  readonly without: { readonly pOver: number; readonly byDay: number };
  readonly plans: readonly WayPlan[];
  /** Approaches whose remedy has been put on as often as its label allows in one course. */
  readonly spent: readonly ApproachId[];
  readonly schools: readonly SchoolPlan[];
  /** The named choices among the ways at hand that get there; null where none does. */
  readonly leastWork: WayId | null;
  readonly soonest: WayId | null;
  readonly gentlest: WayId | null;
  /** The way of least work with a bottle that is missing, where it is better than all at hand by more than a twentieth. */
  readonly withBottle: ApproachId | null;
  /** The same as the least work oftener than the keeper treats usually, where that makes clean looks likelier. */
  readonly oftener: Schedule | null;
  /** Null where some way at hand gets there, or none is left. */
  readonly beyond: Beyond | null;
}

/** How far a comparison is: the share of the work done, and the way that was reckoned last; null where there was none. */
export interface Progress {
  readonly share: number;
  readonly plan: WayPlan | null;
}

export interface CompareRequest extends SearchRequest {
  /** Approaches that may not be used on this plant are left out. */
  readonly mayUse: (approach: Approach) => boolean;
  /** Whether all of an approach is at hand; everything is where left out. */
  readonly atHand?: (approach: Approach) => boolean;
  /** Whether an approach may be called gentle on this plant; any may where left out. */
  readonly gentle?: (approach: Approach) => boolean;
  /** What else can be done to this plant. */
  readonly helps?: readonly Help[];
  /** As `apply`, with a loupe in the other hand; left out where the keeper has one. */
  readonly withLoupe?: SearchRequest["apply"];
}

/** Less than this is not worth the trouble (HOUSE). */
const WORTH = 0.02;
/** A way on which clean looks are less likely than this is not proposed (HOUSE). */
export const HOPELESS = 0.1;
/** Oftener than usual is every second day (common practice). */
const OFTENER_DAYS = 2;

/**
 * Compares every approach and every school on one case. A generator: it yields each way as it is reckoned, so that whoever runs it
 * can show it and stop; the comparison is its return value.
 */
export function* compare(request: CompareRequest): Generator<Progress, Comparison> {
  const { scorer, fromDay, mayUse, atHand = () => true } = request;
  // Works are done to a plant of a known form.
  const allowed = approaches.filter(
    (approach: Approach) => mayUse(approach) && (request.apply !== undefined || !dosesOf(approach).some(isWork)),
  );
  const homely = allowed.some(atHand);
  const plans: WayPlan[] = [];
  const spent: ApproachId[] = [];
  const looking = lookingOnly(request);
  if (looking && looking.pClean >= HOPELESS) plans.push(wayOf("lookFirst", found(looking), request, false));
  // What is at hand first: it is what is read first.
  const ordered = allowed.toSorted((a, b) => Number(atHand(b)) - Number(atHand(a)));
  for (const [i, approach] of ordered.entries()) {
    const search = searchSchedules(approach, request);
    const plan = search && wayOf(approach.id, search, request, homely && !atHand(approach));
    if (plan) plans.push(plan);
    else spent.push(approach.id);
    yield { share: (i + 1) / (allowed.length + 1), plan };
  }
  const bySchool = schools.flatMap((school): SchoolPlan[] => {
    const approach = approachOfSchool(school);
    if (!mayUse(approach)) return [];
    const start = soonestDay(school, request);
    const days = school.days.map((day) => start + day);
    return [{ school: school.id, schedule: scored(approach, request, days) }];
  });
  const byDay = Math.ceil(endOf(scorer, fromDay));
  const named = choices(plans, request);
  return {
    without: { pOver: scorer.pOverAt([], byDay), byDay },
    plans,
    spent,
    schools: bySchool,
    ...named,
    oftener: oftener(named.leastWork, plans, request),
    beyond: named.leastWork === null ? beyond(plans, request) : null,
  };
}

const found = (schedule: Schedule): Found => ({
  ...{ leastWork: schedule, soonest: schedule, gentlest: schedule },
  best: schedule,
});

function wayOf(approach: WayId, { best, ...by }: Found, request: CompareRequest, bottleMissing: boolean): WayPlan {
  const other = (schedule: Schedule | null) => (schedule && schedule !== best ? schedule : null);
  return {
    approach,
    schedule: best,
    reaches: best.reaches,
    soonest: other(by.soonest),
    gentlest: other(by.gentlest),
    bottleMissing,
    ...effortOf(datedOf(best), best.looks.length, request),
  };
}

/** What is told of a schedule beside its dates. */
export function detailOf(schedule: Schedule, request: CompareRequest): WayDetail {
  const { scorer } = request;
  const coming = comingOf(datedOf(schedule), request);
  const [best] = helped(schedule, request);
  const help = best && pRight(best) > pRight(schedule) + WORTH ? best : null;
  return { why: coming.length > 0 ? blame(scorer, coming, schedule.scoredAtDay) : [], help };
}

/** A schedule with each of the helps added on its first day, the best first. */
function helped(schedule: Schedule, request: CompareRequest): HelpScore[] {
  const first = schedule.days[0];
  if (first === undefined) return [];
  // What a plan does already is no help to it.
  const done = new Set<string>(schedule.doses.flatMap((dose) => (isWork(dose) ? [dose.work] : [])));
  // A bath would drown the helpful animals that it lets loose.
  if (schedule.doses.some(letsLoose)) done.add("dunk");
  return (request.helps ?? [])
    .filter(({ id }) => !done.has(id))
    .map(({ id, does }) => ({ id, ...withMore(schedule, { atDays: first, dose: does }, request) }))
    .toSorted((a, b) => pRight(b) - pRight(a));
}

function beyond(plans: readonly WayPlan[], request: CompareRequest): Beyond | null {
  const here = plans.filter(({ bottleMissing }) => !bottleMissing);
  const [best] = here.toSorted((a, b) => pRight(b.schedule) - pRight(a.schedule));
  if (!best) return null;
  const { approach, schedule } = best;
  const dab = here.find((plan) => plan.approach === "alcoholDab");
  const loupe: HelpScore[] =
    dab && request.withLoupe
      ? [{ id: "loupe", ...withMore(dab.schedule, null, { ...request, apply: request.withLoupe }) }]
      : [];
  const helps = [...helped(schedule, request), ...loupe]
    .filter((help) => pRight(help) > pRight(schedule) + WORTH)
    .toSorted((a, b) => pRight(b) - pRight(a));
  const bottles = plans
    .filter((plan) => plan.bottleMissing && isProposed(plan.schedule))
    .toSorted((a, b) => expectedEffort(a.schedule, request) - expectedEffort(b.schedule, request))
    .map((plan) => plan.approach as ApproachId);
  return { approach, pClean: schedule.pClean, sure: schedule.sure, helps, bottles };
}

const isProposed = ({ reaches, pClean }: Schedule) => reaches && pClean >= HOPELESS;

type Named = Pick<Comparison, "leastWork" | "soonest" | "gentlest" | "withBottle">;

function choices(plans: readonly WayPlan[], request: CompareRequest): Named {
  const { gentle = () => true, fromDay } = request;
  const good = plans.filter(({ schedule }) => isProposed(schedule));
  const here = good.filter(({ bottleMissing }) => !bottleMissing);
  const work = ({ schedule }: WayPlan) => expectedEffort(schedule, request);
  const days = ({ schedule, soonest }: WayPlan) => {
    const { looks, pClean } = soonest ?? schedule;
    return (looks.at(-1)! - fromDay) / pClean;
  };
  const burden = (plan: WayPlan) => {
    const schedule = plan.gentlest ?? plan.schedule;
    return effortOf(datedOf(schedule), 0, request).burden / schedule.pClean;
  };
  const isGentle = ({ approach }: WayPlan) =>
    approach === "lookFirst" || (gentle(approachOf(approach)) && !leavesPoison(approachOf(approach)));
  const least = best(here, work);
  const bottled = best(
    good.filter(({ bottleMissing }) => bottleMissing),
    work,
  );
  const better = bottled && least && work(bottled) * AS_GOOD < work(least);
  return {
    leastWork: least?.approach ?? null,
    soonest: best(here, days)?.approach ?? null,
    gentlest: best(here.filter(isGentle), burden)?.approach ?? null,
    withBottle: better ? (bottled.approach as ApproachId) : null,
  };
}

/** Of those that are as good as the best the one of the widest interval, then of the earliest end. */
function best(plans: readonly WayPlan[], value: (plan: WayPlan) => number): WayPlan | null {
  const least = Math.min(...plans.map(value));
  const end = ({ schedule }: WayPlan) => schedule.looks.at(-1)!;
  const good = plans.filter((plan) => value(plan) <= least * AS_GOOD);
  return (
    good.toSorted(
      (a, b) => b.schedule.intervalDays - a.schedule.intervalDays || end(a) - end(b) || value(a) - value(b),
    )[0] ?? null
  );
}

/** Whether an approach leaves poison in the pot. */
function leavesPoison(approach: Approach): boolean {
  return dosesOf(approach).some((dose) => isWork(dose) && dose.work === "systemic");
}

function oftener(id: WayId | null, plans: readonly WayPlan[], request: CompareRequest): Schedule | null {
  if (id === null || id === "lookFirst") return null;
  const { schedule } = plans.find(({ approach }) => approach === id)!;
  if (schedule.days.length < 2 || schedule.intervalDays <= OFTENER_DAYS) return null;
  const often = searchSchedules(approachOf(id), { ...request, everyDays: OFTENER_DAYS })?.best;
  const closer = often && often.reaches && often.intervalDays < schedule.intervalDays;
  return closer && often.pClean > schedule.pClean + 2 * WORTH ? often : null;
}

/** Runs a comparison to its end. */
export function compareAll(request: CompareRequest): Comparison {
  const run = compare(request);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
