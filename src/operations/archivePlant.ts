import type { ArchivePlant } from "@/core/facts/deeds";
import * as plants from "@/db/stores/plants";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { checkCode } from "./parts/checks";

/** Puts a plant out of sight with its whole record, or back again. Nothing is deleted. */
export function archivePlant(context: Context, deed: ArchivePlant): Promise<Outcome<{ id: string }>> {
  return perform(context, "record", deed.plantId, async (scope) => {
    const plant = await plants.lock(scope, deed.plantId);
    if (!plant) return refuse("plantId", "unknown");
    if (!deed.archived) await checkCode(scope, "plantId", plant.code, plant.id);
    if (deed.archived !== (plant.archivedAt !== null))
      await plants.setArchived(scope, plant.id, deed.archived ? context.now : null);
    scope.touchBeside([plant.id]);
    return { id: plant.id };
  });
}
