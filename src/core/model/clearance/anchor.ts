import { ln, ln1p } from "../../shared/exponential";
import { dot, type Layout } from "../population/layout";
import { logNegativeBinomial } from "./gamma";

/**
 * What is believed of the animals at an inspection, in one scenario: by type those that share their fate, all scaled by one common
 * factor ~ Gamma of mean 1 and shape 1, and those that stand by themselves. The animals of a plant sit together, and one treatment
 * takes or misses whole groups: taken one by one forty survivors are never none, taken together they sometimes are.
 */
export interface Anchor {
  /** Expected animals by type that share their fate: the unseen, and of those seen and left alive all but the single ones. */
  readonly together: Float64Array;
  /** Animals seen and left alive that stand by themselves. */
  readonly single: number;
  /** Of which type each of them is likely to be; sums to 1. */
  readonly seenShares: Float64Array;
}

/** A find: how many live animals were seen, whether they were killed on the spot, and which of the types they can have been. */
export interface Find {
  readonly found: number;
  readonly removed: boolean;
  /** 1 for each type that those seen can have been, 0 for the others; any where null. */
  readonly among: Float64Array | null;
}

/** How many animals are believed to have been there before a look found the first of them is bounded by this (HOUSE). */
const FEWEST_SEEN = 1 / 200;
/** Animals the uncertainty of a running count is worth: the shape of its negative binomial (HOUSE). */
const COUNT_SHAPE = 2;
/** Of the animals seen and left alive so many stand by themselves (HOUSE). */
const MOST_SINGLE = 2;

/**
 * The anchor of a case's first find: animals in stable shares, as many as make the find likely.
 * `shares` by type sum to 1; `see` is the chance to see one, by type. Null where nothing could have been seen that way.
 */
export function firstAnchor(layout: Layout, shares: Float64Array, see: Float64Array, find: Find): Anchor | null {
  const visible = dot(layout, shares, see);
  const seenShares = sharesOfSeen(layout, shares, see, find);
  if (!seenShares) return null;
  const total = (1 + find.found) / (FEWEST_SEEN + visible);
  return anchorOf(layout, shares, total, see, find, seenShares);
}

/** `scale` times `m` less those that were seen, and those again where they were left alive. */
function anchorOf(
  layout: Layout,
  m: Float64Array,
  scale: number,
  see: Float64Array,
  { removed, found }: Find,
  seenShares: Float64Array,
): Anchor {
  const left = removed ? 0 : found;
  const single = Math.min(left, MOST_SINGLE);
  const together = new Float64Array(layout.length);
  for (let i = 0; i < layout.types; i++) together[i] = scale * m[i]! * (1 - see[i]!) + (left - single) * seenShares[i]!;
  return { together, single, seenShares };
}

/**
 * What a later inspection makes of the expected numbers `m` just before it, with the log likelihood of what it found. Null where
 * it found something that, so believed, could not have been there to be seen: so it was not.
 */
export function laterAnchor(
  layout: Layout,
  m: Float64Array,
  see: Float64Array,
  find: Find,
): { anchor: Anchor; logLikelihood: number } | null {
  const visible = dot(layout, m, see);
  const seenShares = find.found > 0 ? sharesOfSeen(layout, m, see, find) : new Float64Array(layout.length);
  if (!seenShares) return null;
  const scale = (COUNT_SHAPE + find.found) / (COUNT_SHAPE + visible);
  return {
    anchor: anchorOf(layout, m, scale, see, find, seenShares),
    logLikelihood: logNegativeBinomial(find.found, COUNT_SHAPE, visible),
  };
}

/** How those seen divide over the types they can have been; null where none of those could be seen. */
function sharesOfSeen(layout: Layout, m: Float64Array, see: Float64Array, { among }: Find): Float64Array | null {
  const shares = new Float64Array(layout.length);
  let all = 0;
  for (let i = 0; i < layout.types; i++) all += shares[i] = m[i]! * see[i]! * (among ? among[i]! : 1);
  if (!(all > 0)) return null;
  for (let i = 0; i < layout.types; i++) shares[i]! /= all;
  return shares;
}

/** The expected numbers by type that an anchor stands for, as a fresh array. */
export function expectedAt({ together, single, seenShares }: Anchor): Float64Array {
  const m = together.slice();
  if (single > 0) for (let i = 0; i < m.length; i++) m[i]! += single * seenShares[i]!;
  return m;
}

/**
 * The expected numbers by type at an anchor once it is known that something came true of every one of them (that no look since has
 * seen it or its young) which has the chance `g` for one animal of each type; a fresh array.
 * Source: the mean of a Gamma-mixed Poisson and of single animals after thinning by g; from memory.
 */
export function expectedGiven(layout: Layout, { together, single, seenShares }: Anchor, g: Float64Array): Float64Array {
  let short = 0;
  let ones = 0;
  for (let i = 0; i < layout.types; i++) {
    short += together[i]! * (1 - g[i]!);
    ones += seenShares[i]! * g[i]!;
  }
  const m = new Float64Array(layout.length);
  const each = single > 0 && ones > 0 ? single / ones : 0;
  for (let i = 0; i < layout.types; i++) m[i] = (together[i]! / (1 + short) + each * seenShares[i]!) * g[i]!;
  return m;
}

/**
 * Natural logarithm of the probability that the futures of all animals at the anchor come true, when `v` holds it for one
 * animal of each type. −∞ where it cannot.
 */
export function logProbability({ types }: Layout, { together, single, seenShares }: Anchor, v: Float64Array): number {
  let short = 0;
  let seenOnes = 0;
  for (let i = 0; i < types; i++) {
    short += together[i]! * (1 - v[i]!);
    seenOnes += seenShares[i]! * v[i]!;
  }
  // Sums of shares may end a hair above 1.
  const ofSingle = single === 0 ? 0 : single * ln(Math.min(1, seenOnes));
  return ofSingle - ln1p(short);
}
