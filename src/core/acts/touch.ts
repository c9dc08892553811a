import { seeChances } from "../model/inspection/see";
import type { ToolId } from "../model/inspection/tools";
import type { Pest, PestId } from "../knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../knowledge/plants/growthForms";
import type { PerSite } from "../model/population/sites";

/** Whether the eye that guides a hand saw any live animal. */
export const seenIds = ["some", "none"] as const;

/** Of the animals seen, so many are hit (HOUSE). */
const HIT_OF_SEEN = 0.98;

/**
 * For each stage the chance that one animal is seen with a tool where the hand goes, and hit: what the eye must guide misses what
 * does not show. What share of the animals sits where the hand goes is not in it.
 */
export function touched(pest: Pest, weights: PestId, form: GrowthFormId, tool: ToolId): PerSite[] {
  return seeChances(pest, weights, form, { tool, spots: spotsOf(form) }).map(
    ([open, sheltered, deep]) => [open * HIT_OF_SEEN, sheltered * HIT_OF_SEEN, deep * HIT_OF_SEEN] as const,
  );
}
