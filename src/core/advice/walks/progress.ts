import { nothingFound, walkOrder, type FoundOnWalk, type WalkPlant } from "./order";

/** What was done with one plant on a walk; ids are in the order in which they were made. */
export interface WalkEvent {
  readonly id: string;
  readonly plantId: string;
  readonly kind: "clean" | "found" | "skipped";
  /** Milliseconds since 1970. */
  readonly atMs: number;
}

/** The moment at which an id of version 7 was made, ms since 1970: looks themselves are told to the minute. Source: RFC 9562, 5.7. */
export const madeAtMs = (id: string): number => parseInt(id.replaceAll("-", "").slice(0, 12), 16);

export interface Progress<T extends WalkPlant> {
  /** In the order in which it was done; plants that the walk does not hold are left out. */
  readonly done: readonly { readonly plant: T; readonly event: WalkEvent }[];
  /** In the order in which to go on. */
  readonly toGo: readonly T[];
  readonly found: FoundOnWalk;
  /** The plant that was looked at or skipped last. */
  readonly last: T | null;
}

/**
 * Where a walk stands after these events: the same on every device, whatever the order in which the events arrived. Each find
 * puts what is still to come in a new order, beginning from where it was made. Of the events of
 * a plant the first look counts, and a skip only where nobody looked.
 * @example progressOf(plants, placeIds, []).toGo[0] // the first plant to look at
 */
export function progressOf<T extends WalkPlant>(
  plants: readonly T[],
  placeIds: readonly string[],
  events: readonly WalkEvent[],
): Progress<T> {
  const byId = new Map(plants.map((plant) => [plant.id, plant]));
  const done = new Map<string, { plant: T; event: WalkEvent }>();
  let found = nothingFound;
  let order = walkOrder(plants, placeIds);
  for (const event of events.toSorted((a, b) => (a.id < b.id ? -1 : 1))) {
    const plant = byId.get(event.plantId);
    if (!plant) continue;
    const before = done.get(plant.id);
    if (before && (before.event.kind !== "skipped" || event.kind === "skipped")) continue;
    done.set(plant.id, { plant, event });
    if (event.kind !== "found") continue;
    found = {
      plantIds: new Set([...found.plantIds, plant.id]),
      placeIds: new Set([...found.placeIds, plant.placeId]),
    };
    order = walkOrder(
      order.filter((one) => !done.has(one.id)),
      placeIds,
      found,
      plant.placeId,
    );
  }
  const all = [...done.values()];
  return { done: all, toGo: order.filter((plant) => !done.has(plant.id)), found, last: all.at(-1)?.plant ?? null };
}
