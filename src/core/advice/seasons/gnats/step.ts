import { degreeDaysPerDay } from "../../../climate/degreeDays";
import { exp } from "../../../shared/exponential";
import { pests, type LifeStage } from "../../../knowledge/pests/pests";
import type { PotEffect } from "../../../acts/inPots";
import type { AirTrap, GnatRoom } from "./room";

const gnat = pests.fungusGnat;
const inMix = gnat.stages.filter(({ where }) => where === "soil");
const inAir = gnat.stages.filter(({ where }) => where === "air");
const substagesOf = (stages: readonly LifeStage[]) => stages.reduce((sum, { substages }) => sum + substages, 0);
/** Substages in the mix of one pot, and in the air. */
export const SOIL = substagesOf(inMix);
export const AIR = substagesOf(inAir);
/** For each substage in the mix, its stage. */
export const soilStage = inMix.flatMap(({ substages }, stage) => Array.from({ length: substages }, () => stage));
const airStage = inAir.flatMap(({ substages }, stage) => Array.from({ length: substages }, () => stage));
export const LARVA = inMix.findIndex(({ id }) => id === "larva");
/** Length of a step, halved until nobody passes more than one substage; days. */
const STEP_DAYS = 0.25;

/** Numbers in the room at one moment: pot by pot the substages in the mix, then those in the air. */
export type Numbers = Float64Array;

/** How the time and the pots of a room are cut up. */
export interface Steps {
  readonly dt: number;
  readonly pots: number;
  readonly shares: Float64Array;
  readonly at: (day: number) => number;
}

/** Steps of a room; see {@link GnatRoom} for what it refuses. */
export function stepsOf({ weights, dailyMeanC }: Pick<GnatRoom, "weights" | "dailyMeanC">): Steps {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  if (!(total > 0)) throw new RangeError("a room of gnats has a pot that draws them");
  if (dailyMeanC.length === 0) throw new RangeError("the warmth of a room is known");
  const warmest = dailyMeanC.reduce((most, c) => Math.max(most, degreeDaysPerDay(gnat, c)), 0);
  const fastest = Math.max(...gnat.stages.map(({ substages, degreeDays }) => (substages * warmest) / degreeDays));
  let dt = STEP_DAYS;
  while (fastest * dt > 1) dt /= 2;
  return {
    dt,
    pots: weights.length,
    shares: Float64Array.from(weights, (weight) => weight / total),
    at: (day) => Math.round(day / dt),
  };
}

/** The chances of one step, for one bite. */
export interface Rates {
  readonly advance: readonly number[];
  /** Of each pot: egg, larva, pupa. */
  readonly survive: readonly (readonly number[])[];
  readonly lay: Float64Array;
  /** Of those in the air, apart from traps; and what traps leave alive, and what of the dead is counted. */
  readonly airSurvive: readonly number[];
  readonly airAdvance: readonly number[];
  readonly untrapped: number;
  readonly countedShare: number;
  /** Daughters of one laying fly in this step, at egg factor 1. */
  readonly eggs: number;
}

const hazardRange = (from: number, until: number, step: number, { at }: Steps) => step >= at(from) && step < at(until);

/** The rates of every step between two, for a bite; steps under the same conditions share theirs. */
export function ratesBetween(room: GnatRoom, steps: Steps, from: number, to: number, bite: number): readonly Rates[] {
  const known = new Map<string, Rates>();
  const all: Rates[] = [];
  for (let step = from; step < to; step++) {
    const day = Math.floor(step * steps.dt + 1e-9);
    const meanC = room.dailyMeanC[Math.min(Math.max(day, 0), room.dailyMeanC.length - 1)]!;
    const effects = room.effects.filter((one) => hazardRange(one.fromDay, one.untilDay, step, steps));
    const traps = room.traps.filter((one) => hazardRange(one.fromDay, one.untilDay, step, steps));
    const key = `${meanC} ${effects.map((one) => room.effects.indexOf(one)).join()} ${traps.map((one) => room.traps.indexOf(one)).join()}`;
    const made = known.get(key) ?? ratesOf(steps, meanC, effects, traps, bite);
    known.set(key, made);
    all.push(made);
  }
  return all;
}

function ratesOf(
  { dt, pots, shares }: Steps,
  meanC: number,
  effects: readonly PotEffect[],
  traps: readonly AirTrap[],
  bite: number,
): Rates {
  const warmth = degreeDaysPerDay(gnat, meanC);
  const advanceOf = ({ substages, degreeDays }: LifeStage) => (substages * warmth * dt) / degreeDays;
  const hazards = Array.from({ length: pots }, () => inMix.map(({ dailyDeath }) => dailyDeath));
  const lay = shares.slice();
  for (const { pots: there, dailyHazard, layFactor } of effects)
    for (const pot of there) {
      for (const stage of inMix.keys()) hazards[pot]![stage]! += bite * dailyHazard[stage as 0 | 1 | 2];
      lay[pot]! *= 1 - bite * (1 - layFactor);
    }
  const trap = traps.reduce((sum, one) => sum + one.perDay, 0);
  const counted = traps.reduce((sum, one) => sum + (one.counted ? one.perDay : 0), 0);
  const layer: LifeStage = gnat.stages.at(-1)!;
  return {
    advance: inMix.map(advanceOf),
    survive: hazards.map((all) => all.map((hazard) => exp(-hazard * dt))),
    lay,
    airSurvive: inAir.map(({ dailyDeath }) => exp(-dailyDeath * dt)),
    airAdvance: inAir.map(advanceOf),
    untrapped: exp(-trap * dt),
    countedShare: trap > 0 ? counted / trap : 0,
    eggs: ((layer.femaleEggs ?? 0) / layer.degreeDays) * warmth * dt,
  };
}

