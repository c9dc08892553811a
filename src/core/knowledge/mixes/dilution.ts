import { mL, type Millilitres } from "../../units/volume";

/**
 * Volume of stock needed so that `total` of mix has `strength`, both strengths as shares by volume (0–1).
 * C₁V₁ = C₂V₂; the small contraction on mixing alcohol with water is ignored.
 * Throws RangeError unless 0 < strength ≤ stockStrength ≤ 1. Source: the dilution equation of any chemistry primer.
 * @example stockFor(mL(500), 0.7, 0.99) // 353.5 mL
 */
export function stockFor(total: Millilitres, strength: number, stockStrength: number): Millilitres {
  if (!(strength > 0 && strength <= stockStrength && stockStrength <= 1)) {
    throw new RangeError(`cannot make ${strength} from ${stockStrength}`);
  }
  // A bottle of just that strength is poured as it is; by rounding no other comes out as more than all.
  return strength === stockStrength ? total : mL(Math.min(total, (total * strength) / stockStrength));
}

/** What remains of `total` after `part` is taken from it. Throws RangeError when `part` is the larger. */
export function rest(total: Millilitres, part: Millilitres): Millilitres {
  return mL(total - part);
}
