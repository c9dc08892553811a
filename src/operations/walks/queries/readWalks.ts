import { placeOrder } from "@/core/record/facts/placeOrder";
import type { Place } from "@/core/record/facts/descriptions";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as walks from "@/db/stores/walks/walks";
import { scopeOf, today, type Context } from "../../shared/context";

export type { WalkInShort } from "@/db/stores/walks/walks";

export interface WalksView {
  /** Begun and not ended, newest first. */
  readonly unfinished: readonly walks.WalkInShort[];
  readonly ended: readonly walks.WalkInShort[];
  /** Places with plants in or within them, and how many. */
  readonly places: readonly { readonly place: Place; readonly plants: number }[];
  readonly due: number;
  readonly everything: number;
  readonly arrivals: number;
}

const SHOWN = 12;

/** What can be walked now, and the walks begun before. */
export async function readWalks(context: Context): Promise<WalksView> {
  const scope = scopeOf(context, "see");
  const lately = await walks.lately(scope, SHOWN);
  const all = await places.all(scope);
  const counts = new Map<string, number>();
  const { outwards } = placeOrder(all);
  for (const { placeId, plants } of await plantStates.countByPlace(scope))
    for (const { id } of outwards(placeId)) counts.set(id, (counts.get(id) ?? 0) + plants);
  return {
    unfinished: lately.filter((walk) => walk.endedAt === null),
    ended: lately.filter((walk) => walk.endedAt !== null),
    places: all
      .map((place) => ({ place, plants: counts.get(place.id) ?? 0 }))
      .filter(({ place, plants: n }) => n > 0 && place.kind !== "bag"),
    ...(await plantStates.count(scope, today(context))),
  };
}
