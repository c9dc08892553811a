import type { ChangeSettings } from "@/core/facts/deeds";
import * as collections from "@/db/stores/collections";
import * as plants from "@/db/stores/plants";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Changes the collection's settings; a new looking rhythm or time zone moves every plant's next look. */
export function changeSettings(context: Context, deed: ChangeSettings): Promise<Outcome<{ id: string }>> {
  return perform(context, context.collection.id, async (scope) => {
    const { id } = context.collection;
    await collections.change(scope.sequelize, id, deed, scope.transaction);
    const changed: Context = { ...context, collection: { id, ...deed } };
    const moved =
      deed.lookEveryDays !== context.collection.lookEveryDays || deed.timeZone !== context.collection.timeZone;
    if (moved) {
      const local = { ...scope, timeZone: deed.timeZone };
      await refreshPlantStates(changed, local, await plants.inUse(local));
    }
    return { id };
  });
}
