import { placeOrder } from "@/core/record/facts/placeOrder";
import { placesInRecord, recordOf, type PlantRecord } from "@/core/record/cases/record";
import type { ShownReach } from "@/core/record/cases/techniqueHand";
import {
  humidityAlong,
  temperaturesBy,
  warmthAlong,
  type HumidityBetween,
  type TemperaturesOf,
  type WarmthBetween,
} from "@/core/record/cases/warmth";
import type { Place } from "@/core/record/facts/descriptions";
import { byMoment, type FactKindId } from "@/core/record/facts/facts";
import { groupBy } from "@/core/shared/groupBy";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import type { SightPair } from "@/core/record/cases/sightPairs";
import * as cases from "@/db/stores/cases/cases";
import * as exposures from "@/db/stores/cases/exposures";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import * as plantStates from "@/db/stores/plants/plantStates";
import { measuredLately } from "../climate/measured";
import { sightOnRecord } from "./sightOnRecord";

/** The record of a plant with the warmth it has had and the version of its facts. */
export interface KeptRecord extends PlantRecord {
  readonly warmth: WarmthBetween;
  readonly humidity: HumidityBetween;
  readonly factsVersion: number;
  /** What cases closed lately have told of the keepers' hands. */
  readonly shownReach: readonly ShownReach[];
  /** What looks beside finds made lately have told of the keepers' eyes. */
  readonly sight: readonly SightPair[];
  /** Its row in the lists. */
  readonly listed: plantStates.ListedPlant;
}

export interface Records {
  readonly records: readonly KeptRecord[];
  readonly places: readonly Place[];
  readonly temperaturesOf: TemperaturesOf;
}

/** The facts of each plant among those of many, sorted apart once. */
export function byPlant<T extends { readonly plantId: string | null }>(
  all: readonly T[],
): (plantId: string) => readonly T[] {
  const own = groupBy(all, ({ plantId }) => plantId);
  return (plantId) => own.get(plantId) ?? [];
}

/**
 * Everything on record of some plants, and what follows from it. Plants that are not there are left out. The versions are
 * read first: what changes meanwhile makes them old, and what is reckoned from them is then not kept.
 */
export async function recordsOf(scope: Scope, plantIds: readonly string[]): Promise<Records> {
  const listed = await plantStates.of(scope, plantIds);
  const read =
    <K extends FactKindId>(kind: K) =>
    () =>
      facts.of(scope, kind, "plantId", plantIds);
  const [
    described,
    placements,
    looks,
    acts,
    closings,
    programmes,
    reactions,
    beside,
    allPlaces,
    readings,
    measured,
    shownReach,
    sight,
  ] = await inParallel(
    scope,
    () => plants.many(scope, plantIds),
    read("placement"),
    read("look"),
    read("act"),
    read("closing"),
    read("programme"),
    read("reaction"),
    () => exposures.of(scope, plantIds),
    () => places.all(scope),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
    () => cases.shownReach(scope),
    () => sightOnRecord(scope),
  );
  const onPlaces = await facts.of(scope, "act", "placeId", placesAround(placements, allPlaces));
  const temperaturesOf = temperaturesBy(allPlaces, readings, measured);
  const inRecord = placesInRecord(allPlaces);
  const states = new Map(listed.map((row) => [row.id, row]));
  const placementsOf = byPlant(placements);
  const looksOf = byPlant(looks);
  const actsOf = byPlant(acts);
  const closingsOf = byPlant(closings);
  const programmesOf = byPlant(programmes);
  const reactionsOf = byPlant(reactions);
  const besideOf = byPlant(beside);
  const records = described.flatMap((plant): KeptRecord[] => {
    const state = states.get(plant.id);
    if (!state) return [];
    const own = {
      plant,
      placements: placementsOf(plant.id),
      looks: looksOf(plant.id),
      acts: [...actsOf(plant.id), ...onPlaces].toSorted(byMoment),
      closings: closingsOf(plant.id),
      programmes: programmesOf(plant.id),
      reactions: reactionsOf(plant.id),
    };
    return [
      {
        ...recordOf(own, inRecord),
        exposures: besideOf(plant.id),
        warmth: warmthAlong(own.placements, temperaturesOf),
        humidity: humidityAlong(own.placements, temperaturesOf),
        factsVersion: state.factsVersion,
        shownReach,
        sight,
        listed: state,
      },
    ];
  });
  return { records, places: allPlaces, temperaturesOf };
}

/** The places where plants have stood, and those around them: what is done there is done to what stands in them. */
export function placesAround(placements: readonly { readonly placeId: string }[], all: readonly Place[]): string[] {
  const { outwards } = placeOrder(all);
  return [...new Set(placements.flatMap(({ placeId }) => outwards(placeId).map(({ id }) => id)))];
}
