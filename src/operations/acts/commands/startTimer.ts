import type { StartTimer } from "@/core/acts/timerCommands";
import * as timers from "@/db/stores/walks/timers";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { lockPlant, pastMoment } from "../../shared/checks";

const MINUTE_MS = 60_000;

/** Starts a timer that every device shows. One that is sent late began when it was pressed, and may have rung meanwhile. */
export function startTimer(context: Context, command: StartTimer): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    const { id, plantId, what, minutes } = command;
    if (await scope.wasThere("timers", id)) return { id };
    if (plantId !== null) await lockPlant(scope, plantId);
    const startedAt = pastMoment(context, command.at);
    const endsAt = new Date(startedAt.getTime() + minutes * MINUTE_MS);
    await timers.start(scope, { id, plantId, what, startedAt, endsAt });
    return { id };
  });
}
