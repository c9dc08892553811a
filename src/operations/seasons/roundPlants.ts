import { placesInRecord } from "@/core/record/cases/record";
import { temperaturesBy, warmthAt } from "@/core/record/cases/warmth";
import { USUAL_C } from "@/core/advice/diagnosis/priors";
import { minutesFor } from "@/core/acts/effort";
import type { Place } from "@/core/record/facts/descriptions";
import { standing } from "@/core/record/facts/facts";
import { placeOrder } from "@/core/record/facts/placeOrder";
import { groupBy } from "@/core/shared/groupBy";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import { proneTo } from "@/core/knowledge/plants/care";
import type { RoundPlant } from "@/core/advice/seasons/prevention";
import type { TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import * as carriage from "@/db/stores/plants/carriage";
import * as cases from "@/db/stores/cases/cases";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as plants from "@/db/stores/plants/plants";
import { today, type Context } from "../shared/context";
import { measuredLately } from "../climate/measured";
import { bearerOn } from "../plants/onPlant";

/** How rounds are put on. */
export const ROUND_TECHNIQUE: TechniqueId = "spray";

/** A plant as rounds see it, with its row in the lists. */
export interface InRounds {
  readonly plant: RoundPlant;
  readonly row: plantStates.ListedPlant;
}

/**
 * Every plant as rounds of prevention see it. Of thousands of plants no record is read: what a round asks for are the plant itself, how it
 * bore what it had, who lives on it, and whether it is in a case.
 */
export async function roundPlants(
  context: Context,
  scope: Scope,
): Promise<{ readonly all: readonly InRounds[]; readonly places: readonly Place[] }> {
  const day = today(context);
  const [listed, described, reactions, open, allPlaces, released, readings, measured] = await inParallel(
    scope,
    () => plantStates.list(scope),
    () => plants.every(scope),
    () => facts.all(scope, "reaction"),
    () => cases.open(scope),
    () => places.all(scope),
    () => facts.releases(scope),
    () => facts.all(scope, "reading"),
    () => measuredLately(scope),
  );
  const carried = new Map(
    (
      await carriage.of(
        scope,
        listed.map(({ id }) => id),
      )
    ).map((row) => [row.plantId, row]),
  );
  const byId = new Map(described.map((plant) => [plant.id, plant]));
  const bore = groupBy(standing(reactions), ({ plantId }) => plantId);
  const onPlants = groupBy(released, ({ plantId }) => plantId ?? "");
  const onPlaces = groupBy(released, ({ placeId }) => placeId ?? "");
  const infested = new Set(open.map(({ plantId }) => plantId));
  const { outwards } = placeOrder(allPlaces);
  const { enclosedAt, outdoorsAt } = placesInRecord(allPlaces);
  const temperaturesOf = temperaturesBy(allPlaces, readings, measured);
  const there = new Map(
    allPlaces.map(({ id }) => [
      id,
      {
        meanC: warmthAt(temperaturesOf, id, day) ?? USUAL_C,
        acts: outwards(id).flatMap((place) => onPlaces.get(place.id) ?? []),
        ...{ enclosed: enclosedAt(id), outdoors: outdoorsAt(id) },
      },
    ]),
  );
  const all = listed.flatMap((row): InRounds[] => {
    const plant = byId.get(row.id);
    const place = there.get(row.placeId);
    if (!plant || !place) return [];
    const { enclosed, outdoors } = place;
    const acts = [...(onPlants.get(row.id) ?? []), ...place.acts];
    const bearer = bearerOn(context, { plant, reactions: bore.get(row.id) ?? [], acts, enclosed, outdoors }, day);
    return [
      {
        row,
        plant: {
          ...{ plantId: row.id, bearer, prone: proneTo(plant.genus), inCase: infested.has(row.id) },
          carries: carried.get(row.id)?.result?.pests ?? [],
          ...{ placeId: row.placeId, meanC: place.meanC },
          minutes: minutesFor(ROUND_TECHNIQUE, plant.potCm),
          volumeMl: volumeFor(ROUND_TECHNIQUE, plant.potCm),
        },
      },
    ];
  });
  return { all, places: allPlaces };
}
