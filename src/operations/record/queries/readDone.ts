import { addDays, type Day } from "@/core/shared/days";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, today, type Context } from "../../shared/context";

/** What was done on one day: so many plants treated, and looked at. */
export interface DoneOn {
  readonly treated: number;
  readonly looked: number;
}

/** What was done from one day to another, both included, by day; days on which nothing was, and days to come, are left out. */
export async function readDone(context: Context, from: Day, until: Day): Promise<ReadonlyMap<Day, DoneOn>> {
  const scope = scopeOf(context, "read");
  const last = until < today(context) ? until : today(context);
  if (from > last) return new Map();
  const [acts, looks] = await inParallel(
    scope,
    () => facts.plantsByDay(scope, "act", from, last),
    () => facts.plantsByDay(scope, "look", from, last),
  );
  const done = new Map<Day, DoneOn>();
  for (let day = from; day <= last; day = addDays(day, 1)) {
    const on = (all: typeof acts) => all.find((one) => one.day === day)?.plants ?? 0;
    if (on(acts) + on(looks) > 0) done.set(day, { treated: on(acts), looked: on(looks) });
  }
  return done;
}
