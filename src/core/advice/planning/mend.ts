import type { Approach } from "./approaches";
import type { Dose } from "./doses";
import { soonestDay } from "./longest";
import { expectedEffort, lookingOnly, scoredDoses, searchSchedules, type Schedule, type SearchRequest } from "./search";

/** A plan in force as it stands today, and what would mend it. */
export interface Outlook {
  /** The steps still to come, those that are late moved to the first possible day, with the looks after them; looks alone where none is left. */
  readonly asItStands: Schedule;
  /** Whether not even clean looks after it would make it sure. */
  readonly behind: boolean;
  /** Of what would mend it the least work from today; null where it is not behind, or nothing would. */
  readonly mended: Schedule | null;
}

/**
 * Scores what is left of a plan. It is behind only where even the next looks, if clean, would not make it sure enough; then the least
 * work from today on mends it: more treatments like those of `goOn`, or only looking on.
 * `remaining` are the steps not carried out, ascending, each with its own dose: a knock-down that is still to come stays one.
 * Where several are late they become one, the first of them, on the first possible day: two treatments on one day do no more
 * than one.
 */
export function outlookOf(
  remaining: readonly { readonly atDays: number; readonly dose: Dose }[],
  goOn: Approach,
  request: SearchRequest,
): Outlook {
  const moved = remaining.map(({ atDays, dose }) => ({
    ...{ dose, planned: atDays },
    atDays: Math.max(atDays, soonestDay(dose, request)),
  }));
  // What was planned for one day is done on one day.
  const steps = moved.filter(
    ({ atDays, planned }, i) => i === 0 || atDays > moved[i - 1]!.atDays || planned === moved[i - 1]!.planned,
  );
  const asItStands = scoredDoses(steps, request);
  if (asItStands.reaches) return { asItStands, behind: false, mended: null };
  const search = searchSchedules(goOn, request);
  const ways = [search?.leastWork, lookingOnly(request)].flatMap((one) => one ?? []);
  const [least] = ways.toSorted((a, b) => expectedEffort(a, request) - expectedEffort(b, request));
  const surest = search?.best ?? null;
  const mended = least ?? (surest && surest.sure > asItStands.sure ? surest : null);
  return { asItStands, behind: true, mended };
}
