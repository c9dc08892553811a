import { shownAt } from "@/core/acts/timers";
import * as timers from "@/db/stores/walks/timers";
import { scopeOf, type Context } from "../../shared/context";

/** A timer as a device shows it. */
export type ShownTimer = timers.KeptTimer;

/** Before this nobody waits for a timer any more, ms: shownAt says which of the rest are shown. */
const LONGEST_MS = 14 * 24 * 3_600_000;

/** The timers that run, and those that rang and were not seen to. */
export async function readTimers(context: Context): Promise<ShownTimer[]> {
  const from = new Date(context.now.getTime() - LONGEST_MS);
  return shownAt(await timers.running(scopeOf(context, "see"), from), context.now);
}
