import type { PlantState } from "@/core/knowledge/plants/states";
import type { PlantCard } from "@/core/schedule/state/plantCard";

const stateNames: Record<PlantState, string> = {
  clear: "clear",
  overdue: "look overdue",
  new: "new here",
  atRisk: "at risk",
  infested: "infested",
  surer: "getting surer",
};

/** What is known of a plant beside its state. */
type Beside = Partial<Pick<PlantCard, "lastLookOn" | "lookDueFor">>;

/**
 * The state of a plant in words: "3 of 5 petals open, set apart". A plant that nobody has looked at is not called clear, nor
 * is one with signs that are open without a name merely at risk: `beside` says so where it is known.
 */
export function stateInWords(state: PlantState, petals: number, apart: boolean, beside: Beside = {}): string {
  const said = state === "surer" ? `${petals} of 5 petals open` : nameOf(state, beside);
  return `${said}${apart ? ", set apart" : ""}`;
}

function nameOf(state: PlantState, { lastLookOn, lookDueFor }: Beside): string {
  if ((state === "clear" || state === "overdue") && lastLookOn === null) return "not yet looked at";
  return state === "atRisk" && lookDueFor === "unnamed" ? "signs open" : stateNames[state];
}
