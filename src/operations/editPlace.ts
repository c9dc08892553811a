import type { EditPlace } from "@/core/facts/deeds";
import * as places from "@/db/stores/places";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { knownPlace } from "./parts/checks";

/** Changes what is written of a place; what is left out stays as it is. */
export function editPlace(context: Context, deed: EditPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, "record", deed.placeId, async (scope) => {
    const { placeId, ...described } = deed;
    await knownPlace(scope, placeId);
    const { dripsOn } = described;
    if (dripsOn === placeId) refuse("dripsOn", "same_place");
    if (dripsOn) await knownPlace(scope, dripsOn, "dripsOn");
    const said = Object.entries(described).filter(([, value]) => value !== undefined);
    await places.change(scope, placeId, Object.fromEntries(said));
    scope.touchEverything();
    return { id: deed.placeId };
  });
}
