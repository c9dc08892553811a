import type { WorkedOn } from "../../acts/works";
import { doseAt, dosesOf, type Approach } from "./approaches";
import { isWork, lastsDays, minutesOfDose, type Dose } from "./doses";
import type { ComingDose } from "./future";
import { limitsIn, longest, type CourseRequest, type Dated } from "./longest";
import { FEWEST_LOOKS, leftSitting, looksAfterCourse, looksOf, type Looked, type LookRequest } from "./looks";
import { endOf, quickly, type AfterLooks, type Scorer } from "./score";
import { washesOf } from "./stress";

/**
 * A course of treatments with the clean looks after it, by which it may be called clear. Days are counted from the case's day 0.
 * Growers do a short course, look, and go on if they must: the three chances say what that comes to.
 */
export interface Schedule extends AfterLooks {
  readonly days: readonly number[];
  /** What is done on each of them; of one day in this order. */
  readonly doses: readonly Dose[];
  /** The looks after it, as many as the rule of "clear" asks for. */
  readonly looks: readonly number[];
  /** Probability that nothing is left one egg-to-adult time after the last treatment, no look assumed. */
  readonly pOver: number;
  /** The day that probability is for, and the next whole one. */
  readonly scoredAtDay: number;
  readonly overByDay: number;
  /** Days between two treatments before they were moved to working days. */
  readonly intervalDays: number;
  /** Whether the looks, if clean, make it as sure as the keeper wants it. */
  readonly reaches: boolean;
}

/** What a schedule asks of hands and of the plant. */
export interface Effort {
  /** Of treatments and looks. */
  readonly minutes: number;
  /** In soap washes of the whole plant. */
  readonly burden: number;
}

export interface SearchRequest extends CourseRequest, LookRequest {
  /** Fewest days between two treatments that the keeper can keep up; {@link USUAL_EVERY_DAYS} where left out. */
  readonly everyDays?: number;
  /** What it is done to; a plant in a pot of usual width where left out. */
  readonly on?: WorkedOn;
  /**
   * What a dose comes to on this plant: the mix proposed for it, the spots its technique goes to, what is searched with. The same
   * dose must always give the same object. As the tables say, on the whole plant, where left out.
   */
  readonly apply?: (dose: Dose) => ComingDose["dose"];
}

/** What a search for one approach gives. Of each criterion null where no schedule of the approach reaches the target. */
export interface Found {
  /** The least expected effort until it may be called clear. */
  readonly leastWork: Schedule | null;
  /** The earliest expected day of that. */
  readonly soonest: Schedule | null;
  /** The least expected burden on the plant. */
  readonly gentlest: Schedule | null;
  /** The surest of all, which reaches the target or does not. */
  readonly best: Schedule;
}

/** Fewest days between two treatments where the keeper has said nothing (HOUSE): who treats oftener stops earlier. */
const USUAL_EVERY_DAYS = 4;
/** Intervals that are tried, from the shortest the remedy and the keeper bear (common practice). */
const INTERVALS_DAYS = [4, 5, 7, 10, 14];
/** Below 15 °C nothing is worth repeating weekly (common practice, no source), but against what still takes under a month to grow up (HOUSE). */
export const COOL_C = 15;
export const COOL_EVERY_DAYS = 14;
const COOL_GENERATION_DAYS = 28;
const COOL_INTERVALS_DAYS = [COOL_EVERY_DAYS, 21];
/** Where nothing develops a second treatment meets what the first has missed, and a third says the same again (HOUSE). */
const COLD_MOST_TIMES = 2;
/** Later first days that are tried for the best course: a hatch is waited for (HOUSE, up to ten days). */
const DELAYS_DAYS = [3, 7, 10];
/** Values within a twentieth of the best are as good (HOUSE). */
export const AS_GOOD = 1.05;
/** What a soap wash of the whole plant takes out of it, in minutes of work (HOUSE). */
const WASH_MINUTES = 2;
/** Whether it will be so cool for the pest that treatments lie weeks apart. */
export function isCool({ reckoning, generationDays }: Pick<Scorer, "reckoning" | "generationDays">): boolean {
  return reckoning.timeline.dailyMeanC.at(-1)! < COOL_C && (generationDays ?? Infinity) > COOL_GENERATION_DAYS;
}

