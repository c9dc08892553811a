import type { Day } from "@/core/shared/days";
import type { PlantState } from "@/core/knowledge/plants/states";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { shownState } from "@/core/schedule/state/plantState";
import type { ListedPlant } from "@/db/stores/plants/plantStates";

/** What stands beside a plant in a list, as of a day. */
export function cardOf(plant: ListedPlant, today: Day): PlantCard {
  const { id, code, name, placeId, petals, apart, archived, lookDueFor } = plant;
  const lookDueOn = plant.lookDueOn as Day;
  const lastLookOn = plant.lastLookOn as Day | null;
  const state = stateShown(plant, today);
  return { id, code, name, placeId, petals, apart, archived, lastLookOn, lookDueOn, lookDueFor, state };
}

/** How a plant stands, as of a day. */
export function stateShown({ state, lookDueOn }: Pick<ListedPlant, "state" | "lookDueOn">, today: Day): PlantState {
  return shownState({ state, lookDueOn: lookDueOn as Day }, today);
}
