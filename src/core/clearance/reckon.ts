import { exp, ln } from "../numerics/exponential";
import { byStage } from "../population/layout";
import { backward, forward, passages, type Passage } from "../population/passage";
import { stableGrowth, type StableGrowth } from "../population/stable";
import { COUNT_SHAPE, dot, expectedAt, firstAnchor, laterAnchor, logProbability, type Anchor } from "./anchor";
import type { CaseHistory } from "./history";
import type { Scenario } from "./scenarios";
import { diesIn, stepAt, timelineOf, type PlacedEvent, type PlacedInspection, type Timeline } from "./timeline";

/** Nothing was ever found up to the moment asked about: there is no case to judge. */
export class NothingFound extends RangeError {}

/** What one scenario believes at the last find, and how well it explains what was seen. */
interface Believed {
  readonly scenario: Scenario;
  readonly anchor: Anchor;
  /** Log of prior · likelihoods of the later finds · probability that no look since saw anything. */
  readonly logWeight: number;
  /** Log of the probability that no look since the last find saw anything. */
  readonly logUnseen: number;
}

/** A case judged as of one moment, ready to be asked about other futures. */
export interface Reckoning {
  readonly timeline: Timeline;
  readonly asOfStep: number;
  readonly way: readonly Passage[];
  /** The events up to the moment asked about. */
  readonly past: readonly PlacedEvent[];
  /** Where in `past` the first and the last find stand. */
  readonly firstFind: number;
  readonly lastFind: number;
  readonly growth: StableGrowth;
  readonly believed: readonly Believed[];
  /** Posterior weights of the scenarios; they sum to 1. */
  readonly weights: readonly number[];
  /** Probability that nothing is left, in each scenario. */
  readonly scenarioPClear: readonly number[];
  /** Probability that nothing is left. */
  readonly pClear: number;
}

/**
 * Judges a case as of `asOfDays` (since day 0): how likely it is that no animal is left, given every treatment and every
 * look with what it found. Events after that moment are left out; what was recorded before the first find is ignored,
 * lasting effects apart.
 *
 * From the moment asked about, two probabilities run backward to the last find, for one animal of each type: that its line
 * has died out and was not seen since, and that it was not seen since. Their quotient over all animals is the answer.
 * Throws {@link NothingFound} when no find lies before that moment, UnseeableFind when a find could not have been made.
 * Source: probability generating functions of a multi-type branching process (Harris 1963), from memory.
 */
export function reckon(history: CaseHistory, asOfDays: number, scenarios: readonly Scenario[]): Reckoning {
  return reckonTimeline(timelineOf(history), asOfDays, scenarios);
}

/** As {@link reckon}, for a case already laid out. */
export function reckonTimeline(timeline: Timeline, asOfDays: number, scenarios: readonly Scenario[]): Reckoning {
  const { layout, sites, dt } = timeline;
  const asOfStep = stepAt(dt, asOfDays);
  const past = timeline.events.filter((event) => event.step <= asOfStep);
  const isFind = (event: PlacedEvent) => event.kind === "inspection" && event.found > 0;
  const firstFind = past.findIndex(isFind);
  const lastFind = past.findLastIndex(isFind);
  if (firstFind < 0) throw new NothingFound("no find lies before the moment asked about");
  const firstDayC = timeline.dailyMeanC[0]!;
  const growth = stableGrowth(layout, sites, Math.max(firstDayC, layout.pest.lowerC + 5), dt);
  const way = passages(timeline, timeline.lasting, past[firstFind]!.step, asOfStep);
  const base = { timeline, asOfStep, way, past, firstFind, lastFind, growth };

  const believed = scenarios.map((scenario): Believed => {
    const { anchor, logLikelihood } = follow(base, scenario, lastFind);
    const unseen = pastBackward(base, scenario, ones(layout.length));
    const logUnseen = logProbability(layout, anchor, unseen);
    return { scenario, anchor, logUnseen, logWeight: ln(scenario.prior) + logLikelihood + logUnseen };
  });
  const weights = normalised(believed.map((b) => b.logWeight));
  const scenarioPClear = believed.map((b) => {
    const gone = pastBackward(base, b.scenario, nobody(layout.length, layout));
    return exp(logProbability(layout, b.anchor, gone) - b.logUnseen);
  });
  return { ...base, believed, weights, scenarioPClear, pClear: dotOf(weights, scenarioPClear) };
}

type Base = Pick<Reckoning, "timeline" | "asOfStep" | "way" | "past" | "firstFind" | "lastFind" | "growth">;

/**
 * Follows the expected numbers from the first find through `past[until]`, in one scenario.
 * `visit` sees the numbers at the start of each whole day, after that moment's events; they must not be kept.
 */
