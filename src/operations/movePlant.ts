import { stayAt, staysOf } from "@/core/case/stays";
import type { MovePlant } from "@/core/facts/kinds/placement";
import * as facts from "@/db/stores/facts";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { knownPlace, lockPlant, momentOn } from "./parts/checks";

/** Moves a plant to another place; bringing one back among the others is such a move. */
export function movePlant(context: Context, deed: MovePlant): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "placement", deed.id)) return { id: deed.id };
    const plant = await lockPlant(scope, deed.plantId);
    const at = momentOn(context, plant, deed.at, false);
    await knownPlace(scope, deed.placeId);
    const stays = staysOf(await facts.of(scope, "placement", "plantId", [deed.plantId]), null);
    if (stayAt(stays, at)?.placeId === deed.placeId) refuse("placeId", "same_place");
    await facts.add(scope, "placement", [{ id: deed.id, plantId: deed.plantId, placeId: deed.placeId, at }]);
    scope.touchBeside([deed.plantId]);
    return { id: deed.id };
  });
}
