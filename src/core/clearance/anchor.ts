import { ln, ln1p } from "../numerics/exponential";
import { dot, type Layout } from "../population/layout";
import { logNegativeBinomial } from "./gamma";

/**
 * What is believed of the animals at an inspection, in one scenario: the unseen by type, all scaled by one common factor
 * ~ Gamma of mean 1 and shape `shape`, and those seen and left alive.
 */
export interface Anchor {
  /** Expected unseen animals by type. */
  readonly unseen: Float64Array;
  /** Animals seen and left alive. */
  readonly seen: number;
  /** Of which type each of them is likely to be; sums to 1 where `seen` is above 0. */
  readonly seenShares: Float64Array;
  readonly shape: number;
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
/** Animals the uncertainty of a running count is worth: the shape of its Gamma and negative binomial (HOUSE). */
export const COUNT_SHAPE = 2;

/**
 * The anchor of a case's first find: animals in stable shares, as many as make the find likely.
 * `shares` by type sum to 1; `see` is the chance to see one, by type. Null where nothing could have been seen that way.
 */
export function firstAnchor(layout: Layout, shares: Float64Array, see: Float64Array, find: Find): Anchor | null {
  const visible = dot(layout, shares, see);
  const seenShares = sharesOfSeen(layout, shares, see, find);
  if (!seenShares) return null;
  const total = (1 + find.found) / (FEWEST_SEEN + visible);
  const unseen = new Float64Array(layout.length);
  for (let i = 0; i < layout.types; i++) unseen[i] = total * shares[i]! * (1 - see[i]!);
  return { unseen, seen: find.removed ? 0 : find.found, seenShares, shape: 1 + find.found };
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
  const unseen = new Float64Array(layout.length);
  for (let i = 0; i < layout.types; i++) unseen[i] = scale * m[i]! * (1 - see[i]!);
  return {
    anchor: { unseen, seen: find.removed ? 0 : find.found, seenShares, shape: COUNT_SHAPE + find.found },
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
export function expectedAt({ unseen, seen, seenShares }: Anchor): Float64Array {
  const m = unseen.slice();
  if (seen > 0) for (let i = 0; i < m.length; i++) m[i]! += seen * seenShares[i]!;
  return m;
}

/**
 * Natural logarithm of the probability that the futures of all animals at the anchor come true, when `v` holds it for one
 * animal of each type. −∞ where it cannot.
 */
export function logProbability(
  { types }: Layout,
  { unseen, seen, seenShares, shape }: Anchor,
  v: Float64Array,
): number {
  let short = 0;
  let seenOnes = 0;
  for (let i = 0; i < types; i++) {
    short += unseen[i]! * (1 - v[i]!);
    seenOnes += seenShares[i]! * v[i]!;
  }
  // Sums of shares may end a hair above 1.
  const ofSeen = seen === 0 ? 0 : seen * ln(Math.min(1, seenOnes));
  return ofSeen - shape * ln1p(short / shape);
}
