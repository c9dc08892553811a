import type { Approach } from "./approaches";
import type { Dose } from "./doses";
import { searchSchedules, scoredDoses, soonestDay, type Schedule, type SearchRequest } from "./search";

/** A plan in force as it stands today, and what would mend it. */
export interface Outlook {
  /** The steps still to come, those that are late moved to the first possible day; null when none is left. */
  readonly asItStands: Schedule | null;
  /** Probability that it is over when the steps are carried out like that, or nothing more is done. */
  readonly pOver: number;
  readonly byDay: number;
  /** A better continuation, when the plan no longer reaches the target; null when it does, or the label leaves none. */
  readonly mended: Schedule | null;
}

/**
 * Scores what is left of a plan and mends it where it no longer reaches the target: the fewest treatments of `goOn` from now
 * on that do, or the best there is.
 * `remaining` are the steps not carried out, ascending, each with its own dose: a knock-down that is still to come stays one.
 * Where several are late they become one, the first of them, on the first possible day: two treatments on one day do no more
 * than one.
 */
export function outlookOf(
  remaining: readonly { readonly atDays: number; readonly dose: Dose }[],
  goOn: Approach,
  request: SearchRequest,
): Outlook {
  const { scorer, fromDay, target } = request;
  const moved = remaining.map(({ atDays, dose }) => ({ dose, atDays: Math.max(atDays, soonestDay(dose, request)) }));
  const steps = moved.filter(({ atDays }, i) => i === 0 || atDays > moved[i - 1]!.atDays);
  const asItStands = steps.length > 0 ? scoredDoses(steps, request) : null;
  const generation = Math.ceil(fromDay + (scorer.generationDays ?? 0));
  const pOver = asItStands?.pOver ?? scorer.pOverAt([], generation);
  const byDay = asItStands?.overByDay ?? generation;
  if (pOver >= target) return { asItStands, pOver, byDay, mended: null };
  const found = searchSchedules(goOn, request);
  const mended = found && (found.fewest ?? found.best);
  return { asItStands, pOver, byDay, mended: mended && mended.pOver > pOver ? mended : null };
}
