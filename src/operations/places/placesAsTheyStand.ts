import { placeOrder } from "@/core/record/facts/placeOrder";
import type { TemperaturesOf } from "@/core/record/cases/warmth";
import { temperaturesBy, warmthAt } from "@/core/record/cases/warmth";
import type { Day } from "@/core/shared/days";
import type { Place } from "@/core/record/facts/descriptions";
import { groupBy } from "@/core/shared/groupBy";
import { apartPlaces, type Against, type ApartPlace, type Occupant } from "@/core/advice/isolation/apartPlaces";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { measuredLately } from "../climate/measured";

/** A place and how warm it is there on a day. */
export interface WarmPlace extends Place {
  /** Null where nothing is known. */
  readonly meanC: number | null;
}

export interface StandingPlace extends Pick<WarmPlace, "id" | "name" | "kind" | "meanC"> {
  /** Codes of every plant that stands there now. */
  readonly codes: readonly string[];
  /** For an isolation place its rank for a plant with a find, the best first, and what speaks against it; null for others. */
  readonly apart: { readonly rank: number; readonly against: readonly Against[] } | null;
}

/** Every place in the order it was added, with its warmth on a day. */
export async function warmPlaces(scope: Scope, day: Day): Promise<WarmPlace[]> {
  const all = await places.all(scope);
  return warmed(all, temperaturesBy(all, await facts.all(scope, "reading"), await measuredLately(scope)), day);
}

/** The places with the warmth that is known of them on a day. */
export function warmed(all: readonly Place[], temperaturesOf: TemperaturesOf, day: Day): WarmPlace[] {
  return all.map((place) => ({ ...place, meanC: warmthAt(temperaturesOf, place.id, day) }));
}

/** Who stands where, as far as it bears on who may stand beside them. */
export function occupantsOf(listed: readonly plantStates.ListedPlant[]): Occupant[] {
  return listed.map(({ id, placeId, state }) => ({
    plantId: id,
    placeId,
    inCase: state === "infested" || state === "surer",
    arriving: state === "new",
  }));
}

function rankOf(ranked: readonly ApartPlace[], id: string): StandingPlace["apart"] {
  const rank = ranked.findIndex(({ placeId }) => placeId === id);
  return rank < 0 ? null : { rank, against: ranked[rank]!.against };
}

/** Rooms in their order, in each its shelves and isolation places. */
function roomByRoom<P extends Place>(all: readonly P[]): P[] {
  const { within, outermost } = placeOrder(all);
  return outermost.flatMap(({ id }) => within(id));
}

/** Rooms in their order, in each its shelves and isolation places, with the plants that stand there. */
export async function placesAsTheyStand(scope: Scope, day: Day): Promise<StandingPlace[]> {
  const all = await warmPlaces(scope, day);
  const listed = await plantStates.list(scope);
  const standing = groupBy(listed, (plant) => plant.placeId);
  const ranked = apartPlaces(all, occupantsOf(listed), { plantId: "", inCase: true });
  return roomByRoom(all).map(({ id, name, kind, meanC }) => ({
    id,
    name,
    kind,
    meanC,
    codes: (standing.get(id) ?? []).map((plant) => plant.code),
    apart: rankOf(ranked, id),
  }));
}
