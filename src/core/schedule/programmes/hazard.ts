import type { PlantRecord } from "../../record/cases/record";
import type { PestId } from "../../knowledge/pests/pests";
import { proneTo } from "../../knowledge/plants/care";

/** Why a pest is likelier to come back to this plant than to another. */
export const hazardIds = ["prone", "returned", "blooming", "outdoors", "beside"] as const;
export type HazardId = (typeof hazardIds)[number];

/** What each multiplies the odds of a return by (HOUSE); the kind as where pests are named. */
const factors: Readonly<Record<HazardId, number>> = {
  prone: 1.6,
  returned: 1.8,
  blooming: 1.4,
  outdoors: 1.5,
  beside: 1.3,
};

export interface Hazard {
  /** Against a plant of which nothing speaks; 1 or more. */
  readonly factor: number;
  readonly why: readonly HazardId[];
}

/**
 * How much likelier a pest is to come back to a plant: a kind that is prone to it, a record on which it has come back before,
 * flowers and buds for mealybugs and aphids, a place out of doors, a case beside it since. Source: common practice; factors HOUSE.
 */
export function hazardOf(
  { plant, cases, outdoors, exposures }: Pick<PlantRecord, "plant" | "cases" | "outdoors" | "exposures">,
  pest: PestId,
): Hazard {
  const before = cases.filter((one) => one.pest === pest);
  const blooms = pest === "mealybug" || pest === "aphid";
  const last = before.at(-1)?.closing?.day;
  const speaks: Readonly<Record<HazardId, boolean>> = {
    prone: proneTo(plant.genus).includes(pest),
    returned: before.length > 1,
    blooming: blooms && (plant.inBud || plant.inFlower),
    outdoors,
    beside: last !== undefined && exposures.some((one) => one.pest === pest && one.day > last),
  };
  const why = hazardIds.filter((id) => speaks[id]);
  return { factor: why.reduce((product, id) => product * factors[id], 1), why };
}
