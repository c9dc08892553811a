import type { RecordReaction } from "@/core/record/facts/kinds/reaction";
import * as facts from "@/db/stores/facts";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { lockPlant, momentOn } from "../../shared/checks";

/** Writes down how a plant has borne a treatment: what it bore badly is proposed milder next, or refused; what it bore well is doubted no more. */
export function recordReaction(context: Context, deed: RecordReaction): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", deed.id, async (scope) => {
    if (await scope.wasSent("reaction", deed.id)) return { id: deed.id };
    const plant = await lockPlant(scope, deed.plantId);
    const { longAgo, ...reaction } = deed;
    await facts.add(scope, "reaction", [{ ...reaction, at: momentOn(context, plant, deed.at, longAgo) }]);
    scope.invalidate([plant.id]);
    return { id: deed.id };
  });
}
