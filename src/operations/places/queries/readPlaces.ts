import { scopeOf, today, type Context } from "../../shared/context";
import { warmPlaces, type WarmPlace } from "../placesAsTheyStand";

/** Every place, in the order it was added, with how warm it is there now. */
export function readPlaces(context: Context): Promise<WarmPlace[]> {
  return warmPlaces(scopeOf(context, "read"), today(context));
}
