import { addDays } from "@/core/shared/days";
import { LONG_AGO_DAYS } from "@/core/record/cases/outsideModel";
import type { TakeReading } from "@/core/record/facts/kinds/reading";
import * as facts from "@/db/stores/record/facts";
import { dayOf, today, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace, pastMoment } from "../../shared/checks";
import { plantsWarmedBy } from "../../places/placesAround";

/** Writes down how warm it was at a place; the cases of the plants that have stood there are judged anew. */
export function takeReading(context: Context, command: TakeReading): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("reading", command.id)) return { id: command.id };
    await knownPlace(scope, command.placeId);
    const at = pastMoment(context, command.at);
    const day = dayOf(context, at);
    if (day < addDays(today(context), -LONG_AGO_DAYS)) refuse("at", "so_long_ago", { day });
    await facts.add(scope, "reading", [{ ...command, humidity: command.humidity ?? null, at }]);
    scope.invalidate(await plantsWarmedBy(scope, command.placeId));
    scope.invalidateAll();
    return { id: command.id };
  });
}
