import { dailyMeans } from "@/core/climate/dailyMeans";
import { addDays, daysBetween } from "@/core/shared/days";
import { temperaturesBy } from "@/core/record/cases/warmth";
import { standing } from "@/core/record/facts/facts";
import { idIn } from "@/core/shared/fields";
import { meanOf } from "@/core/shared/mean";
import type { PestId } from "@/core/knowledge/pests/pests";
import { moistureOf } from "@/core/knowledge/plants/moisture";
import { fedWithin, takesDust, takesLitter, whatFeeds, type Feeds } from "@/core/advice/seasons/feeding";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as plants from "@/db/stores/plants/plants";
import { scopeOf, today, type Context } from "../../shared/context";
import { measuredAt, measuredLately } from "../../climate/measured";
import { around } from "../roomOnRecord";

/** What feeds pests at a place, by what is on record of it; empty where nothing speaks of it, or there is no such place. */
export async function readFeeding(context: Context, asked: string): Promise<readonly Feeds[]> {
  const id = idIn(asked);
  const scope = scopeOf(context, "read");
  const day = today(context);
  const all = await places.all(scope);
  const place = all.find((one) => one.id === id);
  if (!place) return [];
  const { within, outside } = around(all, place.id);
  const ids = (await plantStates.list(scope)).filter((row) => within.has(row.placeId)).map((row) => row.id);
  const [described, onPlants, onPlaces, looks, counts, readings, measured] = await inParallel(
    scope,
    () => plants.many(scope, ids),
    () => facts.of(scope, "act", "plantId", ids),
    () => facts.of(scope, "act", "placeId", [...within, ...outside]),
    () => facts.of(scope, "look", "plantId", ids),
    () => facts.of(scope, "trapCount", "placeId", [...within]),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
  );
  const acts = standing([...onPlants, ...onPlaces]);
  const since = (last: string | undefined) => (last === undefined ? null : daysBetween(last as typeof day, day));
  const lastOf = (ways: readonly string[]) =>
    since(
      acts
        .filter(({ act }) => act.kind === "mechanical" && ways.includes(act.way))
        .map((one) => one.day)
        .toSorted()
        .at(-1),
    );
  const finds: Partial<Record<PestId, number>> = {};
  for (const look of standing(looks))
    if (look.day > addDays(day, -fedWithin.found))
      for (const { pest } of look.finds) finds[pest] = (finds[pest] ?? 0) + 1;
  const onCards = standing(counts).filter(
    ({ what, day: on }) => what === "cards" && on > addDays(day, -fedWithin.lately),
  );
  const temperatures = temperaturesBy(all, readings, measured)(place.id);
  const from = addDays(day, 1 - fedWithin.lately);
  const source = measuredAt(all, place.id, new Set(measured.map(({ placeId }) => placeId)));
  const deficits = measured.filter((one) => one.placeId === source && one.day >= from).map((one) => one.deficitKpa);
  return whatFeeds({
    meanC: temperatures.length > 0 ? meanOf(dailyMeans(temperatures, from, day)) : null,
    deficitKpa: meanOf(deficits.filter((value) => value !== null)),
    plants: described.length,
    roomFor: place.roomFor,
    keptWet: described.filter((plant) => moistureOf({ ...plant, kept: plant.kept ?? null }) === "wet").length,
    cleanedDays: lastOf(takesDust),
    litterDays: lastOf(takesLitter),
    richFeeds: acts.filter(
      ({ act, day: on }) => act.kind === "culture" && act.way === "richFeed" && on > addDays(day, -fedWithin.fed),
    ).length,
    finds,
    gnats: onCards.length > 0 ? onCards.reduce((sum, { count }) => sum + count, 0) : null,
  });
}
