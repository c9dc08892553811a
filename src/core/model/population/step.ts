import { exp, expm1 } from "../../shared/exponential";
import { degreeDaysPerDay } from "../../climate/degreeDays";
import type { Layout } from "./layout";
import { sharesOf, SITES, type PerSite, type Sites } from "./sites";

/** What changes the life of the animals for a while: residues, systemics, cards, predators, sand. */
export interface LastingEffect {
  /** Extra death rate per day for each stage, in the order of life. */
  readonly dailyHazard: readonly number[];
  /** Factor on egg laying; 1 changes nothing. */
  readonly layFactor: number;
  /** The share of each site's animals that it meets; all of them where left out. */
  readonly cover?: PerSite;
  /** Of effects that bear the same name here only the one begun last is in force: putting on more renews it. */
  readonly renews?: string;
}

/** The probabilities of one time step under constant warmth and lasting effects, for each stage in the order of life. */
export interface StepRates {
  readonly layout: Layout;
  /** Chance to pass to the next substage. */
  readonly advance: Float64Array;
  /** Chance to survive, for each stage at each site: entry 3 · stage + site. */
  readonly survive: Float64Array;
  /** Mean number of daughters laid, at egg factor 1, for each stage at each site. */
  readonly lay: Float64Array;
  /** 1 for a stage that moves, 0 for one that stays where it is. */
  readonly mobile: Uint8Array;
  /** Chance that one that moves goes from one site to another or stays: entry 3 · from + to. Each row sums to 1. */
  readonly go: Float64Array;
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
 * Where one that moves is after a step: it leaves its site, whose share is p, with 1 − exp(−x · (1 − p) · dt), for the others
 * in proportion to their shares.
 */
export function goOf(sites: Sites, dt: number): Float64Array {
  const shares = sharesOf(sites);
  const go = new Float64Array(SITES * SITES);
  for (let from = 0; from < SITES; from++) {
    const others = shares.reduce((sum, share, site) => (site === from ? sum : sum + share), 0);
    const leaves = -expm1(-sites.mixPerDay * others * dt);
    for (let to = 0; to < SITES; to++) {
      if (to !== from) go[SITES * from + to] = others > 0 ? (leaves * shares[to]!) / others : 0;
    }
    go[(SITES + 1) * from] = 1 - leaves;
  }
  return go;
}

/**
 * The rates of one step of `dt` days at a mean temperature of `meanC`; `go` as {@link goOf} gives it for that step.
 * In one step an animal lays, survives with exp(−(μ + H)·dt), changes site if it is mobile, and advances one substage with
 * k·θ·dt/K, in this order. `effects` are those active in this step: at a site each counts with its cover; hazards add up, lay
 * factors multiply.
 * Source: a multi-type branching process in discrete time with linear chains of substages (Harris 1963, The theory of
 * branching processes; MacDonald 1978, Time lags in biological models), from memory.
 */
export function ratesOf(
  layout: Layout,
  go: Float64Array,
  meanC: number,
  dt: number,
  effects: readonly LastingEffect[],
): StepRates {
  const { stages } = layout.pest;
  const warmth = degreeDaysPerDay(layout.pest, meanC);
  const n = stages.length;
  const rates = {
    layout,
    advance: new Float64Array(n),
    survive: new Float64Array(n * SITES),
    lay: new Float64Array(n * SITES),
    mobile: new Uint8Array(n),
    go,
  };
  for (const [i, stage] of stages.entries()) {
    rates.advance[i] = (stage.substages * warmth * dt) / stage.degreeDays;
    rates.mobile[i] = stage.mobile ? 1 : 0;
    for (let site = 0; site < SITES; site++) {
      let hazard = stage.dailyDeath;
      let laid = ((stage.femaleEggs ?? 0) / stage.degreeDays) * warmth * dt;
      for (const { dailyHazard, layFactor, cover } of effects) {
        const met = cover ? cover[site]! : 1;
        hazard += dailyHazard[i]! * met;
        laid *= 1 - (1 - layFactor) * met;
      }
      rates.survive[SITES * i + site] = exp(-hazard * dt);
      rates.lay[SITES * i + site] = laid;
    }
  }
  return rates;
}

/**
 * One step forward: `m`, the expected numbers by type, becomes those a step later. In place, without allocation.
 * `eggs` is the scenario's factor on egg laying.
 */
export function stepForward(rates: StepRates, eggs: number, m: Float64Array): void {
  const { advance, survive, lay, mobile, go, layout } = rates;
  const { firstOf, types } = layout;
  const g01 = go[1]!;
  const g02 = go[2]!;
  const g10 = go[3]!;
  const g12 = go[5]!;
  const g20 = go[6]!;
  const g21 = go[7]!;
  let born0 = 0;
  let born1 = 0;
  let born2 = 0;
  m[types] = 0;
  m[types + 1] = 0;
  m[types + 2] = 0;
  // From the oldest down, so that nobody moves twice.
  for (let stage = firstOf.length - 2; stage >= 0; stage--) {
    const pass = advance[stage]!;
    const stay = 1 - pass;
    const at = SITES * stage;
    const s0 = survive[at]!;
    const s1 = survive[at + 1]!;
    const s2 = survive[at + 2]!;
    const laid0 = lay[at]! * eggs;
    const laid1 = lay[at + 1]! * eggs;
    const laid2 = lay[at + 2]! * eggs;
    const lays = laid0 + laid1 + laid2 > 0;
    const moves = mobile[stage] === 1;
    const first = firstOf[stage]!;
    for (let i = firstOf[stage + 1]! - SITES; i >= first; i -= SITES) {
      let a = m[i]!;
      let b = m[i + 1]!;
      let c = m[i + 2]!;
      if (lays) {
        born0 += laid0 * a;
        born1 += laid1 * b;
        born2 += laid2 * c;
      }
      a *= s0;
      b *= s1;
      c *= s2;
      if (moves) {
        const ab = a * g01 - b * g10;
        const ac = a * g02 - c * g20;
        const bc = b * g12 - c * g21;
        a -= ab + ac;
        b += ab - bc;
        c += ac + bc;
      }
      m[i] = stay * a;
      m[i + 1] = stay * b;
      m[i + 2] = stay * c;
      m[i + 3]! += pass * a;
      m[i + 4]! += pass * b;
      m[i + 5]! += pass * c;
    }
  }
  m[0]! += born0;
  m[1]! += born1;
  m[2]! += born2;
}

/**
 * As {@link stepForward}, of animals of which it is known that something comes true of each and its line (that no look sees them):
 * `g` is the chance of that for one of each type before the step, `after` the same after it. In place; `g` above 0 where `m` is.
 */
export function stepForwardGiven(
  rates: StepRates,
  eggs: number,
  m: Float64Array,
  g: Float64Array,
  after: Float64Array,
): void {
  const { lay, layout } = rates;
  const { types, stageOf } = layout;
  const born = [0, 0, 0];
  for (let i = 0; i < types; i++) {
    if (m[i] === 0) continue;
    const site = i % SITES;
    const laid = lay[SITES * stageOf[i]! + site]! * eggs;
    born[site]! += laid * m[i]!;
    m[i]! *= exp(laid * (after[site]! - 1)) / g[i]!;
  }
  // What they lay has been counted.
  stepForward(rates, 0, m);
  for (let site = 0; site < SITES; site++) m[site]! += born[site]!;
  for (let i = 0; i < types; i++) m[i]! *= after[i]!;
}

/**
 * One step backward: `v`, for each type the probability of some future of its line as seen after the step (that it dies
 * out, that none of it is seen), becomes that probability as seen before the step. In place, without allocation.
 * The slots past the end must hold 1, and keep it.
 */
export function stepBackward(rates: StepRates, eggs: number, v: Float64Array): void {
  const { advance, survive, lay, mobile, go, layout } = rates;
  const { firstOf } = layout;
  const stages = firstOf.length - 1;
  const g01 = go[1]!;
  const g02 = go[2]!;
  const g10 = go[3]!;
  const g12 = go[5]!;
  const g20 = go[6]!;
  const g21 = go[7]!;
  const egg0 = v[0]! - 1;
  const egg1 = v[1]! - 1;
  const egg2 = v[2]! - 1;
  // From the youngest up: what lies ahead of a substage is still the value after the step.
  let a = v[0]!;
  let b = v[1]!;
  let c = v[2]!;
  for (let stage = 0; stage < stages; stage++) {
    const p = advance[stage]!;
    const at = SITES * stage;
    const s0 = survive[at]!;
    const s1 = survive[at + 1]!;
    const s2 = survive[at + 2]!;
    const dead0 = 1 - s0;
    const dead1 = 1 - s1;
    const dead2 = 1 - s2;
    const laid0 = lay[at]! * eggs;
    const laid1 = lay[at + 1]! * eggs;
    const laid2 = lay[at + 2]! * eggs;
    const moves = mobile[stage] === 1;
    // What its eggs come to is the same for all substages of a stage.
    const e0 = laid0 > 0 ? exp(laid0 * egg0) : 1;
    const e1 = laid1 > 0 ? exp(laid1 * egg1) : 1;
    const e2 = laid2 > 0 ? exp(laid2 * egg2) : 1;
    const end = firstOf[stage + 1]!;
    for (let i = firstOf[stage]!; i < end; i += SITES) {
      const nextA = v[i + 3]!;
      const nextB = v[i + 4]!;
      const nextC = v[i + 5]!;
      let x = a + p * (nextA - a);
      let y = b + p * (nextB - b);
      let z = c + p * (nextC - c);
      if (moves) {
        const xy = y - x;
        const xz = z - x;
        const yz = z - y;
        x += g01 * xy + g02 * xz;
        y += g12 * yz - g10 * xy;
        z -= g20 * xz + g21 * yz;
      }
      v[i] = (dead0 + s0 * x) * e0;
      v[i + 1] = (dead1 + s1 * y) * e1;
      v[i + 2] = (dead2 + s2 * z) * e2;
      a = nextA;
      b = nextB;
      c = nextC;
    }
  }
}
