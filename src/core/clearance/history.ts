import type { Habitat, Pest } from "../pests/pests";
import type { KillRange } from "../remedies/remedies";
import type { PerSite } from "../population/layout";
import type { LastingEffect, Sites } from "../population/step";

/** Each animal dies with probability kill · reach. */
export interface TreatmentEvent {
  readonly kind: "treatment";
  /** Days since day 0, 00:00. */
  readonly atDays: number;
  /** For each stage, in the order of life, the chance that one that is hit dies. */
  readonly kill: readonly KillRange[];
  /** The share of the animals that is hit, where they live; a habitat left out counts 0. */
  readonly reach: Partial<Readonly<Record<Habitat, PerSite>>>;
}

export interface InspectionEvent {
  readonly kind: "inspection";
  readonly atDays: number;
  /** Live animals seen; a class counts as its geometric middle, so it need not be whole. */
  readonly found: number;
  /** Whether those seen were killed on the spot. */
  readonly removed: boolean;
  /** For each stage the chance that one animal is seen. */
  readonly see: readonly PerSite[];
}

export interface LastingEvent {
  readonly kind: "lasting";
  /** From this time (included) until the other (excluded), days since day 0. */
  readonly atDays: number;
  readonly untilDays: number;
  readonly effect: LastingEffect;
}

export type CaseEvent = TreatmentEvent | InspectionEvent | LastingEvent;

/** One pest on one plant with everything done and seen, in numbers. */
export interface CaseHistory {
  readonly pest: Pest;
  readonly sites: Sites;
  /** Mean temperature of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  readonly timeStepDays: number;
  /** In the order recorded. */
  readonly events: readonly CaseEvent[];
}
