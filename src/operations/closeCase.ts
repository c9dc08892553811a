import type { CloseCase } from "@/core/facts/kinds/closing";
import * as facts from "@/db/stores/facts";
import { dayOf, type Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { lockOpenCase, momentOn } from "./parts/checks";

/** Closes a case. Whether it is clear is the keeper's decision; the application shows what speaks against it. */
export function closeCase(context: Context, deed: CloseCase): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "closing", deed.id)) return { id: deed.id };
    const { found, record } = await lockOpenCase(scope, deed.caseId);
    const at = momentOn(context, record.plant, deed.at, false);
    // A closing before the last find would leave that find open.
    const last = found.finds.at(-1)!;
    if (dayOf(context, at) < dayOf(context, last)) refuse("at", "before_last_find");
    const { plantId, pest, id: caseId } = found;
    const closedAt = at < last ? last : at;
    await facts.add(scope, "closing", [{ ...deed, caseId, plantId, pest, at: closedAt }]);
    scope.touchBeside([plantId]);
    return { id: deed.id };
  });
}
