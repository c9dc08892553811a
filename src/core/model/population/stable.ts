import { nobody, type Layout } from "./layout";
import { sharesOf, SITES, type PerSite, type Sites } from "./sites";
import { goOf, ratesOf, type StepRates } from "./step";

/** How a population grows when left alone, and how its animals divide over the types then. */
export interface StableGrowth {
  /** Factor on the numbers in one step: the dominant eigenvalue of the step. */
  readonly perStep: number;
  /** Shares by type, all sites together; they sum to 1. */
  readonly shares: Float64Array;
}

const BISECTIONS = 200;

/**
 * Dominant eigenvalue and eigenvector of one step at egg factor 1 without lasting effects.
 *
 * Instead of multiplying a matrix until it settles, the chain of substages is solved. Life and death do not depend on the site,
 * so that the factor λ is the one at which a newborn, discounted by λ each step, makes one daughter (the discrete Euler–Lotka
 * equation). By the sites that mother and daughter are born at these daughters then make a 3 × 3 matrix whose columns sum to
 * 1, and the births divide over the sites as its stationary distribution does. That is found without a subtraction, so that it
 * is exact also where the sites hardly exchange; where they do not at all, the births divide as the plant's places do.
 * Throws RangeError for a pest that lays nothing.
 * Source: Euler–Lotka equation, Lotka 1925; Caswell 2001, Matrix population models, ch. 2 and 4; Grassmann, Taksar and Heyman
 * 1985 for the distribution; from memory.
 */
export function stableGrowth(layout: Layout, sites: Sites, meanC: number, dt: number): StableGrowth {
  const rates = ratesOf(layout, goOf(sites, dt), meanC, dt, []);
  if (!rates.lay.some((mean) => mean > 0)) throw new RangeError(`${layout.pest.id} lays nothing at ${meanC} °C`);
  // Below the slowest substage's own factor the sums do not converge; above 1 + all births they are less than 1.
  let low = 0;
  for (let i = 0; i < rates.advance.length; i++)
    low = Math.max(low, rates.survive[SITES * i]! * (1 - rates.advance[i]!));
  let high = 2 + rates.lay.reduce((sum, mean) => sum + mean, 0);
  for (let i = 0; i < BISECTIONS && high - low > 1e-15 * high; i++) {
    const middle = (low + high) / 2;
    if (daughters(rates, middle) > 1) low = middle;
    else high = middle;
  }
  const births = birthsBySite(rates, sharesOf(sites), high);
  const shares = nobody(layout).fill(0);
  lifetime(rates, high, births, shares);
  const total = shares.reduce((sum, n) => sum + n, 0);
  for (let i = 0; i < shares.length; i++) shares[i]! /= total;
  return { perStep: high, shares };
}

/** Daughters of one newborn, discounted by `factor` a step, wherever it sits. */
function daughters({ advance, survive, lay, layout: { firstOf } }: StepRates, factor: number): number {
  let inflow = 1;
  let born = 0;
  for (let stage = 0; stage < advance.length; stage++) {
    // Without lasting effects it is the same at all sites.
    const s = survive[SITES * stage]!;
    const p = advance[stage]!;
    const substages = (firstOf[stage + 1]! - firstOf[stage]!) / SITES;
    for (let i = 0; i < substages; i++) {
      const here = inflow / (factor - s * (1 - p));
      born += lay[SITES * stage]! * here;
      inflow = s * p * here;
    }
  }
  return born;
}

type Triple = [number, number, number];

