import type { WorkedOn } from "../acts/works";
import { doseAt, dosesOf, type Approach } from "./approaches";
import {
  courseOf,
  gapBetween,
  isWork,
  lastsDays,
  limitsOf,
  minutesOfDose,
  OTHER_REMEDY_DAYS,
  type CourseId,
  type Dose,
  type Limits,
} from "./doses";
import type { ComingDose, ComingLook } from "./future";
import { FEWEST_LOOKS, leftSitting, MOST_LOOKS, type LooksAfter } from "./looks";
import { endOf, quickly, type AfterLooks, type Scorer } from "./score";
import { bears, washesOf, type StressBudget } from "./stress";

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

export interface SearchRequest {
  readonly scorer: Scorer;
  /** The first day on which a treatment is possible; whole. */
  readonly fromDay: number;
  /** Whether the keeper works on a day. Must be true for some day of every fortnight. */
  readonly worksOn: (day: number) => boolean;
  /** How sure clean looks must make it, 0–1. */
  readonly target: number;
  /** How the plant is looked at after the course. */
  readonly looks: LooksAfter;
  /** Fewest days between two treatments that the keeper can keep up; {@link USUAL_EVERY_DAYS} where left out. */
  readonly everyDays?: number;
  /** What it is done to; a plant in a pot of usual width where left out. */
  readonly on?: WorkedOn;
  /**
   * What a dose comes to on this plant: the mix proposed for it, the spots its technique goes to, what is searched with. The same
   * dose must always give the same object. As the tables say, on the whole plant, where left out.
   */
  readonly apply?: (dose: Dose) => ComingDose["dose"];
  /** The course of each remedy and work that runs already: how often, on which day last (null for never), and what it bears. */
  readonly courses?: Partial<
    Readonly<Record<CourseId, { readonly times: number; readonly lastDay: number | null; readonly limits?: Limits }>>
  >;
  /** Whether what is put on one after the other, from the first treatment on, may follow each other; anything may where left out. */
  readonly mayFollow?: (inOrder: readonly CourseId[]) => boolean;
  /** What the plant bears; anything where left out. */
  readonly stress?: StressBudget;
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
/** So many treatments are proposed at most. */
const MOST_TREATMENTS = 8;
const DAYS_IN_A_YEAR = 366;
/** Later first days that are tried for the best course: a hatch is waited for (HOUSE, up to ten days). */
const DELAYS_DAYS = [3, 7, 10];
/** Values within a twentieth of the best are as good (HOUSE). */
const AS_GOOD = 1.05;
/** What a soap wash of the whole plant takes out of it, in minutes of work (HOUSE). */
const WASH_MINUTES = 2;
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
 * Searches the schedules of one approach: intervals from what remedy and keeper bear to a fortnight, one treatment up to as many as
 * the labels and the plant bear, at most eight, the first of them as soon as may be or some days later; each with as many weekly
 * clean looks after it as make it sure enough. What has been put on in the course that runs counts, and its interval is kept from
 * the last of them. Null where the course or the plant leaves none.
 * Throws RangeError when the keeper works on no day or the target is no probability.
 */
export function searchSchedules(approach: Approach, request: SearchRequest): Found | null {
  const { target, fromDay } = request;
  if (!(target > 0 && target < 1)) throw new RangeError(`the target is between 0 and 1, got ${target}`);
  const quick = { ...request, scorer: quickly(request.scorer) };
  const tried: Candidate[] = [];
  const fewest = approach.once ? 2 : 1;
  const tryAt = (interval: number): boolean => {
    const all = longest(approach, request, interval, 0);
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
  const least = Math.max(smallest, request.everyDays ?? USUAL_EVERY_DAYS);
  return [...new Set([least, ...INTERVALS_DAYS.filter((days) => days > least)])];
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

/** The days of so many looks after a course; the last of eight not before a generation has passed since the last live animal. */
function lookDays(last: number, count: number, { looks, scorer }: Pick<SearchRequest, "looks" | "scorer">): number[] {
  const days = Array.from({ length: count }, (_, i) => last + looks.everyDays * (i + 1));
  const ready = Math.ceil((scorer.generationOver ?? days.at(-1)!) - 1e-9);
  if (count === MOST_LOOKS && days.at(-1)! < ready) days[count - 1] = ready;
  return days;
}

/** The looks after a course, and what they come to. */
export interface Looked extends AfterLooks {
  readonly looks: readonly number[];
  /** Whether that is as sure as is wanted. */
  readonly reaches: boolean;
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

/**
 * As few looks as the rule of "clear" asks for after what is done up to day `last`: so many as reach the target and lie late enough,
 * eight where none do. `hint` is how many there may be; it only saves time.
 */
export function looksAfterCourse(
  coming: readonly ComingDose[],
  last: number,
  request: SearchRequest,
  fewest = FEWEST_LOOKS,
  hint = fewest,
): Looked {
  const { scorer, target } = request;
  const ready = scorer.generationOver;
  const at = (count: number, by: Scorer): Looked => {
    const days = lookDays(last, count, request);
    const numbers = by.afterLooks(coming, looksOf(days, request));
    return { looks: days, ...numbers, reaches: ready !== null && numbers.sure >= target && numbers.pClean > 0 };
  };
  // Too cold to grow: no number of looks ends it.
  if (ready === null) return at(fewest, scorer);
  let least = fewest;
  while (least < MOST_LOOKS && lookDays(last, least, request).at(-1)! < ready - 1e-9) least++;
  // The more looks, the surer: the number is found with the quick scorer, and looked up again with the other.
  const quick = quickly(scorer);
  let count = Math.max(least, Math.min(hint, MOST_LOOKS));
  if (at(count, quick).reaches) while (count > least && at(count - 1, quick).reaches) count--;
  else if (count < MOST_LOOKS && at(MOST_LOOKS, quick).reaches) while (!at(++count, quick).reaches);
  else count = MOST_LOOKS;
  for (let exact = at(count, scorer); ; exact = at(++count, scorer))
    if (exact.reaches || count === MOST_LOOKS) return exact;
}

const looksOf = (days: readonly number[], { looks }: Pick<SearchRequest, "looks">): ComingLook[] =>
  days.map((atDays) => ({ atDays, see: looks.see }));

/** What a dose bears: by the course that runs, else by the tables. */
function limitsIn({ courses = {} }: Pick<SearchRequest, "courses">, dose: Dose): Limits {
  const course = courseOf(dose);
  return courses[course]?.limits ?? limitsOf(course);
}

/** Something done on a day. */
export interface Dated {
  readonly day: number;
  readonly dose: Dose;
}

/** The longest course of an approach at an interval that the labels and the plant bear. */
function longest(
  approach: Approach,
  request: SearchRequest,
  interval: number,
  delayDays: number,
  most = MOST_TREATMENTS,
): Dated[] {
  const { courses, stress, worksOn, mayFollow = () => true } = request;
  const start = soonestDay(doseAt(approach, 0), request) + delayDays;
  const times = new Map<CourseId, number>();
  const lastOf = new Map<CourseId, number>();
  const done: Dated[] = [];
  if (approach.once) {
    const before = courses?.[courseOf(approach.once)]?.times ?? 0;
    if (before >= limitsIn(request, approach.once).mostTimes) return [];
    const day = nextWorkingDay(Math.max(start, soonestDay(approach.once, request)), worksOn);
    if (stress && !bears(stress, [], day, approach.once)) return [];
    done.push({ day, dose: approach.once });
  }
  for (let i = 0; i < most; i++) {
    const dose = doseAt(approach, i);
    const course = courseOf(dose);
    const before = times.get(course) ?? courses?.[course]?.times ?? 0;
    if (before >= limitsIn(request, dose).mostTimes) break;
    if (!mayFollow([...done.map((one) => courseOf(one.dose)), course])) break;
    const soonest = Math.max(
      lastOf.has(course) ? start : soonestDay(dose, request),
      ...[...lastOf].map(([other, day]) => day + gapBetween(other, dose, limitsIn(request, dose))),
    );
    const day = nextWorkingDay(Math.max(start + i * interval, soonest), worksOn);
    const washed = done.map((one) => ({ day: one.day, washes: washesOf(one.dose) }));
    if (stress && !bears(stress, washed, day, dose)) break;
    done.push({ day, dose });
    times.set(course, before + 1);
    lastOf.set(course, day);
  }
  return done;
}

/**
 * The first day on which a dose may be put on: after its interval from the last time it was, in the course that runs, and as long
 * after something else as the two bear each other.
 */
export function soonestDay(dose: Dose, { fromDay, courses = {} }: Pick<SearchRequest, "fromDay" | "courses">): number {
  const own = courseOf(dose);
  const days = Object.entries(courses).flatMap(([course, { lastDay }]) => {
    const gap = gapBetween(course as CourseId, dose, limitsIn({ courses }, dose));
    return lastDay === null || (course !== own && gap <= OTHER_REMEDY_DAYS) ? [] : [Math.ceil(lastDay + gap)];
  });
  return Math.max(fromDay, ...days);
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

/** The day itself or the next one on which the keeper works. */
function nextWorkingDay(day: number, worksOn: (day: number) => boolean): number {
  for (let next = day; next < day + DAYS_IN_A_YEAR; next++) if (worksOn(next)) return next;
  throw new RangeError("the keeper works on no day");
}
