import type { Day } from "@/core/climate/days";
import type { AddPlace } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";

/** Nothing else is known of the days before. */
export const SINCE_EVER = "2000-01-01" as Day;

/** Adds a room, or a shelf or isolation place that may stand in a room. */
export function addPlace(context: Context, deed: AddPlace): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "places", deed.id)) return { id: deed.id };
    if (deed.parentId !== null) {
      const parent = await places.find(scope, deed.parentId);
      if (!parent || parent.kind !== "room" || deed.kind === "room") refuse("parentId", "parent_not_room");
    }
    await places.add(scope, deed);
    await places.setTemperature(scope, { placeId: deed.id, since: SINCE_EVER, meanC: deed.meanC });
    return { id: deed.id };
  });
}
