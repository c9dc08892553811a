import type { SkipPlant } from "@/core/record/facts/kinds/skip";
import * as facts from "@/db/stores/record/facts";
import * as walks from "@/db/stores/walks/walks";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { lockPlant, pastMoment } from "../../shared/checks";

/** Leaves a plant out on a walk, with the reason. One that was looked at meanwhile counts as looked at. */
export function skipPlant(context: Context, command: SkipPlant): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasSent("skip", command.id)) return { id: command.id };
    const { id, walkId, plantId } = command;
    await lockPlant(scope, plantId);
    if (!(await walks.find(scope, walkId))) refuse("walkId", "unknown");
    await facts.add(scope, "skip", [{ ...command, at: pastMoment(context, command.at) }]);
    return { id };
  });
}
