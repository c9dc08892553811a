import { placeOrder } from "@/core/record/facts/placeOrder";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases/cases";
import * as placements from "@/db/stores/plants/placements";
import * as places from "@/db/stores/places/places";

/** The place itself and everything that stands in it. */
export async function placesWithin(scope: Scope, placeId: string): Promise<string[]> {
  return placeOrder(await places.all(scope))
    .within(placeId)
    .map(({ id }) => id);
}

/** Plants in a case that have stood at a place or within it: what is done or read there bears on them. */
export async function plantsWarmedBy(scope: Scope, placeId: string): Promise<string[]> {
  const there = await placements.everAt(scope, await placesWithin(scope, placeId));
  return [...(await cases.everIn(scope, there))];
}
