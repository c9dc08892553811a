import type { Pest } from "../../knowledge/pests/pests";
import type { PopulationEvent } from "../population/events";
import type { Sites } from "../population/sites";

/** One pest on one plant with everything done and seen, in numbers. */
export interface CaseHistory {
  readonly pest: Pest;
  readonly sites: Sites;
  /** Mean temperature of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  readonly timeStepDays: number;
  /** In the order recorded. */
  readonly events: readonly PopulationEvent[];
}
