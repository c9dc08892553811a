import { isId } from "@/core/fields";
import type { Case, Closing, Look, Photo, Placement, Place, Plan, Plant, Skip, Treatment } from "@/core/facts/records";
import type { PlantCard } from "@/core/state/plantCard";
import { genusNamed, type Sensitivity } from "@/core/plants/genera";
import * as cases from "@/db/stores/cases";
import * as looks from "@/db/stores/looks";
import * as placements from "@/db/stores/placements";
import * as places from "@/db/stores/places";
import * as photos from "@/db/stores/photos";
import * as plans from "@/db/stores/plans";
import * as plantStates from "@/db/stores/plantStates";
import * as plants from "@/db/stores/plants";
import * as treatments from "@/db/stores/treatments";
import * as walks from "@/db/stores/walks";
import { scopeOf, type Context } from "./context";
import { cardOf } from "./readBenches";
import { refreshStale } from "./refreshStale";

export interface PlantView {
  readonly plant: Plant;
  readonly sensitivities: readonly Sensitivity[];
  readonly card: PlantCard;
  readonly place: Place;
  /** Where it stood before it was set apart, to go back to; null when it never stood anywhere else. */
  readonly before: Place | null;
  readonly placements: readonly Placement[];
  readonly looks: readonly Look[];
  readonly cases: readonly Case[];
  readonly treatments: readonly Treatment[];
  readonly plans: readonly Plan[];
  readonly closings: readonly Closing[];
  readonly exposures: readonly cases.ExposureRow[];
  readonly skips: readonly Skip[];
  readonly photos: readonly Photo[];
}

/** Everything on record about one plant, oldest first; null when there is no such plant. */
export async function readPlant(context: Context, id: string): Promise<PlantView | null> {
  if (!isId(id)) return null;
  const scope = scopeOf(context);
  await refreshStale(context);
  // One after the other: a caller may have brought a transaction, which answers one query at a time.
  const plant = await plants.find(scope, id);
  const [listed] = await plantStates.of(scope, [id]);
  if (!plant || !listed) return null;
  const stood = await placements.ofPlants(scope, [id]);
  const looked = await looks.ofPlants(scope, [id]);
  const own = await cases.ofPlants(scope, [id]);
  const exposed = await cases.exposures(scope, [id]);
  const allPlaces = await places.all(scope);
  const caseIds = own.map((c) => c.id);
  const treated = await treatments.ofCases(scope, caseIds);
  const planned = await plans.ofCases(scope, caseIds);
  const closed = await cases.closings(scope, caseIds);
  const among = stood.findLast((p) => p.voidReason === null && p.placeKind !== "isolation" && p.placeKind !== "bag");
  return {
    plant,
    sensitivities: genusNamed(plant.genus)?.sensitivities ?? [],
    card: cardOf(context, listed),
    place: allPlaces.find((place) => place.id === listed.placeId)!,
    before: allPlaces.find((place) => place.id === among?.placeId) ?? null,
    placements: stood,
    looks: looked,
    cases: own,
    treatments: treated,
    plans: planned,
    closings: closed,
    exposures: exposed,
    skips: await walks.skipsOf(scope, id),
    photos: await photos.ofPlant(scope, id),
  };
}
