import type { TimerId } from "./timerIds";

const DAY_MS = 24 * 60 * 60_000;

/** A timer that was started. Instants: a change of the clocks moves nothing but what the clock shows. */
export interface Timer {
  readonly id: string;
  readonly plantId: string | null;
  readonly what: TimerId;
  readonly startedAt: Date;
  readonly endsAt: Date;
}

/** One that has rung is shown for so long, and no longer: nobody will see to it any more (HOUSE). */
const SHOWN_AFTER_MS = 2 * DAY_MS;

/**
 * The timers that are still shown at a moment, those that ring first before the others. @example shownAt([], new Date()) // []
 */
export function shownAt<T extends Pick<Timer, "endsAt" | "id">>(timers: readonly T[], now: Date): T[] {
  return timers
    .filter(({ endsAt }) => now.getTime() - endsAt.getTime() < SHOWN_AFTER_MS)
    .toSorted((a, b) => a.endsAt.getTime() - b.endsAt.getTime() || (a.id < b.id ? -1 : 1));
}
