import type { ActDone, Fact, Reading, RoomEnding, RoomProgramme, TrapCount } from "@/core/record/facts/facts";
import { idIn } from "@/core/shared/fields";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, today, type Context } from "../../shared/context";
import { warmPlaces, type WarmPlace } from "../placesAsTheyStand";

export interface PlaceView {
  readonly place: WarmPlace;
  /** Other places, onto which its water may drip. */
  readonly others: readonly { readonly id: string; readonly name: string }[];
  readonly readings: readonly Reading[];
  readonly photos: readonly Fact<"placePhoto">[];
  /** Gnats counted there, and the programmes of the room. */
  readonly counts: readonly TrapCount[];
  readonly programmes: readonly RoomProgramme[];
  readonly endings: readonly RoomEnding[];
  /** What was done to the place with all that stands there. */
  readonly acts: readonly ActDone[];
}

/** A place with what is on record of it; null when there is no such place. */
export async function readPlace(context: Context, asked: string): Promise<PlaceView | null> {
  const id = idIn(asked);
  const scope = scopeOf(context, "read");
  const all = id ? await warmPlaces(scope, today(context)) : [];
  const place = all.find((one) => one.id === id);
  if (!place) return null;
  const others = all
    .filter((one) => one.id !== id && one.kind !== "bag")
    .map((one) => ({ id: one.id, name: one.name }));
  const photos = await facts.of(scope, "placePhoto", "placeId", [place.id]);
  const readings = await facts.of(scope, "reading", "placeId", [place.id]);
  return {
    ...{ place, others, readings, photos },
    acts: await facts.of(scope, "act", "placeId", [place.id]),
    counts: await facts.of(scope, "trapCount", "placeId", [place.id]),
    programmes: await facts.of(scope, "roomProgramme", "placeId", [place.id]),
    endings: await facts.of(scope, "roomEnding", "placeId", [place.id]),
  };
}
