import type { ArchivePlant } from "@/core/record/facts/commands";
import * as plants from "@/db/stores/plants/plants";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { checkCode } from "../../shared/checks";

/** Puts a plant out of sight with its whole record, or back again. Nothing is deleted. */
export function archivePlant(context: Context, command: ArchivePlant): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.plantId, async (scope) => {
    const plant = await plants.lock(scope, command.plantId);
    if (!plant) return refuse("plantId", "unknown");
    if (!command.archived) await checkCode(scope, "plantId", plant.code, plant.id);
    if (command.archived !== (plant.archivedAt !== null))
      await plants.setArchived(scope, plant.id, command.archived ? context.now : null);
    scope.invalidateBeside([plant.id]);
    return { id: plant.id };
  });
}
