import { placeOrder } from "../../record/facts/placeOrder";
import { enclosures, type NearnessId } from "../../model/carriage/rates";
import type { Place } from "../../record/facts/descriptions";

/** How things pass between two places. */
export interface Passage {
  readonly nearness: Exclude<NearnessId, "touching">;
  /** What walls between them let through, 0–1. */
  readonly passes: number;
}

/** The places of a collection as pests know them. */
export interface PlaceTree {
  /** How things pass from one place to another; null where nothing does. */
  readonly between: (from: string, to: string) => Passage | null;
  /** What the background is multiplied by at a place. */
  readonly background: (placeId: string) => number;
  /** The room a place is in, or the place that stands by itself. */
  readonly roomOf: (placeId: string) => string;
}

/** A tray and a bag are at the place on which they stand. */
const isOnAnother = ({ kind }: Place) => kind === "tray" || kind === "bag";

/**
 * Reads the places. A door kept shut lets nothing through, a bag next to nothing, a closed cabinet a third; out of doors and the
 * rooms exchange nothing. Places that are not known are by themselves.
 */
export function placeTree(places: readonly Place[]): PlaceTree {
  const { outwards: pathOf } = placeOrder(places);
  const baseOf = (path: readonly Place[]) => path.find((place) => !isOnAnother(place));
  const kept = new Map<string, Passage | null>();
  const reckon = (from: string, to: string): Passage | null => {
    const [a, b] = [pathOf(from), pathOf(to)];
    const [baseA, baseB] = [baseOf(a), baseOf(b)];
    if (!baseA || !baseB) return null;
    // Whoever shares the innermost place is inside the same walls.
    const own = (path: readonly Place[], other: readonly Place[]) => path.filter((place) => !other.includes(place));
    const walls = [...own(a, b), ...own(b, a)];
    const sameRoom = a.at(-1) === b.at(-1);
    // Walls count between the two only: a shut door around both keeps neither from the other.
    if (walls.some((place) => place.doorShut || (!sameRoom && place.kind === "outdoors"))) return null;
    const passes = walls.reduce((product, { kind }) => product * (kind in enclosures ? passesOf(kind) : 1), 1);
    const nearness =
      from === to && a[0]!.kind === "tray"
        ? "tray"
        : baseA === baseB
          ? "place"
          : baseA.dripsOn === baseB.id
            ? "drip"
            : sameRoom
              ? "room"
              : "open";
    return { nearness, passes };
  };
  return {
    between(from, to) {
      const key = `${from} ${to}`;
      const known = kept.get(key);
      if (known !== undefined) return known;
      const made = reckon(from, to);
      kept.set(key, made);
      return made;
    },
    background: (placeId) =>
      pathOf(placeId).reduce(
        (product, { kind }) =>
          product * (kind in enclosures ? enclosures[kind as keyof typeof enclosures].background : 1),
        1,
      ),
    roomOf: (placeId) => pathOf(placeId).at(-1)?.id ?? placeId,
  };
}

function passesOf(kind: Place["kind"]): number {
  return kind === "bag" || kind === "cabinet" ? enclosures[kind].passes : 1;
}
