import { seasonOf } from "@/core/advice/diagnosis/priors";
import { placeTree } from "@/core/advice/spread/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { neighboursAt, type Neighbours } from "../../plants/neighbours";
import { occupantsOf, warmPlaces } from "../../places/placesAsTheyStand";
import { readCase, type CaseView } from "./readCase";

export interface DecisionView {
  readonly view: CaseView;
  /** The plants beside it as it stands now. */
  readonly neighbours: Neighbours;
  /** Whether plants of a home may stand outside at this time of the year. */
  readonly warmOutside: boolean;
}

/** What the first decision on a case is weighed from; null when there is no such case. */
export async function readDecision(context: Context, asked: string): Promise<DecisionView | null> {
  const view = await readCase(context, asked);
  if (!view) return null;
  const scope = scopeOf(context, "read");
  const day = today(context);
  const tree = placeTree(await warmPlaces(scope, day));
  const occupants = occupantsOf(await plantStates.list(scope));
  const season = seasonOf(Number(day.slice(5, 7)), context.collection.hemisphere);
  return {
    view,
    neighbours: neighboursAt(view.place.id, view.plant.id, occupants, tree),
    warmOutside: season === "summer",
  };
}
