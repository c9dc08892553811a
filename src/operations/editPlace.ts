import type { EditPlace } from "@/core/facts/deeds";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { knownPlace } from "./checks";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Changes a place's name or temperature; the states of the plants standing there follow. */
export function editPlace(context: Context, deed: EditPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.placeId, async (scope) => {
    await knownPlace(scope, deed.placeId);
    await places.change(scope, deed.placeId, { name: deed.name, meanC: deed.meanC });
    const there = (await plantStates.list(scope)).filter((plant) => plant.placeId === deed.placeId);
    await refreshPlantStates(
      context,
      scope,
      there.map((plant) => plant.id),
    );
    return { id: deed.placeId };
  });
}
