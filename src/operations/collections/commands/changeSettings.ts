import type { Settings } from "@/core/record/facts/settings";
import * as collections from "@/db/stores/collections";
import * as plantStates from "@/db/stores/plants/plantStates";
import type { Context } from "../../shared/context";
import { deriveStale } from "../../plants/commands/deriveStale";
import { transact, refuse, type Outcome } from "../../shared/outcome";

/** So many batches of plants are derived anew while the keeper waits; the others follow in a job. */
const WHILE_WAITING = 10;

/** Changes the collection's settings; a new looking rhythm, limit of risk or time zone moves every plant's next look. */
export async function changeSettings(context: Context, command: Settings): Promise<Outcome<{ id: string }>> {
  const { collection } = context;
  const moving = ["lookEveryDays", "timeZone", "riskPercent", "stretchLooks"] as const;
  const moved = moving.some((one) => command[one] !== collection[one]);
  const looksElse = command.owns.join() !== collection.owns.join() || command.timeZone !== collection.timeZone;
  const outcome = await transact(context, "own", collection.id, async (scope) => {
    if (command.timeZone !== collection.timeZone && !(await collections.knowsZone(scope, command.timeZone)))
      refuse("timeZone", "no_such_zone");
    await collections.change(scope, command);
    if (moved) await plantStates.markAll(scope);
    if (looksElse) scope.invalidateAll();
    return { id: collection.id };
  });
  if (outcome.ok && moved) {
    let left = WHILE_WAITING;
    await deriveStale({ ...context, collection: { ...collection, ...command } }, () => left-- > 0);
  }
  return outcome;
}
