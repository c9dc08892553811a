/** A place as far as it stands in another. */
interface Nested {
  readonly id: string;
  readonly parentId: string | null;
  /** How high its board is; those of unknown height come last. */
  readonly heightCm?: number | null;
}

/**
 * How places stand in each other. The one walk over parents there is: a place that were within itself, which the database takes from
 * nobody, is walked once and no further.
 */
export interface PlaceOrder<P extends Nested> {
  /** The place itself and everything it stands in, outwards; empty for one that is not known. */
  readonly outwards: (id: string) => readonly P[];
  /** The place itself and everything that stands in it, each before what stands in it: the upper boards before the lower ones, and those of one height in the order of the list. */
  readonly within: (id: string) => readonly P[];
  /** Those that stand in no other, or in one that is not known. */
  readonly outermost: readonly P[];
}

/** @example placeOrder([{ id: "room", parentId: null }, { id: "shelf", parentId: "room" }]).outwards("shelf").length // 2 */
export function placeOrder<P extends Nested>(places: readonly P[]): PlaceOrder<P> {
  const byId = new Map(places.map((place) => [place.id, place]));
  const children = new Map<string, P[]>();
  for (const place of places) {
    if (place.parentId === null || !byId.has(place.parentId)) continue;
    const there = children.get(place.parentId);
    if (there) there.push(place);
    else children.set(place.parentId, [place]);
  }
  const height = ({ heightCm }: P) => heightCm ?? -1;
  for (const there of children.values()) there.sort((a, b) => height(b) - height(a));
  const paths = new Map<string, readonly P[]>();
  const outwards = (id: string): readonly P[] => {
    const known = paths.get(id);
    if (known) return known;
    const path = new Set<P>();
    for (let at = byId.get(id); at && !path.has(at); at = at.parentId === null ? undefined : byId.get(at.parentId))
      path.add(at);
    const made = [...path];
    paths.set(id, made);
    return made;
  };
  return {
    outwards,
    within: (id) => {
      const there = new Set<P>();
      const walk = (place: P | undefined): void => {
        if (!place || there.has(place)) return;
        there.add(place);
        for (const child of children.get(place.id) ?? []) walk(child);
      };
      walk(byId.get(id));
      return [...there];
    },
    outermost: places.filter(({ parentId }) => parentId === null || !byId.has(parentId)),
  };
}

/**
 * Places that stand within themselves, by way of whatever others; empty where none does, as it has to be.
 * @example ringsIn([{ id: "a", parentId: "b" }, { id: "b", parentId: "a" }]) // ["a", "b"]
 */
export function ringsIn(places: readonly Nested[]): readonly string[] {
  const order = placeOrder(places);
  return places
    .filter((place) => {
      const last = order.outwards(place.id).at(-1);
      return last !== undefined && last.parentId === place.id;
    })
    .map(({ id }) => id);
}
