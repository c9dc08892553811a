import type { EndWalk } from "@/core/record/facts/commands";
import * as walks from "@/db/stores/walks/walks";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";

/** Ends a walk, whether or not every plant was looked at. Ending it again changes nothing. */
export function endWalk(context: Context, { walkId }: EndWalk): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", walkId, async (scope) => {
    const walk = await walks.find(scope, walkId);
    if (!walk) return refuse("walkId", "unknown");
    if (walk.endedAt === null) await walks.end(scope, walkId);
    return { id: walkId };
  });
}
