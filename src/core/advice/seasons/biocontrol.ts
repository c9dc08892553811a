import { addDays, type Day } from "../../shared/days";
import { touchesOf, type Act } from "../../acts/acts";
import type { PredatorId } from "../../knowledge/remedies/lasting";
import { SPRAY_FREE_DAYS } from "../../knowledge/remedies/naturalEnemies";

/** Something done at the place or to a plant there. */
export interface GuestAct {
  readonly act: Act;
  readonly day: Day;
}

/** When predators of a programme are let loose, and what is in their way. */
export interface GuestsDue {
  readonly on: Day;
  readonly again: boolean;
  /** The day from which on they may be let loose after what was sprayed there; null where nothing was. */
  readonly freeFrom: Day | null;
}

/**
 * When sachets are hung or renewed next: on the day the programme began, or so long after the last; but not before two weeks have
 * passed since a spray or dust at that place. Source: common practice. @example guestsDue("predatoryMites", 35, begunOn, [], today).on // begunOn
 */
export function biocontrolDue(
  predator: PredatorId,
  everyDays: number,
  begunOn: Day,
  acts: readonly GuestAct[],
  today: Day,
): GuestsDue {
  const done = acts.filter(({ act, day }) => act.kind === "release" && act.predator === predator && day <= today);
  const last = done
    .map(({ day }) => day)
    .toSorted()
    .at(-1);
  const sprayed = acts
    .filter((one) => touchesOf(one.act).helpers && one.day <= today)
    .map(({ day }) => day)
    .toSorted()
    .at(-1);
  const free = sprayed === undefined ? null : addDays(sprayed, SPRAY_FREE_DAYS);
  const wanted = last === undefined ? begunOn : addDays(last, everyDays);
  // What was sprayed before the last sachets were hung is told with them; it does not hold up the next.
  const freeFrom = free !== null && free > today && (last === undefined || sprayed! >= last) ? free : null;
  return { on: freeFrom !== null && freeFrom > wanted ? freeFrom : wanted, again: last !== undefined, freeFrom };
}
