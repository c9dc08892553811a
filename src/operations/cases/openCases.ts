import { subDays } from "date-fns";
import { placesInRecord, recordOf, type PlantRecord } from "@/core/record/cases/record";
import { byMoment } from "@/core/record/facts/facts";
import { groupBy } from "@/core/shared/groupBy";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as cases from "@/db/stores/cases/cases";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import * as plantStates from "@/db/stores/plants/plantStates";

/** A plant in an open case, or against something without a name: its row in the lists, and its record since that began. */
export interface PlantInCase {
  readonly listed: plantStates.ListedPlant;
  readonly record: PlantRecord;
}

/** Something without a name is looked at weekly: what was chosen against it longer ago than this is of no case any more, days. */
const UNNAMED_DAYS = 180;

/**
 * Every plant in use that is in an open case, or on which something was chosen against what has no name, by code; with `only`, those of
 * them. What lies before is left out of the records.
 */
export async function plantsInCase(scope: Scope, only: ReadonlySet<string> | null = null): Promise<PlantInCase[]> {
  const from = subDays(scope.now, UNNAMED_DAYS);
  const [open, unnamed] = await inParallel(
    scope,
    () => cases.open(scope),
    () => facts.plantsAgainstUnnamed(scope, from),
  );
  const begins = new Map<string, Date>(unnamed.map((plantId) => [plantId, from]));
  for (const { plantId, openedAt } of open)
    if (!begins.has(plantId) || openedAt < begins.get(plantId)!) begins.set(plantId, openedAt);
  for (const plantId of begins.keys()) if (only && !only.has(plantId)) begins.delete(plantId);
  const ids = [...begins.keys()];
  if (ids.length === 0) return [];
  const since =
    <K extends "look" | "act" | "closing" | "programme">(kind: K) =>
    () =>
      facts.since(scope, kind, begins);
  const [listed, known, stood, looked, done, closed, chosen, allPlaces] = await inParallel(
    scope,
    () => plantStates.of(scope, ids),
    () => plants.many(scope, ids),
    () => facts.of(scope, "placement", "plantId", ids),
    since("look"),
    since("act"),
    since("closing"),
    since("programme"),
    () => places.all(scope),
  );
  const described = new Map(known.map((plant) => [plant.id, plant]));
  const placements = groupBy(stood, (one) => one.plantId);
  const looks = groupBy(looked, (one) => one.plantId);
  const acts = groupBy(done, (one) => one.plantId);
  const closings = groupBy(closed, (one) => one.plantId);
  const programmes = groupBy(chosen, (one) => one.plantId);
  const around = placesInRecord(allPlaces);
  return listed.flatMap((row): PlantInCase[] => {
    const plant = described.get(row.id);
    if (!plant) return [];
    const own = {
      plant,
      placements: placements.get(row.id) ?? [],
      looks: looks.get(row.id) ?? [],
      acts: (acts.get(row.id) ?? []).toSorted(byMoment),
      closings: closings.get(row.id) ?? [],
      programmes: programmes.get(row.id) ?? [],
      reactions: [],
    };
    return [{ listed: row, record: { ...recordOf(own, around), exposures: [] } }];
  });
}
