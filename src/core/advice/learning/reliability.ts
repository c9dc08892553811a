import { countedOf, type Counted } from "./span";

/** A chance that was told, and what came. */
export interface ToldAndTrue {
  readonly p: number;
  readonly came: boolean;
}

/** Chances told between two bounds, beside how often they came true. */
export interface ToldBetween {
  readonly from: number;
  readonly until: number;
  /** The mean of what was told. */
  readonly told: number;
  readonly came: Counted;
  /** Whether what came is further from what was told than chance explains. */
  readonly off: "tooSure" | "tooCautious" | null;
}

/** Where what is told is cut; nine in ten and nineteen in twenty are what keepers close by. */
const CUTS = [0, 0.5, 0.8, 0.9, 0.95, 0.99, 1] as const;

/**
 * How often chances came true, between the cuts 0.5, 0.8, 0.9, 0.95 and 0.99; those between which nothing was told are left out. A bound
 * belongs to the part above it. Throws RangeError for a chance outside 0–1.
 * @example reliabilityOf([{ p: 0.97, came: true }])[0].came.hits // 1
 */
export function reliabilityOf(all: readonly ToldAndTrue[]): readonly ToldBetween[] {
  for (const { p } of all) if (!(p >= 0 && p <= 1)) throw new RangeError(`a chance is 0 to 1, got ${p}`);
  return CUTS.slice(1).flatMap((until, i): ToldBetween[] => {
    const from = CUTS[i]!;
    const some = all.filter(({ p }) => p >= from && (p < until || (until === 1 && p === 1)));
    if (some.length === 0) return [];
    const told = some.reduce((sum, { p }) => sum + p, 0) / some.length;
    const came = countedOf(some.filter(({ came: did }) => did).length, some.length);
    return [{ from, until, told, came, off: told > came.high ? "tooSure" : told < came.low ? "tooCautious" : null }];
  });
}
