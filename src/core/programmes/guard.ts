import { addDays, type Day } from "../climate/days";
import type { Case } from "../case/cases";
import { looksDone } from "../case/plans";
import { lookDays, lookDue, notRunning, type ProgrammeKind } from "./programme";

/** Days after a case was closed as clear on which the plant is looked at: weekly for a month, then every second week for two (common practice). */
export const GUARD_DAYS = [7, 14, 21, 28, 42, 56, 70, 84] as const;

/** The cases a plant is guarded after on a day: closed as clear, not found again since, and not yet looked at long enough. */
function guarded(
  cases: readonly Case[],
  today: Day,
): { readonly found: Case; readonly from: Day; readonly until: Day }[] {
  return cases.flatMap((found) => {
    if (found.closing?.outcome !== "clear") return [];
    const again = cases.some(({ pest, openedAt }) => pest === found.pest && openedAt > found.openedAt);
    const from = found.closing.day;
    const until = addDays(from, GUARD_DAYS.at(-1)!);
    return again || today > until ? [] : [{ found, from, until }];
  });
}

/** Guard after clear: what was missed shows within a few weeks, and one that comes back is caught small. */
export const guard: ProgrammeKind<"guard"> = {
  kind: "guard",
  subject: "plant",
  due({ record }, today) {
    const days = lookDays(record);
    return guarded(record.cases, today).flatMap(({ found, from }) => {
      const due = GUARD_DAYS.map((after) => addDays(from, after));
      const done = looksDone(
        due,
        days.filter((day) => day > from),
      );
      // One that was left out is made up by the next.
      const next = done.findLastIndex((day) => day !== null) + 1;
      return next < due.length ? [lookDue("guard", due[next]!, { caseId: found.id })] : [];
    });
  },
  verdict({ record }, today) {
    const untils = guarded(record.cases, today).map(({ until }) => until);
    if (untils.length === 0) return notRunning;
    return { state: "clear", petals: 0, until: untils.toSorted().at(-1)! };
  },
};
