/** What is waited for after something was put on, or while it acts. */
export const timerIds = ["soak", "contact", "rinse", "dark", "fan", "wait"] as const;
export type TimerId = (typeof timerIds)[number];

/** A timer that may be started, and for how long; `optional` where practitioners disagree whether it is needed. */
export interface TimerProposal {
  readonly what: TimerId;
  readonly minutes: number;
  readonly optional: boolean;
}

/** Three to five hours of a fan after what wets the plant (common practice, no source). */
export const fan: TimerProposal = { what: "fan", minutes: 4 * 60, optional: false };