const USUAL_POT: WorkedOn = { form: "uprightShrub", potCm: 12 };

/** A schedule on its way, scored by the quick scorer. */
interface Candidate extends AfterLooks, Effort {
  readonly dated: readonly Dated[];
  readonly intervalDays: number;
  readonly looks: readonly number[];
  readonly reaches: boolean;
}

/** The expected effort until it may be called clear, minutes: what is done once, divided by the chance that it need not begin again. */
export function weigh({ minutes, burden, pClean }: Effort & Pick<AfterLooks, "pClean">): number {
  return (minutes + WASH_MINUTES * burden) / pClean;
}

/** By what schedules are chosen: expected effort, days and burden, each divided by the chance that it need not begin again. */
const criteria = {
  leastWork: weigh,
  soonest: ({ looks, pClean }: Candidate, fromDay: number) => (looks.at(-1)! - fromDay) / pClean,
  gentlest: ({ burden, pClean }: Candidate) => burden / pClean,
} as const;
type Criterion = keyof typeof criteria;
const criterionIds = Object.keys(criteria) as readonly Criterion[];

/**
 * Searches the schedules of one approach: intervals from what remedy and keeper bear to a fortnight, or to three weeks where it is cool,
 * one treatment up to as many as the labels and the plant bear, at most eight, two where it is too cold to develop, the first of them as
 * soon as may be or some days later; each with as many weekly clean looks after it as make it sure enough. What has been put on in the
 * course that runs counts, and its interval is kept from the last of them. Null where the course or the plant leaves none.
 * Throws RangeError when the keeper works on no day or the target is no probability.
 */
export function searchSchedules(approach: Approach, request: SearchRequest): Found | null {
  const { target, fromDay } = request;
  if (!(target > 0 && target < 1)) throw new RangeError(`the target is between 0 and 1, got ${target}`);
  const quick = { ...request, scorer: quickly(request.scorer) };
  const tried: Candidate[] = [];
  const fewest = approach.once ? 2 : 1;
  const mostTimes = request.scorer.generationDays === null ? COLD_MOST_TIMES : undefined;
  const tryAt = (interval: number): boolean => {
    const all = longest(approach, request, interval, 0).slice(0, mostTimes);
    tried.push(...candidates(all, quick, interval, fewest));
    // A single treatment has no interval: the others would say the same.
    return all.length > fewest;
  };
  // Every other interval, then those beside the best of them.
  const intervals = intervalsOf(approach, request);
  const first = intervals.filter((_, i) => i % 2 === 0);
  if (first.every(tryAt)) {
    const so = bestOf(
      tried.filter(({ reaches }) => reaches),
      "leastWork",
      fromDay,
    );
    const at = intervals.indexOf((so ?? surestOf(tried)).intervalDays);
    intervals.filter((_, i) => i % 2 === 1 && Math.abs(i - at) === 1).forEach(tryAt);
  }
  if (tried.length === 0) return null;
  const reaching = tried.filter(({ reaches }) => reaches);
  const usual = bestOf(reaching, "leastWork", fromDay);
  if (usual) reaching.push(...later(approach, quick, usual));
  const finals = new Map<Candidate, Schedule>();
  const final = (one: Candidate | null): Schedule | null => {
    if (!one) return null;
    const known = finals.get(one) ?? scheduleOf(one.dated, request, one.intervalDays, one.looks.length);
    finals.set(one, known);
    return known;
  };
  const surest = surestOf(tried);
  const chosen = Object.fromEntries(
    criterionIds.map((criterion) => [criterion, final(bestOf(reaching, criterion, fromDay))]),
  ) as Pick<Found, Criterion>;
  return { ...chosen, best: chosen.leastWork ?? final(surest)! };
}

