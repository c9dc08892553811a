import type { RecordReaction } from "@/core/facts/kinds/reaction";
import * as facts from "@/db/stores/facts";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { lockPlant, momentOn } from "./parts/checks";

/** Writes down how a plant has borne a treatment: what it bore badly is proposed milder next, or refused; what it bore well is doubted no more. */
export function recordReaction(context: Context, deed: RecordReaction): Promise<Outcome<{ id: string }>> {
  return perform(context, "record", deed.id, async (scope) => {
    if (await scope.wasSent("reaction", deed.id)) return { id: deed.id };
    const plant = await lockPlant(scope, deed.plantId);
    const { longAgo, ...reaction } = deed;
    await facts.add(scope, "reaction", [{ ...reaction, at: momentOn(context, plant, deed.at, longAgo) }]);
    scope.touch([plant.id]);
    return { id: deed.id };
  });
}
