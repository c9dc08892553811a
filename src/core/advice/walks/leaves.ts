import { sampleOf } from "../../model/inspection/sampleSize";
import { tools, type ToolId } from "../../model/inspection/tools";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";

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

/** An infested leaf carries about so many small animals on its open side (HOUSE): whoever sees one of them recognises it. */
const ON_A_LEAF = 3;
/** From the least trouble to the most. */
const thorough: readonly ToolId[] = ["eye", "lamp", "loupe"];

export interface LeafSample {
  /** How many leaves to turn; null where not even all of them are enough with this tool. */
  readonly examine: number | null;
  readonly of: number;
  /** The least tool with which a sample is enough, where this one is not; null where it is, or none is. */
  readonly withTool: ToolId | null;
}

/**
 * How many leaves of a big plant to turn, chosen over all of it, to recognise one that is infested with 95 % confidence if one in
 * five is. Null for a plant with so few leaves that every one is looked at, and for forms without leaves to count.
 * Throws RangeError unless the pot is wider than 0 cm.
 * Source: hypergeometric sampling after ISPM 31 (FAO 2008), each infested leaf recognised with the chance that the tool shows one
 * of its animals; leaf counts, the share and the animals on a leaf HOUSE.
 * @example leafSample("uprightShrub", 12, "loupe") // { examine: 13, of: 60, withTool: null }
 */
export function leafSample(form: GrowthFormId, potCm: number, tool: ToolId): LeafSample | null {
  if (!(potCm > 0)) throw new RangeError(`a pot is wider than 0 cm, got ${potCm}`);
  const leaves = Math.round(((leavesPerCm[form] ?? 0) * potCm) / 5) * 5;
  if (leaves < MANY) return null;
  const infested = Math.round(leaves * INFESTED_SHARE);
  const enough = (with_: ToolId) => {
    const efficacy = recognised(with_);
    const examine = sampleOf(leaves, infested, CONFIDENCE, efficacy);
    // All of them examined, each of the infested is still missed with 1 − efficacy.
    return examine < leaves || 1 - (1 - efficacy) ** infested >= CONFIDENCE ? examine : null;
  };
  const examine = enough(tool);
  const withTool = examine === null ? (thorough.find((one) => enough(one) !== null) ?? null) : null;
  return { examine, of: leaves, withTool };
}

/** The chance that an infested leaf is recognised as one. */
function recognised(tool: ToolId): number {
  return 1 - (1 - tools[tool].chance.small[0]) ** ON_A_LEAF;
}
