import * as troubles from "@/db/stores/access/troubles";
import { scopeOf, type Context } from "./context";

export type { Trouble, TroubledWork } from "@/db/stores/access/troubles";

/** Something that failed is tried again after so long, twice as long each time, and at least daily. */
const FIRST_WAIT_MS = 60_000;
const LONGEST_WAIT_MS = 24 * 3_600_000;

/**
 * Does something for one collection behind a fence: where it fails, that is noted with the collection and told on its pages, and whoever
 * goes through several goes on with the next. What has failed is not tried again at once. Gives what it came to; null where it failed,
 * or its time has not come.
 */
export async function fenced<T>(
  context: Context,
  work: troubles.TroubledWork,
  does: (context: Context) => Promise<T>,
): Promise<T | null> {
  const scope = scopeOf({ ...context, batch: undefined }, "see");
  try {
    const before = await troubles.find(scope, work);
    if (before && context.now.getTime() < before.at.getTime() + waitOf(before.times)) return null;
    const done = await does(context);
    if (before) await troubles.clear(scope, work);
    return done;
  } catch (error) {
    console.error(`${work} of ${context.collection.name}:`, error);
    const why = error instanceof Error ? error.message : String(error);
    await troubles.note(scope, work, why).catch((cause: unknown) => console.error(cause));
    return null;
  }
}

function waitOf(times: number): number {
  return Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** Math.min(times - 1, 20));
}

/** What could not be done by itself for a collection lately. */
export function readTroubles(context: Context): Promise<troubles.Trouble[]> {
  return troubles.all(scopeOf(context, "see"));
}
