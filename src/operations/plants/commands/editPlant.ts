import type { EditPlant } from "@/core/record/facts/commands";
import * as plants from "@/db/stores/plants/plants";
import { today, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { careOf, checkCode, lockPlant } from "../../shared/checks";

/** Changes what is written on a plant's label; its facts stay as they are, and its cases are judged as what it is now. */
export function editPlant(context: Context, command: EditPlant): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.plantId, async (scope) => {
    const { plantId, ...changed } = command;
    const { inBud, worth, kept = null, careAdded, careWithout } = await lockPlant(scope, plantId);
    const description = {
      ...changed,
      inBud: changed.inBud ?? inBud,
      worth: changed.worth ?? worth,
      kept: changed.kept === undefined ? kept : changed.kept,
      ...careOf(changed.careAdded ?? careAdded, changed.careWithout ?? careWithout),
    };
    await checkCode(scope, "code", description.code, plantId);
    if (description.acquiredOn && description.acquiredOn > today(context)) refuse("acquiredOn", "in_future");
    await plants.change(scope, plantId, description);
    scope.invalidate([plantId]);
    return { id: plantId };
  });
}
