import { suspectIds, type SuspectId } from "../../knowledge/signs/suspects";
import type { Priors } from "./priors";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { showsOfItself } from "../../knowledge/signs/lookAlikes";
import { likelihoodOf, likelihoods, signIds, type Observations, type SignId } from "../../knowledge/signs/signs";

/**
 * Several pests at once are possible, so that the hypotheses are all sets of pests, the empty set among them: 2,048 of them,
 * each a bit mask with the bits in the order of `suspectIds`.
 */
const SETS = 2 ** suspectIds.length;

export interface Posterior {
  /** The probability of every set of pests, and last that of something else; sums to 1. */
  readonly sets: Float64Array;
  /** The probability that the pest is there, alone or with others. */
  readonly of: Readonly<Record<SuspectId, number>>;
  /** The probability that none of them is there, and nothing else that harms. */
  readonly none: number;
  /** The probability of something else: none of these pests, and yet something that shows in signs. */
  readonly other: number;
}

/**
 * The chance that a sign is there with exactly these pests: each pest shows it or not without regard to the others
 * (noisy-or), and without any pest it has the chance it has on a healthy plant; never less than a leak, since every sign has causes of
 * which nobody thinks.
 * Source: noisy-or, J. Pearl, Probabilistic Reasoning in Intelligent Systems, 1988, section 4.3.2.
 */
const LEAK = 0.01;
/** Of so many plants something is wrong that is none of these pests, and so often it shows each of the signs (HOUSE). */
const OTHER = 0.03;
const OTHER_SHOWS = 0.1;

const chanceBySet: Readonly<Record<SignId, Float64Array>> = Object.fromEntries(
  signIds.map((sign) => {
    const byPest = suspectIds.map((pest) => 1 - likelihoodOf(sign, pest));
    const chances = Float64Array.from({ length: SETS + 1 }, (_, set) => {
      if (set === SETS) return OTHER_SHOWS;
      if (set === 0) return Math.max(LEAK, likelihoodOf(sign, null));
      return Math.max(LEAK, 1 - byPest.reduce((miss, m, bit) => (set & (1 << bit) ? miss * m : miss), 1));
    });
    return [sign, chances];
  }),
) as Record<SignId, Float64Array>;

/** The same where the plant itself shows the sign sometimes. */
const withNature = (chances: Float64Array) => chances.map((p) => 1 - (1 - p) * (1 - likelihoods.s));

/** For every set of pests the chance, 0–1, that the sign is there; index 0 is no pest at all, the last something else. */
export const chancesOf = (sign: SignId): Float64Array => chanceBySet[sign];

/**
 * What the signs say: naive Bayes over all sets of pests. Signs not looked for say nothing.
 * `priors` are probabilities above 0 and below 1; throws RangeError for others. What a healthy plant of the form makes itself is a
 * cause of its own: it stands there beside any pest as well.
 * Source: Bayes' rule; the independence of signs given the pests is the usual simplification.
 * @example posteriorOf(priors, { webbing: "present", stippling: "present" }).of.spiderMite // ≈ 0.95
 */
export function posteriorOf(priors: Priors, observed: Observations, form: GrowthFormId | null = null): Posterior {
  for (const pest of suspectIds)
    if (!(priors[pest] > 0 && priors[pest] < 1)) throw new RangeError(`the prior of ${pest} must be between 0 and 1`);
  const alone = (set: number) =>
    suspectIds.reduce((p, pest, bit) => p * (set & (1 << bit) ? priors[pest] : 1 - priors[pest]), 1);
  const prior = Float64Array.from({ length: SETS + 1 }, (_, set) => (set === SETS ? OTHER : (1 - OTHER) * alone(set)));
  const sets = signIds.reduce<Float64Array>((p, sign) => {
    const seen = observed[sign];
    if (seen === undefined) return p;
    const chances = chancesOf(sign);
    return updated(p, form !== null && showsOfItself(sign, form) ? withNature(chances) : chances, seen);
  }, prior);
  const of = suspectIds.map((pest, bit) => [pest, sets.reduce((sum, p, set) => (set & (1 << bit) ? sum + p : sum), 0)]);
  return { sets, of: Object.fromEntries(of) as Record<SuspectId, number>, none: sets[0]!, other: sets[SETS]! };
}

/**
 * Bayes' rule for one sign: the probabilities `p` of hypotheses that exclude each other, after a sign has been seen that each
 * shows with its chance, or has been looked for and not seen. Sums to 1; throws RangeError when no hypothesis is left.
 * @example updated([0.01, 0.99], [0.792, 0.096], "present")[0] // 0.077
 */
export function updated(p: Float64Array, chances: Float64Array, seen: "present" | "absent"): Float64Array {
  const joint = p.map((prior, i) => prior * (seen === "present" ? chances[i]! : 1 - chances[i]!));
  const total = joint.reduce((sum, one) => sum + one, 0);
  if (!(total > 0)) throw new RangeError("no hypothesis explains this sign");
  return joint.map((one) => one / total);
}
