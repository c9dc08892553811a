import type { PlantState } from "@/core/plants/states";
import { stateNames } from "./names";

/** The state of a plant in words: "getting surer, 3 of 5 petals, set apart". */
export function stateInWords(state: PlantState, petals: number, apart: boolean): string {
  const opened = state === "surer" ? `, ${petals} of 5 petals` : "";
  return `${stateNames[state]}${opened}${apart ? ", set apart" : ""}`;
}
