import { exp, expm1, ln } from "../numerics/exponential";
import type { Pest } from "../pests/pests";
import type { PopulationEvent } from "../population/events";
import { nobody, spread, type Layout } from "../population/layout";
import { wayOf } from "../population/passage";
import { sharesOf, SITES, type PerSite, type Sites } from "../population/sites";
import { stableGrowth } from "../population/stable";
import { stepBackward } from "../population/step";
import { applyBackward } from "../clearance/reckon";
import { likelyScenario } from "../clearance/scenarios";
import { stepAt, timelineOf } from "../clearance/timeline";

/** A Poisson stream of founders, from one time (included) until another (excluded). */
export interface FounderStream {
  readonly route: string;
  readonly fromDays: number;
  readonly untilDays: number;
  /** How many a day: the same throughout, or one number for each day from `fromDays` on; the last holds for all days after. */
  readonly perDay: number | readonly number[] | Float64Array;
}

/** One pest that has not been found on one plant, in numbers. Days are counted from day 0. */
export interface CarriageQuestion {
  readonly pest: Pest;
  readonly sites: Sites;
  /** Mean temperature of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  readonly timeStepDays: number;
  /** When the plant came, or the time asked about begins. */
  readonly fromDays: number;
  /** The chance that it carried a colony then (0–1), of so many animals in the mean. */
  readonly arrival: { readonly share: number; readonly mean: number };
  /** Founders that may have come since, by route. */
  readonly streams: readonly FounderStream[];
  /** What was done and looked at since, in the order recorded; all looks were clean. */
  readonly events: readonly PopulationEvent[];
  /** Looks that might be made at the moment asked about: for each stage the chance to see one. */
  readonly looks: readonly (readonly PerSite[])[];
  readonly asOfDays: number;
  /**
   * How much of the chance may be left out, as a share of it: what came so long ago that it has died out or shown itself by now need
   * not be followed. 0, or left out, follows everything.
   */
  readonly mayMiss?: number;
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

const LIKELY = likelyScenario[0]!;

/**
 * What a plant may carry unseen: a colony that came with it (of a size that is Poisson with an exponential mean), or founders
 * that came since as Poisson streams. One backward pass of generating functions serves every founder of every day.
 * Throws RangeError for a pest that lays nothing or does not move, CaseProblem for more steps than are reckoned or where nothing
 * could have stayed unseen.
 * Source: filtered Poisson processes and generating functions of branching processes (Harris 1963), from memory.
 */
export function reckonCarriage(question: CarriageQuestion): Carriage {
  const { fromDays, asOfDays, arrival, streams, looks, mayMiss = 0 } = question;
  const timeline = timelineOf(question, asOfDays);
  const { layout, sites, dt, events } = timeline;
  const [begin, end] = [stepAt(dt, fromDays), stepAt(dt, asOfDays)];
  const { shares } = stableGrowth(layout, sites, timeline.firstC, dt);
  const founders = whoComes(founderShares(layout, shares, sharesOf(sites)));
  const { rates } = wayOf(timeline, timeline.lasting, begin, end);
  const flows = streams.map((stream) => flowOf(stream, dt, begin, end));
  const before = comingBefore(flows, begin, end, arrival);

  const free = nobody(layout);
  const unseen = new Float64Array(layout.length).fill(1);
  const unseenAgain = looks.map((look) => {
    const seen = spread(layout, (stage, site) => look[stage]![site]!);
    return unseen.map((one, i) => (i < layout.types ? 1 - seen[i]! : one));
  });
  const all = [free, unseen, ...unseenAgain];
  const logs = all.map(() => 0);
  const lost = all.map(() => 0);
  const byStream = streams.map(() => 0);
  let next = events.length - 1;
  let followed = true;
  const applyFrom = (step: number) => {
    for (; next >= 0 && events[next]!.step >= step; next--) {
      const event = events[next]!;
      if (event.step <= end) for (const v of all) applyBackward(layout, event, LIKELY, v);
    }
  };
  applyFrom(end);
  for (let step = end - 1; step >= begin; step--) {
    for (let i = 0; i < all.length; i++) stepBackward(rates[step - begin]!, 1, all[i]!);
    // Whoever comes in this step comes after what is done in it.
    const coming = sumAt(flows, step);
    if (coming > 0) {
      for (let i = 0; i < all.length; i++) {
        lost[i] = lostOf(founders, all[i]!);
        logs[i]! += coming * lost[i]!;
      }
      const unlike = lost[1]! - lost[0]!;
      for (let k = 0; k < flows.length; k++) byStream[k]! += at(flows[k]!, step) * unlike;
    }
    applyFrom(step);
    // Nothing that came before makes more of a difference than the type that makes most; looks lie between the two.
    const most = mayMiss > 0 ? farthest(layout, unseen, free) * before[step - begin]! : Infinity;
    if (most < mayMiss * (logs[1]! - logs[0]!)) {
      followed = false;
      break;
    }
  }
  const came = all.map((v) => (followed ? colony(layout, shares, arrival, v) : 1));
  const [logFree, logUnseen, ...logsAgain] = logs.map((log, i) => log + ln(came[i]!)) as [number, number, ...number[]];
  const blame = [ln(came[1]!) - ln(came[0]!), ...byStream];
  const total = blame.reduce((sum, one) => sum + one, 0);
  return {
    pCarries: lessThan1(logFree - logUnseen),
    pUnseen: followed ? exp(Math.min(0, logUnseen)) : null,
    routes: blame.map((one) => (total > 0 ? one / total : 0)),
    looks: logsAgain.map((again) => ({
      pFind: lessThan1(again - logUnseen),
      pCarriesAfterClean: lessThan1(logFree - again),
    })),
  };
}

/** The types that come, and in which shares. */
interface Founders {
  readonly types: Uint16Array;
  readonly shares: Float64Array;
}

function whoComes(shares: Float64Array): Founders {
  const types = Uint16Array.from([...shares.keys()].filter((i) => shares[i]! > 0));
  return { types, shares: Float64Array.from(types, (i) => shares[i]!) };
}

/** By how much the mean of `v` over the founders falls short of 1, as a negative number. */
function lostOf({ types, shares }: Founders, v: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < types.length; k++) sum += shares[k]! * (v[types[k]!]! - 1);
  return sum;
}

