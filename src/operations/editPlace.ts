import type { EditPlace } from "@/core/facts/deeds";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { knownPlace } from "./checks";
import { today, type Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/**
 * Changes a place's name or temperature, from today on; the states of the plants standing there follow, and where many
 * cases must be judged anew a job goes on with what is left.
 */
export function editPlace(context: Context, deed: EditPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.placeId, async (scope) => {
    await knownPlace(scope, deed.placeId);
    const all = await places.all(scope);
    // A bag is as warm as the place around it.
    const warmed = all.filter((p) => p.id === deed.placeId || (p.kind === "bag" && p.parentId === deed.placeId));
    for (const { id, name, meanC } of warmed) {
      await places.change(scope, id, { name: id === deed.placeId ? deed.name : name, meanC: deed.meanC });
      if (meanC === deed.meanC) continue;
      await places.setTemperature(scope, { placeId: id, since: today(context), meanC: deed.meanC });
    }
    const ids = warmed.map((place) => place.id);
    const there = (await plantStates.list(scope)).filter((plant) => ids.includes(plant.placeId));
    await refreshPlantStates(
      context,
      scope,
      there.map((plant) => plant.id),
    );
    return { id: deed.placeId };
  });
}
