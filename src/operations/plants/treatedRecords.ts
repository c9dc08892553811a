import { placesInRecord, recordOf, type PlantRecord } from "@/core/record/cases/record";
import { temperaturesBy, type TemperaturesOf } from "@/core/record/cases/warmth";
import type { Place } from "@/core/record/facts/descriptions";
import { byMoment } from "@/core/record/facts/facts";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import { measuredLately } from "../climate/measured";
import { byPlant, placesAround } from "./plantRecords";

/** What remedies are weighed against on a plant: what was done to it, how it bore that, and where it stands. */
export type TreatedRecord = Pick<PlantRecord, "plant" | "reactions" | "acts" | "enclosed" | "outdoors">;

export interface TreatedRecords {
  readonly records: ReadonlyMap<string, TreatedRecord>;
  readonly places: readonly Place[];
  readonly temperaturesOf: TemperaturesOf;
}

/**
 * What is on record of treatments of some plants, by plant; of hundreds of them it takes a part of what everything on record would take, for
 * their looks, cases and neighbours are not read. Plants that are not there are left out.
 */
export async function treatedRecords(scope: Scope, plantIds: readonly string[]): Promise<TreatedRecords> {
  const [described, placements, acts, reactions, allPlaces, readings, measured] = await inParallel(
    scope,
    () => plants.many(scope, plantIds),
    () => facts.of(scope, "placement", "plantId", plantIds),
    () => facts.of(scope, "act", "plantId", plantIds),
    () => facts.of(scope, "reaction", "plantId", plantIds),
    () => places.all(scope),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
  );
  const onPlaces = await facts.of(scope, "act", "placeId", placesAround(placements, allPlaces));
  const inRecord = placesInRecord(allPlaces);
  const [placementsOf, actsOf, reactionsOf] = [byPlant(placements), byPlant(acts), byPlant(reactions)];
  const records = described.map((plant) => {
    const own = {
      plant,
      placements: placementsOf(plant.id),
      acts: [...actsOf(plant.id), ...onPlaces].toSorted(byMoment),
      reactions: reactionsOf(plant.id),
    };
    return [plant.id, recordOf({ ...own, looks: [], closings: [], programmes: [] }, inRecord)] as const;
  });
  return {
    records: new Map(records),
    places: allPlaces,
    temperaturesOf: temperaturesBy(allPlaces, readings, measured),
  };
}
