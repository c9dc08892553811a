import { addDays, type Day } from "../climate/days";
import { standing, type ActDone } from "../facts/facts";
import { predators } from "../remedies/lasting";

/** Predators are let loose after so many days without sprays or dust (common practice, no source). */
export const SPRAY_FREE_DAYS = 14;

/** What of a plant's acts bears on helpful animals. */
export interface Helpers {
  /** The last day on which animals that were let loose still live; null where none were. */
  readonly aliveUntil: Day | null;
  /** The day from which on they may be let loose; null where nothing that kills them was put on. */
  readonly freeFrom: Day | null;
}

const latest = (days: readonly Day[]): Day | null => days.toSorted().at(-1) ?? null;

/**
 * Until when helpful animals live on a plant, and from when on they may be let loose there, from its acts and those on its place.
 * Struck out acts count nothing. @example helpersOn([]) // { aliveUntil: null, freeFrom: null }
 */
export function helpersOn(acts: readonly ActDone[]): Helpers {
  const done = standing(acts);
  return {
    aliveUntil: latest(
      done.flatMap(({ act, day }) => (act.kind === "release" ? [addDays(day, predators[act.predator].untilDay)] : [])),
    ),
    freeFrom: latest(
      done.flatMap(({ act, day }) =>
        act.kind === "contact" || act.kind === "dust" ? [addDays(day, SPRAY_FREE_DAYS)] : [],
      ),
    ),
  };
}
