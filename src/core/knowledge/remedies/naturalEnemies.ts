import type { Day } from "../../shared/days";

/** Predators are let loose after so many days without sprays or dust (common practice, no source). */
export const SPRAY_FREE_DAYS = 14;

/** What of a plant's acts bears on helpful animals. */
export interface NaturalEnemies {
  /** The last day on which animals that were let loose still live; null where none were. */
  readonly aliveUntil: Day | null;
  /** The day from which on they may be let loose; null where nothing that kills them was put on. */
  readonly freeFrom: Day | null;
}
