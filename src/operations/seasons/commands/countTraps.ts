import type { CountTraps } from "@/core/record/facts/kinds/trapCount";
import * as facts from "@/db/stores/facts";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { knownPlace, lockPlant, pastMoment } from "../../shared/checks";

/** Writes down how many gnats were counted at a place, or how many larvae under a slice on a plant's mix. */
export function countTraps(context: Context, deed: CountTraps): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", deed.id, async (scope) => {
    if (await scope.wasSent("trapCount", deed.id)) return { id: deed.id };
    await knownPlace(scope, deed.placeId);
    if (deed.plantId !== null) await lockPlant(scope, deed.plantId);
    await facts.add(scope, "trapCount", [{ ...deed, at: pastMoment(context, deed.at) }]);
    return { id: deed.id };
  });
}
