import type { AddPlace } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { pastMoment } from "./parts/checks";

/** Adds a room, or a shelf or isolation place that may stand in a room and then be as warm as that. */
export function addPlace(context: Context, deed: AddPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    const { celsius, readingId, ...place } = deed;
    if (await facts.isThere(scope, "places", deed.id)) return { id: deed.id };
    if (deed.parentId !== null) {
      const parent = await places.find(scope, deed.parentId);
      if (!parent || parent.kind !== "room" || deed.kind === "room") refuse("parentId", "parent_not_room");
    } else if (celsius === null) refuse("celsius", "no_temperature");
    await places.add(scope, place);
    if (celsius !== null) {
      const at = pastMoment(context, context.now);
      await facts.add(scope, "reading", [{ id: readingId, placeId: deed.id, at, celsius, source: "about" as const }]);
    }
    return { id: deed.id };
  });
}
