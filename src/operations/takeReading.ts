import { addDays } from "@/core/climate/days";
import { LONG_AGO_DAYS } from "@/core/case/beside";
import type { TakeReading } from "@/core/facts/kinds/reading";
import * as facts from "@/db/stores/facts";
import { dayOf, today, type Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { knownPlace, pastMoment } from "./parts/checks";
import { plantsWarmedBy } from "./parts/placesAround";

/** Writes down how warm it was at a place; the cases of the plants that have stood there are judged anew. */
export function takeReading(context: Context, deed: TakeReading): Promise<Outcome<{ id: string }>> {
  return perform(context, "record", deed.id, async (scope) => {
    if (await scope.wasSent("reading", deed.id)) return { id: deed.id };
    await knownPlace(scope, deed.placeId);
    const at = pastMoment(context, deed.at);
    const day = dayOf(context, at);
    if (day < addDays(today(context), -LONG_AGO_DAYS)) refuse("at", "so_long_ago", { day });
    await facts.add(scope, "reading", [{ ...deed, humidity: deed.humidity ?? null, at }]);
    scope.touch(await plantsWarmedBy(scope, deed.placeId));
    scope.touchEverything();
    return { id: deed.id };
  });
}
