import type { MovePlant } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as placements from "@/db/stores/placements";
import { knownPlace, lockPlant, pastInstant, placedAt } from "./checks";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Moves a plant to another place; bringing one back among the others is such a move. */
export function movePlant(context: Context, deed: MovePlant): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "placements", deed.id)) return { id: deed.id };
    await lockPlant(scope, deed.plantId);
    const at = await placedAt(scope, deed.plantId, pastInstant(context, deed.at));
    await knownPlace(scope, deed.placeId);
    const stood = (await placements.ofPlants(scope, [deed.plantId])).filter((p) => p.voidReason === null && p.at <= at);
    if (stood.at(-1)?.placeId === deed.placeId) refuse("placeId", "same_place");
    await placements.add(scope, { id: deed.id, plantId: deed.plantId, placeId: deed.placeId, at }, context.now);
    await refreshPlantStates(context, scope, [deed.plantId]);
    return { id: deed.id };
  });
}
