import type { Day } from "@/core/shared/days";
import type { StartWalk } from "@/core/record/facts/commands";
import { shownState } from "@/core/schedule/state/plantState";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import * as walks from "@/db/stores/walks/walks";
import { today, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { placesWithin } from "../../places/placesAround";

/** Begins a walk and keeps which plants it holds and how they stood, so that it goes on the same way on another device. */
export function startWalk(context: Context, command: StartWalk): Promise<Outcome<{ id: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasThere("walks", command.id)) return { id: command.id };
    const placeId = command.scope === "place" ? command.placeId : null;
    if (command.scope === "place" && (placeId === null || !(await places.find(scope, placeId))))
      refuse("placeId", "unknown");
    const chosen = new Map(
      (command.scope === "chosen" ? (command.chosen ?? []) : []).map((one, i) => [one.plantId, { ...one, rank: i }]),
    );
    const within = placeId === null ? null : new Set(await placesWithin(scope, placeId));
    const day = today(context);
    const plants = (await plantStates.list(scope)).filter((plant) => {
      if (command.scope === "due") return plant.lookDueOn <= day;
      if (command.scope === "arrivals") return plant.state === "new";
      if (command.scope === "chosen") return chosen.has(plant.id);
      return within === null || within.has(plant.placeId);
    });
    if (plants.length === 0) refuse("scope", "no_plants");
    const { id, scope: kind, tool, round } = command;
    await walks.add(scope, { id, scope: kind, placeId, tool, round, startedAt: context.now });
    await walks.addPlants(
      scope,
      id,
      plants.map(({ id: plantId, placeId: stands, state, lookDueOn, petals, apart }) => ({
        plantId,
        placeId: stands,
        state: shownState({ state, lookDueOn: lookDueOn as Day }, day),
        petals,
        apart,
        rank: command.inOrder ? (chosen.get(plantId)?.rank ?? null) : null,
        tool: chosen.get(plantId)?.tool ?? null,
        round: chosen.get(plantId)?.round ?? null,
      })),
    );
    return { id };
  });
}
