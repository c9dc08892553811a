import type { EditPlace } from "@/core/record/facts/deeds";
import * as places from "@/db/stores/places";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace } from "../../shared/checks";

/** Changes what is written of a place; what is left out stays as it is. */
export function editPlace(context: Context, deed: EditPlace): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", deed.placeId, async (scope) => {
    const { placeId, ...described } = deed;
    await knownPlace(scope, placeId);
    const { dripsOn } = described;
    if (dripsOn === placeId) refuse("dripsOn", "same_place");
    if (dripsOn) await knownPlace(scope, dripsOn, "dripsOn");
    const said = Object.entries(described).filter(([, value]) => value !== undefined);
    await places.change(scope, placeId, Object.fromEntries(said));
    scope.invalidateAll();
    return { id: deed.placeId };
  });
}
