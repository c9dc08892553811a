import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { refreshPlantStates } from "./refreshPlantStates";

/** A page brings up to date only so many plants; the others follow in a job and show what was known before. */
const WHILE_WAITING = 4;

/** What is known of a case moves with the calendar: the first reader of a day brings some up to date, a job the rest. */
export async function refreshStale(context: Context): Promise<void> {
  const stale = await plantStates.stale(scopeOf(context), today(context));
  if (stale.length === 0) return;
  await context.sequelize.transaction({ transaction: context.transaction ?? null }, (transaction) =>
    refreshPlantStates(context, scopeOf(context, transaction), stale.slice(0, WHILE_WAITING)),
  );
}
