import type { CountTraps } from "@/core/record/facts/kinds/trapCount";
import * as facts from "@/db/stores/record/facts";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { knownPlace, lockPlant, pastMoment } from "../../shared/checks";

/** Writes down how many gnats were counted at a place, or how many larvae under a slice on a plant's mix. */
export function countTraps(context: Context, command: CountTraps): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasSent("trapCount", command.id)) return { id: command.id };
    await knownPlace(scope, command.placeId);
    if (command.plantId !== null) await lockPlant(scope, command.plantId);
    await facts.add(scope, "trapCount", [{ ...command, at: pastMoment(context, command.at) }]);
    return { id: command.id };
  });
}