/** Founders step by step, from step `from` on. */
interface Flow {
  readonly from: number;
  readonly perStep: Float64Array;
}

/** A stream on the steps from `begin` to `end`; what lies outside counts nothing. */
function flowOf({ fromDays, untilDays, perDay }: FounderStream, dt: number, begin: number, end: number): Flow {
  const from = Math.max(begin, stepAt(dt, fromDays));
  const until = Math.min(end, stepAt(dt, untilDays));
  const perStep = new Float64Array(Math.max(0, until - from));
  for (let i = 0; i < perStep.length; i++) {
    const day = Math.max(0, Math.floor((from + i) * dt - fromDays + 1e-9));
    perStep[i] = dt * (typeof perDay === "number" ? perDay : (perDay[Math.min(day, perDay.length - 1)] ?? 0));
  }
  return { from, perStep };
}

function at({ from, perStep }: Flow, step: number): number {
  return perStep[step - from] ?? 0;
}

function sumAt(flows: readonly Flow[], step: number): number {
  let sum = 0;
  for (let k = 0; k < flows.length; k++) sum += at(flows[k]!, step);
  return sum;
}

/** For each step how many are expected to have come before it, those with the plant among them. */
function comingBefore(
  flows: readonly Flow[],
  begin: number,
  end: number,
  { share, mean }: CarriageQuestion["arrival"],
) {
  const before = new Float64Array(Math.max(0, end - begin));
  // A colony counts by the logarithm of what it may have been: at most its expected size over the chance that there was none.
  let sum = share < 1 ? (share * mean) / (1 - share) : Infinity;
  for (let step = begin; step < end; step++) {
    before[step - begin] = sum;
    sum += sumAt(flows, step);
  }
  return before;
}

/** By how much two probabilities differ at most, over the types. */
function farthest({ types }: Layout, a: Float64Array, b: Float64Array): number {
  let most = 0;
  for (let i = 0; i < types; i++) {
    const apart = a[i]! - b[i]!;
    if (apart > most) most = apart;
  }
  return most;
}

/** Of which types those that come are: stages that move, in stable shares, at the sites' own shares. */
function founderShares(layout: Layout, shares: Float64Array, sites: PerSite): Float64Array {
  const founders = new Float64Array(layout.length);
  let all = 0;
  for (let i = 0; i < layout.types; i += SITES) {
    if (!layout.pest.stages[layout.stageOf[i]!]!.mobile) continue;
    const here = shares[i]! + shares[i + 1]! + shares[i + 2]!;
    all += here;
    for (let site = 0; site < SITES; site++) founders[i + site] = here * sites[site]!;
  }
  if (!(all > 0)) throw new RangeError(`${layout.pest.id} does not move`);
  for (let i = 0; i < layout.types; i++) founders[i]! /= all;
  return founders;
}

/** What the futures of a colony that may have come with the plant come to, `v` by type for one animal. */
function colony(
  layout: Layout,
  shares: Float64Array,
  { share, mean }: CarriageQuestion["arrival"],
  v: Float64Array,
): number {
  let short = 0;
  for (let i = 0; i < layout.types; i++) short += shares[i]! * (1 - v[i]!);
  return 1 - share + share / (1 + mean * short);
}

/** 1 − e^log, without loss where that is next to nothing. */
function lessThan1(log: number): number {
  return Math.max(0, -expm1(log));
}
