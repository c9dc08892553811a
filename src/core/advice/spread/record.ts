import { LOOK_BACK_DAYS } from "../../model/carriage/rates";
import { arrivalShare, SHOWS_WITHIN_DAYS, type FromThere } from "../../model/carriage/arrivalShare";
import type { Remains } from "../../model/carriage/carriage";
import type { SharePrior } from "../../model/learning/share";
import type { CaseNumbers } from "../clearance/numbers";
import { mobileOn } from "../clearance/numbers";
import type { Stand } from "../../record/cases/stays";
import { addDays, dayNumber, type Day } from "../../shared/days";
import type { Place } from "../../record/facts/descriptions";
import { groupBy } from "../../shared/groupBy";
import type { PestId } from "../../knowledge/pests/pests";
import { sideBySide, type InRow, type SideBySide } from "./rows";
import { handledAfter, type HandledAfter, type Handling } from "./handling";
import { placeTree, type PlaceTree } from "./places";
import type { StoodAt } from "./contacts";

/** A case as what stands near it meets it. */
export interface SourceCase {
  readonly plantId: string;
  readonly code: string;
  readonly caseId: string;
  readonly pest: PestId;
  readonly openedAt: Date;
  /** When it was closed, or its plant left; null while neither is so. */
  readonly endedAt: Date | null;
  /** Null while they have not been reckoned, or cannot be. */
  readonly numbers: CaseNumbers | null;
}

/** Where a plant came from and when, and which pests it showed and when. */
export interface CameFrom {
  readonly plantId: string;
  readonly seller: string;
  readonly acquiredOn: Day | null;
  /** When it was acquired or, where nobody said, written down. */
  readonly cameOn: Day;
  readonly shown: readonly { readonly pest: PestId; readonly on: Day }[];
}

/** What of the whole collection bears on what one plant may carry. */
export interface Collection {
  readonly places: readonly Place[];
  readonly sources: readonly SourceCase[];
  /** Where plants stood, those that were ever in a case and those that have stood at the same places. */
  readonly stands: ReadonlyMap<string, readonly Stand[]>;
  readonly cameFrom: readonly CameFrom[];
  /** What is believed of a seller before any of its plants was seen; our estimate where left out. */
  readonly arrivals?: SharePrior;
  /** How much more passes from plant to plant than we suppose; as much where left out. */
  readonly passes?: number;
  /** What was handled and cleaned lately, as it happened. */
  readonly handlings: readonly Handling[];
}

/** The same, in the form in which it is asked again and again. Times are days of the clock on the wall. */
export interface Spread {
  readonly tree: PlaceTree;
  readonly clock: Clock;
  /** In the order in which they began. */
  readonly sourcesOf: (pest: PestId) => readonly TimedSource[];
  readonly touching: (a: string, b: string) => readonly SideBySide[];
  readonly handledAfter: (plantId: string) => readonly HandledAfter[];
  /** How much more passes from plant to plant than we suppose. */
  readonly passes: number;
  /** How likely a plant of the same hands brings something. */
  readonly arrivalShareOf: (plant: CameFrom) => number;
  /** Pests that other plants of the seller's showed soon after coming. */
  readonly sellersPests: (plant: CameFrom) => readonly PestId[];
}

export interface TimedSource extends Omit<SourceCase, "openedAt" | "endedAt" | "numbers"> {
  readonly openedAt: number;
  readonly stood: readonly StoodAt[];
  /** The first day on which it is believed to have had any, and the day after the last. */
  readonly from: number;
  readonly until: number;
  /** Expected mobile animals on a day, before the first find too. */
  readonly animalsOn: (day: number) => number;
  /** What may be left where it has ended; null where that is not known. */
  readonly left: Remains | null;
}

/** Days since 1970 on the clock on the wall where the collection stands, with fractions. */
export type Clock = (at: Date) => number;

/** So many mobile animals count where a case could not be reckoned (HOUSE): a light infestation. */
const UNRECKONED = 5;

