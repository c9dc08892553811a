import type { Place } from "@/core/facts/records";
import type { PlantCard } from "@/core/state/plantCard";
import { shownState } from "@/core/state/plantState";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { refreshStale } from "./refreshStale";

export interface Bench {
  readonly place: Place;
  readonly plants: readonly PlantCard[];
}

/** A room with what stands in it directly and on its shelves, isolation places and bags. */
export interface RoomOfBenches {
  readonly place: Place;
  readonly benches: readonly Bench[];
}

/** Every place with its plants, as they stand. Bags without a plant are left out. */
export async function readBenches(context: Context): Promise<readonly RoomOfBenches[]> {
  const scope = scopeOf(context);
  await refreshStale(context);
  const [all, listed] = await Promise.all([places.all(scope), plantStates.list(scope)]);
  const cards = new Map<string, PlantCard[]>();
  for (const plant of listed) {
    const there = cards.get(plant.placeId) ?? [];
    there.push(cardOf(context, plant));
    cards.set(plant.placeId, there);
  }
  const bench = (place: Place): Bench => ({ place, plants: cards.get(place.id) ?? [] });
  const within = (id: string): Bench[] =>
    all.filter((place) => place.parentId === id).flatMap((place) => [bench(place), ...within(place.id)]);
  const shown = (b: Bench) => b.place.kind !== "bag" || b.plants.length > 0;
  return all
    .filter((place) => place.parentId === null)
    .map((place) => ({ place, benches: [bench(place), ...within(place.id)].filter(shown) }));
}

/** What stands beside a plant in a list, as of today. */
export function cardOf(context: Context, plant: plantStates.ListedPlant): PlantCard {
  const { id, code, name, placeId, petals, apart, lookDueOn } = plant;
  return { id, code, name, placeId, petals, apart, lookDueOn, state: shownState(plant, today(context)) };
}
