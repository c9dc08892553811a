import { placeOrder } from "@/core/record/facts/placeOrder";
import { temperaturesBy, warmthAt } from "@/core/record/cases/warmth";
import { dailyMeans } from "@/core/climate/dailyMeans";
import type { Day } from "@/core/shared/days";
import { USUAL_C } from "@/core/advice/diagnosis/priors";
import type { Place, Plant } from "@/core/record/facts/descriptions";
import { standing, type ActDone } from "@/core/record/facts/facts";
import { drenchVolume } from "@/core/acts/drench";
import { gnatWeight, larvaeCeiling } from "@/core/advice/seasons/gnats/pots";
import type { RoomRecord } from "@/core/advice/seasons/gnats/fromRecord";
import { cardsFor, type GnatPlaceSize } from "@/core/acts/gnatWays";
import { runningProgrammes, type Running } from "@/core/advice/seasons/running";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as plants from "@/db/stores/plants/plants";
import { measuredLately } from "../climate/measured";

/** The programmes that run now. */
export async function programmesNow(scope: Scope): Promise<readonly Running[]> {
  const [begun, ended] = await inParallel(
    scope,
    () => facts.all(scope, "roomProgramme"),
    () => facts.all(scope, "roomEnding"),
  );
  return runningProgrammes(begun, ended);
}

/** The place itself and everything in it, and everything it is in. */
export function around(
  all: readonly Place[],
  placeId: string,
): { readonly within: Set<string>; readonly outside: string[] } {
  const { within, outwards } = placeOrder(all);
  const ids = (some: readonly Place[]) => some.map(({ id }) => id);
  return { within: new Set([placeId, ...ids(within(placeId))]), outside: ids(outwards(placeId).slice(1)) };
}

/** A room with its pots and what is on record of its gnats. */
export interface RoomOnRecord {
  readonly place: Place;
  readonly plants: readonly Plant[];
  readonly record: RoomRecord;
  readonly acts: readonly ActDone[];
  readonly size: GnatPlaceSize;
  /** How warm it is now, and whether anybody has said so. */
  readonly meanC: number;
  readonly known: boolean;
}

/** What was done in a room and counted there, and who stands in it. */
interface RoomFacts {
  readonly all: readonly Place[];
  readonly place: Place;
  readonly listed: readonly plantStates.ListedPlant[];
  /** Standing acts on its plants, its places and the places it is in. */
  readonly acts: readonly ActDone[];
  readonly counts: RoomRecord["counts"];
}

/** What was done in a room and counted there; null where there is no such place. */
export async function roomFacts(scope: Scope, placeId: string): Promise<RoomFacts | null> {
  const [all, everyone] = await inParallel(
    scope,
    () => places.all(scope),
    () => plantStates.list(scope),
  );
  const place = all.find(({ id }) => id === placeId);
  if (!place) return null;
  const { within, outside } = around(all, placeId);
  const listed = everyone.filter((row) => within.has(row.placeId));
  const [onPlants, onPlaces, counts] = await inParallel(
    scope,
    () =>
      facts.of(
        scope,
        "act",
        "plantId",
        listed.map(({ id }) => id),
      ),
    () => facts.of(scope, "act", "placeId", [...within, ...outside]),
    () => facts.of(scope, "trapCount", "placeId", [...within]),
  );
  return {
    ...{ all, place, listed, acts: standing([...onPlants, ...onPlaces]) },
    // Cards are counted for a place; what is counted on a shelf of it is another count.
    counts: standing(counts)
      .filter(({ what, placeId: where }) => what === "slice" || where === placeId)
      .map(({ what, plantId, days, count, day }) => ({ what, plantId, days, count, day })),
  };
}

/** Everything on record of a room's gnats; null where there is no such place. */
export async function roomOnRecord(scope: Scope, placeId: string, today: Day): Promise<RoomOnRecord | null> {
  const room = await roomFacts(scope, placeId);
  if (!room) return null;
  const { all, place, listed, acts, counts } = room;
  const ids = listed.map(({ id }) => id);
  const [described, readings, measured] = await inParallel(
    scope,
    () => plants.many(scope, ids),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
  );
  const temperaturesOf = temperaturesBy(all, readings, measured);
  const temperatures = temperaturesOf(placeId);
  const standsIn = new Map(listed.map((row) => [row.id, row.placeId]));
  const meets = (act: ActDone): string[] => {
    if (act.plantId !== null) return [act.plantId];
    const there = around(all, act.placeId!).within;
    return ids.filter((id) => there.has(standsIn.get(id)!));
  };
  const potted = described.filter(({ growthForm }) => growthForm !== "airPlant");
  const shelves = new Set(listed.map((row) => row.placeId)).size;
  return {
    place,
    plants: potted,
    acts,
    record: {
      pots: potted.map((plant) => {
        const pot = { ...plant, kept: plant.kept ?? null };
        return { plantId: plant.id, weight: gnatWeight(pot), feeds: larvaeCeiling(pot) };
      }),
      acts: acts.map((one) => ({ act: one.act, day: one.day, plantIds: meets(one) })),
      counts,
      warmth: (from, to) => (temperatures.length > 0 ? dailyMeans(temperatures, from, to) : [USUAL_C]),
    },
    size: {
      pots: potted.length,
      drenchMl: Math.max(
        1,
        Math.min(50_000, Math.round(potted.reduce((sum, { potCm }) => sum + drenchVolume(potCm), 0))),
      ),
      cards: cardsFor(potted.length, shelves),
    },
    meanC: warmthAt(temperaturesOf, placeId, today) ?? USUAL_C,
    known: temperatures.length > 0,
  };
}
