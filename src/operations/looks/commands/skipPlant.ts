import type { SkipPlant } from "@/core/record/facts/kinds/skip";
import * as facts from "@/db/stores/facts";
import * as walks from "@/db/stores/walks";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { lockPlant, pastMoment } from "../../shared/checks";

/** Leaves a plant out on a walk, with the reason. One that was looked at meanwhile counts as looked at. */
export function skipPlant(context: Context, deed: SkipPlant): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", deed.id, async (scope) => {
    if (await scope.wasSent("skip", deed.id)) return { id: deed.id };
    const { id, walkId, plantId } = deed;
    await lockPlant(scope, plantId);
    if (!(await walks.find(scope, walkId))) refuse("walkId", "unknown");
    await facts.add(scope, "skip", [{ ...deed, at: pastMoment(context, deed.at) }]);
    return { id };
  });
}
