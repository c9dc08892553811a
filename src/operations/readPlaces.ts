import type { Place } from "@/core/facts/records";
import * as places from "@/db/stores/places";
import { scopeOf, type Context } from "./context";

/** Every place, in the order it was added. */
export function readPlaces(context: Context): Promise<Place[]> {
  return places.all(scopeOf(context));
}
