import { logNegativeBinomial } from "../../../model/clearance/gamma";
import { exp, expm1, ln, ln1p } from "../../../shared/exponential";
import type { PotTreatment } from "../../../acts/inPots";
import type { CardCount, GnatRoom, SliceCount } from "./room";
import { gnatScenarios, type GnatScenario } from "./scenarios";
import {
  AIR,
  backward,
  forward,
  LARVA,
  ratesBetween,
  SOIL,
  soilStage,
  stableShares,
  stepsOf,
  type Numbers,
  type Rates,
  type Steps,
} from "./step";

/** A slice shows so many of the larvae in a pot (HOUSE). */
const SLICE_SEE = 0.2;

const killOf = ({ kill }: PotTreatment, stage: number, bite: number) => bite * kill[stage as 0 | 1 | 2];

/** What is believed at a moment, in one scenario. */
interface Believed {
  m: Numbers;
  /** Shape of the Gamma by which all numbers are uncertain together. */
  shape: number;
  logWeight: number;
}

export interface GnatJudgement {
  /** The chance that no gnat of any age is left; null while nothing has been counted. */
  readonly pOver: number;
  /** Weights of {@link gnatScenarios}, in their order; they sum to 1. */
  readonly weights: readonly number[];
  /** Expected animals in the air, and pot by pot in the mix. */
  readonly flying: number;
  readonly inPots: readonly number[];
  /** The chance that what is done now brings them down to two thirds or less within three weeks. */
  readonly pFalling: number;
  /** What all cards together will count in each week to come: expected, and the span that holds eight in ten. */
  readonly weeks: readonly {
    readonly fromDay: number;
    readonly mean: number;
    readonly low: number;
    readonly high: number;
  }[];
  /** What was expected on the cards for each count so far, the first left out: expected and its span. */
  readonly expected: readonly {
    readonly atDay: number;
    readonly mean: number;
    readonly low: number;
    readonly high: number;
  }[];
}

const FORECAST_WEEKS = 8;
const FALL_DAYS = 21;
const FALLEN = 2 / 3;
/** Flies that a first count stands for at least (HOUSE), as on plants. */
const FEWEST_SEEN = 1 / 200;
/** How far counts of one room stray from what is expected of it: the shape of their negative binomial (HOUSE). */
const COUNT_SHAPE = 4;
/** A slice tells of one pot, and more loosely (HOUSE). */
const SLICE_SHAPE = 2;

/**
 * What counts on cards and slices say of a room's gnats at the end of `asOfDay`, and what is to come under the measures that are
 * written down or planned. Flies on cards and larvae under a slice are finds alike; a count is of its own days. Null while nothing
 * has been found. Events of one day: treatments first, then what was counted.
 * Source: a multi-type branching process (Harris 1963, from memory) under our own rates (HOUSE). Throws RangeError for a room
 * without a pot that draws gnats, or without warmth.
 */
export function judgeGnats(room: GnatRoom, asOfDay: number): GnatJudgement | null {
  const mixture = runsOf(room, asOfDay);
  if (!mixture) return null;
  const { runs, weights, counts, first } = mixture;
  const mean = (of: (one: Run) => number) => runs.reduce((sum, one, k) => sum + weights[k]! * of(one), 0);
  return {
    pOver: mean(({ pOver }) => pOver),
    weights,
    flying: mean(({ flying }) => flying),
    inPots: room.weights.map((_, pot) => mean(({ inPots }) => inPots[pot]!)),
    pFalling: mean(({ falls }) => (falls ? 1 : 0)),
    weeks: Array.from({ length: FORECAST_WEEKS }, (_, week) => ({
      fromDay: asOfDay + 7 * week,
      ...spanOf(mixedOf(mixture, ({ weeks }) => weeks[week]!)),
    })),
    expected: counts
      .filter(({ atDay }) => atDay > first.atDay)
      .map(({ atDay }, i) => ({ atDay, ...spanOf(mixedOf(mixture, ({ expected }) => expected[i]!)) })),
  };
}

/** What all cards together are expected to count. */
export interface ExpectedCount {
  /** The span that holds eight in ten, both ends included. */
  readonly low: number;
  readonly high: number;
  /** How likely the count lies within it: of whole numbers it is seldom eight in ten exactly. */
  readonly pWithin: number;
}

