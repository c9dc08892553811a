import { exp, ln } from "../../shared/exponential";
import { byStage, nobody, type Layout } from "../population/layout";
import { Rates, wayOf, type Way } from "../population/passage";
import { stepBackward, stepForward, stepForwardGiven } from "../population/step";
import { stableGrowth, type StableGrowth } from "../population/stable";
import { expectedAt, expectedGiven, firstAnchor, laterAnchor, logProbability, type Anchor } from "./anchor";
import { CaseProblem } from "./caseProblem";
import type { CaseHistory } from "./history";
import type { Scenario } from "./scenarios";
import { diesIn, stepAt, timelineOf, type PlacedEvent, type PlacedInspection, type Timeline } from "./timeline";

/** Nothing was ever found up to the moment asked about: there is no case to judge. */
export class NothingFound extends RangeError {}

/** What one scenario believes at the last find, and how well it explains what was seen. */
interface Believed {
  readonly scenario: Scenario;
  /** Null where what was seen cannot be in this scenario; it then weighs nothing. */
  readonly anchor: Anchor | null;
  /** Log of prior · likelihoods of the later finds · probability that no look since saw anything. */
  readonly logWeight: number;
  /** Log of the probability that no look since the last find saw anything. */
  readonly logUnseen: number;
}

/** A case judged as of one moment, ready to be asked about other futures. */
export interface Reckoning {
  readonly timeline: Timeline;
  readonly asOfStep: number;
  /** From the first find to the moment asked about. */
  readonly way: Way;
  /** The rates made on the way, for what comes after it. */
  readonly rates: Rates;
  /** The events up to the moment asked about. */
  readonly past: readonly PlacedEvent[];
  /** Where in `past` the first and the last find stand. */
  readonly firstFind: number;
  readonly lastFind: number;
  readonly growth: StableGrowth;
  readonly believed: readonly Believed[];
  /** Posterior weights of the scenarios; they sum to 1. */
  readonly weights: readonly number[];
  /** Probability that nothing is left, in each scenario; 0 in one that weighs nothing because it cannot be. */
  readonly scenarioPClear: readonly number[];
  /** Probability that nothing is left. */
  readonly pClear: number;
  /** Probability, before they were made, that none of the looks since the last find would see anything. */
  readonly pUnseen: number;
}

/**
 * Judges a case as of `asOfDays` (since day 0): how likely it is that no animal is left, given every treatment and every
 * look with what it found. Events after that moment are left out; what was recorded before the first find is ignored,
 * lasting effects apart.
 *
 * From the moment asked about, two probabilities run backward to the last find, for one animal of each type: that its line
 * has died out and was not seen since, and that it was not seen since. Their quotient over all animals is the answer.
 * Throws {@link NothingFound} when no find lies before that moment, {@link CaseProblem} when what was seen could not have been.
 * Source: probability generating functions of a multi-type branching process (Harris 1963), from memory.
 */
export function reckon(history: CaseHistory, asOfDays: number, scenarios: readonly Scenario[]): Reckoning {
  return reckonTimeline(timelineOf(history, asOfDays), asOfDays, scenarios);
}

/** As {@link reckon}, for a case already laid out; `rates` are those made for it before, where there are any. */
export function reckonTimeline(
  timeline: Timeline,
  asOfDays: number,
  scenarios: readonly Scenario[],
  rates = new Rates(timeline),
): Reckoning {
  const { layout, sites, dt } = timeline;
  const asOfStep = stepAt(dt, asOfDays);
  const past = timeline.events.filter((event) => event.step <= asOfStep);
  const firstFind = past.findIndex(isFind);
  const lastFind = past.findLastIndex(isFind);
  if (firstFind < 0) throw new NothingFound("no find lies before the moment asked about");
  const growth = stableGrowth(layout, sites, timeline.firstC, dt);
  const way = wayOf(timeline, timeline.lasting, past[firstFind]!.step, asOfStep, rates);
  const base = { timeline, asOfStep, way, rates, past, firstFind, lastFind, growth };
  const both = new Float64Array(layout.length);
  const believed: Believed[] = [];
  const logGone: number[] = [];
  for (const scenario of scenarios) {
    const { anchor, logLikelihood } = believe(base, scenario);
    const unseen = both.slice().fill(1);
    const gone = nobody(layout);
    pastBackward(base, scenario, gone, unseen);
    const logUnseen = anchor ? logProbability(layout, anchor, unseen) : -Infinity;
    believed.push({ scenario, anchor, logUnseen, logWeight: ln(scenario.prior) + logLikelihood + logUnseen });
    logGone.push(anchor ? logProbability(layout, anchor, gone) : -Infinity);
  }
  if (believed.every((b) => b.logWeight === -Infinity)) {
    const seen = believed.some((b) => b.anchor !== null);
    const last = past.findLastIndex((event) => event.kind === "inspection");
    throw seen
      ? new CaseProblem(past[last]!.index, "what was left alive could not have stayed unseen that way, yet it did")
      : new CaseProblem(unseeable(base, scenarios), "nothing could have been seen that way, yet something was");
  }
  const weights = normalised(believed.map((b) => b.logWeight));
  const before = normalised(believed.map((b) => (b.anchor ? b.logWeight - b.logUnseen : -Infinity)));
  const pUnseen = dotOf(
    before,
    believed.map((b) => exp(b.logUnseen)),
  );
  const scenarioPClear = believed.map((b, k) => chance(logGone[k]!, b.logUnseen));
  return { ...base, believed, weights, scenarioPClear, pClear: dotOf(weights, scenarioPClear), pUnseen };
}

