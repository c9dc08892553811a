import { addDays, type Day } from "../../shared/days";
import type { Case } from "../../record/cases/cases";
import type { PlantRecord } from "../../record/cases/record";
import { hazardOf } from "./hazard";
import { GUARD_DAYS } from "../../model/inspection/cleanLooks";
import { looksDone } from "../../advice/plans/plans";
import { lookDays, lookDue, notRunning, type ProgrammeKind } from "./programme";

/** Where a return is likelier the looks go on every second week for two months more, from this factor on (HOUSE). */
const LONGER_FROM = 1.5;
const LONGER_DAYS = [98, 112, 126, 140] as const;

/** The days after which a plant is looked at once a case is closed as clear: the usual ones, and more where a return is likelier. */
function guardDays(record: PlantRecord, { pest }: Case): readonly number[] {
  return hazardOf(record, pest).factor >= LONGER_FROM ? [...GUARD_DAYS, ...LONGER_DAYS] : GUARD_DAYS;
}

/** The cases a plant is guarded after on a day: closed as clear, not found again since, and not yet looked at long enough. */
function guarded(
  record: PlantRecord,
  today: Day,
): { readonly found: Case; readonly from: Day; readonly until: Day; readonly days: readonly number[] }[] {
  const { cases } = record;
  return cases.flatMap((found) => {
    if (found.closing?.outcome !== "clear") return [];
    const again = cases.some(({ pest, openedAt }) => pest === found.pest && openedAt > found.openedAt);
    const from = found.closing.day;
    const days = guardDays(record, found);
    const until = addDays(from, days.at(-1)!);
    return again || today > until ? [] : [{ found, from, until, days }];
  });
}

/** Guard after clear: what was missed shows within a few weeks, and one that comes back is caught small. */
export const guard: ProgrammeKind<"guard"> = {
  kind: "guard",
  subject: "plant",
  due({ record }, today) {
    const days = lookDays(record);
    return guarded(record, today).flatMap(({ found, from, days: after }) => {
      const due = after.map((n) => addDays(from, n));
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
    const untils = guarded(record, today).map(({ until }) => until);
    if (untils.length === 0) return notRunning;
    return { state: "clear", petals: 0, until: untils.toSorted().at(-1)! };
  },
};
