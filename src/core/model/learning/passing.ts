import { expm1, ln, ln1p } from "../../shared/exponential";
import { evenInLog, learnedOver, normalised, type Learned } from "./grid";
import type { NumbersId } from "./reach";

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
const grid = evenInLog(0.05, 20, 240);

/** Rounding may make nothing of what is next to nothing. */
const LEAST_CHANCE = 1e-9;

/**
 * What a look was expected to find by our own estimate, from the chance that was told, below 1, how much of it was due to passing, and how
 * much more than we suppose was taken to pass. What found something was never quite impossible. @example expectedOf({ pFind: 0.1, pPassed: 1, passes: 1 }).other // 0
 */
export function expectedOf(told: {
  readonly pFind: number;
  readonly pPassed: number;
  readonly passes: number;
}): Expected {
  const all = -ln1p(-Math.max(LEAST_CHANCE, told.pFind));
  return { passed: (all * told.pPassed) / told.passes, other: all * (1 - told.pPassed) };
}

/**
 * How much more (above 1) or less passes from plant to plant than we suppose: log-normal with mean 1 beforehand, given looks that found
 * something with 1 − exp(−(factor · passed + other)) and nothing otherwise. A look's chance was reckoned with the looks before it
 * clean, and is taken to be in proportion to the factor, which holds while chances are small. RangeError for a spread that is not above 0.
 * Exact on a grid of 240 steps from a twentieth to twenty times.
 */
export function learnedPassing({ quiet, found }: Pick<Passing, "quiet" | "found">, spread: number): Learned {
  if (!(spread > 0)) throw new RangeError(`a spread above 0 is needed, got ${spread}`);
  const logs = grid.map((factor) => {
    const before = -((ln(factor) + spread ** 2 / 2) ** 2) / (2 * spread ** 2);
    return found.reduce(
      (sum, { passed, other }) => sum + ln(-expm1(-(factor * passed + other))),
      before - factor * quiet,
    );
  });
  return learnedOver(grid, normalised(logs));
}

/** The same as the keeper wants it; null where they want our estimates alone, or too little was expected and found. */
export function passingFrom(passing: Passing, numbers: NumbersId): Learned | null {
  const due = passing.found.reduce((sum, { passed, other }) => sum + passed / (passed + other), 0);
  if (numbers === "ours" || Math.max(passing.expected, due) < FEWEST_FINDS) return null;
  return learnedPassing(passing, PASSING_SPREAD[numbers]);
}
