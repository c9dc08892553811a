import { HANDLED_WITHIN_MINUTES } from "@/core/model/carriage/rates";
import type { RecordCleaning } from "@/core/record/facts/kinds/cleaning";
import * as facts from "@/db/stores/record/facts";
import * as spreads from "@/db/stores/plants/spread";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { pastMoment } from "../../shared/checks";

/** Writes down that hands and tools were cleaned. Told late, it bears on what was handled within half an hour after it. */
export function recordCleaning(context: Context, command: RecordCleaning): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasSent("cleaning", command.id)) return { id: command.id };
    const at = pastMoment(context, command.at);
    await facts.add(scope, "cleaning", [{ id: command.id, walkId: command.walkId ?? null, at }]);
    scope.invalidate(await spreads.handledWithin(scope, at, HANDLED_WITHIN_MINUTES));
    return { id: command.id };
  });
}
