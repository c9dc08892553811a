import { sampleOf } from "../inspection/sampleSize";
import type { GrowthFormId } from "../plants/growthForms";

/** About how many leaves a plant has for each centimetre of its pot; forms without leaves to count are left out (HOUSE). */
const leavesPerCm: Partial<Record<GrowthFormId, number>> = {
  caudexSucculent: 3,
  climbingAroid: 0.8,
  trailingVine: 4,
  clumpingFoliage: 1.5,
  uprightShrub: 5,
  palm: 1.2,
  fern: 3,
  softHerb: 3,
};

/** Fewer leaves than this are looked at one by one. */
const MANY = 25;
/** The share of leaves that carry the pest when a sample is to find it, and how surely (HOUSE). */
const INFESTED_SHARE = 0.2;
const CONFIDENCE = 0.95;

export interface LeafSample {
  readonly examine: number;
  readonly of: number;
}

/**
 * How many leaves of a big plant to turn, chosen over all of it, to see one that is infested with 95 % confidence if one in
 * five is. Null for a plant with so few leaves that every one is looked at, and for forms without leaves to count.
 * Throws RangeError unless the pot is wider than 0 cm.
 * Source: hypergeometric sampling after ISPM 31 (FAO 2008); leaf counts and the share HOUSE.
 * @example leafSample("uprightShrub", 12) // { examine: 12, of: 60 }
 */
export function leafSample(form: GrowthFormId, potCm: number): LeafSample | null {
  if (!(potCm > 0)) throw new RangeError(`a pot is wider than 0 cm, got ${potCm}`);
  const leaves = Math.round(((leavesPerCm[form] ?? 0) * potCm) / 5) * 5;
  if (leaves < MANY) return null;
  return { examine: sampleOf(leaves, Math.round(leaves * INFESTED_SHARE), CONFIDENCE), of: leaves };
}
