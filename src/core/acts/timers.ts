import { z } from "zod";
import { id, moment, orNothing, whole } from "../fields";
import { remedyOf } from "../remedies/remedies";
import { mixes } from "../mixing/mixes";
import type { Act } from "./acts";

/** What is waited for after something was put on, or while it acts. */
export const timerIds = ["soak", "contact", "rinse", "dark", "fan", "wait"] as const;
export type TimerId = (typeof timerIds)[number];

const DAY_MINUTES = 24 * 60;

/** A timer that may be started, and for how long; `optional` where practitioners disagree whether it is needed. */
export interface TimerProposal {
  readonly what: TimerId;
  readonly minutes: number;
  readonly optional: boolean;
}

const alcoholDark: TimerProposal = { what: "dark", minutes: DAY_MINUTES, optional: false };
const fan: TimerProposal = { what: "fan", minutes: 4 * 60, optional: false };
// Rinse off soap and oil after an hour, or leave them: both schools (common practice, no source).
const rinse: TimerProposal = { what: "rinse", minutes: 60, optional: true };

/**
 * What is waited for after an act: 24 hours out of all light after alcohol that was sprayed, three to five hours of a fan after what
 * wets the plant, a rinse after an hour in one school; a pot stands 15 to 25 minutes in what it soaks. Empty where nothing is.
 * Source: common practice, no source. @example timersAfter({ kind: "dust", dryDays: 7 }) // []
 */
export function timersAfter(act: Act): readonly TimerProposal[] {
  if (act.kind === "drench") return [{ what: "soak", minutes: 20, optional: true }];
  if (act.kind === "mechanical") return act.way === "shower" || act.way === "unpot" ? [fan] : [];
  if (act.kind !== "contact") return [];
  const { remedy } = mixes[act.mix];
  const wets = act.technique !== "dab" && act.technique !== "wipe";
  if (remedy === "alcohol") return [{ ...alcoholDark, optional: !wets }];
  const rinsed = remedy === "soap" || remedy === "oil";
  return [...(wets && remedyOf(remedy).cautions.includes("dryCrown") ? [fan] : []), ...(rinsed && wets ? [rinse] : [])];
}

/** The longest that is waited for: a week. */
const MOST_MINUTES = 7 * DAY_MINUTES;

export const startTimer = z.object({
  id,
  /** The plant it is for; null for all of a sitting. */
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
