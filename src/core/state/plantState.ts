import { addDays, type Day } from "../climate/days";
import { isAtRisk, type Exposure } from "../exposure/exposure";
import type { PlantState } from "../plants/states";

/** Everything the state of one plant is derived from. */
export interface PlantFacts {
  readonly addedOn: Day;
  /** Days of looks at this plant in ascending order, with whether any live animal was seen. */
  readonly looks: readonly { readonly day: Day; readonly clean: boolean }[];
  readonly exposures: readonly Exposure[];
  readonly openCases: readonly {
    /** Live animals were seen at the last look. */
    readonly live: boolean;
    /** 1–5, by how likely it is over. */
    readonly petals: number;
  }[];
  /** Stands in an isolation place or under a bag. */
  readonly apart: boolean;
  /** Has never stood anywhere but apart since it came. */
  readonly neverJoined: boolean;
}

export interface DerivedState {
  /** Without `overdue`, which depends on the day one asks. */
  readonly state: Exclude<PlantState, "overdue">;
  /** 0–5 filled petals; 0 unless the state is `surer`. */
  readonly petals: number;
  readonly lastLookOn: Day | null;
  readonly lookDueOn: Day;
}

/** Whatever the keeper's own rhythm, a plant in a case, at risk or new here is looked at weekly (common practice). */
const WATCHED_EVERY_DAYS = 7;

/**
 * Derives the state of a plant from its facts. The worst open case decides; then risk; then arrival.
 * The next look is due one rhythm after the last; at once when the plant came, or stood near a find, since.
 * Throws RangeError unless `lookEveryDays` is at least 1.
 */
export function derivePlantState(facts: PlantFacts, lookEveryDays: number): DerivedState {
  if (!(lookEveryDays >= 1)) throw new RangeError(`the looking rhythm is a day or more, got ${lookEveryDays}`);
  const lastLookOn = facts.looks.at(-1)?.day ?? null;
  const cleanDays = facts.looks.filter((look) => look.clean).map((look) => look.day);
  const risks = facts.exposures.filter((exposure) => isAtRisk(exposure, cleanDays));
  const state = stateOf(facts, risks.length > 0);

  const rhythm = state === "clear" ? lookEveryDays : Math.min(lookEveryDays, WATCHED_EVERY_DAYS);
  const unseen = risks.map((risk) => risk.since).filter((since) => lastLookOn === null || lastLookOn < since);
  const regular = lastLookOn === null ? facts.addedOn : addDays(lastLookOn, rhythm);
  const lookDueOn = [regular, ...unseen].reduce((a, b) => (a < b ? a : b));
  return { state, petals: state === "surer" ? petalsOf(facts) : 0, lastLookOn, lookDueOn };
}

/** The state as shown on `today`: a clear plant whose look is overdue says so. */
export function shownState(derived: Pick<DerivedState, "state" | "lookDueOn">, today: Day): PlantState {
  return derived.state === "clear" && derived.lookDueOn < today ? "overdue" : derived.state;
}

function stateOf(facts: PlantFacts, atRisk: boolean): DerivedState["state"] {
  if (facts.openCases.some((c) => c.live)) return "infested";
  if (facts.openCases.length > 0) return "surer";
  if (facts.neverJoined && facts.apart) return "new";
  return atRisk ? "atRisk" : "clear";
}

function petalsOf(facts: PlantFacts): number {
  return Math.min(...facts.openCases.map((c) => c.petals));
}
