import type { Place } from "../../record/facts/descriptions";

/** A plant that stands somewhere, as far as it bears on who may stand beside it. */
export interface Occupant {
  readonly plantId: string;
  readonly placeId: string;
  /** Whether it has an open case, and whether it is still arriving. */
  readonly inCase: boolean;
  readonly arriving: boolean;
}

/** What speaks against a place for a plant that is to stand apart. */
export type Against = "full" | "arrivalsThere" | "findsThere" | "doorOpen";

/** A place where a plant may be set apart. */
export interface ApartPlace {
  readonly placeId: string;
  /** How many more pots there is room for; null where nobody has said. */
  readonly free: number | null;
  readonly against: readonly Against[];
}

/** How much each counts against a place: a new arrival never stands beside a find. */
const weights: Readonly<Record<Against, number>> = { arrivalsThere: 8, findsThere: 8, full: 4, doorOpen: 1 };

/**
 * The isolation places, the best first: never a new arrival beside a find, then those with room, then those with a door that is
 * shut; of two the emptier. `plant` is the one that is to stand apart. A place of its own kind of trouble is no objection.
 */
export function apartPlaces(
  places: readonly Place[],
  occupants: readonly Occupant[],
  plant: Pick<Occupant, "plantId" | "inCase">,
): ApartPlace[] {
  const byId = new Map(places.map((place) => [place.id, place]));
  const within = (placeId: string, around: string) => {
    for (let at: string | null = placeId; at !== null; at = byId.get(at)?.parentId ?? null)
      if (at === around) return true;
    return false;
  };
  const ranked = places
    .filter(({ kind }) => kind === "isolation")
    .map((place) => {
      const there = occupants.filter((one) => one.plantId !== plant.plantId && within(one.placeId, place.id));
      const free = place.roomFor === null ? null : Math.max(0, place.roomFor - there.length);
      const shut = place.doorShut || byId.get(place.parentId ?? "")?.doorShut === true;
      const against: Against[] = [];
      if (plant.inCase && there.some((one) => one.arriving && !one.inCase)) against.push("arrivalsThere");
      if (!plant.inCase && there.some((one) => one.inCase)) against.push("findsThere");
      if (free === 0) against.push("full");
      if (!shut) against.push("doorOpen");
      return { placeId: place.id, free, against, there: there.length };
    });
  const weight = ({ against }: ApartPlace) => against.reduce((sum, one) => sum + weights[one], 0);
  return ranked
    .toSorted((a, b) => weight(a) - weight(b) || a.there - b.there)
    .map(({ placeId, free, against }) => ({ placeId, free, against }));
}

/** Where the others of an island go: a plant and the place proposed for it; null where there is none. */
export interface Leaves {
  readonly plantId: string;
  readonly placeId: string | null;
}

/**
 * Where the plants go that stand with one that is too big to move: each to the place in the same room, else anywhere, that has room
 * left and no find, the emptiest first. Isolation places and bags are left for those that need them. `leaving` in the order in which
 * they are to go.
 */
export function awayFromIsland(
  places: readonly Place[],
  occupants: readonly Occupant[],
  islandPlaceId: string,
  leaving: readonly string[],
  roomOf: (placeId: string) => string,
): Leaves[] {
  const count = new Map<string, number>();
  for (const { placeId, plantId } of occupants)
    if (!leaving.includes(plantId)) count.set(placeId, (count.get(placeId) ?? 0) + 1);
  const withFinds = new Set(occupants.filter(({ inCase }) => inCase).map(({ placeId }) => placeId));
  const parents = new Set(places.map(({ parentId }) => parentId));
  const open = places.filter(
    ({ id, kind }) =>
      id !== islandPlaceId &&
      !withFinds.has(id) &&
      (kind === "shelf" || ((kind === "room" || kind === "cabinet") && !parents.has(id))),
  );
  // The farther the better, as long as it has not to be carried through the house: another shelf, then another room.
  return leaving.map((plantId): Leaves => {
    const free = open
      .map((place) => ({ place, left: (place.roomFor ?? Infinity) - (count.get(place.id) ?? 0) }))
      .filter(({ left }) => left > 0)
      .toSorted(
        (a, b) =>
          Number(roomOf(b.place.id) === roomOf(islandPlaceId)) - Number(roomOf(a.place.id) === roomOf(islandPlaceId)) ||
          (count.get(a.place.id) ?? 0) - (count.get(b.place.id) ?? 0),
      )[0];
    if (!free) return { plantId, placeId: null };
    count.set(free.place.id, (count.get(free.place.id) ?? 0) + 1);
    return { plantId, placeId: free.place.id };
  });
}
