import type { StartWalk } from "@/core/facts/deeds";
import type { Place } from "@/core/facts/records";
import { shownState } from "@/core/state/plantState";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import * as walks from "@/db/stores/walks";
import { today, type Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";

/** Begins a walk and keeps which plants it holds and how they stood, so that it goes on the same way on another device. */
export async function startWalk(context: Context, deed: StartWalk): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "walks", deed.id)) return { id: deed.id };
    const placeId = deed.scope === "place" ? deed.placeId : null;
    if (deed.scope === "place" && placeId === null) refuse("placeId", "unknown");
    const within = placeId === null ? null : placesWithin(await places.all(scope), placeId);
    if (within?.size === 0) refuse("placeId", "unknown");
    const day = today(context);
    const plants = (await plantStates.list(scope)).filter((plant) => {
      if (deed.scope === "due") return plant.lookDueOn <= day;
      if (deed.scope === "arrivals") return plant.state === "new";
      return within === null || within.has(plant.placeId);
    });
    if (plants.length === 0) refuse("scope", "no_plants");
    const { id, scope: kind, tool, round } = deed;
    await walks.add(scope, { id, scope: kind, placeId, tool, round, startedAt: context.now }, context.now);
    await walks.addPlants(
      scope,
      id,
      plants.map((plant) => ({
        plantId: plant.id,
        placeId: plant.placeId,
        state: shownState(plant, day),
        petals: plant.petals,
        apart: plant.apart,
      })),
    );
    return { id };
  });
}

/** The place itself and everything that stands in it; empty for a place that is not there. */
function placesWithin(all: readonly Place[], placeId: string): Set<string> {
  const within = new Set<string>();
  const add = (id: string) => {
    within.add(id);
    for (const place of all) if (place.parentId === id) add(place.id);
  };
  if (all.some((place) => place.id === placeId)) add(placeId);
  return within;
}
