import { phaseOf, type Pest, type PestId } from "../../knowledge/pests/pests";
import type { PerSite } from "../population/sites";

/** Each feeding animal marks a leaf that opens beside it with this chance (HOUSE). */
const MARKED = 0.08;
/** Pests whose feeding shows on the leaf that opens beside them. */
const marking: readonly PestId[] = ["spiderMite", "thrips", "aphid", "mealybug"];

/** Whether clean new leaves say anything about a pest. */
export function marksNewLeaves(pest: PestId): boolean {
  return marking.includes(pest);
}

/**
 * New growth as a look: for each stage the chance that one animal would have marked one of `leaves` new leaves that carry no
 * mark, at all sites alike: 1 − (1 − .08)^n for those that feed.
 * @example unmarked(pests.spiderMite, 3)[1] // [0.22, 0.22, 0.22]
 */
export function unmarked(pest: Pest, leaves: number): PerSite[] {
  const chance = 1 - (1 - MARKED) ** leaves;
  return pest.stages.map((stage) => {
    const feeds = stage.where === "foliage" && phaseOf(stage) !== "egg";
    return feeds ? [chance, chance, chance] : [0, 0, 0];
  });
}
