import type { Reckoning } from "../clearance/reckon";
import type { PerSite } from "../population/sites";
import { layOut, pGoneUnseen, pUnseen, type ComingLook } from "./future";

/** Clean looks and what they would make of the case. */
export interface LookWorth {
  readonly looks: number;
  /** The day of the last of them, since the case's day 0. */
  readonly day: number;
  /** Probability that nothing is left, once all of them have found nothing. */
  readonly pClear: number;
}

/** More looks than this are not promised ahead. */
const MOST_LOOKS = 4;

/** P(clear) once looks to come have all been clean. Looks ascending; at least one. */
export function pClearAfter(reckoning: Reckoning, looks: readonly ComingLook[]): number {
  const future = layOut(reckoning, looks.at(-1)!.atDays, [], looks);
  const unseen = pUnseen(reckoning, future);
  // So thorough that what is believed to be there could not stay unseen: only "gone" is left.
  return unseen > 0 ? pGoneUnseen(reckoning, future) / unseen : 1;
}

/**
 * How many clean looks it takes to be sure enough: one from `firstDay` on every `everyDays` days, each as thorough as `see`
 * says, until P(clear) reaches `target`; null when four are not enough.
 */
export function looksUntilSure(
  reckoning: Reckoning,
  see: readonly PerSite[],
  { firstDay, everyDays, target }: { firstDay: number; everyDays: number; target: number },
): LookWorth | null {
  for (let looks = 1; looks <= MOST_LOOKS; looks++) {
    const days = Array.from({ length: looks }, (_, i) => firstDay + i * everyDays);
    const pClear = pClearAfter(
      reckoning,
      days.map((atDays) => ({ atDays, see })),
    );
    if (pClear >= target) return { looks, day: days.at(-1)!, pClear };
  }
  return null;
}
