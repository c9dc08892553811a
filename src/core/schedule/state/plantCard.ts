import type { Day } from "../../shared/days";
import type { PlantState } from "../../knowledge/plants/states";
import type { ProgrammeKindId } from "../programmes/programme";

/** What stands beside every plant in a list. */
export interface PlantCard {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly placeId: string;
  readonly state: PlantState;
  readonly petals: number;
  readonly apart: boolean;
  /** Whether it is kept no longer: how it stood then says nothing of now. */
  readonly archived: boolean;
  /** The last look at it; null while it has never been looked at. */
  readonly lastLookOn: Day | null;
  readonly lookDueOn: Day;
  /** The programme that asks for the next look. */
  readonly lookDueFor: ProgrammeKindId;
}
