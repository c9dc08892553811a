import * as plants from "@/db/stores/plants/plants";
import { scopeOf, today, type Context } from "../../shared/context";
import { warmPlaces, type WarmPlace } from "../../places/placesAsTheyStand";

export interface AddingView {
  /** Where plants may stand from the first day on. */
  readonly places: readonly WarmPlace[];
  /** The codes that are taken. */
  readonly codes: readonly string[];
}

/** What bears on adding plants. */
export async function readForAdding(context: Context): Promise<AddingView> {
  const scope = scopeOf(context, "read");
  const places = (await warmPlaces(scope, today(context))).filter(({ kind }) => kind !== "bag");
  return { places, codes: await plants.codes(scope) };
}
