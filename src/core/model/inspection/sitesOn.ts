import type { PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { deepShare, shelteredShare } from "../../knowledge/plants/spotWeights";
import { MIX_PER_DAY, type Sites } from "../population/sites";

/** Where a pest's animals can sit on a plant of a form, and how they walk about on it. */
export function sitesOn(form: GrowthFormId, pest: PestId): Sites {
  return { shelteredShare: shelteredShare(form, pest), deepShare: deepShare(form, pest), mixPerDay: MIX_PER_DAY };
}
