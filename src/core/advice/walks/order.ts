import type { PlantState } from "../../knowledge/plants/states";

/** The groups of a walk, in the order that spreads least (common practice): what is clean is touched first. */
export const walkGroups = ["clean", "atRisk", "newHere", "inCase", "isolated"] as const;
export type WalkGroup = (typeof walkGroups)[number];

export interface WalkPlant {
  readonly id: string;
  readonly code: string;
  readonly state: PlantState;
  readonly apart: boolean;
  readonly placeId: string;
  /** When it comes on a walk whose order was chosen; null or left out where the order that spreads least holds. */
  readonly rank?: number | null;
}

/** What has been found on this walk so far: on which plants, and where those stood. */
export interface FoundOnWalk {
  readonly plantIds: ReadonlySet<string>;
  readonly placeIds: ReadonlySet<string>;
}

export const nothingFound: FoundOnWalk = { plantIds: new Set(), placeIds: new Set() };

/**
 * The group a plant is walked in. A find on the walk puts the plant itself among the cases, and the clean plants that stand
 * at the same place among those at risk. @example groupOf({ …, state: "overdue", apart: false }) // "clean"
 */
export function groupOf(plant: WalkPlant, found: FoundOnWalk = nothingFound): WalkGroup {
  if (plant.state === "new") return "newHere";
  if (plant.apart) return "isolated";
  if (plant.state === "infested" || plant.state === "surer" || found.plantIds.has(plant.id)) return "inCase";
  return plant.state === "atRisk" || found.placeIds.has(plant.placeId) ? "atRisk" : "clean";
}

/**
 * The plants of a walk in the order in which to look at them: group by group, in each along the places as they stand
 * (`placeIds`), entering none twice, and beginning each group at the end that is nearer to where the last one stopped; at a
 * place by code. On a walk whose order was chosen that order holds. Plants at a place that is not in `placeIds` come last in their group. `from` is the place one stands at.
 * Source: clean before exposed before new before isolated: common practice, no source.
 * @example walkOrder([infested, clean], ["shelf"]).map(groupOf) // clean, inCase
 */
export function walkOrder<T extends WalkPlant>(
  plants: readonly T[],
  placeIds: readonly string[],
  found: FoundOnWalk = nothingFound,
  from: string | null = null,
): T[] {
  if (plants.some((plant) => (plant.rank ?? null) !== null))
    return plants.toSorted((a, b) => (a.rank ?? Infinity) - (b.rank ?? Infinity) || (a.id < b.id ? -1 : 1));
  const rank = new Map(placeIds.map((id, i) => [id, i]));
  const rankOf = (placeId: string) => rank.get(placeId) ?? placeIds.length;
  const groups = plants.map((plant) => [plant, groupOf(plant, found)] as const);
  let at = from === null ? 0 : rankOf(from);
  const order: T[] = [];
  for (const group of walkGroups) {
    const members = groups
      .flatMap(([plant, its]) => (its === group ? [plant] : []))
      .toSorted(
        (a, b) => rankOf(a.placeId) - rankOf(b.placeId) || byCode.compare(a.code, b.code) || (a.id < b.id ? -1 : 1),
      );
    const [first, last] = [members[0], members.at(-1)];
    if (!first || !last) continue;
    const backwards = Math.abs(rankOf(last.placeId) - at) < Math.abs(rankOf(first.placeId) - at);
    order.push(...(backwards ? members.reverse() : members));
    at = rankOf(order.at(-1)!.placeId);
  }
  return order;
}

const byCode = new Intl.Collator("en", { numeric: true });

/**
 * Whether hands and tools are to be cleaned between two plants of a walk: where another group begins, and after a find
 * unless the next plant is a case too. The first plant of a walk needs nothing.
 */
export function isBorder(last: WalkPlant | null, next: WalkPlant, found: FoundOnWalk = nothingFound): boolean {
  return last !== null && groupOf(last, found) !== groupOf(next, found);
}
