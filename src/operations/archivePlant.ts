import type { ArchivePlant } from "@/core/facts/deeds";
import * as plants from "@/db/stores/plants";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Puts a plant out of sight with its whole record, or back again. Nothing is deleted. */
export function archivePlant(context: Context, deed: ArchivePlant): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.plantId, async (scope) => {
    const plant = await plants.lock(scope, deed.plantId);
    if (!plant) return refuse("plantId", "unknown");
    if (!deed.archived) {
      const bearer = await plants.withCode(scope, plant.code);
      if (bearer !== null && bearer !== plant.id) refuse("plantId", "code_taken");
    }
    await plants.setArchived(scope, plant.id, deed.archived ? context.now : null);
    await refreshPlantStates(context, scope, [plant.id]);
    return { id: plant.id };
  });
}