/**
 * One step forward, in place; gives how many flies are caught on cards in it. Larvae beyond what a pot feeds die: the mean only, since
 * a line that is nearly at its end knows nothing of it.
 */
export function forward(rates: Rates, eggs: number, pots: number, m: Numbers, ceilings?: readonly number[]): number {
  const air = pots * SOIL;
  const last = air + AIR - 1;
  let laying = 0;
  for (let i = 0; i < AIR; i++) if (airStage[i] === inAir.length - 1) laying += m[air + i]!;
  const laid = laying * rates.eggs * eggs;
  // Whoever is caught in this step has laid in it: laying comes first, as on a plant.
  let caught = 0;
  for (let i = air; i <= last; i++) {
    caught += m[i]! * (1 - rates.untrapped) * rates.countedShare;
    m[i]! *= rates.untrapped;
  }
  for (let i = AIR - 1; i >= 0; i--) {
    const stage = airStage[i]!;
    const alive = m[air + i]! * rates.airSurvive[stage]!;
    const moves = alive * rates.airAdvance[stage]!;
    m[air + i] = alive - moves;
    if (i < AIR - 1) m[air + i + 1]! += moves;
  }
  for (let pot = 0; pot < pots; pot++) {
    const first = pot * SOIL;
    const survive = rates.survive[pot]!;
    for (let i = SOIL - 1; i >= 0; i--) {
      const stage = soilStage[i]!;
      const alive = m[first + i]! * survive[stage]!;
      const moves = alive * rates.advance[stage]!;
      m[first + i] = alive - moves;
      m[i < SOIL - 1 ? first + i + 1 : air]! += moves;
    }
    m[first]! += laid * rates.lay[pot]!;
    if (ceilings) starve(m, first, ceilings[pot]!);
  }
  return caught;
}

function starve(m: Numbers, first: number, most: number): void {
  let larvae = 0;
  for (let i = 0; i < SOIL; i++) if (soilStage[i] === LARVA) larvae += m[first + i]!;
  if (larvae <= most) return;
  for (let i = 0; i < SOIL; i++) if (soilStage[i] === LARVA) m[first + i]! *= most / larvae;
}

/** One step backward, in place. `caughtIs` is the value of one that dies on a card: 1, or 0 where that would have been counted. */
export function backward(rates: Rates, eggs: number, pots: number, caughtIs: number, v: Numbers): void {
  const air = pots * SOIL;
  const fresh = v[air]!;
  let eggsAhead = 0;
  for (let pot = 0; pot < pots; pot++) eggsAhead += rates.lay[pot]! * (v[pot * SOIL]! - 1);
  const brood = exp(rates.eggs * eggs * eggsAhead);
  const trapped = (1 - rates.untrapped) * (1 - rates.countedShare + rates.countedShare * caughtIs);
  for (let i = 0; i < AIR; i++) {
    const stage = airStage[i]!;
    const s = rates.airSurvive[stage]!;
    const p = rates.airAdvance[stage]!;
    const next = i < AIR - 1 ? v[air + i + 1]! : 1;
    const lives = 1 - s + s * (v[air + i]! + p * (next - v[air + i]!));
    const value = trapped + rates.untrapped * lives;
    v[air + i] = stage === inAir.length - 1 ? value * brood : value;
  }
  for (let pot = 0; pot < pots; pot++) {
    const first = pot * SOIL;
    const survive = rates.survive[pot]!;
    for (let i = 0; i < SOIL; i++) {
      const stage = soilStage[i]!;
      const s = survive[stage]!;
      const p = rates.advance[stage]!;
      const next = i < SOIL - 1 ? v[first + i + 1]! : fresh;
      v[first + i] = 1 - s + s * (v[first + i]! + p * (next - v[first + i]!));
    }
  }
}

/** Shares are those at this much above the threshold at least, as on plants. */
const WARM_ENOUGH_C = 5;
/** After so many steps the shares no longer change. */
const SETTLED = 3000;

/** Stable shares at a warmth: of the mix (all pots together) by substage, then of the air; they sum to 1. */
export function stableShares(meanC: number, shares: Float64Array): Numbers {
  const steps = { dt: STEP_DAYS / 2, pots: 1, shares: Float64Array.of(1), at: () => 0 } satisfies Steps;
  const rates = ratesOf(steps, Math.max(meanC, gnat.lowerC + WARM_ENOUGH_C), [], [], 0);
  const one = new Float64Array(SOIL + AIR).fill(1);
  // The dominant eigenvector by repeated steps: it is reached to a part in a million within a year.
  for (let i = 0; i < SETTLED; i++) {
    forward(rates, 1, 1, one);
    const sum = one.reduce((all, n) => all + n, 0);
    for (let k = 0; k < one.length; k++) one[k]! /= sum;
  }
  const m = new Float64Array(shares.length * SOIL + AIR);
  for (let pot = 0; pot < shares.length; pot++)
    for (let i = 0; i < SOIL; i++) m[pot * SOIL + i] = one[i]! * shares[pot]!;
  for (let i = 0; i < AIR; i++) m[shares.length * SOIL + i] = one[SOIL + i]!;
  return m;
}
