import { exp, expm1, ln } from "../../shared/exponential";
import { stepAt } from "../clearance/timeline";
import { AGAIN, Course, GONE, UNSEEN, type CarriageHistoryQuestion } from "./carriageHistory";

/** A Poisson stream of founders, from one time (included) until another (excluded). */
export interface FounderStream {
  readonly route: string;
  readonly fromDays: number;
  readonly untilDays: number;
  /** How many a day: the same throughout, or one number for each day from `fromDays` on; the last holds for all days after. */
  readonly perDay: number | readonly number[] | Float64Array;
}

/** One pest that has not been found on one plant, in numbers. Days are counted from day 0. */
export interface CarriageQuestion extends CarriageHistoryQuestion {
  /** What it may have carried when the time asked about begins. */
  readonly arrival: Arrival | Remains;
  /** Founders that may have come since, by route. */
  readonly streams: readonly FounderStream[];
  /**
   * How much of the chance may be left out, as a share of it: what came so long ago that it has died out or shown itself by now need
   * not be followed. 0, or left out, follows everything.
   */
  readonly mayMiss?: number;
}

/** A colony that may have come with a plant: with the chance `share` (0–1), of so many animals in the mean, in the shares of a growing one. */
export interface Arrival {
  readonly share: number;
  readonly mean: number;
}

/** What a case may have left on its plant when it was closed. */
export interface Remains {
  /** The chance that any animal is left, 0–1. */
  readonly pAny: number;
  /** How many are expected; never fewer than `pAny`. */
  readonly expected: number;
  /** In which shares, type by type as the model tells them apart; they sum to 1. */
  readonly types: readonly number[];
}

/** What a plant may carry although nothing was seen. */
export interface Carriage {
  /** Probability that it carries the pest, given that nothing was seen. */
  readonly pCarries: number;
  /** Probability that nothing would have been seen; null where not everything was followed. */
  readonly pUnseen: number | null;
  /** How much of it each route is to blame for: the arrival first, then the streams in their order; they sum to 1 (or to 0). */
  readonly routes: readonly number[];
  /** For each of the looks: the probability that it finds something, and that the plant carries when it was clean. */
  readonly looks: readonly { readonly pFind: number; readonly pCarriesAfterClean: number }[];
}

/**
 * What a plant may carry unseen: a colony that came with it (of a size that is Poisson with an exponential mean), or founders
 * that came since as Poisson streams. One {@link Course} serves every founder of every day; `course` is that of this question,
 * where it is known already.
 * Throws RangeError for a pest that lays nothing or does not move, CaseProblem for more steps than are reckoned or where nothing
 * could have stayed unseen.
 * Source: filtered Poisson processes and generating functions of branching processes (Harris 1963), from memory.
 */
export function reckonCarriage(question: CarriageQuestion, course = new Course(question)): Carriage {
  const { arrival, streams, mayMiss = 0 } = question;
  const { begin, end, dt, futures } = course;
  const flows = streams.map((stream) => flowOf(stream, dt, begin, end));
  const before = comingBefore(flows, begin, end, arrival);
  const logs = Array.from({ length: futures }, () => 0);
  const byStream = streams.map(() => 0);
  let followed = true;
  for (let step = end - 1; step >= begin; step--) {
    const coming = sumAt(flows, step);
    if (coming > 0) {
      for (let i = 0; i < futures; i++) logs[i]! += coming * course.lostAt(step, i);
      const unlike = course.lostAt(step, UNSEEN) - course.lostAt(step, GONE);
      for (let k = 0; k < flows.length; k++) byStream[k]! += comingAt(flows[k]!, step) * unlike;
    }
    // Nothing that came before makes more of a difference than the type that makes most; looks lie between the two.
    if (mayMiss > 0 && course.apartAt(step) * before[step - begin]! < mayMiss * (logs[UNSEEN]! - logs[GONE]!)) {
      followed = false;
      break;
    }
  }
  const came = logs.map((_, i) => (followed ? colonyIn(arrival, course, i) : 1));
  const all = logs.map((log, i) => log + ln(came[i]!));
  const [gone, unseen] = [all[GONE]!, all[UNSEEN]!];
  const blame = [ln(came[UNSEEN]!) - ln(came[GONE]!), ...byStream];
  const total = blame.reduce((sum, one) => sum + one, 0);
  return {
    pCarries: lessThan1(gone - unseen),
    pUnseen: followed ? exp(Math.min(0, unseen)) : null,
    routes: blame.map((one) => (total > 0 ? one / total : 0)),
    looks: all.slice(AGAIN).map((again) => ({
      pFind: lessThan1(again - unseen),
      pCarriesAfterClean: lessThan1(gone - again),
    })),
  };
}

