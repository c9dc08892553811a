import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { refreshPlantStates } from "./refreshPlantStates";

/** The petals of plants in a case move with the calendar: the first reader of a day brings them up to date. */
export async function refreshStale(context: Context): Promise<void> {
  const scope = scopeOf(context);
  await refreshPlantStates(context, scope, await plantStates.stale(scope, today(context)));
}