const surestOf = (tried: readonly Candidate[]) => tried.reduce((a, b) => (b.sure > a.sure ? b : a));

/** The expected effort of a schedule until it may be called clear, in minutes, as {@link Found.leastWork} weighs it. */
export function expectedEffort(schedule: Schedule, request: Pick<SearchRequest, "looks" | "on">): number {
  return weigh({ ...effortOf(datedOf(schedule), schedule.looks.length, request), pClean: schedule.pClean });
}

/** What a schedule asks of hands and plant, once. */
export function effortOf(
  dated: readonly Dated[],
  looks: number,
  { looks: how, on }: Pick<SearchRequest, "looks" | "on">,
): Effort {
  const minutes = dated.reduce((sum, { dose }) => sum + minutesOfDose(dose, on ?? USUAL_POT), looks * how.minutes);
  return { minutes, burden: dated.reduce((sum, { dose }) => sum + washesOf(dose), 0) };
}

/** Looking on without doing anything more: null where no clean looks would do. */
export function lookingOnly(request: SearchRequest): Schedule | null {
  const schedule = scheduleOf([], request, 0);
  return schedule.reaches ? schedule : null;
}

/** What a schedule's looks come to with something more done beside it. */
export function withMore(schedule: Schedule, more: ComingDose | null, request: SearchRequest): AfterLooks {
  const coming = [...(more ? [more] : []), ...comingOf(datedOf(schedule), request)];
  return request.scorer.afterLooks(coming, looksOf(schedule.looks, request));
}

/** The treatments of a schedule, each on its day. */
export function datedOf({ days, doses }: Pick<Schedule, "days" | "doses">): Dated[] {
  return days.map((day, i) => ({ day, dose: doses[i]! }));
}

function intervalsOf(approach: Approach, request: SearchRequest): number[] {
  const { once: _once, ...repeated } = approach;
  const smallest = Math.min(...dosesOf(repeated).map((dose) => limitsIn(request, dose).smallestIntervalDays));
  const borne = Math.max(smallest, request.everyDays ?? USUAL_EVERY_DAYS);
  const cool = isCool(request.scorer);
  const least = cool ? Math.max(borne, COOL_EVERY_DAYS) : borne;
  const others = cool ? COOL_INTERVALS_DAYS : INTERVALS_DAYS;
  return [least, ...others.filter((days) => days > least)];
}

/** The courses of so many treatments and fewer, shortest first, at least `fewest`; until more do not help any more. */
function candidates(all: readonly Dated[], quick: SearchRequest, interval: number, fewest: number): Candidate[] {
  const made: Candidate[] = [];
  let looks = FEWEST_LOOKS;
  let least = Infinity;
  let rising = 0;
  for (let count = fewest; count <= all.length; count++) {
    const one = candidateOf(all.slice(0, count), quick, interval, looks);
    made.push(one);
    looks = one.looks.length;
    if (!one.reaches) continue;
    const work = criteria.leastWork(one);
    rising = work > least ? rising + 1 : 0;
    least = Math.min(least, work);
    if (rising === 2) break;
  }
  return made;
}

/**
 * Courses like the best that begin some days later, where that is better by more than a twentieth. Nobody leaves live animals sitting
 * for it: a hatch is waited for only once what was seen is gone.
 */
function later(approach: Approach, quick: SearchRequest, usual: Candidate): Candidate[] {
  if (leftSitting(quick.scorer.reckoning)) return [];
  const count = usual.dated.length;
  const work = criteria.leastWork(usual);
  return DELAYS_DAYS.flatMap((delay) => {
    const all = longest(approach, quick, usual.intervalDays, delay);
    if (all.length < count) return [];
    const one = candidateOf(all.slice(0, count), quick, usual.intervalDays, usual.looks.length);
    return one.reaches && criteria.leastWork(one) * AS_GOOD < work ? [one] : [];
  });
}

