import type { RemedyId } from "../remedies/remedies";
import { measureMl, mL, type Measure, type Millilitres } from "../../units/volume";
import { mixesOf } from "./mixes";
import { potencyAt, strengthOf, TOKEN_POTENCY } from "./potency";

/** What keepers count small amounts in, and what they fill. A bare "spoon" is neither: which one is asked. */
export const amountMeasures = [
  ...(["millilitre", "drop", "metricTeaspoon", "usTeaspoon", "metricTablespoon", "usTablespoon"] as const),
  "usFluidOunce",
] as const satisfies readonly Measure[];
export const vesselMeasures = [
  ...(["millilitre", "litre", "usFluidOunce", "usPint", "usQuart", "usGallon"] as const),
] as const satisfies readonly Measure[];
export type AmountMeasure = (typeof amountMeasures)[number];
export type VesselMeasure = (typeof vesselMeasures)[number];

/** Remedies whose finished mix has a strength that says what it does. */
export const checkedRemedies = ["soap", "oil", "neem", "alcohol"] as const satisfies readonly RemedyId[];
export type CheckedRemedy = (typeof checkedRemedies)[number];

/** What somebody put together. */
export interface PutTogether {
  readonly remedy: CheckedRemedy;
  readonly amount: number;
  readonly measure: AmountMeasure;
  /** How much finished mix it makes. */
  readonly into: number;
  readonly intoMeasure: VesselMeasure;
  /** Of the bottle it came from, 0–1; null where nobody knows. Counts for alcohol only. */
  readonly bottle: number | null;
  /** Millilitres in one drop of the keeper's dropper; a pharmacy drop where left out. */
  readonly dropMl?: number;
  /** What the label of the keeper's own bottle allows in a litre; null where it says nothing. */
  readonly labelMlPerLitre?: number | null;
}

/** How a strength stands to the recipes: next to nothing, below, among, or above them all; or above what the label allows. */
export type StrengthVerdict = "token" | "weak" | "usual" | "strong" | "aboveLabel";

export type Checked =
  | {
      readonly code: "ok";
      readonly amountMl: Millilitres;
      readonly totalMl: Millilitres;
      readonly perLitreMl: number;
      /** In the remedy's own measure (see mixing/potency). */
      readonly strength: number;
      readonly potency: number;
      /** The strength against the recipe that the kill tables hold for: 1 is as strong. */
      readonly ofUsual: number;
      readonly verdict: StrengthVerdict;
    }
  | { readonly code: "bottle_unknown" }
  | { readonly code: "more_than_all" };

/** The strength that the kill tables hold for, in each remedy's own measure (see mixing/potency). */
const FULL: Record<CheckedRemedy, number> = { alcohol: 0.7, soap: 15, oil: 2, neem: 7.5 };

/**
 * How strong a mix is that somebody put together, and what it would do. Alcohol from a bottle of unknown strength, and more of
 * something than there is of the whole, are expected outcomes. Throws RangeError unless amounts are above 0 and the bottle in (0, 1].
 * Source: measures by NIST Handbook 44; what a strength does, see mixing/potency (HOUSE).
 * @example checkMix({ remedy: "neem", amount: 2, measure: "drop", into: 750, intoMeasure: "millilitre", bottle: null }) // a token
 */
export function checkMix(put: PutTogether): Checked {
  const { remedy, amount, into, bottle, labelMlPerLitre = null } = put;
  if (!(amount > 0 && into > 0)) throw new RangeError(`amounts are above 0, got ${amount} in ${into}`);
  if (bottle !== null && !(bottle > 0 && bottle <= 1)) throw new RangeError(`a strength is at most 1, got ${bottle}`);
  if (remedy === "alcohol" && bottle === null) return { code: "bottle_unknown" };
  const one = put.measure === "drop" ? (put.dropMl ?? measureMl.drop) : measureMl[put.measure];
  const amountMl = mL(amount * one);
  const totalMl = mL(into * measureMl[put.intoMeasure]);
  if (amountMl > totalMl) return { code: "more_than_all" };
  const share = amountMl / totalMl;
  const perLitreMl = share * 1000;
  const strength = remedy === "alcohol" ? share * bottle! : remedy === "oil" ? share * 100 : perLitreMl;
  const potency = potencyAt(remedy, strength);
  const recipes = mixesOf(remedy).map(strengthOf);
  const verdict = (): StrengthVerdict => {
    if (labelMlPerLitre !== null && perLitreMl > labelMlPerLitre * ROUNDING) return "aboveLabel";
    if (potency < TOKEN_POTENCY) return "token";
    if (strength < Math.min(...recipes) / ROUNDING) return "weak";
    return strength > Math.max(...recipes) * ROUNDING ? "strong" : "usual";
  };
  const ofUsual = strength / FULL[remedy];
  return { code: "ok", amountMl, totalMl, perLitreMl, strength, potency, ofUsual, verdict: verdict() };
}

/** A spoon is levelled off to so much: within it a recipe counts as kept (HOUSE). */
const ROUNDING = 1.05;

/**
 * A rate as a label gives it, in millilitres a litre. Throws RangeError unless both are above 0.
 * @example perLitreOf(9, "millilitre", 1, "usQuart") // 9.51
 */
export function perLitreOf(amount: number, measure: AmountMeasure, per: number, perMeasure: VesselMeasure): number {
  if (!(amount > 0 && per > 0)) throw new RangeError(`a rate is above 0, got ${amount} in ${per}`);
  return (amount * measureMl[measure] * 1000) / (per * measureMl[perMeasure]);
}

/** What goes together in one can; anything else does not, and bleach goes with nothing (common practice; labels, from memory). */
const together: readonly (readonly [RemedyId, RemedyId])[] = [
  // Soap is what makes oil and water mix.
  ["soap", "oil"],
  ["soap", "neem"],
  // A little soap wets, a few drops of alcohol spread.
  ["alcohol", "soap"],
  ["alcohol", "neem"],
];

/** Whether two remedies may be put into one can; the same one twice may. @example mayShareCan("neem", "soap") // true */
export function mayShareCan(a: RemedyId, b: RemedyId): boolean {
  return a === b || together.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
}
