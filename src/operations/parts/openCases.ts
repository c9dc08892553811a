import { placesInRecord, recordOf, type PlantRecord } from "@/core/case/record";
import { byMoment } from "@/core/facts/facts";
import { groupBy } from "@/core/groupBy";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import * as plants from "@/db/stores/plants";
import * as plantStates from "@/db/stores/plantStates";

/** A plant in an open case: its row in the lists, and its record since that case began. */
export interface PlantInCase {
  readonly listed: plantStates.ListedPlant;
  readonly record: PlantRecord;
}

/** Every plant in use that is in an open case, by code. What lies before its open cases is left out of the records. */
export async function plantsInCase(scope: Scope): Promise<PlantInCase[]> {
  const open = await cases.open(scope);
  const ids = [...new Set(open.map((one) => one.plantId))];
  if (ids.length === 0) return [];
  const listed = await plantStates.of(scope, ids);
  const described = new Map((await plants.many(scope, ids)).map((plant) => [plant.id, plant]));
  const placements = groupBy(await facts.of(scope, "placement", "plantId", ids), (one) => one.plantId);
  const looks = groupBy(await facts.ofOpenCases(scope, "look"), (one) => one.plantId);
  const acts = groupBy(await facts.ofOpenCases(scope, "act"), (one) => one.plantId);
  const closings = groupBy(await facts.ofOpenCases(scope, "closing"), (one) => one.plantId);
  const programmes = groupBy(await facts.ofOpenCases(scope, "programme"), (one) => one.plantId);
  const around = placesInRecord(await places.all(scope));
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
    };
    return [{ listed: row, record: { ...recordOf(own, around), exposures: [] } }];
  });
}
