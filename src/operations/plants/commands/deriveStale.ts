import type { Scope } from "@/db/connection";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, type Context } from "../../shared/context";
import { refreshCases, refreshStates } from "../refreshPlants";

/** Plants derived in one transaction: others may write in between. */
const BATCH = 100;

/**
 * Derives anew the plants whose rows are out of date, after a change that touched them all: first every case, since plants
 * stand beside each other's, then how each stands. Gives how many it went through; `more` says whether to go on.
 */
export async function deriveStale(context: Context, more: () => boolean = () => true): Promise<number> {
  const stale = await plantStates.toDerive(scopeOf(context, "record"));
  const inBatches = async (work: (scope: Scope, plantIds: readonly string[]) => Promise<unknown>) => {
    for (let i = 0; i < stale.length && more(); i += BATCH)
      await context.sequelize.transaction({ transaction: context.batch?.transaction ?? null }, (transaction) =>
        work(scopeOf(context, "record", transaction), stale.slice(i, i + BATCH)),
      );
  };
  await inBatches(refreshCases);
  await inBatches((scope, plantIds) => refreshStates(context, scope, plantIds));
  return stale.length;
}