function follow(
  { timeline, way, past, firstFind, lastFind, growth, asOfStep }: Base,
  scenario: Scenario,
  until: number,
  visit?: (step: number, m: Float64Array) => void,
): { anchor: Anchor; logLikelihood: number; m: Float64Array } {
  const { layout } = timeline;
  const first = past[firstFind] as PlacedInspection;
  let anchor = firstAnchor(layout, growth.shares, first.see, { ...first, event: first.index });
  let logLikelihood = 0;
  let m = expectedAt(anchor);
  let step = first.step;
  const goTo = (next: number) => {
    for (; visit && step < next; step++) {
      visit(step, m);
      forward(way, scenario.eggs, m, step, step + 1);
    }
    forward(way, scenario.eggs, m, step, next);
    step = next;
  };
  for (let i = firstFind + 1; i <= until; i++) {
    const event = past[i]!;
    goTo(event.step);
    if (event.kind === "treatment") {
      const dies = diesIn(event, scenario);
      for (let type = 0; type < m.length; type++) m[type]! *= 1 - dies[type]!;
    } else if (i <= lastFind) {
      const seen = laterAnchor(layout, m, event.see, { ...event, event: event.index });
      anchor = seen.anchor;
      logLikelihood += seen.logLikelihood;
      m = expectedAt(anchor);
    } else {
      const scale = COUNT_SHAPE / (COUNT_SHAPE + dot(layout, m, event.see));
      for (let type = 0; type < m.length; type++) m[type]! *= (1 - event.see[type]!) * scale;
    }
  }
  if (until === past.length - 1) goTo(asOfStep);
  return { anchor, logLikelihood, m };
}

/** Takes `v` from the moment asked about back to the last find, through every treatment and clean look since. In place. */
function pastBackward({ timeline, way, past, lastFind, asOfStep }: Base, scenario: Scenario, v: Float64Array) {
  const { layout } = timeline;
  let step = asOfStep;
  for (let i = past.length - 1; i > lastFind; i--) {
    const event = past[i]!;
    backward(way, scenario.eggs, v, event.step, step);
    step = event.step;
    applyBackward(layout, event, scenario, v);
  }
  backward(way, scenario.eggs, v, past[lastFind]!.step, step);
  return v;
}

/** What a treatment or a clean look makes of probabilities that hold after it. In place; past the end stays as it is. */
export function applyBackward(
  { substages, stride }: { substages: number; stride: number },
  event: PlacedEvent,
  scenario: Scenario,
  v: Float64Array,
): void {
  const chance = event.kind === "treatment" ? diesIn(event, scenario) : event.see;
  const dead = event.kind === "treatment" ? 1 : 0;
  for (const offset of [0, stride]) {
    for (let i = offset; i < offset + substages; i++) v[i] = chance[i]! * dead + (1 - chance[i]!) * v[i]!;
  }
}

/** Probability that nothing is left at a later moment, when `gone` holds for one animal of each type alive now. */
export function pGone(reckoning: Reckoning, goneBy: (scenario: Scenario) => Float64Array): number {
  const { timeline, believed, weights } = reckoning;
  const each = believed.map(({ scenario, anchor, logUnseen }) => {
    const gone = pastBackward(reckoning, scenario, goneBy(scenario));
    return exp(logProbability(timeline.layout, anchor, gone) - logUnseen);
  });
  return dotOf(weights, each);
}

/** For one animal alive at this very moment: it is not gone. Past the end it is. */
export function nobody(length: number, { substages, stride }: { substages: number; stride: number }): Float64Array {
  const v = new Float64Array(length);
  v[substages] = 1;
  v[stride + substages] = 1;
  return v;
}

function ones(length: number): Float64Array {
  return new Float64Array(length).fill(1);
}

/** Expected numbers by stage as of the moment asked about: the mean over the scenarios. In the order of life. */
export function expectedByStage(reckoning: Reckoning): Float64Array {
  const { timeline, past, believed, weights } = reckoning;
  const sums = new Float64Array(timeline.layout.pest.stages.length);
  for (const [k, { scenario }] of believed.entries()) {
    const { m } = follow(reckoning, scenario, past.length - 1);
    byStage(timeline.layout, m).forEach((n, stage) => (sums[stage]! += weights[k]! * n));
  }
  return sums;
}

/** The expected numbers at the start of every step from the first find to the moment asked about, scenario by scenario. */
export function followEach(
  reckoning: Reckoning,
  visit: (scenario: number, step: number, m: Float64Array) => void,
): Float64Array[] {
  return reckoning.believed.map(
    ({ scenario }, k) => follow(reckoning, scenario, reckoning.past.length - 1, (step, m) => visit(k, step, m)).m,
  );
}

function normalised(logs: readonly number[]): number[] {
  const greatest = Math.max(...logs);
  const weights = logs.map((log) => exp(log - greatest));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

function dotOf(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, x, i) => sum + x * b[i]!, 0);
}
