import type { Pest } from "../pests/pests";

/** Where an animal sits on the plant: index 0 and 1 of every per-site pair. */
const OPEN = 0;
const SHELTERED = 1;

/** A pair of numbers, for open and for sheltered spots. */
export type PerSite = readonly [open: number, sheltered: number];

/**
 * How the numbers of a population lie in one flat array: first the open site, then the sheltered one, each with every
 * substage in the order of life and one slot more for "past the end", which is never counted.
 */
export interface Layout {
  readonly pest: Pest;
  /** Substages of all stages together. */
  readonly substages: number;
  /** Slots of one site: substages + 1. The sheltered site begins here. */
  readonly stride: number;
  /** Length of an array of types: 2 · stride. */
  readonly length: number;
  /** For each substage the index of its stage. */
  readonly stageOf: Uint8Array;
  /** For each stage its first substage, and one entry more: the number of substages. */
  readonly firstOf: Uint16Array;
}

/**
 * The layout for a pest.
 * Throws RangeError for a pest without stages, or with a stage of less than one substage.
 * @example layoutOf(pests.mealybug).substages // 32
 */
export function layoutOf(pest: Pest): Layout {
  if (pest.stages.length === 0) throw new RangeError(`${pest.id} has no stages`);
  const stageOf = pest.stages.flatMap(({ id, substages }, stage) => {
    if (!Number.isInteger(substages) || substages < 1) throw new RangeError(`${id} has ${substages} substages`);
    return Array.from({ length: substages }, () => stage);
  });
  const substages = stageOf.length;
  const firstOf = Uint16Array.from([...pest.stages.keys(), pest.stages.length], (stage) =>
    stage < pest.stages.length ? stageOf.indexOf(stage) : substages,
  );
  const stride = substages + 1;
  return { pest, substages, stride, length: 2 * stride, stageOf: Uint8Array.from(stageOf), firstOf };
}

/** Fills an array of types from a number for each stage and site, for what is the same in all substages of a stage. */
export function spread(layout: Layout, perStage: (stage: number, site: number) => number): Float64Array {
  const filled = new Float64Array(layout.length);
  for (const site of [OPEN, SHELTERED]) {
    for (let i = 0; i < layout.substages; i++) {
      filled[site * layout.stride + i] = perStage(layout.stageOf[i]!, site);
    }
  }
  return filled;
}

/** Sums an array of types by stage, both sites together. @returns one number for each stage, in the order of life */
export function byStage(layout: Layout, types: Float64Array): Float64Array {
  const sums = new Float64Array(layout.pest.stages.length);
  for (let i = 0; i < layout.substages; i++) {
    sums[layout.stageOf[i]!]! += types[i]! + types[layout.stride + i]!;
  }
  return sums;
}
