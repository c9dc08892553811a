import { exp } from "../numerics/exponential";
import { degreeDaysPerDay } from "../climate/degreeDays";
import type { LifeStage } from "../pests/pests";
import type { Layout } from "./layout";

/** What changes the life of the animals for a while: residues, systemics, cards, predators, sand. */
export interface LastingEffect {
  /** Extra death rate per day for each stage, in the order of life. */
  readonly dailyHazard: readonly number[];
  /** Factor on egg laying; 1 changes nothing. */
  readonly layFactor: number;
}

/** Where the animals can go: what share of the hiding places is sheltered, and how briskly they walk about. */
export interface Sites {
  /** 0–1. */
  readonly shelteredShare: number;
  /** Changes of place a day of an animal that moves, at least 0. */
  readonly mixPerDay: number;
}

/** Changes of place a day where nothing else is known (HOUSE). */
export const MIX_PER_DAY = 0.2;

/** The probabilities of one time step under constant warmth and lasting effects, for each stage in the order of life. */
export interface StepRates {
  readonly layout: Layout;
  /** Chance to pass to the next substage. */
  readonly advance: Float64Array;
  /** Chance to survive. */
  readonly survive: Float64Array;
  /** Mean number of daughters laid, at egg factor 1. */
  readonly lay: Float64Array;
  /** Chance that one on an open spot goes to a sheltered one, and the other way round. */
  readonly toSheltered: Float64Array;
  readonly toOpen: Float64Array;
}

/**
 * The longest time step not above `dtDays` at which no animal passes more than one substage: `dtDays` is halved until
 * every chance to advance is at most 1 at `warmestC`. Days. Throws RangeError unless `dtDays` is above 0.
 */
export function stepFor(layout: Layout, warmestC: number, dtDays: number): number {
  if (!(dtDays > 0)) throw new RangeError(`a time step is above 0 days, got ${dtDays}`);
  const warmth = degreeDaysPerDay(layout.pest, warmestC);
  const fastest = Math.max(...layout.pest.stages.map((s) => (s.substages * warmth) / s.degreeDays));
  let dt = dtDays;
  while (fastest * dt > 1) dt /= 2;
  return dt;
}

/**
 * The rates of one step of `dt` days at a mean temperature of `meanC`.
 * In one step an animal lays, survives with exp(−(μ + H)·dt), changes site if it is mobile, and advances one substage with
 * k·θ·dt/K, in this order. `effects` are those active in this step; their hazards add up, their lay factors multiply.
 * Source: a multi-type branching process in discrete time with linear chains of substages (Harris 1963, The theory of
 * branching processes; MacDonald 1978, Time lags in biological models), from memory.
 */
export function ratesOf(
  layout: Layout,
  sites: Sites,
  meanC: number,
  dt: number,
  effects: readonly LastingEffect[],
): StepRates {
  const { stages } = layout.pest;
  const warmth = degreeDaysPerDay(layout.pest, meanC);
  const layFactor = effects.reduce((product, effect) => product * effect.layFactor, 1);
  const toSheltered = 1 - exp(-sites.mixPerDay * sites.shelteredShare * dt);
  const toOpen = 1 - exp(-sites.mixPerDay * (1 - sites.shelteredShare) * dt);
  const perStage = (rate: (stage: LifeStage, i: number) => number) => {
    const rates = new Float64Array(stages.length);
    for (let i = 0; i < rates.length; i++) rates[i] = rate(stages[i]!, i);
    return rates;
  };
  const hazard = (i: number) => effects.reduce((sum, effect) => sum + effect.dailyHazard[i]!, 0);
  return {
    layout,
    advance: perStage((stage) => (stage.substages * warmth * dt) / stage.degreeDays),
    survive: perStage((stage, i) => exp(-(stage.dailyDeath + hazard(i)) * dt)),
    lay: perStage((stage) => ((stage.femaleEggs ?? 0) / stage.degreeDays) * warmth * dt * layFactor),
    toSheltered: perStage((stage) => (stage.mobile ? toSheltered : 0)),
    toOpen: perStage((stage) => (stage.mobile ? toOpen : 0)),
  };
}

/**
 * One step forward: `m`, the expected numbers by type, becomes those a step later. In place, without allocation.
 * `eggs` is the scenario's factor on egg laying.
 */
export function stepForward(rates: StepRates, eggs: number, m: Float64Array): void {
  const { firstOf, substages, stride } = rates.layout;
  let bornOpen = 0;
  let bornSheltered = 0;
  m[substages] = 0;
  m[stride + substages] = 0;
  // From the oldest down, so that nobody moves twice.
  for (let stage = firstOf.length - 2; stage >= 0; stage--) {
    const p = rates.advance[stage]!;
    const s = rates.survive[stage]!;
    const laid = rates.lay[stage]! * eggs;
    const inward = rates.toSheltered[stage]!;
    const outward = rates.toOpen[stage]!;
    const first = firstOf[stage]!;
    for (let i = firstOf[stage + 1]! - 1; i >= first; i--) {
      const open = m[i]!;
      const sheltered = m[stride + i]!;
      bornOpen += laid * open;
      bornSheltered += laid * sheltered;
      const movedOpen = s * (open - inward * open + outward * sheltered);
      const movedSheltered = s * (sheltered - outward * sheltered + inward * open);
      m[i] = (1 - p) * movedOpen;
      m[stride + i] = (1 - p) * movedSheltered;
      m[i + 1]! += p * movedOpen;
      m[stride + i + 1]! += p * movedSheltered;
    }
  }
  m[0]! += bornOpen;
  m[stride]! += bornSheltered;
}

/**
 * One step backward: `v`, for each type the probability of some future of its line as seen after the step (that it dies
 * out, that none of it is seen), becomes that probability as seen before the step. In place, without allocation.
 * The slots past the end must hold 1, and keep it.
 */
export function stepBackward(rates: StepRates, eggs: number, v: Float64Array): void {
  const { firstOf, stride } = rates.layout;
  const eggOpen = v[0]! - 1;
  const eggSheltered = v[stride]! - 1;
  // From the youngest up: what lies ahead of a substage is still the value after the step.
  let open = v[0]!;
  let sheltered = v[stride]!;
  for (let stage = 0; stage < firstOf.length - 1; stage++) {
    const p = rates.advance[stage]!;
    const s = rates.survive[stage]!;
    const laid = rates.lay[stage]! * eggs;
    const inward = rates.toSheltered[stage]!;
    const outward = rates.toOpen[stage]!;
    // What its eggs come to is the same for all substages of a stage.
    const eggsOpen = laid > 0 ? exp(laid * eggOpen) : 1;
    const eggsSheltered = laid > 0 ? exp(laid * eggSheltered) : 1;
    const end = firstOf[stage + 1]!;
    for (let i = firstOf[stage]!; i < end; i++) {
      const nextOpen = v[i + 1]!;
      const nextSheltered = v[stride + i + 1]!;
      const laterOpen = open + p * (nextOpen - open);
      const laterSheltered = sheltered + p * (nextSheltered - sheltered);
      v[i] = (1 - s + s * (laterOpen + inward * (laterSheltered - laterOpen))) * eggsOpen;
      v[stride + i] = (1 - s + s * (laterSheltered + outward * (laterOpen - laterSheltered))) * eggsSheltered;
      open = nextOpen;
      sheltered = nextSheltered;
    }
  }
}
