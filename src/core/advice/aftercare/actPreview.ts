import { aheadAfter } from "../../acts/acts";
import type { AheadId } from "../../acts/kind";
import { addDays, type Day } from "../../shared/days";
import { standing, type ActDone } from "../../record/facts/facts";

export interface Ahead {
  readonly what: AheadId;
  readonly on: Day;
}

/**
 * What follows from what was done to a plant from a day on, by day; of each kind the last that was brought about. Struck out acts
 * count nothing. @example aheadOf([], today) // []
 */
export function actPreviewOf(acts: readonly ActDone[], today: Day): readonly Ahead[] {
  const latest = new Map<AheadId, Day>();
  const follows = standing(acts).flatMap(({ act, day }) =>
    aheadAfter(act).map(({ what, days }) => ({ what, on: addDays(day, days) })),
  );
  for (const { what, on } of follows) {
    const known = latest.get(what);
    if (on > today && (known === undefined || known < on)) latest.set(what, on);
  }
  return [...latest].map(([what, on]) => ({ what, on })).toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