/** Of those that are as good as the best by a criterion the one of the widest interval, then of the earliest end. */
function bestOf(reaching: readonly Candidate[], criterion: Criterion, fromDay: number): Candidate | null {
  if (reaching.length === 0) return null;
  const value = (one: Candidate) => criteria[criterion](one, fromDay);
  const least = Math.min(...reaching.map(value));
  const good = reaching.filter((one) => value(one) <= least * AS_GOOD);
  return good.toSorted(
    (a, b) => b.intervalDays - a.intervalDays || a.looks.at(-1)! - b.looks.at(-1)! || value(a) - value(b),
  )[0]!;
}

/** A course with as few looks as make it sure enough. */
function candidateOf(dated: readonly Dated[], request: SearchRequest, intervalDays: number, hint: number): Candidate {
  const counted = withLooks(dated, request, hint);
  return { dated, intervalDays, ...counted, ...effortOf(dated, counted.looks.length, request) };
}

/** As few looks, from so many on, as the rule of "clear" asks for after a course. */
function withLooks(dated: readonly Dated[], request: SearchRequest, hint: number): Looked {
  const last = dated.at(-1)?.day;
  const coming = comingOf(dated, request);
  if (last !== undefined) return looksAfterCourse(coming, last, request, FEWEST_LOOKS, hint);
  // Where nothing more is done the next look is as soon as one counts, and those made count too.
  const { nextDay = request.fromDay + 1, everyDays, have = 0 } = request.looks;
  return looksAfterCourse(coming, nextDay - everyDays, request, Math.max(1, FEWEST_LOOKS - have));
}

/** Scores treatments on given days, in ascending order. @example the days of a school beside the searched ones */
export function scored(approach: Approach, request: SearchRequest, days: readonly number[]): Schedule {
  const dated = days.map((day, i) => ({ day, dose: doseAt(approach, i) }));
  return scheduleOf(dated, request, days.length > 1 ? days[1]! - days[0]! : 0);
}

/** Scores treatments that each have a dose of their own, in ascending order; none is looking only. */
export function scoredDoses(
  doses: readonly { readonly atDays: number; readonly dose: Dose }[],
  request: SearchRequest,
): Schedule {
  const dated = doses.map(({ atDays, dose }) => ({ day: atDays, dose }));
  return scheduleOf(dated, request, dated.length > 1 ? dated[1]!.day - dated[0]!.day : 0);
}

/** A course with its three chances; `looks` is how many looks there may be. */
function scheduleOf(dated: readonly Dated[], request: SearchRequest, interval: number, looks = FEWEST_LOOKS): Schedule {
  const scoredAtDay = endOf(request.scorer, dated.length > 0 ? workedUntil(dated) : request.fromDay);
  return {
    days: dated.map(({ day }) => day),
    doses: dated.map(({ dose }) => dose),
    ...withLooks(dated, request, looks),
    pOver: request.scorer.pOverAt(comingOf(dated, request), scoredAtDay),
    scoredAtDay,
    overByDay: Math.ceil(scoredAtDay),
    intervalDays: interval,
  };
}

/** The day until which the last of some treatments works. At least one. */
function workedUntil(dated: readonly Dated[]): number {
  return Math.max(...dated.map(({ day, dose }) => day + lastsDays(dose)));
}

/** Treatments to come as the model takes them. Throws RangeError for a work where nothing is known of the plant. */
export function comingOf(dated: readonly Dated[], { apply }: Pick<SearchRequest, "apply">): ComingDose[] {
  return dated.map(({ day, dose }) => {
    if (apply) return { atDays: day, dose: apply(dose) };
    if (isWork(dose)) throw new RangeError(`${dose.work} is done to a plant of a known form`);
    return { atDays: day, dose };
  });
}