const isFind = (event: PlacedEvent) => event.kind === "inspection" && event.found > 0;

/** e^(part − whole); 0 where even the whole cannot be. */
function chance(logPart: number, logWhole: number): number {
  return logWhole === -Infinity ? 0 : exp(Math.min(0, logPart - logWhole));
}

type Base = Omit<Reckoning, "believed" | "weights" | "scenarioPClear" | "pClear" | "pUnseen">;

/** How far a scenario has been followed. */
interface Followed {
  /** What is believed at the last of the finds passed so far; null where one of them cannot have been. */
  anchor: Anchor | null;
  logLikelihood: number;
  /** The expected numbers, after the events passed so far. */
  m: Float64Array;
  step: number;
  /** Where in `past` the next event stands. */
  next: number;
}

/** A scenario as it stands at the first find. */
function begun({ timeline: { layout }, past, firstFind, growth }: Base): Followed {
  const first = past[firstFind] as PlacedInspection;
  const anchor = firstAnchor(layout, growth.shares, first.see, first);
  const m = anchor ? expectedAt(anchor) : new Float64Array(layout.length);
  return { anchor, logLikelihood: anchor ? 0 : -Infinity, m, step: first.step, next: firstFind + 1 };
}

/**
 * Takes a scenario on through the events up to `past[until]`: finds and the clean looks between them, and treatments. In place.
 * `visit` sees the numbers at the start of each step that is left behind, after that moment's events; they must not be kept.
 */
function goOn(base: Base, scenario: Scenario, state: Followed, until: number, visit?: Visit): void {
  const { timeline, past } = base;
  const { layout } = timeline;
  for (; state.next <= until && state.anchor; state.next++) {
    const event = past[state.next]!;
    stepTo(base.way, scenario, state, event.step, visit);
    const { m } = state;
    if (event.kind === "treatment") {
      const dies = diesIn(event, scenario);
      for (let i = 0; i < layout.types; i++) m[i]! *= 1 - dies[i]!;
    } else {
      const seen = laterAnchor(layout, m, event.see, event);
      state.anchor = seen && seen.anchor;
      state.logLikelihood += seen ? seen.logLikelihood : -Infinity;
      state.m = seen ? expectedAt(seen.anchor) : m.fill(0);
    }
  }
}

type Visit = (step: number, m: Float64Array) => void;

function stepTo(way: Way, scenario: Scenario, state: Followed, to: number, visit?: Visit): void {
  for (; state.step < to; state.step++) {
    visit?.(state.step, state.m);
    stepForward(way.rates[state.step - way.from]!, scenario.eggs, state.m);
  }
}

/**
 * The expected numbers of a scenario from the last find to the moment asked about, given that no look since has seen anything: exact,
 * and of one piece with the probability that nothing is left. @returns those at the moment asked about
 */
function goOnUnseen(base: Base, scenario: Scenario, anchor: Anchor, visit?: Visit): Float64Array {
  const { timeline, way, past, lastFind, asOfStep } = base;
  const { layout } = timeline;
  const lastLook = past.findLastIndex((event) => event.kind === "inspection");
  const from = past[lastFind]!.step;
  const to = past[lastLook]!.step;
  // The chance not to be seen any more, for one animal of each type: after the events of each step, and before each event.
  const after: Float64Array[] = [];
  const before: Float64Array[] = [];
  let g = nobody(layout).fill(1);
  let step = to;
  for (let i = lastLook; i > lastFind; i--) {
    const event = past[i]!;
    for (; step > event.step; step--) {
      after[step - from] ??= g;
      g = g.slice();
      stepBackward(way.rates[step - 1 - way.from]!, scenario.eggs, g);
    }
    after[step - from] ??= g;
    g = g.slice();
    applyBackward(layout, event, scenario, g);
    before[i] = g;
  }
  for (; step > from; step--) {
    after[step - from] ??= g;
    g = g.slice();
    stepBackward(way.rates[step - 1 - way.from]!, scenario.eggs, g);
  }
  after[0] ??= g;
  const m = expectedGiven(layout, anchor, g);
  for (let i = lastFind + 1; i <= lastLook; i++) {
    const event = past[i]!;
    for (; step < event.step; step++) {
      visit?.(step, m);
      const reached = step + 1 === event.step ? before[i]! : after[step + 1 - from]!;
      stepForwardGiven(way.rates[step - way.from]!, scenario.eggs, m, after[step - from]!, reached);
    }
    if (event.kind === "inspection") continue;
    const dies = diesIn(event, scenario);
    const beyond = past[i + 1]?.step === step && i < lastLook ? before[i + 1]! : after[step - from]!;
    const here = before[i]!;
    for (let type = 0; type < layout.types; type++)
      if (m[type] !== 0) m[type]! *= ((1 - dies[type]!) * beyond[type]!) / here[type]!;
  }
  const state = { anchor, logLikelihood: 0, m, step, next: lastLook + 1 };
  goOn(base, scenario, state, past.length - 1, visit);
  stepTo(way, scenario, state, asOfStep, visit);
  return state.m;
}

