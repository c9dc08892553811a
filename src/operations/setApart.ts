import type { SetApart } from "@/core/facts/deeds";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/facts";
import * as placements from "@/db/stores/placements";
import * as places from "@/db/stores/places";
import { SINCE_EVER } from "./addPlace";
import { knownPlace, lockPlant, pastInstant, placedAt } from "./checks";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Sets a plant apart: in an isolation place, or under a bag of its own where it stands. */
export function setApart(context: Context, deed: SetApart): Promise<Outcome<{ placeId: string }>> {
  return perform(context, deed.id, async (scope) => {
    const recorded = await placements.find(scope, deed.id);
    if (recorded) return { placeId: recorded.placeId };
    const plant = await lockPlant(scope, deed.plantId);
    const at = await placedAt(scope, plant.id, pastInstant(context, deed.at));
    const placeId = deed.placeId ?? (await bagOver(scope, plant.id, plant.code, deed.bagId));
    const place = await knownPlace(scope, placeId);
    if (place.kind !== "isolation" && place.kind !== "bag") refuse("placeId", "not_apart_place");
    await placements.add(scope, { id: deed.id, plantId: plant.id, placeId, at }, context.now);
    await refreshPlantStates(context, scope, [plant.id]);
    return { placeId };
  });
}

/** A bag is a place of its own, inside the place where the plant stands and as warm as that. */
async function bagOver(scope: Scope, plantId: string, code: string, bagId: string): Promise<string> {
  if (await facts.isRecorded(scope, "places", bagId)) return bagId;
  const now = (await placements.ofPlants(scope, [plantId])).findLast((p) => p.voidReason === null);
  if (!now) return refuse("plantId", "unknown");
  if (now.placeKind === "bag") return refuse("placeId", "same_place");
  const around = await knownPlace(scope, now.placeId);
  await places.add(scope, {
    id: bagId,
    name: `Bag over ${code}`,
    kind: "bag",
    parentId: around.id,
    meanC: around.meanC,
  });
  await places.setTemperature(scope, { placeId: bagId, since: SINCE_EVER, meanC: around.meanC });
  return bagId;
}
