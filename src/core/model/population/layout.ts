import type { Pest } from "../../knowledge/pests/pests";
import { SITES } from "./sites";

/**
 * How the numbers of a population lie in one flat array: substage by substage in the order of life, for each the three sites
 * side by side, and behind them three slots more for "past the end", which are never counted.
 */
export interface Layout {
  readonly pest: Pest;
  /** Substages of all stages together. */
  readonly substages: number;
  /** Types of animals: 3 · substages. The slots past the end begin here. */
  readonly types: number;
  /** Length of an array of types with the slots past the end: types + 3. */
  readonly length: number;
  /** For each type the index of its stage. */
  readonly stageOf: Uint8Array;
  /** For each stage its first type, and one entry more: the number of types. */
  readonly firstOf: Uint16Array;
}

/**
 * The layout for a pest.
 * Throws RangeError for a pest without stages, or with a stage of less than one substage.
 * @example layoutOf(pests.mealybug).substages // 32
 */
export function layoutOf(pest: Pest): Layout {
  const known = layouts.get(pest);
  if (known) return known;
  const made = lay(pest);
  layouts.set(pest, made);
  return made;
}

/** The layout of a pest never changes: it is made once for each. */
const layouts = new WeakMap<Pest, Layout>();

function lay(pest: Pest): Layout {
  if (pest.stages.length === 0) throw new RangeError(`${pest.id} has no stages`);
  const stageOf: number[] = [];
  const firstOf: number[] = [];
  for (const [stage, { id, substages }] of pest.stages.entries()) {
    if (!Number.isInteger(substages) || substages < 1) throw new RangeError(`${id} has ${substages} substages`);
    firstOf.push(stageOf.length);
    for (let i = 0; i < substages * SITES; i++) stageOf.push(stage);
  }
  const types = stageOf.length;
  return {
    pest,
    substages: types / SITES,
    types,
    length: types + SITES,
    stageOf: Uint8Array.from(stageOf),
    firstOf: Uint16Array.from([...firstOf, types]),
  };
}

/** Fills an array of types from a number for each stage and site, for what is the same in all substages of a stage. */
export function spread(layout: Layout, perStage: (stage: number, site: number) => number): Float64Array {
  const filled = new Float64Array(layout.length);
  for (let i = 0; i < layout.types; i++) filled[i] = perStage(layout.stageOf[i]!, i % SITES);
  return filled;
}

/** Sums an array of types by stage, all sites together. @returns one number for each stage, in the order of life */
export function byStage(layout: Layout, types: Float64Array): Float64Array {
  const sums = new Float64Array(layout.pest.stages.length);
  for (let i = 0; i < layout.types; i++) sums[layout.stageOf[i]!]! += types[i]!;
  return sums;
}

/** Sums an array of types by site, all stages together. */
export function bySite(layout: Layout, types: Float64Array): [open: number, sheltered: number, deep: number] {
  const sums: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < layout.types; i++) sums[i % SITES]! += types[i]!;
  return sums;
}

/** Σ aᵢ bᵢ over the types, past the end left out. */
export function dot({ types }: Pick<Layout, "types">, a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < types; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** For one animal of each type alive at this very moment: it is not gone. Past the end it is. */
export function nobody({ types, length }: Pick<Layout, "types" | "length">): Float64Array {
  return new Float64Array(length).fill(1, types);
}
