import type { AddPlace } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";

/** Adds a room, or a shelf or isolation place that may stand in a room. */
export function addPlace(context: Context, deed: AddPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "places", deed.id)) return { id: deed.id };
    if (deed.parentId !== null) {
      const parent = await places.find(scope, deed.parentId);
      if (!parent || parent.kind !== "room" || deed.kind === "room") refuse("parentId", "parent_not_room");
    }
    await places.add(scope, deed);
    return { id: deed.id };
  });
}
