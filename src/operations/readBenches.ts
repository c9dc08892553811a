import { groupBy } from "@/core/groupBy";
import type { PlantCard } from "@/core/state/plantCard";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { warmPlaces, type WarmPlace } from "./parts/placesAsTheyStand";
import { cardOf } from "./parts/plantCard";

export interface Bench {
  readonly place: WarmPlace;
  readonly plants: readonly PlantCard[];
}

/** A room with what stands in it directly and on its shelves, isolation places and bags. */
export interface RoomOfBenches {
  readonly place: WarmPlace;
  readonly benches: readonly Bench[];
}

/** Every place with its plants, as they stand. Bags without a plant are left out. */
export async function readBenches(context: Context): Promise<readonly RoomOfBenches[]> {
  const scope = scopeOf(context);
  const day = today(context);
  const all = await warmPlaces(scope, day);
  const cards = groupBy(await plantStates.list(scope), (plant) => plant.placeId);
  const children = groupBy(all, (place) => place.parentId);
  const bench = (place: WarmPlace): Bench => ({
    place,
    plants: (cards.get(place.id) ?? []).map((plant) => cardOf(plant, day)),
  });
  const within = (id: string): Bench[] =>
    (children.get(id) ?? []).flatMap((place) => [bench(place), ...within(place.id)]);
  const shown = (b: Bench) => b.place.kind !== "bag" || b.plants.length > 0;
  return (children.get(null) ?? []).map((place) => ({
    place,
    benches: [bench(place), ...within(place.id)].filter(shown),
  }));
}
