import { HANDLED_WITHIN_MINUTES, LOOK_BACK_DAYS } from "@/core/model/carriage/rates";
import { arrivalsBefore } from "@/core/model/learning/elsewhere";
import { passingFrom } from "@/core/model/learning/passing";
import { casesOf } from "@/core/record/cases/cases";
import { placesInRecord, type PlacesInRecord } from "@/core/record/cases/record";
import { stayAt, staysOf, type Stand } from "@/core/record/cases/stays";
import { temperaturesBy, warmthAlong, type TemperaturesOf } from "@/core/record/cases/warmth";
import { byMoment, type ActDone, type Look, type Placement } from "@/core/record/facts/facts";
import type { Place } from "@/core/record/facts/descriptions";
import { groupBy } from "@/core/shared/groupBy";
import type { AskedPlant } from "@/core/advice/spread/ask";
import { spreadOf, type Clock, type Spread } from "@/core/advice/spread/record";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as caseNumbers from "@/db/stores/cases/caseNumbers";
import * as cases from "@/db/stores/cases/cases";
import * as facts from "@/db/stores/record/facts";
import * as looks from "@/db/stores/looks/looks";
import * as places from "@/db/stores/places/places";
import * as plants from "@/db/stores/plants/plants";
import * as spreads from "@/db/stores/plants/spread";
import { clockDaysIn } from "@/zones";
import { today, type Context } from "../shared/context";
import { measuredLately } from "../climate/measured";

/** How pests spread in a collection, read once for all that is asked of it. */
export interface SpreadOnRecord {
  readonly spread: Spread;
  readonly places: readonly Place[];
  readonly temperaturesOf: TemperaturesOf;
  readonly stands: ReadonlyMap<string, readonly Stand[]>;
  readonly around: PlacesInRecord;
}

const DAY_MS = 86_400_000;

/** A little more than is reckoned with: what still acted, or stood, at its beginning. */
const MARGIN_DAYS = 60;

export const clockOf =
  (timeZone: string): Clock =>
  (at) =>
    clockDaysIn(at, timeZone);

export async function readSpread(context: Context, scope: Scope): Promise<SpreadOnRecord> {
  const since = new Date(context.now.getTime() - (LOOK_BACK_DAYS + MARGIN_DAYS) * DAY_MS);
  const { numbers: wanted, toldElsewhere } = context.collection;
  const [all, readings, measured, sources, numbers, stood, cameFrom, handlings, passing] = await inParallel(
    scope,
    () => places.all(scope),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
    () => spreads.sources(scope, since),
    () => caseNumbers.all(scope),
    () => spreads.stands(scope, since),
    () => spreads.cameFrom(scope),
    () => spreads.handlings(scope, since, HANDLED_WITHIN_MINUTES),
    async () => (wanted === "ours" ? null : looks.passing(scope)),
  );
  const stands = groupBy(stood, ({ plantId }) => plantId) as ReadonlyMap<string, readonly Stand[]>;
  const collection = {
    places: all,
    sources: sources.map((source) => ({ ...source, numbers: numbers.get(source.caseId) ?? null })),
    stands,
    cameFrom,
    arrivals: arrivalsBefore(context.collection),
    passes: (passing && passingFrom(passing, wanted, toldElsewhere?.passing)?.mean) ?? 1,
    handlings,
  };
  return {
    spread: spreadOf(collection, clockOf(scope.timeZone), today(context)),
    places: all,
    temperaturesOf: temperaturesBy(all, readings, measured),
    stands,
    around: placesInRecord(all),
  };
}

/** Plants as they are asked about; those that are not there are left out. In the order of `plantIds`. */
export async function askedPlants(
  context: Context,
  scope: Scope,
  onRecord: SpreadOnRecord,
  plantIds: readonly string[],
): Promise<AskedPlant[]> {
  return asAsked(await readAsked(context, scope, plantIds), onRecord);
}

/** What is on record of plants alone. */
export type AskedOnRecord = Awaited<ReturnType<typeof readAsked>>;

/** Reads what is on record of plants alone: it needs nothing of the rest of the collection. */
export async function readAsked(context: Context, scope: Scope, plantIds: readonly string[]) {
  const since = new Date(context.now.getTime() - (LOOK_BACK_DAYS + MARGIN_DAYS) * DAY_MS);
  const ever = await cases.everIn(scope, plantIds);
  // Of plants that were never in a case only the looks and acts that are reckoned with are read.
  const begins = new Map(plantIds.map((id) => [id, ever.has(id) ? new Date(0) : since]));
  const [described, placements, looked, done, closed, onPlaces] = await inParallel(
    scope,
    () => plants.many(scope, plantIds),
    () => facts.of(scope, "placement", "plantId", plantIds),
    () => facts.since(scope, "look", begins),
    () => facts.since(scope, "act", begins),
    () => facts.of(scope, "closing", "plantId", [...ever]),
    () => facts.onPlaces(scope, since),
  );
  return { plantIds, described, placements, looked, done, closed, onPlaces };
}

/** Plants on record with what of the collection bears on them; those that are not there are left out. */
export function asAsked(
  { plantIds, described, placements, looked, done, closed, onPlaces }: AskedOnRecord,
  { temperaturesOf, stands, around }: SpreadOnRecord,
): AskedPlant[] {
  const byId = new Map(described.map((plant) => [plant.id, plant]));
  const looks = groupBy(looked, ({ plantId }) => plantId);
  const acts = groupBy(done, ({ plantId }) => plantId);
  const closings = groupBy(closed, ({ plantId }) => plantId);
  const stoodBy = groupBy(placements, ({ plantId }) => plantId);
  return plantIds.flatMap((id): AskedPlant[] => {
    const plant = byId.get(id);
    if (!plant) return [];
    const own: readonly Placement[] = stoodBy.get(id) ?? [];
    const seen: readonly Look[] = looks.get(id) ?? [];
    const stays = staysOf(own, plant.archivedAt);
    const there = onPlaces.filter(({ placeId, at }) => {
      const stay = stayAt(stays, at);
      return stay !== null && placeId !== null && around.isWithin(stay.placeId, placeId);
    });
    const handled: readonly ActDone[] = [...(acts.get(id) ?? []), ...there].toSorted(byMoment);
    return [
      {
        plant,
        stands: stands.get(id) ?? [],
        looks: seen,
        acts: handled,
        cases: casesOf(seen, closings.get(id) ?? []),
        warmth: warmthAlong(own, temperaturesOf),
      },
    ];
  });
}