/** What a scenario believes at the last find, from the first on. */
function believe(base: Base, scenario: Scenario): Followed {
  const state = begun(base);
  goOn(base, scenario, state, base.lastFind);
  return state;
}

/** The first find that none of the scenarios can explain. */
function unseeable(base: Base, scenarios: readonly Scenario[]): number {
  const finds = [...base.past.entries()].filter(([, event]) => isFind(event));
  const first = finds.find(([lastFind]) => scenarios.every((s) => believe({ ...base, lastFind }, s).anchor === null));
  return (first ?? finds.at(-1)!)[1].index;
}

/**
 * Takes probabilities from the moment asked about back to the last find, through every treatment and clean look since, all of
 * them in one sweep. In place.
 */
function pastBackward({ timeline, way, past, lastFind, asOfStep }: Base, scenario: Scenario, ...vs: Float64Array[]) {
  let step = asOfStep;
  for (let i = past.length - 1; i >= lastFind; i--) {
    const event = past[i]!;
    for (let s = step - 1; s >= event.step; s--) {
      const rates = way.rates[s - way.from]!;
      for (const v of vs) stepBackward(rates, scenario.eggs, v);
    }
    step = event.step;
    if (i > lastFind) for (const v of vs) applyBackward(timeline.layout, event, scenario, v);
  }
}

/** What a treatment or a clean look makes of probabilities that hold after it. In place; past the end stays as it is. */
export function applyBackward(
  { types }: Pick<Layout, "types">,
  event: PlacedEvent,
  scenario: Scenario,
  v: Float64Array,
): void {
  if (event.kind === "treatment") {
    const dies = diesIn(event, scenario);
    for (let i = 0; i < types; i++) v[i] = dies[i]! + (1 - dies[i]!) * v[i]!;
  } else {
    const { see } = event;
    for (let i = 0; i < types; i++) v[i]! *= 1 - see[i]!;
  }
}

/** Probability that nothing is left at a later moment, when `gone` holds for one animal of each type alive now. */
export function pGone(reckoning: Reckoning, goneBy: (scenario: Scenario, index: number) => Float64Array): number {
  const { timeline, believed, weights } = reckoning;
  const each = believed.map(({ scenario, anchor, logUnseen }, k) => {
    if (!anchor) return 0;
    const gone = goneBy(scenario, k);
    pastBackward(reckoning, scenario, gone);
    return chance(logProbability(timeline.layout, anchor, gone), logUnseen);
  });
  return dotOf(weights, each);
}

/** Expected numbers by type as of the moment asked about, scenario by scenario: on from the last find. */
function expectedNow(reckoning: Reckoning): Float64Array[] {
  const { layout } = reckoning.timeline;
  return reckoning.believed.map(({ scenario, anchor, logUnseen }) =>
    anchor && logUnseen > -Infinity ? goOnUnseen(reckoning, scenario, anchor) : new Float64Array(layout.length),
  );
}

/** Expected numbers by stage as of the moment asked about: the mean over the scenarios. In the order of life. */
export function expectedByStage(reckoning: Reckoning): Float64Array {
  const { layout } = reckoning.timeline;
  const sums = new Float64Array(layout.pest.stages.length);
  for (const [k, m] of expectedNow(reckoning).entries()) {
    byStage(layout, m).forEach((n, stage) => (sums[stage]! += reckoning.weights[k]! * n));
  }
  return sums;
}

/**
 * The expected numbers at the start of every step from the first find to the moment asked about, scenario by scenario, after
 * that moment's events: up to the last find as they were believed then, from it on given everything seen since. What `visit` sees
 * must not be kept. @returns those at the moment asked about
 */
export function followEach(
  reckoning: Reckoning,
  visit: (scenario: number, step: number, m: Float64Array) => void,
): Float64Array[] {
  const { lastFind, timeline } = reckoning;
  return reckoning.believed.map(({ scenario, anchor, logUnseen }, k) => {
    const state = begun(reckoning);
    const each: Visit = (step, m) => visit(k, step, m);
    goOn(reckoning, scenario, state, lastFind, each);
    return anchor && logUnseen > -Infinity
      ? goOnUnseen(reckoning, scenario, anchor, each)
      : new Float64Array(timeline.layout.length);
  });
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