/**
 * What cards that have hung for `overDays` days will be found to have caught at the end of `asOfDay`, from what was counted before: the span that is told
 * of the days to come, of these days. Null where nothing had been found before they began, or no card hung all the while: then nothing was told. Throws as {@link judgeGnats}.
 */
export function expectedOnCards(room: GnatRoom, asOfDay: number, overDays: number): ExpectedCount | null {
  const from = asOfDay - overDays;
  const mixture = runsOf(room, asOfDay);
  if (!mixture || mixture.first.atDay > from) return null;
  const hung = room.traps.filter(({ counted, fromDay, untilDay }) => counted && fromDay < asOfDay && untilDay > from);
  const days = Array.from({ length: overDays }, (_, i) => from + i);
  if (!days.every((day) => hung.some(({ fromDay, untilDay }) => fromDay <= day && untilDay > day))) return null;
  const mixed = mixedOf(mixture, ({ caughtIn }) => caughtIn(overDays));
  const { low, high } = spanOf(mixed);
  return { low, high, pWithin: within(mixed, low, high) };
}

/** One run a scenario, how much each weighs by what was counted, and what was counted, in order. */
interface Mixture {
  readonly runs: readonly Run[];
  readonly weights: readonly number[];
  readonly counts: readonly CardCount[];
  readonly first: Evidence;
}

/** Null while nothing has been found. */
function runsOf(room: GnatRoom, asOfDay: number): Mixture | null {
  const steps = stepsOf(room);
  const counts = room.cards.filter(({ atDay }) => atDay <= asOfDay).toSorted((a, b) => a.atDay - b.atDay);
  const evidence = [
    ...counts.map((one): Evidence => ({ ...one, what: "cards" })),
    ...room.slices
      .filter(({ atDay }) => atDay <= asOfDay)
      .map((one): Evidence => ({ ...one, what: "slice", count: one.larvae })),
  ].toSorted((a, b) => a.atDay - b.atDay);
  const first = evidence.find(({ count }) => count > 0);
  if (!first) return null;
  const last = evidence.findLast(({ count }) => count > 0)!;
  const runs = gnatScenarios.map((scenario) => run(room, steps, scenario, { evidence, first, last }, asOfDay));
  const most = Math.max(...runs.map(({ logWeight }) => logWeight));
  const raw = runs.map(({ logWeight }) => exp(logWeight - most));
  const all = raw.reduce((sum, w) => sum + w, 0);
  return { runs, weights: raw.map((w) => w / all), counts, first };
}

const mixedOf = ({ runs, weights }: Mixture, of: (one: Run) => number): Mixed =>
  runs.map((one, k) => ({ mean: of(one), shape: COUNT_SHAPE, weight: weights[k]! }));

/** What is expected of a mixture, and the span that holds eight in ten. */
function spanOf(mixed: Mixed) {
  const mean = mixed.reduce((sum, one) => sum + one.weight * one.mean, 0);
  return { mean, low: quantile(mixed, 0.1), high: quantile(mixed, 0.9) };
}

interface Run {
  readonly logWeight: number;
  readonly pOver: number;
  readonly flying: number;
  readonly inPots: readonly number[];
  readonly falls: boolean;
  readonly weeks: readonly number[];
  readonly expected: readonly number[];
  /** Flies expected on the cards in so many days before the end. */
  readonly caughtIn: (days: number) => number;
}

/** Something that was counted: flies on cards, or larvae under a slice. */
type Evidence =
  (CardCount & { readonly what: "cards" }) | (SliceCount & { readonly what: "slice"; readonly count: number });

