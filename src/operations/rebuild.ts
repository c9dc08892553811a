import { MODEL_VERSION } from "@/core/case/model";
import { ask, takePart } from "@/db/queue";
import * as plantStates from "@/db/stores/plantStates";
import { openContext, scopeOf, today, type Context } from "./context";
import { untilDone } from "./judgeCases";
import { refreshPlantStates } from "./refreshPlantStates";

const QUEUE = "judge-cases";
/** Plants judged in one transaction: others may write in between. */
const BATCH = 10;

/**
 * Judges anew every case whose kept judgement is not of today, of this model and of the facts as they are. Returns how many
 * plants it went through.
 */
export async function rebuildStale(context: Context): Promise<number> {
  const stale = await plantStates.stale(scopeOf(context), today(context));
  for (let i = 0; i < stale.length; i += BATCH) {
    await context.sequelize.transaction({ transaction: context.transaction ?? null }, (transaction) =>
      refreshPlantStates(context, scopeOf(context, transaction), stale.slice(i, i + BATCH), untilDone()),
    );
  }
  return stale.length;
}

/** Takes part in the judging jobs of the database; what an older model left behind is judged first. `now` is the clock. */
export async function startRebuilding(url: string, now: () => Date): Promise<void> {
  const context = await openContext(url, now());
  await plantStates.markOutdated(scopeOf(context), MODEL_VERSION);
  await takePart(url, QUEUE, async () => {
    await rebuildStale(await openContext(url, now()));
  });
}

/** Has the rest judged by a job, after a deed that touched more cases than somebody may wait for. */
export function askForRebuild(url: string): Promise<void> {
  return ask(url, QUEUE);
}
