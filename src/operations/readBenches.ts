import { groupBy } from "@/core/groupBy";
import type { PlantCard } from "@/core/state/plantCard";
import { together } from "@/db/query";
import * as placePhotos from "@/db/stores/placePhotos";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { stateShown } from "./parts/plantCard";
import { warmPlaces, type WarmPlace } from "./parts/placesAsTheyStand";

/** A plant as it stands on its shelf. */
type OnBench = Omit<plantStates.BenchRow, "state"> & Pick<PlantCard, "state">;

export interface Bench {
  readonly place: WarmPlace;
  /** From left to right. */
  readonly plants: readonly OnBench[];
  /** The newest photo of it; null for none. */
  readonly photoId: string | null;
}

/** A room with what stands in it directly and on its shelves, isolation places and bags. */
export interface RoomOfBenches {
  readonly place: WarmPlace;
  readonly benches: readonly Bench[];
}

/** Every place with its plants, as they stand. Bags without a plant are left out. */
export async function readBenches(context: Context): Promise<readonly RoomOfBenches[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [all, rows, newest] = await together(
    scope,
    () => warmPlaces(scope, day),
    () => plantStates.asTheyStand(scope),
    () => placePhotos.newest(scope),
  );
  const standing = groupBy(rows, (plant) => plant.placeId);
  const children = groupBy(all, (place) => place.parentId);
  const photos = new Map(newest.map(({ placeId, id }) => [placeId, id]));
  const bench = (place: WarmPlace): Bench => ({
    place,
    photoId: photos.get(place.id) ?? null,
    plants: (standing.get(place.id) ?? []).map((row) => ({ ...row, state: stateShown(row, day) })),
  });
  const within = (id: string): Bench[] =>
    (children.get(id) ?? []).flatMap((place) => [bench(place), ...within(place.id)]);
  const shown = (b: Bench) => b.place.kind !== "bag" || b.plants.length > 0;
  return (children.get(null) ?? []).map((place) => ({
    place,
    benches: [bench(place), ...within(place.id)].filter(shown),
  }));
}
