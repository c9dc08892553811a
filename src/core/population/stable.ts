import type { Layout } from "./layout";
import { ratesOf, type Sites, type StepRates } from "./step";

/** How a population grows when left alone, and how its animals divide over the types then. */
export interface StableGrowth {
  /** Factor on the numbers in one step: the dominant eigenvalue of the step. */
  readonly perStep: number;
  /** Shares by type, both sites together; they sum to 1. */
  readonly shares: Float64Array;
}

const BISECTIONS = 200;

/**
 * Dominant eigenvalue and eigenvector of one step at egg factor 1 without lasting effects.
 *
 * Instead of multiplying a matrix until it settles, the chain of substages is solved: at a trial factor λ the daughters
 * of one newborn on each site, discounted by λ each step, make a 2 × 2 matrix whose greatest eigenvalue is 1 exactly when
 * λ is the growth factor (the discrete Euler–Lotka equation with two kinds of newborn).
 * Where nothing moves between the sites their split is the plant's own. Throws RangeError for a pest that lays nothing.
 * Source: Euler–Lotka equation, Lotka 1925; Caswell 2001, Matrix population models, ch. 2 and 4; from memory.
 */
export function stableGrowth(layout: Layout, sites: Sites, meanC: number, dt: number): StableGrowth {
  const rates = ratesOf(layout, sites, meanC, dt, []);
  if (!rates.lay.some((mean) => mean > 0)) throw new RangeError(`${layout.pest.id} lays nothing at ${meanC} °C`);
  // Below the slowest substage's own factor the sums do not converge; above 1 + all births they are less than 1.
  let low = 0;
  for (let i = 0; i < rates.survive.length; i++) low = Math.max(low, rates.survive[i]! * (1 - rates.advance[i]!));
  let high = 2 + rates.lay.reduce((sum, mean) => sum + mean, 0);
  for (let i = 0; i < BISECTIONS && high - low > 1e-15 * high; i++) {
    const middle = (low + high) / 2;
    if (greatest(daughters(rates, middle)) > 1) low = middle;
    else high = middle;
  }
  return { perStep: high, shares: eigenvector(rates, sites, high) };
}

/** A 2 × 2 matrix, rows the newborn's site, columns the mother's own birth site. */
type Matrix = readonly [number, number, number, number];

function greatest([a, b, c, d]: Matrix): number {
  const half = (a - d) / 2;
  return (a + d) / 2 + Math.sqrt(half * half + b * c);
}

/** Daughters by site, discounted by `factor` a step, of one newborn born open and of one born sheltered. */
function daughters(rates: StepRates, factor: number): Matrix {
  const [oo, os] = lifetime(rates, factor, 1, 0);
  const [so, ss] = lifetime(rates, factor, 0, 1);
  return [oo, so, os, ss];
}

/**
 * Follows a steady stream of newborns through the chain at growth `factor`; gives the births they make, and writes the
 * standing numbers by type into `standing` where one is given.
 */
function lifetime(
  rates: StepRates,
  factor: number,
  open: number,
  sheltered: number,
  standing?: Float64Array,
): [number, number] {
  const { advance, survive, lay, toSheltered, toOpen } = rates;
  const { substages, stride, stageOf } = rates.layout;
  let [inOpen, inSheltered] = [open, sheltered];
  let bornOpen = 0;
  let bornSheltered = 0;
  for (let i = 0; i < substages; i++) {
    // (factor − stay · X) n = inflow, X the change of site: solved as two equations.
    const stage = stageOf[i]!;
    const s = survive[stage]!;
    const stay = s * (1 - advance[stage]!);
    const [inward, outward] = [toSheltered[stage]!, toOpen[stage]!];
    const a = factor - stay * (1 - inward);
    const b = -stay * outward;
    const c = -stay * inward;
    const d = factor - stay * (1 - outward);
    const determinant = a * d - b * c;
    const atOpen = (inOpen * d - b * inSheltered) / determinant;
    const atSheltered = (a * inSheltered - c * inOpen) / determinant;
    if (standing) {
      standing[i] = atOpen;
      standing[stride + i] = atSheltered;
    }
    bornOpen += lay[stage]! * atOpen;
    bornSheltered += lay[stage]! * atSheltered;
    const pass = s * advance[stage]!;
    inOpen = pass * ((1 - inward) * atOpen + outward * atSheltered);
    inSheltered = pass * ((1 - outward) * atSheltered + inward * atOpen);
  }
  return [bornOpen, bornSheltered];
}

function eigenvector(rates: StepRates, sites: Sites, factor: number): Float64Array {
  const [a, b, c] = daughters(rates, factor);
  const joined = b > 0 || c > 0;
  // Births in proportion (b, 1 − a) reproduce themselves; (1 − s, s) where the sites do not exchange.
  const [open, sheltered] = joined ? [b, 1 - a] : [1 - sites.shelteredShare, sites.shelteredShare];
  const shares = new Float64Array(rates.layout.length);
  lifetime(rates, factor, open, sheltered, shares);
  const total = shares.reduce((sum, n) => sum + n, 0);
  for (let i = 0; i < shares.length; i++) shares[i]! /= total;
  return shares;
}
