import { exp, ln } from "../../shared/exponential";
import { MOST_SEEN } from "../inspection/see";
import { FEWEST_CASES, OTHERS_TELL, type NumbersId } from "./reach";

/** A look that was a chance to see what another look near by found. */
export interface SightTold {
  /** Whether it saw any. */
  readonly saw: boolean;
  /** How many animals the other look found there, 1 or more. */
  readonly animals: number;
  /** Our estimate of the chance that one of them is seen by this look, above 0 to 1. */
  readonly chance: number;
}

/** What looks have told of an eye with a tool: how much of what our estimate sees it sees, 1 where it sees as much. */
export interface LearnedSight {
  /** The posterior mean. */
  readonly mean: number;
  /** Bounds within which the true factor lies four times in five. */
  readonly low: number;
  readonly high: number;
}

/** The spread of the factor's logarithm beforehand: our estimate holds firmly, or loosely (HOUSE). */
export const SPREAD = { mixed: 0.35, mine: 0.7 } as const satisfies Record<Exclude<NumbersId, "ours">, number>;
/** Now and then a look passes what is in plain sight: nobody's eye is told by one of those (HOUSE). */
const CARELESS = 0.05;
/** Animals sit together: more than so many are no more chances to be seen than so many (HOUSE). */
const COLONY = 5;
/** What all others together tell is never more than so many looks of one's own (HOUSE). */
const OTHERS_MOST = 6;
const STEPS = 240;
const [LEAST, MOST] = [0.1, 6];

/** Factors from a tenth to six times, even in their logarithm: what lies beyond is not to be told from its edge. */
const grid = Array.from({ length: STEPS }, (_, i) => LEAST * (MOST / LEAST) ** ((i + 0.5) / STEPS));

/**
 * How likely a look sees any of what was there, by an eye that sees `factor` of what ours would: 0.95 · (1 − (1 − factor · chance)ⁿ), n no
 * more than {@link COLONY}. @example sawChance({ animals: 1, chance: 0.6 }, 1) // 0.57
 */
export function sawChance({ animals, chance }: Pick<SightTold, "animals" | "chance">, factor: number): number {
  const one = Math.min(MOST_SEEN, factor * chance);
  return (1 - CARELESS) * (1 - (1 - one) ** Math.min(COLONY, animals));
}

/**
 * The posterior of the factor, log-normal with mean 1 beforehand, given what looks of this eye saw and missed; each of `others` (other tools,
 * other keepers) counts a quarter of a look, all of them together no more than {@link OTHERS_MOST}. Exact on a grid of {@link STEPS} steps. RangeError for a
 * spread that is not above 0. @example learnedSight([], 0.35).mean // 1
 */
export function learnedSight(
  own: readonly SightTold[],
  spread: number,
  others: readonly SightTold[] = [],
): LearnedSight {
  if (!(spread > 0)) throw new RangeError(`a spread above 0 is needed, got ${spread}`);
  const tells = Math.min(OTHERS_TELL, OTHERS_MOST / Math.max(1, others.length));
  const told = [...own.map((one) => [one, 1] as const), ...others.map((one) => [one, tells] as const)];
  const logs = grid.map((factor) =>
    told.reduce(
      (sum, [look, power]) => {
        const saw = sawChance(look, factor);
        return sum + power * ln(look.saw ? saw : 1 - saw);
      },
      -((ln(factor) + spread ** 2 / 2) ** 2) / (2 * spread ** 2),
    ),
  );
  const most = Math.max(...logs);
  const density = logs.map((log) => exp(log - most));
  const all = density.reduce((sum, d) => sum + d, 0);
  const within = (share: number) => {
    let sum = 0;
    return grid[density.findIndex((d) => (sum += d / all) >= share)] ?? MOST;
  };
  return {
    mean: density.reduce((sum, d, i) => sum + d * grid[i]!, 0) / all,
    low: within(0.1),
    high: within(0.9),
  };
}

/**
 * What an eye's own looks with a tool, and a little of all others, say. Null where the keeper wants ours alone, or there are fewer than
 * three. @example sightFrom([], [], "mixed") // null
 */
export function sightFrom(
  own: readonly SightTold[],
  others: readonly SightTold[],
  numbers: NumbersId,
): LearnedSight | null {
  if (numbers === "ours" || own.length + OTHERS_TELL * others.length < FEWEST_CASES) return null;
  return learnedSight(own, SPREAD[numbers], others);
}
