import { placeOrder } from "@/core/facts/placeOrder";
import { placesInRecord, recordOf, type PlantRecord } from "@/core/case/record";
import type { ShownReach } from "@/core/case/hand";
import {
  humidityAlong,
  temperaturesBy,
  warmthAlong,
  type HumidityBetween,
  type TemperaturesOf,
  type WarmthBetween,
} from "@/core/case/warmth";
import type { Place } from "@/core/facts/descriptions";
import { byMoment, type FactKindId } from "@/core/facts/facts";
import type { Scope } from "@/db/connection";
import { together } from "@/db/query";
import * as cases from "@/db/stores/cases";
import * as exposures from "@/db/stores/exposures";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import * as plants from "@/db/stores/plants";
import * as plantStates from "@/db/stores/plantStates";
import { measuredLately } from "./measured";

/** The record of a plant with the warmth it has had and the version of its facts. */
export interface KeptRecord extends PlantRecord {
  readonly warmth: WarmthBetween;
  readonly humidity: HumidityBetween;
  readonly factsVersion: number;
  /** What cases closed lately have told of the keepers' hands. */
  readonly shownReach: readonly ShownReach[];
  /** Its row in the lists. */
  readonly listed: plantStates.ListedPlant;
}

export interface Records {
  readonly records: readonly KeptRecord[];
  readonly places: readonly Place[];
  readonly temperaturesOf: TemperaturesOf;
}

/** The facts of one plant among those of several. */
export const byPlant = <T extends { readonly plantId: string | null }>(all: readonly T[], plantId: string) =>
  all.filter((one) => one.plantId === plantId);

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
  ] = await together(
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
  );
  const onPlaces = await facts.of(scope, "act", "placeId", placesAround(placements, allPlaces));
  const temperaturesOf = temperaturesBy(allPlaces, readings, measured);
  const inRecord = placesInRecord(allPlaces);
  const records = described.flatMap((plant): KeptRecord[] => {
    const state = listed.find(({ id }) => id === plant.id);
    if (!state) return [];
    const own = {
      plant,
      placements: byPlant(placements, plant.id),
      looks: byPlant(looks, plant.id),
      acts: [...byPlant(acts, plant.id), ...onPlaces].toSorted(byMoment),
      closings: byPlant(closings, plant.id),
      programmes: byPlant(programmes, plant.id),
      reactions: byPlant(reactions, plant.id),
    };
    return [
      {
        ...recordOf(own, inRecord),
        exposures: byPlant(beside, plant.id),
        warmth: warmthAlong(own.placements, temperaturesOf),
        humidity: humidityAlong(own.placements, temperaturesOf),
        factsVersion: state.factsVersion,
        shownReach,
        listed: state,
      },
    ];
  });
  return { records, places: allPlaces, temperaturesOf };
}

/** The places where plants have stood, and those around them: what is done there is done to what stands in them. */
function placesAround(placements: readonly { readonly placeId: string }[], all: readonly Place[]): string[] {
  const { outwards } = placeOrder(all);
  return [...new Set(placements.flatMap(({ placeId }) => outwards(placeId).map(({ id }) => id)))];
}
