import { exp, expm1, ln } from "../numerics/exponential";
import type { Pest } from "../pests/pests";
import type { PopulationEvent } from "../population/events";
import { dot, nobody, spread, type Layout } from "../population/layout";
import { wayOf } from "../population/passage";
import { sharesOf, SITES, type PerSite, type Sites } from "../population/sites";
import { stableGrowth } from "../population/stable";
import { stepBackward } from "../population/step";
import { applyBackward } from "../clearance/reckon";
import { likelyScenario } from "../clearance/scenarios";
import { stepAt, timelineOf } from "../clearance/timeline";

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
  /** Founders that may have come since, by route; from one time (included) until another (excluded). */
  readonly streams: readonly {
    readonly route: string;
    readonly fromDays: number;
    readonly untilDays: number;
    readonly perDay: number;
  }[];
  /** What was done and looked at since, in the order recorded; all looks were clean. */
  readonly events: readonly PopulationEvent[];
  /** For each stage the chance to see one, in a look at the moment asked about; null for none. */
  readonly look: readonly PerSite[] | null;
  readonly asOfDays: number;
}

/** What a plant may carry although nothing was seen. */
export interface Carriage {
  /** Probability that it carries the pest, given that nothing was seen. */
  readonly pCarries: number;
  /** Probability that nothing would have been seen. */
  readonly pUnseen: number;
  /** How much of it each route is to blame for: the arrival first, then the streams in their order; they sum to 1 (or to 0). */
  readonly routes: readonly number[];
  /** Probability that the look finds something, and that it carries when the look was clean; null without a look. */
  readonly pFind: number | null;
  readonly pCarriesAfterClean: number | null;
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
  const { fromDays, asOfDays, arrival, streams, look } = question;
  const timeline = timelineOf(question, asOfDays);
  const { layout, sites, dt, events } = timeline;
  const [begin, end] = [stepAt(dt, fromDays), stepAt(dt, asOfDays)];
  const { shares } = stableGrowth(layout, sites, timeline.firstC, dt);
  const founders = founderShares(layout, shares, sharesOf(sites));
  const { rates } = wayOf(timeline, timeline.lasting, begin, end);
  const flows = streams.map(({ fromDays: from, untilDays: until, perDay }) => ({
    from: stepAt(dt, from),
    until: stepAt(dt, until),
    perStep: perDay * dt,
  }));

  const free = nobody(layout);
  const unseen = new Float64Array(layout.length).fill(1);
  const unseenAgain = unseen.slice();
  if (look) {
    const seen = spread(layout, (stage, site) => look[stage]![site]!);
    for (let i = 0; i < layout.types; i++) unseenAgain[i] = 1 - seen[i]!;
  }
  const all = [free, unseen, unseenAgain];
  const logs = [0, 0, 0];
  const byStream = streams.map(() => 0);
  let next = events.length - 1;
  const applyFrom = (step: number) => {
    for (; next >= 0 && events[next]!.step >= step; next--) {
      const event = events[next]!;
      if (event.step <= end) for (const v of all) applyBackward(layout, event, LIKELY, v);
    }
  };
  applyFrom(end);
  for (let step = end - 1; step >= begin; step--) {
    for (const v of all) stepBackward(rates[step - begin]!, 1, v);
    // Whoever comes in this step comes after what is done in it.
    const f = dot(layout, founders, free);
    const g = dot(layout, founders, unseen);
    const again = dot(layout, founders, unseenAgain);
    for (const [k, { from, until, perStep }] of flows.entries()) {
      if (step < from || step >= until) continue;
      byStream[k]! += perStep * (g - f);
      logs[0]! += perStep * (f - 1);
      logs[1]! += perStep * (g - 1);
      logs[2]! += perStep * (again - 1);
    }
    applyFrom(step);
  }
  const came = all.map((v) => colony(layout, shares, arrival, v));
  const [logFree, logUnseen, logUnseenAgain] = logs.map((log, i) => log + ln(came[i]!)) as [number, number, number];
  const blame = [ln(came[1]!) - ln(came[0]!), ...byStream];
  const total = blame.reduce((sum, one) => sum + one, 0);
  return {
    pCarries: lessThan1(logFree - logUnseen),
    pUnseen: exp(Math.min(0, logUnseen)),
    routes: blame.map((one) => (total > 0 ? one / total : 0)),
    pFind: look && lessThan1(logUnseenAgain - logUnseen),
    pCarriesAfterClean: look && lessThan1(logFree - logUnseenAgain),
  };
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
