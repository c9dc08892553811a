import type { TreatmentCourses } from "@/core/advice/planning/treatmentCourse";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { ActedOn } from "@/ui/acts/actFields";

/** The plant an act is done to. */
export interface ActPlant extends ActedOn {
  readonly id: string;
  readonly bearer: TreatedPlant;
  /** Its open cases, to one of which the act may belong. */
  readonly cases: readonly { readonly id: string; readonly pest: PestId }[];
  /** The courses of remedies that run on it; nothing is said of labels before it is written down where left out. */
  readonly courses?: TreatmentCourses;
}

/** A place has no form and no pot of its own: what is done there asks for neither. */
export const noPlant: ActedOn = { growthForm: "uprightShrub", potCm: 12 };
