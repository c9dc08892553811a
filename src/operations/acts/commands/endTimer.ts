import type { EndTimer } from "@/core/acts/timerCommands";
import * as timers from "@/db/stores/walks/timers";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";
import { pastMoment } from "../../shared/checks";

/** Ends a timer, whoever started it; ending it twice, or one that nobody has, does nothing. */
export function endTimer(context: Context, { timerId, at }: EndTimer): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", timerId, async (scope) => {
    await timers.end(scope, timerId, pastMoment(context, at));
    return { id: timerId };
  });
}
