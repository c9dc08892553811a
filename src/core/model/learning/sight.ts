import { ln } from "../../shared/exponential";
import type { ChancesBeside } from "../inspection/detectionProbability";
import { MOST_SEEN } from "../inspection/see";
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
import { FEWEST_CASES, OTHERS_TELL, type NumbersId } from "./reach";

/** A look that was a chance to see what another look near by found, with our estimates of its chances; `ofSeen` and `otherSees` above 0. */
export interface SightTold extends ChancesBeside {
  /** Whether it saw any. */
  readonly saw: boolean;
  /** How many animals the other look found there, 1 or more. */
  readonly animals: number;
}

/** What looks have told of an eye with a tool: how much of what our estimate sees it sees, 1 where it sees as much. */
export type LearnedSight = Learned;

/** The spread of the factor's logarithm beforehand: our estimate holds firmly, or loosely (HOUSE). */
export const SPREAD = { mixed: 0.35, mine: 0.7 } as const satisfies Record<Exclude<NumbersId, "ours">, number>;
/** Now and then a look passes what is in plain sight, or comes upon what it could hardly see: so many of them say nothing of the eye (HOUSE). */
const CARELESS = 0.05;
/** What all others together tell is never more than so many looks of one's own (HOUSE). */
const OTHERS_MOST = 6;
const STEPS = 240;
const [LEAST, MOST] = [0.1, 6];

/** Factors from a tenth to six times, even in their logarithm: what lies beyond is not to be told from its edge. */
const grid = evenInLog(LEAST, MOST, STEPS);

/**
 * How likely a look sees any of what was there, by an eye that sees `factor` of what ours would. It may see the n that the other look
 * found, and those that it passed as well. Of a colony of unknown size, as likely on any scale, as many were passed as a negative binomial
 * has it (textbook): none is seen with (1 − c)ⁿ · (s / (s + (1 − s) · u))ⁿ, c and u the chances that it sees one that the other has seen and
 * passed, s that the other sees one, as we suppose: one keeper's two tools tell how they compare, and no more. {@link CARELESS} looks tell nothing. Of many found neither seeing some nor passing them tells much.
 * @example sawChance({ animals: 1, ofSeen: 0.6, ofAny: 0.6, otherSees: 1 }, 1) // 0.595
 */
export function sawChance({ animals, ofSeen, ofAny, otherSees }: Omit<SightTold, "saw">, factor: number): number {
  const chance = (of: number) => Math.max(0, Math.min(MOST_SEEN, of));
  const passes = 1 - otherSees;
  const ofPassed = passes > 0 ? chance((factor * (ofAny - otherSees * ofSeen)) / passes) : 0;
  const none = ((1 - chance(factor * ofSeen)) * (otherSees / (otherSees + passes * ofPassed))) ** animals;
  return CARELESS / 2 + (1 - CARELESS) * (1 - none);
}

/** How likely each cell of the grid is: normal in the logarithm beforehand, given looks that count as much as they weigh. */
function densityOver(
  before: FactorWorth,
  evidence: readonly (readonly [look: SightTold, power: number])[],
): readonly number[] {
  const logs = grid.map((factor) =>
    evidence.reduce(
      (sum, [look, power]) => {
        const saw = sawChance(look, factor);
        return sum + power * ln(look.saw ? saw : 1 - saw);
      },
      logChance(before, factor),
    ),
  );
  return normalised(logs);
}

/**
 * The posterior of the factor, log-normal with mean 1 beforehand, given what looks of this eye saw and missed; each of `others` (other tools,
 * other keepers) counts a quarter of a look, all of them together no more than {@link OTHERS_MOST}; what looks on other keepers' records are worth (`elsewhere`) counts a quarter
 * too, and never more than our estimate. Exact on a grid of {@link STEPS} steps. RangeError for a
 * spread that is not above 0. @example learnedSight([], 0.35).mean // 1
 */
export function learnedSight(
  own: readonly SightTold[],
  spread: number,
  others: readonly SightTold[] = [],
  elsewhere: FactorWorth = NOTHING_TOLD_OF_FACTOR,
): LearnedSight {
  const tells = Math.min(OTHERS_TELL, OTHERS_MOST / Math.max(1, others.length));
  const density = densityOver(withOthers(factorBefore(spread), elsewhere, OTHERS_TELL), [
    ...own.map((one) => [one, 1] as const),
    ...others.map((one) => [one, tells] as const),
  ]);
  return learnedOver(grid, density);
}

/** What one look can tell of the logarithm at most: p / (1 − p) where it sees an animal with chance p, which is never above 0.92. */
export const LOOK_TELLS_AT_MOST = 12;
/** The logarithm's mean lies no further from what is supposed: eyes are learned from a tenth on. */
export const FURTHEST = -ln(LEAST);

/**
 * What looks are worth to another keeper: the normal density of the factor's logarithm that, counted as others' looks are and put upon
 * ours, leaves the mean and the spread that the looks leave. Against those looks themselves the factor a next keeper begins with is off by less than 1 % (test).
 * @example sightWorth([]) // { precision: 0, pull: 0 }
 */
export function sightWorth(looks: readonly SightTold[]): FactorWorth {
  const before = factorBefore(SPREAD.mixed);
  const density = densityOver(
    before,
    looks.map((one) => [one, OTHERS_TELL] as const),
  );
  const most = LOOK_TELLS_AT_MOST * looks.length;
  return factorWorth(grid, density, before, { tells: OTHERS_TELL, most, furthest: FURTHEST });
}

/**
 * What an eye's own looks with a tool, a little of all others, and what other keepers' are worth say. Null where the keeper wants ours
 * alone, or there are fewer than three and nobody else's. @example sightFrom([], [], "mixed") // null
 */
export function sightFrom(
  own: readonly SightTold[],
  others: readonly SightTold[],
  numbers: NumbersId,
  elsewhere: FactorWorth = NOTHING_TOLD_OF_FACTOR,
): LearnedSight | null {
  if (numbers === "ours") return null;
  if (own.length + OTHERS_TELL * others.length < FEWEST_CASES && elsewhere.precision === 0) return null;
  return learnedSight(own, SPREAD[numbers], others, elsewhere);
}
