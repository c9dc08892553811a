import { uidOf, type CalendarEntry } from "@/core/schedule/calendar/entries";
import { planInForce, treatmentsToCome } from "@/core/advice/plans/plans";
import { planOfUnnamed } from "@/core/advice/unnamed/unnamed";
import { daysBetween, type Day } from "@/core/shared/days";
import { inParallel } from "@/db/query";
import * as plantStates from "@/db/stores/plants/plantStates";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { plantsInCase } from "../../cases/openCases";
import { readRooms } from "./readRooms";
import { readTimers } from "../../acts/queries/readTimers";

/** So many codes are named; the rest are counted. */
const NAMED = 12;

/** Everything that is due from one day to another, both included, by day: treatments of plans, looks, what rooms ask for, timers. */
export async function readCalendar(context: Context, from: Day, until: Day): Promise<readonly CalendarEntry[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [inCase, looks, rooms, timers] = await inParallel(
    scope,
    () => plantsInCase(scope),
    () => plantStates.lookDays(scope, day, until, NAMED),
    () => readRooms(context, Math.max(0, daysBetween(day, until))),
    () => readTimers(context),
  );
  // Nothing stands in the past: what should have been done there is due today.
  const shown = (on: Day) => (on < day ? day : on);
  const entries: CalendarEntry[] = [];
  for (const { listed: row, record } of inCase) {
    const plans = [
      ...record.cases
        .filter(({ open }) => open)
        .map((found) => ({ plan: planInForce(found, record.cases, record), pest: found.pest })),
      { plan: planOfUnnamed(record), pest: null },
    ];
    for (const { plan, pest } of plans)
      for (const step of plan ? treatmentsToCome(plan) : [])
        entries.push({
          ...{ kind: "treat", uid: `step-${step.id}`, day: shown(step.dueOn), plantId: row.id, code: row.code },
          ...{ planned: step.dose, pest, late: Math.max(0, daysBetween(step.dueOn, day)) },
        });
  }
  for (const { day: on, codes, plants } of looks)
    entries.push({ kind: "looks", uid: `looks-${on}`, day: on as Day, codes, plants });
  for (const due of rooms) entries.push({ kind: "room", uid: uidOf(due), day: shown(due.on), due });
  for (const { id, what, code, endsAt } of timers) {
    const on = dayOf(context, endsAt);
    entries.push({ kind: "timer", uid: `timer-${id}`, day: on, what, code, endsAt });
  }
  return entries
    .filter((entry) => entry.day >= from && entry.day <= until)
    .toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.uid < b.uid ? -1 : 1));
}
