import { placeOrder } from "@/core/record/facts/placeOrder";
import { groupBy } from "@/core/shared/groupBy";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { inParallel } from "@/db/query";
import * as placePhotos from "@/db/stores/places/placePhotos";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { stateShown } from "../../plants/plantCard";
import { warmPlaces, type WarmPlace } from "../placesAsTheyStand";

/** A plant as it stands on its shelf. */
type OnBench = Omit<plantStates.BenchRow, "state"> & Pick<PlantCard, "state">;

export interface Bench {
  readonly place: WarmPlace;
  /** How many plants stand there. */
  readonly count: number;
  /** From left to right; none where they were not asked for. */
  readonly plants: readonly OnBench[];
  /** The newest photo of it; null for none. */
  readonly photoId: string | null;
}

/** A room with what stands in it directly and on its shelves, isolation places and bags. */
export interface RoomOfBenches {
  readonly place: WarmPlace;
  readonly benches: readonly Bench[];
}

/**
 * Every place with its plants, as they stand. Bags without a plant are left out. Of many plants the places are filled in their order
 * until `atFirst` plants are reached; the ones behind come without.
 */
export async function readBenches(context: Context, atFirst = Infinity): Promise<readonly RoomOfBenches[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [all, counted, newest] = await inParallel(
    scope,
    () => warmPlaces(scope, day),
    () => plantStates.countByPlace(scope),
    () => placePhotos.newest(scope),
  );
  const { within, outermost } = placeOrder(all);
  const counts = new Map(counted.map(({ placeId, plants }) => [placeId, plants]));
  const photos = new Map(newest.map(({ placeId, id }) => [placeId, id]));
  const countOf = ({ id }: WarmPlace) => counts.get(id) ?? 0;
  const rooms = outermost.map((room) => ({
    room,
    places: within(room.id).filter((place) => place.kind !== "bag" || countOf(place) > 0),
  }));
  const places = rooms.flatMap((one) => one.places);
  const asked = atFirst === Infinity ? null : firstOf(places, countOf, atFirst).map(({ id }) => id);
  const rows = await plantStates.asTheyStand(scope, asked);
  const standing = groupBy(rows, (plant) => plant.placeId);
  const bench = (place: WarmPlace): Bench => ({
    place,
    photoId: photos.get(place.id) ?? null,
    count: countOf(place),
    plants: (standing.get(place.id) ?? []).map((row) => ({ ...row, state: stateShown(row, day) })),
  });
  return rooms.map(({ room, places }) => ({ place: room, benches: places.map(bench) }));
}

/** As many from the front as hold `most` together. */
function firstOf<T>(all: readonly T[], countOf: (one: T) => number, most: number): readonly T[] {
  let sum = 0;
  return all.filter((one) => {
    const within = sum < most;
    sum += countOf(one);
    return within;
  });
}
