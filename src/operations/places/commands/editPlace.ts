import type { EditPlace } from "@/core/record/facts/commands";
import * as places from "@/db/stores/places/places";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace } from "../../shared/checks";

/** Changes what is written of a place; what is left out stays as it is. */
export function editPlace(context: Context, command: EditPlace): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.placeId, async (scope) => {
    const { placeId, ...described } = command;
    await knownPlace(scope, placeId);
    const { dripsOn } = described;
    if (dripsOn === placeId) refuse("dripsOn", "same_place");
    if (dripsOn) await knownPlace(scope, dripsOn, "dripsOn");
    const said = Object.entries(described).filter(([, value]) => value !== undefined);
    await places.change(scope, placeId, Object.fromEntries(said));
    scope.invalidateAll();
    return { id: command.placeId };
  });
}
