import type { Against } from "@/core/advice/isolation/apartPlaces";
import { plantStates, type PlantState } from "@/core/knowledge/plants/states";
import type { LightId } from "@/core/record/facts/commands";
import { stateInWords } from "./states";

/** What speaks against a place for a plant that is to stand apart. */
export const againstNames: Record<Against, string> = {
  full: "full",
  arrivalsThere: "a new arrival stands there: not beside a find",
  findsThere: "a find stands there: not for one that is clean",
  doorOpen: "its door stands open",
};

export const lightNames: Record<LightId, string> = {
  window: "by a window",
  lamp: "under a lamp",
  both: "by a window and under a lamp",
};

interface Stands {
  readonly name: string;
  readonly count: number;
  readonly states: Readonly<Partial<Record<PlantState, number>>>;
}

/** How the plants of a shelf stand. @example standsInWords({ name: "Sill", count: 2, states: { clear: 2 } }) // "Sill: 2 clear" */
export function standsInWords({ name, count, states }: Stands): string {
  const said = plantStates.toReversed().flatMap((state) => {
    const many = states[state];
    return many ? `${many} ${state === "surer" ? "getting surer" : stateInWords(state, 0, false)}` : [];
  });
  return `${name}: ${count === 0 ? "empty" : said.join(", ")}`;
}
