import { aheadAfter } from "../../acts/acts";
import { addDays, type Day } from "../../shared/days";
import { standing, type ActDone } from "../facts/facts";
import type { NaturalEnemies } from "../../knowledge/remedies/naturalEnemies";

const latest = (days: readonly Day[]): Day | null => days.toSorted().at(-1) ?? null;

/**
 * Until when helpful animals live on a plant, and from when on they may be let loose there, from its acts and those on its place.
 * Struck out acts count nothing. @example helpersOn([]) // { aliveUntil: null, freeFrom: null }
 */
export function naturalEnemiesOn(acts: readonly ActDone[]): NaturalEnemies {
  const done = standing(acts);
  return {
    aliveUntil: latest(
      done.flatMap(({ act, day }) =>
        aheadAfter(act).flatMap(({ what, days }) => (what === "helpersGone" ? [addDays(day, days)] : [])),
      ),
    ),
    freeFrom: latest(
      done.flatMap(({ act, day }) =>
        aheadAfter(act).flatMap(({ what, days }) => (what === "freeForHelpers" ? [addDays(day, days)] : [])),
      ),
    ),
  };
}
