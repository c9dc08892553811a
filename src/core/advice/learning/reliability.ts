import { countedOf, FEWEST_COUNTED, type Counted } from "./span";

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
  /** Whether what came is further from what was told than chance explains; of a few nobody can say. */
  readonly off: "tooSure" | "tooCautious" | "tooFew" | null;
}

/** Where chances told at closing are cut; nine in ten and nineteen in twenty are what keepers close by. */
const CLOSING_CUTS = [0, 0.5, 0.8, 0.9, 0.95, 0.99, 1];
/** Where the chances that the looks after a plan are clean are cut. */
export const PLAN_CUTS: readonly number[] = [0, 0.2, 0.4, 0.6, 0.8, 0.9, 1];
/** Where the chances that a look finds something are cut: most are small. */
export const LOOK_CUTS: readonly number[] = [0, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1];

/** What happens less often than that by chance is not put down to it (the usual one in twenty). */
const BY_CHANCE = 0.05;

/** How likely so many of independent chances come true, for none up to all of them (the Poisson binomial). @example countsOf([0.5, 0.5]) // [0.25, 0.5, 0.25] */
export function countsOf(chances: readonly number[]): readonly number[] {
  return chances.reduce<readonly number[]>(
    (counts, p) => [...counts, 0].map((same, n) => same * (1 - p) + (n > 0 ? counts[n - 1]! * p : 0)),
    [1],
  );
}

/** Whether so many of the chances that were told came true as chance alone would hardly have it. */
function offBy(chances: readonly number[], came: number): ToldBetween["off"] {
  if (chances.length < FEWEST_COUNTED) return "tooFew";
  const sum = (some: readonly number[]) => some.reduce((total, one) => total + one, 0);
  const counts = countsOf(chances);
  if (sum(counts.slice(0, came + 1)) < BY_CHANCE) return "tooSure";
  return sum(counts.slice(came)) < BY_CHANCE ? "tooCautious" : null;
}

/**
 * How often chances came true, between cuts that ascend from 0 to 1, those of closings where left out; those between which nothing was told
 * are left out. A bound belongs to the part above it. Throws RangeError for a chance outside 0–1.
 * @example reliabilityOf([{ p: 0.97, came: true }])[0].came.hits // 1
 */
export function reliabilityOf(
  all: readonly ToldAndTrue[],
  cuts: readonly number[] = CLOSING_CUTS,
): readonly ToldBetween[] {
  for (const { p } of all) if (!(p >= 0 && p <= 1)) throw new RangeError(`a chance is 0 to 1, got ${p}`);
  return cuts.slice(1).flatMap((until, i): ToldBetween[] => {
    const from = cuts[i]!;
    const some = all.filter(({ p }) => p >= from && (p < until || (until === 1 && p === 1)));
    if (some.length === 0) return [];
    const told = some.reduce((sum, { p }) => sum + p, 0) / some.length;
    const came = countedOf(some.filter(({ came: did }) => did).length, some.length);
    const off = offBy(
      some.map(({ p }) => p),
      came.hits,
    );
    return [{ from, until, told, came, off }];
  });
}
