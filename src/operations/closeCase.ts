import type { CloseCase } from "@/core/facts/deeds";
import * as cases from "@/db/stores/cases";
import * as facts from "@/db/stores/facts";
import { lockOpenCase, pastInstant } from "./checks";
import { dayOf, type Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Closes a case. Whether it is clear is the keeper's decision; the application shows what speaks against it. */
export function closeCase(context: Context, deed: CloseCase): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "closings", deed.id)) return { id: deed.id };
    const { found, plant } = await lockOpenCase(scope, deed.caseId);
    const at = pastInstant(context, deed.at);
    if (dayOf(context, at) < found.openedOn) refuse("at", "before_case");
    await cases.addClosing(scope, { ...deed, at }, context.now);
    await cases.setOpen(scope, found.id, false);
    await refreshPlantStates(context, scope, [plant.id]);
    return { id: deed.id };
  });
}
