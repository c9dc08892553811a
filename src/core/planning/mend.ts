import type { Approach } from "./approaches";
import { searchSchedules, scored, type Schedule, type SearchRequest } from "./search";

/** A plan in force as it stands today, and what would mend it. */
export interface Outlook {
  /** The steps still to come, those that are late moved to the first possible day; null when none is left. */
  readonly asItStands: Schedule | null;
  /** Probability that it is over when the steps are carried out like that, or nothing more is done. */
  readonly pOver: number;
  readonly byDay: number;
  /** A better continuation with the same remedy, when the plan no longer reaches the target; null when it does. */
  readonly mended: Schedule | null;
}

/**
 * Scores what is left of a plan and mends it where it no longer reaches the target: the fewest treatments of the same
 * approach from now on that do, or the best there is.
 * `remaining` are the days of the steps not carried out, ascending. Where several are late they become one, on the first possible
 * day: two treatments on one day do no more than one.
 */
export function outlookOf(approach: Approach, remaining: readonly number[], request: SearchRequest): Outlook {
  const { scorer, fromDay, target } = request;
  const days = [...new Set(remaining.map((day) => Math.max(day, fromDay)))];
  // A knock-down that stands first in the approach has been carried out before; what is left is the rest.
  const rest: Approach = { id: approach.id, then: approach.then };
  const asItStands = days.length > 0 ? scored(rest, request, days) : null;
  const generation = Math.ceil(fromDay + (scorer.generationDays ?? 0));
  const pOver = asItStands?.pOver ?? scorer.pOverAt([], generation);
  const byDay = asItStands?.overByDay ?? generation;
  if (pOver >= target) return { asItStands, pOver, byDay, mended: null };
  const { fewest, best } = searchSchedules(rest, request);
  const mended = fewest ?? best;
  return { asItStands, pOver, byDay, mended: mended.pOver > pOver ? mended : null };
}
