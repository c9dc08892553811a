import { scopeOf, today, type Context } from "./context";
import { warmPlaces, type WarmPlace } from "./parts/placesAsTheyStand";

/** Every place, in the order it was added, with how warm it is there now. */
export function readPlaces(context: Context): Promise<WarmPlace[]> {
  return warmPlaces(scopeOf(context, "read"), today(context));
}
