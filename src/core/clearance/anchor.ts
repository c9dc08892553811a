import { ln, ln1p } from "../numerics/exponential";
import type { Layout } from "../population/layout";
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

/** An inspection found something although nothing could have been seen that way. */
export class UnseeableFind extends RangeError {
  constructor(readonly event: number) {
    super(`nothing could have been seen that way, yet something was (event ${event})`);
  }
}

/** How many animals are believed to have been there before a look found the first of them is bounded by this (HOUSE). */
const FEWEST_SEEN = 1 / 200;

/** Animals the uncertainty of a running count is worth: the shape of its Gamma and negative binomial (HOUSE). */
export const COUNT_SHAPE = 2;

/**
 * The anchor of a case's first find: animals in stable shares, as many as make the find likely.
 * `shares` by type sum to 1; `see` is the chance to see one, by type.
 */
export function firstAnchor(
  layout: Layout,
  shares: Float64Array,
  see: Float64Array,
  find: { found: number; removed: boolean; event: number },
): Anchor {
  const visible = dot(layout, shares, see);
  if (visible <= 0) throw new UnseeableFind(find.event);
  const total = (1 + find.found) / (FEWEST_SEEN + visible);
  return {
    unseen: shares.map((share, i) => total * share * (1 - see[i]!)),
    seen: find.removed ? 0 : find.found,
    seenShares: shares.map((share, i) => (share * see[i]!) / visible),
    shape: 1 + find.found,
  };
}

/**
 * What a later inspection makes of the expected numbers `m` just before it, with the log likelihood of what it found.
 */
export function laterAnchor(
  layout: Layout,
  m: Float64Array,
  see: Float64Array,
  find: { found: number; removed: boolean; event: number },
): { anchor: Anchor; logLikelihood: number } {
  const visible = dot(layout, m, see);
  if (visible <= 0 && find.found > 0) throw new UnseeableFind(find.event);
  const scale = (COUNT_SHAPE + find.found) / (COUNT_SHAPE + visible);
  return {
    anchor: {
      unseen: m.map((n, i) => scale * n * (1 - see[i]!)),
      seen: find.removed ? 0 : find.found,
      seenShares: visible > 0 ? m.map((n, i) => (n * see[i]!) / visible) : new Float64Array(m.length),
      shape: COUNT_SHAPE + find.found,
    },
    logLikelihood: logNegativeBinomial(find.found, COUNT_SHAPE, visible),
  };
}

/** The expected numbers by type that an anchor stands for, as a fresh array. */
export function expectedAt({ unseen, seen, seenShares }: Anchor): Float64Array {
  return unseen.map((n, i) => n + seen * seenShares[i]!);
}

/**
 * Natural logarithm of the probability that the futures of all animals at the anchor come true, when `v` holds it for one
 * animal of each type. −∞ where it cannot.
 */
export function logProbability(layout: Layout, { unseen, seen, seenShares, shape }: Anchor, v: Float64Array): number {
  let short = 0;
  let seenOnes = 0;
  for (const offset of [0, layout.stride]) {
    for (let i = offset; i < offset + layout.substages; i++) {
      short += unseen[i]! * (1 - v[i]!);
      seenOnes += seenShares[i]! * v[i]!;
    }
  }
  const ofSeen = seen === 0 ? 0 : seen * ln(seenOnes);
  return ofSeen - shape * ln1p(short / shape);
}

/** Σ aᵢ bᵢ over the types, past the end left out. */
export function dot(layout: Layout, a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (const offset of [0, layout.stride]) {
    for (let i = offset; i < offset + layout.substages; i++) sum += a[i]! * b[i]!;
  }
  return sum;
}
