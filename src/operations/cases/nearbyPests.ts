import { nearer, seasonOf, type Circumstances, type Nearness } from "@/core/advice/diagnosis/priors";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases/cases";
import * as exposures from "@/db/stores/cases/exposures";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as plants from "@/db/stores/plants/plants";
import { today, type Context } from "../shared/context";

type Near = Circumstances["nearby"];

/** Which pests the collection has now, as seen from single plants. */
export interface NearbyPests {
  /** The open cases of a plant. */
  readonly openOn: (plantId: string) => readonly { readonly caseId: string; readonly pest: PestId }[];
  /** For a plant, its seller and the place where it stands: each pest of an open case, and how near the nearest one is. */
  readonly of: (plant: { id: string; seller: string; placeId: string }) => Near;
}

/** Reads the open cases and where they stand, once for all plants. `plantIds` are those that will be asked for. */
export async function nearbyPests(scope: Scope, plantIds: readonly string[]): Promise<NearbyPests> {
  const open = await cases.open(scope);
  const sources = [...new Set(open.map((one) => one.plantId))];
  const described = new Map((await plants.many(scope, sources)).map((plant) => [plant.id, plant]));
  const standing = new Map((await plantStates.of(scope, sources)).map((plant) => [plant.id, plant.placeId]));
  const openIds = new Set(open.map((one) => one.id));
  const beside = new Map<string, PestId[]>();
  for (const exposure of await exposures.of(scope, plantIds))
    if (openIds.has(exposure.caseId))
      beside.set(exposure.plantId, [...(beside.get(exposure.plantId) ?? []), exposure.pest]);
  return {
    openOn: (plantId) => open.flatMap((one) => (one.plantId === plantId ? [{ caseId: one.id, pest: one.pest }] : [])),
    of: (plant) => {
      const near: Partial<Record<PestId, Nearness>> = {};
      const put = (pest: PestId, how: Nearness) => (near[pest] = nearer(near[pest], how));
      for (const { plantId, pest } of open) {
        const seller = described.get(plantId)?.seller;
        put(pest, "collection");
        if (seller !== "" && seller === plant.seller) put(pest, "seller");
        if (standing.get(plantId) === plant.placeId) put(pest, "place");
        if (plantId === plant.id) put(pest, "here");
      }
      for (const pest of beside.get(plant.id) ?? []) put(pest, "beside");
      return near;
    },
  };
}

/** The season it is where the collection stands. */
export function seasonNow(context: Context): Circumstances["season"] {
  return seasonOf(Number(today(context).slice(5, 7)), context.collection.hemisphere);
}
