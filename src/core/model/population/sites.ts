/**
 * Where an animal sits on the plant: on open spots, sheltered, or deep, where no brush and no spray comes, however often: a miss
 * there repeats itself. In this order in every triple.
 */
export const SITES = 3;
/** The index of the deep places. */
export const DEEP = 2;

/** Three numbers: for open, for sheltered and for deep places. */
export type PerSite = readonly [open: number, sheltered: number, deep: number];

/** Nothing at any site. */
export const NOWHERE: PerSite = [0, 0, 0];

/** Where the animals can go: what share of the hiding places is sheltered, what share of that deep, and how briskly they walk. */
export interface Sites {
  /** 0–1, deep places among them. */
  readonly shelteredShare: number;
  /** The share of the sheltered ones that is deep, 0–1. */
  readonly deepShare: number;
  /** Changes of place a day of an animal that moves, at least 0. */
  readonly mixPerDay: number;
}

/** Changes of place a day where nothing else is known (HOUSE). */
export const MIX_PER_DAY = 0.2;

/** The sites' own shares of the hiding places; they sum to 1. @example sharesOf({ shelteredShare: 0.5, deepShare: 0.2, … }) // [0.5, 0.4, 0.1] */
export function sharesOf({ shelteredShare: s, deepShare: d }: Sites): PerSite {
  return [1 - s, s * (1 - d), s * d];
}
