import type { SkipPlant } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as looks from "@/db/stores/looks";
import * as walks from "@/db/stores/walks";
import { lockPlant, pastInstant } from "./checks";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";

/** Leaves a plant out on a walk, with the reason. One that was looked at or left out meanwhile stays as it is. */
export function skipPlant(context: Context, deed: SkipPlant): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "skips", deed.id)) return { id: deed.id };
    const { id, walkId, plantId, reason } = deed;
    await lockPlant(scope, plantId);
    if (!(await walks.find(scope, walkId))) refuse("walkId", "unknown");
    const at = pastInstant(context, deed.at);
    const done = (await looks.isLookedAtOn(scope, walkId, plantId)) || (await walks.isSkipped(scope, walkId, plantId));
    if (!done) await walks.addSkip(scope, { id, walkId, plantId, reason, at }, context.now);
    return { id };
  });
}
