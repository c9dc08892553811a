import type { Place } from "@/core/facts/records";
import type { Scope } from "@/db/connection";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";

export interface StandingPlace extends Pick<Place, "id" | "name" | "kind" | "meanC"> {
  /** Codes of every plant that stands there now. */
  readonly codes: readonly string[];
}

/** Rooms in their order, in each its shelves and isolation places, with the plants that stand there. */
export async function placesAsTheyStand(scope: Scope): Promise<StandingPlace[]> {
  const all = await places.all(scope);
  const codes = new Map<string, string[]>();
  for (const plant of await plantStates.list(scope))
    codes.set(plant.placeId, [...(codes.get(plant.placeId) ?? []), plant.code]);
  const within = (parentId: string | null): Place[] =>
    all.filter((place) => place.parentId === parentId).flatMap((place) => [place, ...within(place.id)]);
  return within(null).map(({ id, name, kind, meanC }) => ({ id, name, kind, meanC, codes: codes.get(id) ?? [] }));
}