/** How the births of a growing population divide over the sites. */
function birthsBySite(rates: StepRates, shares: PerSite, factor: number): PerSite {
  const columns = [0, 1, 2].map((site) => {
    const one: Triple = [0, 0, 0];
    one[site] = 1;
    return lifetime(rates, factor, one);
  });
  // m[i][j]: from site i to site j, as a chain of states is written.
  const m = columns.map((column) => [...column]);
  const there = [0, 1, 2].filter((site) => shares[site]! > 0);
  const joined = there.every((i) => there.some((j) => i !== j && m[i]![j]! > 0));
  if (!joined) return shares;
  // State by state is taken out of the chain, from the last on, and put back with what flowed through it.
  const out: number[] = [];
  for (let n = there.length - 1; n > 0; n--) {
    const last = there[n]!;
    const before = there.slice(0, n);
    out[n] = before.reduce((sum, j) => sum + m[last]![j]!, 0);
    for (const i of before) for (const j of before) if (i !== j) m[i]![j]! += (m[i]![last]! * m[last]![j]!) / out[n]!;
  }
  const stationary: Triple = [0, 0, 0];
  stationary[there[0]!] = 1;
  for (let n = 1; n < there.length; n++) {
    const inflow = there.slice(0, n).reduce((sum, i) => sum + stationary[i]! * m[i]![there[n]!]!, 0);
    stationary[there[n]!] = inflow / out[n]!;
  }
  return stationary;
}

/**
 * Follows a steady stream of newborns through the chain at growth `factor`; gives the births they make by site, and writes the
 * standing numbers by type into `standing` where one is given.
 */
function lifetime(rates: StepRates, factor: number, newborn: PerSite, standing?: Float64Array): Triple {
  const { advance, survive, lay, mobile, go, layout } = rates;
  let inflow: Triple = [...newborn];
  const born: Triple = [0, 0, 0];
  for (let type = 0; type < layout.types; type += SITES) {
    const stage = layout.stageOf[type]!;
    const s = survive[SITES * stage]!;
    const stay = s * (1 - advance[stage]!);
    const pass = s * advance[stage]!;
    // (factor − stay · X) n = inflow, X the change of site.
    const here: Triple = mobile[stage]
      ? solved(factor - stay, stay, go, inflow)
      : [inflow[0] / (factor - stay), inflow[1] / (factor - stay), inflow[2] / (factor - stay)];
    const after: Triple = mobile[stage] ? moved(go, here) : here;
    for (let site = 0; site < SITES; site++) {
      if (standing) standing[type + site] = here[site]!;
      born[site]! += lay[SITES * stage]! * here[site]!;
    }
    inflow = [pass * after[0], pass * after[1], pass * after[2]];
  }
  return born;
}

function moved(go: Float64Array, [a, b, c]: Triple): Triple {
  return [
    go[0]! * a + go[3]! * b + go[6]! * c,
    go[1]! * a + go[4]! * b + go[7]! * c,
    go[2]! * a + go[5]! * b + go[8]! * c,
  ];
}

/**
 * n of (excess + stay · out) n − stay · in = inflow: what leaves a site, in or out of life, is what comes to it. Each site is
 * taken out in turn with sums only; `excess` is what leaves for good.
 */
function solved(excess: number, stay: number, go: Float64Array, inflow: Triple): Triple {
  const [g01, g02, g10, g12, g20, g21] = [go[1]!, go[2]!, go[3]!, go[5]!, go[6]!, go[7]!].map((g) => g * stay) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  // Deep is taken out: what goes there comes back, or is gone.
  const d = excess + g20 + g21;
  const open = inflow[0] + (inflow[2] * g20) / d;
  const sheltered = inflow[1] + (inflow[2] * g21) / d;
  const toSheltered = g01 + (g02 * g21) / d;
  const toOpen = g10 + (g12 * g20) / d;
  const openExcess = excess + (g02 * excess) / d;
  const shelteredExcess = excess + (g12 * excess) / d;
  const e = shelteredExcess + toOpen;
  // Then sheltered.
  const atOpen = (open + (sheltered * toOpen) / e) / (openExcess + (toSheltered * shelteredExcess) / e);
  const atSheltered = (sheltered + atOpen * toSheltered) / e;
  return [atOpen, atSheltered, (inflow[2] + atOpen * g02 + atSheltered * g12) / d];
}
