import { perAnimalAt, type NearnessId } from "../../model/carriage/rates";
import type { PestId } from "../../knowledge/pests/pests";
import type { PlaceTree } from "./places";
import type { SideBySide } from "./rows";

/** A plant stood in a place; times in days, `until` is Infinity while it still does. */
export interface StoodAt {
  readonly placeId: string;
  readonly from: number;
  readonly until: number;
}

/** Two plants were so near for a while. */
export interface Contact {
  readonly nearness: NearnessId;
  /** What walls between them let through, 0–1. */
  readonly passes: number;
  readonly from: number;
  readonly until: number;
}

/**
 * How near a plant was to a source and when. Where they stood side by side in a row they touched, for all pests but those that go
 * with the water. Contacts do not overlap.
 */
export function contactsOf(
  source: readonly StoodAt[],
  plant: readonly StoodAt[],
  touching: readonly SideBySide[],
  tree: PlaceTree,
): Contact[] {
  return source.flatMap((theirs) =>
    plant.flatMap((mine): Contact[] => {
      const from = Math.max(mine.from, theirs.from);
      const until = Math.min(mine.until, theirs.until);
      const passage = from < until ? tree.between(theirs.placeId, mine.placeId) : null;
      if (!passage) return [];
      const apart = { ...passage, from, until };
      if (mine.placeId !== theirs.placeId) return [apart];
      return torn(apart, touching);
    }),
  );
}

/** Where plants touched while they stood at the same place, those times are contacts of their own. */
function torn(whole: Contact, touching: readonly SideBySide[]): Contact[] {
  const parts: Contact[] = [];
  let at = whole.from;
  for (const pair of touching.toSorted((a, b) => a.from - b.from)) {
    const from = Math.max(at, pair.from);
    const until = Math.min(whole.until, pair.until);
    if (from >= until) continue;
    if (from > at) parts.push({ ...whole, from: at, until: from });
    parts.push({ ...whole, nearness: "touching", from, until });
    at = until;
  }
  return at < whole.until ? [...parts, { ...whole, from: at }] : parts;
}

/** How many mobile animals a source has on a day, and from which day on and until which there are any. */
export interface Animals {
  readonly animalsOn: (day: number) => number;
  readonly from: number;
  readonly until: number;
}

/**
 * Founders a day that a source gives a plant, day by day from day `begin` to day `end` (excluded): its mobile animals of each day,
 * times what one of them gives at this nearness, times how much of the day they stood so. In a tray animals that touch also share
 * the water: the larger of the two counts.
 */
export function foundersByDay(
  pest: PestId,
  contacts: readonly Contact[],
  { animalsOn, from: born, until: gone }: Animals,
  begin: number,
  end: number,
  inTray: boolean,
): { readonly perDay: Float64Array; readonly nearest: NearnessId | null; readonly total: number } {
  const perDay = new Float64Array(Math.max(0, end - begin));
  const byNearness = new Map<NearnessId, number>();
  let total = 0;
  for (const { nearness, passes, from, until } of contacts) {
    const rate =
      passes * Math.max(perAnimalAt(pest, nearness), inTray && nearness === "touching" ? perAnimalAt(pest, "tray") : 0);
    if (rate === 0) continue;
    const last = Math.min(end, until, gone);
    for (let day = Math.max(begin, Math.floor(from), born); day < last; day++) {
      const founders = rate * animalsOn(day) * (Math.min(until, day + 1) - Math.max(from, day));
      if (!(founders > 0)) continue;
      perDay[day - begin]! += founders;
      total += founders;
      byNearness.set(nearness, (byNearness.get(nearness) ?? 0) + founders);
    }
  }
  const [most] = [...byNearness].toSorted((a, b) => b[1] - a[1]);
  return { perDay, nearest: most?.[0] ?? null, total };
}
