import type { ArrangePlaces } from "@/core/record/facts/commands";
import * as places from "@/db/stores/places/places";
import type { Context } from "../../shared/context";
import { refuse, transact, type Outcome } from "../../shared/outcome";

/** Puts rooms somewhere on the plan: all of them, or none. It is a drawing: nothing follows from it. */
export function arrangePlaces(context: Context, command: ArrangePlaces): Promise<Outcome<{ arranged: number }>> {
  return transact(context, "record", `${context.collection.id} plan`, async (scope) => {
    const known = new Set((await places.all(scope)).map(({ id }) => id));
    for (const { placeId } of command.places) if (!known.has(placeId)) refuse("places", "unknown");
    for (const { placeId, column, row } of command.places)
      await places.change(scope, placeId, { planColumn: column, planRow: row });
    return { arranged: command.places.length };
  });
}
