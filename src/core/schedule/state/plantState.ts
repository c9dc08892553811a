import type { Day } from "../../shared/days";
import type { PlantState } from "../../knowledge/plants/states";
import type { ProgrammeFacts, ProgrammeKindId } from "../programmes/programme";
import { lookDays } from "../programmes/programme";
import { dueOf, verdictsOf } from "../programmes/programmes";

export interface DerivedState {
  /** Without `overdue`, which depends on the day one asks. */
  readonly state: Exclude<PlantState, "overdue">;
  /** 0–5 filled petals; 0 unless the state is `surer`. */
  readonly petals: number;
  readonly lastLookOn: Day | null;
  readonly lookDueOn: Day;
  /** The programme that asks for the next look. */
  readonly lookDueFor: ProgrammeKindId;
}

/** Worst first: the programme in the worst state decides. */
const worstFirst = ["infested", "surer", "new", "atRisk", "clear"] as const satisfies readonly DerivedState["state"][];

/**
 * The state of a plant: the worst that any of its programmes makes of it, and the first look that any of them asks for.
 * Throws RangeError unless the looking rhythm is a day or more.
 */
export function derivePlantState(facts: ProgrammeFacts, today: Day): DerivedState {
  const verdicts = Object.values(verdictsOf(facts, today));
  const state = worstFirst.find((one) => verdicts.some((verdict) => verdict.state === one)) ?? "clear";
  const next = dueOf(facts, today).find((due) => due.what === "look")!;
  return {
    state,
    petals: verdicts.find((verdict) => verdict.state === state)?.petals ?? 0,
    lastLookOn: lookDays(facts.record).at(-1) ?? null,
    lookDueOn: next.on,
    lookDueFor: next.programme,
  };
}

/** The state as shown on `today`: a clear plant whose look is overdue says so. */
export function shownState(derived: Pick<DerivedState, "state" | "lookDueOn">, today: Day): PlantState {
  return derived.state === "clear" && derived.lookDueOn < today ? "overdue" : derived.state;
}
