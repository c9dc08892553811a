import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { refreshPlantStates } from "./refreshPlantStates";

/** The petals of plants in a case move with the calendar: the first reader of a day brings them up to date. */
export async function refreshStale(context: Context): Promise<void> {
  const stale = await plantStates.stale(scopeOf(context), today(context));
  if (stale.length === 0) return;
  await context.sequelize.transaction({ transaction: context.transaction ?? null }, (transaction) =>
    refreshPlantStates(context, scopeOf(context, transaction), stale),
  );
}