function run(
  room: GnatRoom,
  steps: Steps,
  { bite, eggs, prior }: GnatScenario,
  { evidence, first, last }: { evidence: readonly Evidence[]; first: Evidence; last: Evidence },
  asOfDay: number,
): Run {
  const { pots, at } = steps;
  const air = pots * SOIL;
  const begin = at(first.atDay);
  const end = Math.max(begin, at(asOfDay));
  const horizon = at(asOfDay + 7 * FORECAST_WEEKS);
  const rates = ratesBetween(room, steps, begin, horizon, bite);
  const believed = firstBelief(room, steps, first);
  believed.logWeight = ln(prior);
  const treatments = room.treatments.toSorted((a, b) => a.atDay - b.atDay);
  const later = evidence.filter((one) => one !== first && at(one.atDay) >= begin);
  const expected: number[] = [];
  /** Flies expected on the cards in each step. */
  const caught: number[] = [0];
  const caughtIn = (days: number) => caught.slice(Math.max(1, caught.length - at(days))).reduce((sum, n) => sum + n, 0);
  let anchor = { step: begin, m: believed.m.slice(), shape: believed.shape };
  const treat = (step: number, m: Numbers) => {
    for (const one of treatments)
      if (at(one.atDay) === step)
        for (const pot of one.pots)
          for (let i = 0; i < SOIL; i++) m[pot * SOIL + i]! *= 1 - killOf(one, soilStage[i]!, bite);
  };
  for (let step = begin; step <= end; step++) {
    if (step > begin) {
      const onCards = forward(rates[step - 1 - begin]!, eggs, pots, believed.m, room.ceilings);
      caught.push(onCards);
      // What is counted anew was on the cards already: the belief is scaled from then on alone.
      treat(step, believed.m);
    }
    for (const one of later) {
      if (at(one.atDay) !== step) continue;
      if (one.what === "slice") bySlice(believed, one);
      else {
        // Of one day with the first find there is nothing to compare it with.
        if (step === begin) continue;
        const own = caughtIn(one.overDays);
        expected.push(own);
        byCards(believed, one.count, own);
      }
      if (one === last) anchor = { step, m: believed.m.slice(), shape: believed.shape };
    }
  }
  // Backward: that all lines have ended by now, and that no card and no slice has shown any since the last find.
  const empty = later.filter((one) => at(one.atDay) > anchor.step);
  const gone = new Float64Array(air + AIR);
  const unseen = new Float64Array(air + AIR).fill(1);
  for (let step = end; step > anchor.step; step--) {
    for (const one of empty)
      if (one.what === "slice" && at(one.atDay) === step)
        for (const v of [gone, unseen])
          for (let i = 0; i < SOIL; i++) if (soilStage[i] === LARVA) v[one.pot * SOIL + i]! *= 1 - SLICE_SEE;
    for (const one of treatments)
      if (at(one.atDay) === step)
        for (const v of [gone, unseen])
          for (const pot of one.pots)
            for (let i = 0; i < SOIL; i++) {
              const kill = killOf(one, soilStage[i]!, bite);
              v[pot * SOIL + i] = kill + (1 - kill) * v[pot * SOIL + i]!;
            }
    const looked = empty.some(
      (one) => one.what === "cards" && step <= at(one.atDay) && step > at(one.atDay) - at(one.overDays),
    );
    for (const v of [gone, unseen]) backward(rates[step - 1 - begin]!, eggs, pots, looked ? 0 : 1, v);
  }
  const [logGone, logUnseen] = [gone, unseen].map((v) => {
    const short = anchor.m.reduce((sum, n, i) => sum + n * (1 - v[i]!), 0);
    return -anchor.shape * ln1p(short / anchor.shape);
  }) as [number, number];
  const now = sums(believed.m, pots);
  const coming = forecast(
    steps,
    { rates, begin, end, horizon, eggs, ceilings: room.ceilings },
    believed.m.slice(),
    treat,
  );
  return {
    // What was not seen since the anchor is in the weight of the counts already: only P(over) asks for it.
    logWeight: believed.logWeight,
    pOver: exp(Math.min(0, logGone - logUnseen)),
    flying: now.flying,
    inPots: now.inPots,
    falls: coming.then <= FALLEN * (now.flying + now.inPots.reduce((sum, n) => sum + n, 0)),
    weeks: coming.weeks,
    expected,
    caughtIn,
  };
}

function sums(m: Numbers, pots: number) {
  const inPots = Array.from({ length: pots }, (_, pot) =>
    m.subarray(pot * SOIL, (pot + 1) * SOIL).reduce((a, b) => a + b, 0),
  );
  return { flying: m.subarray(pots * SOIL).reduce((a, b) => a + b, 0), inPots };
}

