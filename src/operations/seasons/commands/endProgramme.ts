import type { EndProgramme } from "@/core/record/facts/kinds/roomProgramme";
import { runningProgrammes } from "@/core/advice/seasons/running";
import * as facts from "@/db/stores/record/facts";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";

/** Ends a programme of a room or of the collection. What was done and counted stays on record. */
export function endProgramme(context: Context, command: EndProgramme): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("roomEnding", command.id)) return { id: command.id };
    const running = runningProgrammes(await facts.all(scope, "roomProgramme"), await facts.all(scope, "roomEnding"));
    const runs = running.some(
      ({ programme, placeId }) => programme === command.programme && placeId === command.placeId,
    );
    if (!runs) refuse("programme", "programme_not_running");
    await facts.add(scope, "roomEnding", [{ ...command, at: context.now }]);
    return { id: command.id };
  });
}
