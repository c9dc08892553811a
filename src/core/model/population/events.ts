import type { Habitat } from "../../knowledge/pests/pests";
import type { KillRange } from "../../knowledge/remedies/remedies";
import type { PerSite } from "./sites";
import type { LastingEffect } from "./step";

/** What happens to a population at a moment: the three kinds of event the model knows. Times are days since day 0, 00:00. */

/** Each animal dies with probability kill · reach · cover, or kill · touch · cover where the hand must see what it hits. */
export interface TreatmentEvent {
  readonly kind: "treatment";
  readonly atDays: number;
  /** For each stage, in the order of life, the chance that one that is hit dies. */
  readonly kill: readonly KillRange[];
  /** The share of the animals that is hit where the hand went; a habitat left out counts 0. */
  readonly reach: Partial<Readonly<Record<Habitat, PerSite>>>;
  /** For each stage the chance that one is seen and hit; in the place of `reach` where given. */
  readonly touch?: readonly PerSite[];
  /** The share of each site's animals that sits where the hand went; 1 where nothing is said. */
  readonly cover?: Partial<Readonly<Record<Habitat, PerSite>>>;
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
  /** The stages that those seen were in, as indices in the order of life; any where left out. */
  readonly among?: readonly number[];
}

/** Goes on from this time (included) until the other (excluded). */
export interface LastingEvent {
  readonly kind: "lasting";
  readonly atDays: number;
  readonly untilDays: number;
  readonly effect: LastingEffect;
}

export type PopulationEvent = TreatmentEvent | InspectionEvent | LastingEvent;
