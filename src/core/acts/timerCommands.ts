import { z } from "zod";
import { id, moment, orNothing, whole } from "../shared/fields";
import { timerIds } from "./timerIds";

/** The longest that is waited for: a week. */
const MOST_MINUTES = 7 * 24 * 60;

export const startTimer = z.object({
  id,
  /** The plant it is for; null for all of a session. */
  plantId: orNothing(id),
  what: z.enum(timerIds),
  minutes: whole(1, MOST_MINUTES),
  at: moment,
});
export type StartTimer = z.output<typeof startTimer>;

/** It has rung and was seen to, or is not waited for any more. */
export const endTimer = z.object({ timerId: id, at: moment });
export type EndTimer = z.output<typeof endTimer>;
