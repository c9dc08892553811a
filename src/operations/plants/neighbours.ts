import type { placeTree } from "@/core/advice/spread/places";
import type { occupantsOf } from "../places/placesAsTheyStand";

/** How many plants stand near, by how near. */
export interface Neighbours {
  readonly touching: number;
  readonly place: number;
  readonly room: number;
}

/** The plants near a plant that stands, or would stand, at a place. Wherever it is put in a row, two of that place touch it. */
export function neighboursAt(
  placeId: string,
  plantId: string,
  occupants: ReturnType<typeof occupantsOf>,
  tree: ReturnType<typeof placeTree>,
): Neighbours {
  let [there, room] = [0, 0];
  for (const one of occupants) {
    if (one.plantId === plantId) continue;
    const passage = tree.between(placeId, one.placeId);
    if (!passage || passage.nearness === "open") continue;
    if (one.placeId === placeId) there++;
    else room++;
  }
  const touching = Math.min(2, there);
  return { touching, place: there - touching, room };
}
