import type { EndTimer } from "@/core/acts/timers";
import * as timers from "@/db/stores/timers";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { pastMoment } from "./parts/checks";

/** Ends a timer, whoever started it; ending it twice, or one that nobody has, does nothing. */
export function endTimer(context: Context, { timerId, at }: EndTimer): Promise<Outcome<{ id: string }>> {
  return perform(context, "tend", timerId, async (scope) => {
    await timers.end(scope, timerId, pastMoment(context, at));
    return { id: timerId };
  });
}
