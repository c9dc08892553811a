import { median } from "../../shared/median";
import type { Day } from "../../shared/days";
import type { PestId } from "../../knowledge/pests/pests";
import type { Route } from "../spread/streams";

/** By what finds are counted. */
export const tallyKeys = ["seller", "way", "place", "month"] as const;
export type TallyBy = (typeof tallyKeys)[number];

/** A case as the ledger counts it. */
export interface CaseCounted {
  readonly caseId: string;
  readonly plantId: string;
  readonly pest: PestId;
  readonly foundOn: Day;
  readonly seller: string;
  /** Where it stood when it was found; null where nobody knows. */
  readonly placeId: string | null;
  /** How it probably came; null where it cannot be told. */
  readonly way: Route["kind"] | null;
  /** From its coming to the find; null where nobody said when it came. */
  readonly daysUntilFound: number | null;
  /** What treating and looking at it has taken so far. */
  readonly minutes: number;
}

/** Plants as the ledger counts them: those of one seller at the place where they stand now. */
export interface PlantsCounted {
  readonly seller: string;
  readonly placeId: string;
  readonly plantIds: readonly string[];
}

export interface TallyLine {
  /** The seller, the way, the place's id or the month (`2026-11`); empty for what is not known. */
  readonly key: string;
  /** The plants counted under it; those of a month or a way are those that were found. */
  readonly plantIds: readonly string[];
  readonly finds: readonly CaseCounted[];
  /** The middle one of the days from coming to being found; null where none is known. */
  readonly medianDays: number | null;
  readonly minutes: number;
}

const keyOf: Readonly<Record<TallyBy, (one: CaseCounted) => string>> = {
  seller: ({ seller }) => seller,
  way: ({ way }) => way ?? "",
  place: ({ placeId }) => placeId ?? "",
  month: ({ foundOn }) => foundOn.slice(0, 7),
};

/**
 * Finds by seller, by the way they came in, by place or by month; most finds first, months in their order. Sellers and places
 * without a find are there too, so that what was spared is seen.
 */
export function tally(by: TallyBy, plants: readonly PlantsCounted[], cases: readonly CaseCounted[]): TallyLine[] {
  const finds = new Map<string, CaseCounted[]>();
  const counted = new Map<string, Set<string>>();
  const under = <V>(map: Map<string, V>, key: string, empty: () => V): V => {
    const there = map.get(key) ?? empty();
    map.set(key, there);
    return there;
  };
  for (const { plantIds, seller, placeId } of plants) {
    if (by !== "seller" && by !== "place") break;
    const there = under(counted, by === "seller" ? seller : placeId, () => new Set<string>());
    for (const plantId of plantIds) there.add(plantId);
  }
  for (const one of cases) {
    const key = keyOf[by](one);
    under(finds, key, () => []).push(one);
    under(counted, key, () => new Set<string>()).add(one.plantId);
  }
  const lines = [...counted].map(([key, plantIds]): TallyLine => {
    const own = finds.get(key) ?? [];
    return {
      key,
      plantIds: [...plantIds],
      finds: own,
      medianDays: median(own.flatMap(({ daysUntilFound }) => daysUntilFound ?? [])),
      minutes: own.reduce((sum, { minutes }) => sum + minutes, 0),
    };
  });
  return lines.toSorted((a, b) =>
    by === "month" ? (a.key < b.key ? 1 : -1) : b.finds.length - a.finds.length || (a.key < b.key ? -1 : 1),
  );
}