/** What the first find stands for: flies and brood in stable shares, as many as make it likely. */
function firstBelief(room: GnatRoom, { shares, pots, at, dt }: Steps, first: Evidence): Believed {
  const q = stableShares(
    room.dailyMeanC[Math.min(Math.max(0, Math.floor(first.atDay)), room.dailyMeanC.length - 1)]!,
    shares,
  );
  const step = at(first.atDay);
  if (first.what === "slice") {
    let larvae = 0;
    for (let i = 0; i < SOIL; i++) if (soilStage[i] === LARVA) larvae += q[first.pot * SOIL + i]!;
    const total = (1 + first.count) / (FEWEST_SEEN + larvae * SLICE_SEE);
    return { m: q.map((share) => total * share), shape: 1 + first.count, logWeight: 0 };
  }
  const perDay = room.traps
    .filter(({ counted, fromDay, untilDay }) => counted && at(fromDay) < step && step <= at(untilDay) + 1 / dt)
    .reduce((most, one) => most + one.perDay, 0);
  const see = -expm1(-Math.max(perDay, ONE_CARD) * first.overDays);
  const flying = q.subarray(pots * SOIL).reduce((a, b) => a + b, 0);
  const total = (1 + first.count) / (FEWEST_SEEN + flying * see);
  const m = q.map((share, i) => total * share * (i >= pots * SOIL ? 1 - see : 1));
  return { m, shape: 1 + first.count, logWeight: 0 };
}

/** A count where no card was written down is one of a single card in a small room (HOUSE). */
const ONE_CARD = 0.05;

function byCards(believed: Believed, count: number, mean: number): void {
  believed.logWeight += logNegativeBinomial(count, COUNT_SHAPE, Math.max(mean, 1e-9));
  const scale = (COUNT_SHAPE + count) / (COUNT_SHAPE + mean);
  for (let i = 0; i < believed.m.length; i++) believed.m[i]! *= scale;
  believed.shape = COUNT_SHAPE + count;
}

/** Larvae under a slice tell of the mix of one pot, and of no other. */
function bySlice(believed: Believed, { pot, larvae }: SliceCount): void {
  const first = pot * SOIL;
  let seen = 0;
  for (let i = 0; i < SOIL; i++) if (soilStage[i] === LARVA) seen += believed.m[first + i]! * SLICE_SEE;
  believed.logWeight += logNegativeBinomial(larvae, SLICE_SHAPE, Math.max(seen, 1e-9));
  const scale = (SLICE_SHAPE + larvae) / (SLICE_SHAPE + seen);
  for (let i = 0; i < SOIL; i++) believed.m[first + i]! *= scale;
}

interface Ahead {
  readonly rates: readonly Rates[];
  readonly begin: number;
  readonly end: number;
  readonly horizon: number;
  readonly eggs: number;
  readonly ceilings: GnatRoom["ceilings"];
}

function forecast(
  { pots, at }: Steps,
  { rates, begin, end, horizon, eggs, ceilings }: Ahead,
  m: Numbers,
  treat: (step: number, m: Numbers) => void,
): { readonly weeks: readonly number[]; readonly then: number } {
  const weeks = new Array<number>(FORECAST_WEEKS).fill(0);
  const week = at(7);
  let then = Infinity;
  for (let step = end + 1; step <= horizon; step++) {
    const caught = forward(rates[step - 1 - begin]!, eggs, pots, m, ceilings);
    treat(step, m);
    weeks[Math.min(FORECAST_WEEKS - 1, Math.floor((step - 1 - end) / week))]! += caught;
    if (step === end + at(FALL_DAYS)) then = m.reduce((sum, n) => sum + n, 0);
  }
  return { weeks, then };
}

/** Counts beyond this are not told apart any more. */
const MOST_COUNTED = 20_000;

/** Negative binomials, each with its weight; these sum to 1. */
type Mixed = readonly { readonly mean: number; readonly shape: number; readonly weight: number }[];

/** How likely each count is, from none on, without end. */
function* chances(mixed: Mixed): Generator<number> {
  // Each probability from the one before it.
  const terms = mixed.map(({ mean, shape, weight }) => ({
    p: weight * (shape / (shape + mean)) ** shape,
    ratio: mean / (shape + mean),
    shape,
  }));
  for (let count = 0; ; count++) {
    yield terms.reduce((sum, { p }) => sum + p, 0);
    for (const term of terms) term.p *= (term.ratio * (count + term.shape)) / (count + 1);
  }
}

/** The least count at which so much of a mixture lies at or below it. */
function quantile(mixed: Mixed, share: number): number {
  let [below, count] = [0, 0];
  for (const chance of chances(mixed)) {
    below += chance;
    if (below >= share || count === MOST_COUNTED) break;
    count++;
  }
  return count;
}

/** How much of a mixture lies between two counts, both included. */
function within(mixed: Mixed, low: number, high: number): number {
  let [sum, count] = [0, 0];
  for (const chance of chances(mixed)) {
    if (count > high) break;
    if (count >= low) sum += chance;
    count++;
  }
  return Math.min(1, sum);
}
