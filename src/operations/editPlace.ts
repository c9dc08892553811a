import type { EditPlace } from "@/core/facts/deeds";
import * as places from "@/db/stores/places";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { knownPlace } from "./parts/checks";

/** Changes what a place is called. */
export function editPlace(context: Context, deed: EditPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.placeId, async (scope) => {
    await knownPlace(scope, deed.placeId);
    await places.rename(scope, deed.placeId, deed.name);
    return { id: deed.placeId };
  });
}
