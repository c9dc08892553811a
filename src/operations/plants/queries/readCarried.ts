import { dayNumber, addDays, type Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { idIn } from "@/core/shared/fields";
import type { ToolId } from "@/core/model/inspection/tools";
import { askAll } from "@/core/advice/spread/ask";
import { carriesOf, reckonOne } from "@/core/advice/spread/carries";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { askedPlants, clockOf, readSpread } from "../spreadOnRecord";

/** How the chance that a plant carries something rose and fell, and what each look did to it. Plain data. */
export interface Carried {
  /** Times are days since 1970 on the clock on the wall, with fractions. */
  readonly points: readonly { readonly at: number; readonly p: number }[];
  readonly looks: readonly {
    readonly day: Day;
    readonly tool: ToolId;
    readonly before: number;
    readonly after: number;
    /** Whether something was found: then it fell because that became a case. */
    readonly found: boolean;
  }[];
}

/** So far back it is drawn, days. */
const SPAN_DAYS = 91;
/** Between looks there is a point at least so often, days. */
const EVERY_DAYS = 7;
/** Just after a look, so that the look itself counts. */
const AFTER = 0.01;

/** How the chance that a plant carries something rose and fell, as it is known today; null when there is no such plant. */
export async function readCarried(context: Context, asked: string): Promise<Carried | null> {
  const id = idIn(asked);
  if (!id) return null;
  const scope = scopeOf(context, "read");
  const onRecord = await readSpread(context, scope);
  const [plant] = await askedPlants(context, scope, onRecord, [id]);
  if (!plant) return null;
  const clock = clockOf(context.collection.timeZone);
  const end = dayNumber(today(context)) + 1;
  const began = dayNumber(plant.plant.acquiredOn ?? plant.plant.addedOn);
  const from = Math.max(dayNumber(addDays(today(context), -SPAN_DAYS)), began);
  const at = (until: number): number => {
    const questions = askAll(plant, onRecord.spread, until, context.collection.hemisphere);
    return carriesOf(
      questions,
      questions.map(({ question }) => reckonOne(question)),
    ).p;
  };
  const points: { at: number; p: number }[] = [];
  const put = (when: number) => {
    const p = at(when);
    points.push({ at: when, p });
    return p;
  };
  const between = (until: number) => {
    for (let next = (points.at(-1)?.at ?? from - EVERY_DAYS) + EVERY_DAYS; next < until - 1; next += EVERY_DAYS)
      put(next);
  };
  const seen = standing(plant.looks).map((look) => ({ look, when: clock(look.at) }));
  const looks = seen
    .filter(({ when }) => when > from && when < end)
    .map(({ look, when }) => {
      between(when);
      const before = put(when);
      const after = put(when + AFTER);
      return { day: dayOf(context, look.at), tool: look.tool, before, after, found: look.finds.length > 0 };
    });
  between(end);
  put(end);
  return { points, looks };
}