/** Puts what is known of the collection in order. `today` is the day it is asked about. */
export function spreadOf(collection: Collection, clock: Clock, today: Day): Spread {
  const { places, sources, stands, cameFrom } = collection;
  const oldest = dayNumber(addDays(today, -LOOK_BACK_DAYS));
  const timed = sources
    .map((source): TimedSource & { readonly ended: number } => {
      const { openedAt, endedAt, numbers, ...rest } = source;
      const ended = endedAt === null ? Infinity : clock(endedAt);
      const opened = clock(openedAt);
      const first = numbers ? dayNumber(numbers.from) : Math.floor(opened);
      return {
        ...rest,
        openedAt: opened,
        ended,
        stood: stoodAt(stands.get(source.plantId) ?? [], clock),
        from: first - Math.ceil(numbers?.generationDays ?? 0),
        until: numbers ? Math.min(ended + 1, first + numbers.daily.length) : ended + 1,
        animalsOn: (day) =>
          day > ended ? 0 : numbers ? mobileOn(numbers, day - first) : day >= first ? UNRECKONED : 0,
        left: numbers?.left ?? null,
      };
    })
    .filter(({ ended }) => ended >= oldest)
    .toSorted((a, b) => a.openedAt - b.openedAt || (a.caseId < b.caseId ? -1 : 1));
  const byPest = groupBy(timed, ({ pest }) => pest);
  const touched = touchesBySource(new Set(timed.map(({ plantId }) => plantId)), stands, clock);
  const casesOf = groupBy(sources, ({ plantId }) => plantId);
  const infested = (plantId: string, at: Date) =>
    (casesOf.get(plantId) ?? []).some(({ openedAt, endedAt }) => openedAt <= at && (endedAt === null || at <= endedAt));
  const after = groupBy(handledAfter(collection.handlings, infested), ({ plantId }) => plantId);
  const bySeller = groupBy(
    cameFrom.filter(({ seller }) => seller !== ""),
    ({ seller }) => seller,
  );
  const count = (plants: readonly CameFrom[]): FromThere => ({
    plants: plants.length,
    showed: plants.filter((plant) => showedSoon(plant).length > 0).length,
  });
  const mates = (plant: CameFrom) =>
    (bySeller.get(plant.seller) ?? []).filter(({ plantId }) => plantId !== plant.plantId);
  return {
    tree: placeTree(places),
    clock,
    passes: collection.passes ?? 1,
    sourcesOf: (pest) => byPest.get(pest) ?? [],
    touching: (a, b) => touched.get([a, b].toSorted().join(" ")) ?? [],
    handledAfter: (plantId) => after.get(plantId) ?? [],
    arrivalShareOf(plant) {
      const sameTray = (other: CameFrom) => plant.acquiredOn !== null && other.acquiredOn === plant.acquiredOn;
      const all = mates(plant);
      return arrivalShare(count(all.filter((one) => !sameTray(one))), count(all.filter(sameTray)), collection.arrivals);
    },
    sellersPests: (plant) => [...new Set(mates(plant).flatMap((one) => showedSoon(one).map(({ pest }) => pest)))],
  };
}

/** What a plant showed so soon after it came that it counts as having brought it. */
export function showedSoon({ cameOn, shown }: CameFrom): CameFrom["shown"] {
  return shown.filter(({ on }) => on >= cameOn && on <= addDays(cameOn, SHOWS_WITHIN_DAYS));
}

/** Stands on the clock; shifting a plant along its row is no move. */
export function stoodAt(stands: readonly Stand[], clock: Clock): StoodAt[] {
  const stood: StoodAt[] = [];
  for (const { placeId, from, until } of stands) {
    const end = until === null ? Infinity : clock(until);
    const last = stood.at(-1);
    if (last?.placeId === placeId && last.until === clock(from)) stood[stood.length - 1] = { ...last, until: end };
    else stood.push({ placeId, from: clock(from), until: end });
  }
  return stood;
}

/** Who stood side by side with one of these plants, by pair. */
function touchesBySource(
  sources: ReadonlySet<string>,
  stands: ReadonlyMap<string, readonly Stand[]>,
  clock: Clock,
): Map<string, SideBySide[]> {
  const rows = new Map<string, InRow[]>();
  const withSource = new Set<string>();
  for (const [plantId, own] of stands)
    for (const { placeId, slot, from, until } of own) {
      if (sources.has(plantId)) withSource.add(placeId);
      if (slot === null) continue;
      const row = rows.get(placeId) ?? [];
      row.push({ plantId, slot, from: clock(from), until: until === null ? Infinity : clock(until) });
      rows.set(placeId, row);
    }
  const pairs = [...withSource]
    .flatMap((placeId) => sideBySide(rows.get(placeId) ?? []))
    .filter(({ plants }) => plants.some((id) => sources.has(id)));
  return groupBy(pairs, ({ plants }) => plants.join(" ")) as Map<string, SideBySide[]>;
}
