import type { AddPlant } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as placements from "@/db/stores/placements";
import * as plants from "@/db/stores/plants";
import { checkCode, knownPlace } from "./checks";
import { instantOf, today, type Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Adds a plant where it stands. A plant added to an isolation place is new here until it first leaves it. */
export function addPlant(context: Context, deed: AddPlant): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    const { id, placementId, placeId, ...description } = deed;
    if (await facts.isRecorded(scope, "plants", id)) return { id };
    await knownPlace(scope, placeId);
    await checkCode(scope, "code", description.code, id);
    if (description.acquiredOn && description.acquiredOn > today(context)) refuse("acquiredOn", "in_future");
    await plants.add(scope, id, description, context.now);
    // It has stood there since it was acquired, as far as anyone has said: so a find written down late meets it in its place.
    const since = description.acquiredOn ? instantOf(context, `${description.acquiredOn}T00:00`) : context.now;
    await placements.add(scope, { id: placementId, plantId: id, placeId, at: since }, context.now);
    await refreshPlantStates(context, scope, [id]);
    return { id };
  });
}
