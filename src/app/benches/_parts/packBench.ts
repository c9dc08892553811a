import type { Bench } from "@/operations/places/queries/readBenches";
import { packPlants } from "./shelves";

/** The plants of a place, packed for the page. */
export function packBench(plants: Bench["plants"]): string {
  return packPlants(
    plants.map(({ id, code, name, state, petals, apart, growthForm, carries, lastLookOn, lookDueFor }) => ({
      ...{ id, code, name, state, petals, apart },
      form: growthForm,
      ...(lookDueFor === "unnamed"
        ? { beside: "signsOpen" as const }
        : lastLookOn === null && { beside: "neverLookedAt" as const }),
      // Four digits are more than anyone sees, and thousands of plants travel.
      carries: carries === null ? null : Math.round(carries * 1e4) / 1e4,
    })),
  );
}
