import type { PerSite } from "../../model/population/sites";
import { MOST_LOOKS } from "./looks";
import type { AfterLooks, Scorer } from "./score";

/** Clean looks, how likely they are, and what they would make of the case. */
export interface LookWorth extends AfterLooks {
  readonly looks: number;
  /** The day of the last of them, since the case's day 0. */
  readonly day: number;
}

/**
 * How many clean looks it takes to be sure enough: one from `firstDay` on every `everyDays` days, each as thorough as `see`
 * says, until it reaches `target`; null when eight are not enough. With it the chance that all of them are clean.
 */
export function looksUntilSure(
  scorer: Scorer,
  see: readonly PerSite[],
  { firstDay, everyDays, target }: { firstDay: number; everyDays: number; target: number },
): LookWorth | null {
  for (let looks = 1; looks <= MOST_LOOKS; looks++) {
    const days = Array.from({ length: looks }, (_, i) => firstDay + i * everyDays);
    const numbers = scorer.afterLooks(
      [],
      days.map((atDays) => ({ atDays, see })),
    );
    if (numbers.sure >= target) return { looks, day: days.at(-1)!, ...numbers };
  }
  return null;
}
