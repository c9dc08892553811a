import { rootsIn } from "../acts/mechanical";
import { addDays, type Day } from "../climate/days";
import { standing, type ActDone } from "../facts/facts";
import { predators, systemics, type LastingRemedy } from "../remedies/lasting";
import { SPRAY_FREE_DAYS } from "../suitability/helpers";

/** What still follows from something done: water again, a remedy that begins or ends to act, helpers to renew, sprays out of the way. */
export const aheadIds = [
  "water",
  "systemicActs",
  "systemicEnds",
  "renewHelpers",
  "helpersGone",
  "freeForHelpers",
] as const;
export type AheadId = (typeof aheadIds)[number];

export interface Ahead {
  readonly what: AheadId;
  readonly on: Day;
}

/**
 * What follows from what was done to a plant from a day on, by day; of each kind the last that was brought about. Struck out acts
 * count nothing. @example aheadOf([], today) // []
 */
export function aheadOf(acts: readonly ActDone[], today: Day): readonly Ahead[] {
  const latest = new Map<AheadId, Day>();
  for (const { what, on } of standing(acts).flatMap(followsFrom)) {
    const known = latest.get(what);
    if (on > today && (known === undefined || known < on)) latest.set(what, on);
  }
  return [...latest].map(([what, on]) => ({ what, on })).toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

function followsFrom({ act, day }: ActDone): Ahead[] {
  const after = (what: AheadId, days: number): Ahead => ({ what, on: addDays(day, days) });
  switch (act.kind) {
    case "mechanical": {
      const dryDays = rootsIn(act)?.dryDays ?? 0;
      return dryDays > 0 ? [after("water", dryDays)] : [];
    }
    case "systemic": {
      const { fromDay, untilDay } = systemics[act.remedy];
      return [after("systemicActs", fromDay), after("systemicEnds", untilDay)];
    }
    case "release": {
      const { phases = [], untilDay }: LastingRemedy = predators[act.predator];
      // Renewed when they begin to fade, so that none are missing between.
      const [fades = untilDay] = phases.at(-1) ?? [];
      return [after("renewHelpers", fades), after("helpersGone", untilDay)];
    }
    case "contact":
    case "dust":
      return [after("freeForHelpers", SPRAY_FREE_DAYS)];
    default:
      return [];
  }
}