/** Founders step by step, from step `from` on. */
export interface Flow {
  readonly from: number;
  readonly perStep: Float64Array;
}

/** A stream on the steps from `begin` to `end`; what lies outside counts nothing. */
export function flowOf({ fromDays, untilDays, perDay }: FounderStream, dt: number, begin: number, end: number): Flow {
  const from = Math.max(begin, stepAt(dt, fromDays));
  const until = Math.min(end, stepAt(dt, untilDays));
  const perStep = new Float64Array(Math.max(0, until - from));
  for (let i = 0; i < perStep.length; i++) {
    const day = Math.max(0, Math.floor((from + i) * dt - fromDays + 1e-9));
    perStep[i] = dt * (typeof perDay === "number" ? perDay : (perDay[Math.min(day, perDay.length - 1)] ?? 0));
  }
  return { from, perStep };
}

export function comingAt({ from, perStep }: Flow, step: number): number {
  return perStep[step - from] ?? 0;
}

function sumAt(flows: readonly Flow[], step: number): number {
  let sum = 0;
  for (let k = 0; k < flows.length; k++) sum += comingAt(flows[k]!, step);
  return sum;
}

/** For each step how many are expected to have come before it, those with the plant among them. */
function comingBefore(flows: readonly Flow[], begin: number, end: number, arrival: CarriageQuestion["arrival"]) {
  const before = new Float64Array(Math.max(0, end - begin));
  const { expected, mean } = sizeOf(arrival);
  const none = 1 - expected / (1 + mean);
  // A colony counts by the logarithm of what it may have been: at most its expected size over the chance that there was none.
  let sum = none > 0 ? expected / none : Infinity;
  for (let step = begin; step < end; step++) {
    before[step - begin] = sum;
    sum += sumAt(flows, step);
  }
  return before;
}

/** What a future of the colony that may have stood there at the beginning comes to. */
export function colonyIn(arrival: CarriageQuestion["arrival"], course: Course, future: number): number {
  const { expected, mean } = sizeOf(arrival);
  const short = course.shortAtBegin(future, "types" in arrival ? arrival.types : null);
  return 1 - (expected * short) / (1 + mean * short);
}

/**
 * Either is a size of which `expected` are expected and whose generating function is 1 − expected·x/(1 + mean·x), one animal falling
 * short by x: a Poisson size whose mean is exponential, or a geometric one of at least one animal.
 */
function sizeOf(arrival: CarriageQuestion["arrival"]): { readonly expected: number; readonly mean: number } {
  if ("share" in arrival) return { expected: arrival.share * arrival.mean, mean: arrival.mean };
  const { expected } = arrival;
  const pAny = Math.min(arrival.pAny, CERTAIN);
  return { expected, mean: pAny > 0 ? Math.max(0, expected / pAny - 1) : 0 };
}

/** Nothing is surer than this: what is certain could not be blamed on anything beside it. */
const CERTAIN = 1 - 1e-6;

/** 1 − e^log, without loss where that is next to nothing. */
function lessThan1(log: number): number {
  return Math.max(0, -expm1(log));
}
