import type { RecordReaction } from "@/core/record/facts/kinds/reaction";
import * as facts from "@/db/stores/record/facts";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { lockPlant, momentOn } from "../../shared/checks";

/** Writes down how a plant has borne a treatment: what it bore badly is proposed milder next, or refused; what it bore well is doubted no more. */
export function recordReaction(context: Context, command: RecordReaction): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("reaction", command.id)) return { id: command.id };
    const plant = await lockPlant(scope, command.plantId);
    const { longAgo, ...reaction } = command;
    await facts.add(scope, "reaction", [{ ...reaction, at: momentOn(context, plant, command.at, longAgo) }]);
    scope.invalidate([plant.id]);
    return { id: command.id };
  });
}
