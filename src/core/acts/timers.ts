import { z } from "zod";
import { id, moment, orNothing, whole } from "../shared/fields";
import { timerIds, type TimerId } from "./timerIds";

const DAY_MINUTES = 24 * 60;

/** The longest that is waited for: a week. */
const MOST_MINUTES = 7 * DAY_MINUTES;

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

/** A timer that was started. Instants: a change of the clocks moves nothing but what the clock shows. */
export interface Timer {
  readonly id: string;
  readonly plantId: string | null;
  readonly what: TimerId;
  readonly startedAt: Date;
  readonly endsAt: Date;
}

/** One that has rung is shown for so long, and no longer: nobody will see to it any more (HOUSE). */
const SHOWN_AFTER_MS = 2 * DAY_MINUTES * 60_000;

/**
 * The timers that are still shown at a moment, those that ring first before the others. @example shownAt([], new Date()) // []
 */
export function shownAt<T extends Pick<Timer, "endsAt" | "id">>(timers: readonly T[], now: Date): T[] {
  return timers
    .filter(({ endsAt }) => now.getTime() - endsAt.getTime() < SHOWN_AFTER_MS)
    .toSorted((a, b) => a.endsAt.getTime() - b.endsAt.getTime() || (a.id < b.id ? -1 : 1));
}
