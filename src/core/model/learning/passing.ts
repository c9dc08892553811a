import { expm1, ln, ln1p } from "../../shared/exponential";
import {
  evenInLog,
  factorBefore,
  factorWorth,
  learnedOver,
  logChance,
  normalised,
  NOTHING_TOLD_OF_FACTOR,
  withOthers,
  type FactorWorth,
  type Learned,
} from "./grid";
import { OTHERS_TELL, type NumbersId } from "./reach";

/**
 * A look at a plant in which nothing had shown, and what was expected of it: −ln of the chance that it finds nothing, as far as pests
 * pass from plant to plant here, and as far as they come in any other way.
 */
export interface Expected {
  readonly passed: number;
  readonly other: number;
}

/** What looks were expected to find, and what they found. */
export interface Passing {
  /** Looks in all, and what passing let expect of them. */
  readonly looks: number;
  readonly expected: number;
  /** What passing let expect of those that found nothing: their chances multiply, so that their sum is all that counts. */
  readonly quiet: number;
  readonly found: readonly Expected[];
}

/** The spread of the factor's logarithm beforehand (HOUSE): nobody has measured it on shelves. */
export const PASSING_SPREAD = { mixed: 0.7, mine: 1.2 } as const satisfies Record<Exclude<NumbersId, "ours">, number>;
/** Fewer finds, expected or made, say nothing (HOUSE). */
const FEWEST_FINDS = 2;
const MOST = 20;
const grid = evenInLog(1 / MOST, MOST, 240);

/** Rounding may make nothing of what is next to nothing. */
const LEAST_CHANCE = 1e-9;

/**
 * What a look was expected to find by our own estimate, from the chance that was told, below 1, how much of it was due to passing, and how
 * much more than we suppose was taken to pass. What found something was never quite impossible. @example expectedOf({ pFind: 0.1, pPassed: 1, passes: 1 }).other // 0
 */
export function expectedOf(look: {
  readonly pFind: number;
  readonly pPassed: number;
  readonly passes: number;
}): Expected {
  const all = -ln1p(-Math.max(LEAST_CHANCE, look.pFind));
  return { passed: (all * look.pPassed) / look.passes, other: all * (1 - look.pPassed) };
}

/** How likely each cell of the grid is: `before`, given looks that each count `tells`. */
function densityOver(before: FactorWorth, { quiet, found }: Told, tells: number): readonly number[] {
  const logs = grid.map(
    (factor) =>
      logChance(before, factor) +
      tells * found.reduce((sum, { passed, other }) => sum + ln(-expm1(-(factor * passed + other))), -factor * quiet),
  );
  return normalised(logs);
}

type Told = Pick<Passing, "quiet" | "found">;

/**
 * How much more (above 1) or less passes from plant to plant than we suppose: log-normal with mean 1 beforehand, given looks that found
 * something with 1 − exp(−(factor · passed + other)) and nothing otherwise. A look's chance was reckoned with the looks before it
 * clean, and is taken to be in proportion to the factor, which holds while chances are small. What looks on other keepers' records are worth
 * (`elsewhere`) counts a quarter, and never more than our estimate. RangeError for a spread that is not above 0.
 * Exact on a grid of 240 steps from a twentieth to twenty times.
 */
export function learnedPassing(told: Told, spread: number, elsewhere: FactorWorth = NOTHING_TOLD_OF_FACTOR): Learned {
  return learnedOver(grid, densityOver(withOthers(factorBefore(spread), elsewhere, OTHERS_TELL), told, 1));
}

/** What one look can tell of the logarithm at most: x² / (eˣ − 1) of what was expected, which is never above 0.65 (textbook: Fisher information). */
export const PASSING_TELLS_AT_MOST = 1;
/** The logarithm's mean lies no further from what is supposed: the factor is learned from a twentieth to twenty times. */
export const PASSING_FURTHEST = ln(MOST);

/**
 * What looks are worth to another keeper: the normal density of the factor's logarithm that, counted as others' looks are and put upon
 * ours, leaves the mean and the spread that the looks leave. Against those looks themselves the factor a next keeper begins with is off
 * by less than 2 % (test). @example passingWorth({ looks: 0, expected: 0, quiet: 0, found: [] }) // { precision: 0, pull: 0 }
 */
export function passingWorth(passing: Passing): FactorWorth {
  const before = factorBefore(PASSING_SPREAD.mixed);
  return factorWorth(grid, densityOver(before, passing, OTHERS_TELL), before, {
    tells: OTHERS_TELL,
    most: PASSING_TELLS_AT_MOST * passing.looks,
    furthest: PASSING_FURTHEST,
  });
}

/**
 * The same as the keeper wants it, with what others' looks are worth; null where they want our estimates alone, or too little was
 * expected and found, and nobody else tells of it.
 */
export function passingFrom(
  passing: Passing,
  numbers: NumbersId,
  elsewhere: FactorWorth = NOTHING_TOLD_OF_FACTOR,
): Learned | null {
  const due = passing.found.reduce((sum, { passed, other }) => sum + passed / (passed + other), 0);
  if (numbers === "ours") return null;
  if (Math.max(passing.expected, due) < FEWEST_FINDS && elsewhere.precision === 0) return null;
  return learnedPassing(passing, PASSING_SPREAD[numbers], elsewhere);
}
