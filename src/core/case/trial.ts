import { addDays, type Day } from "../climate/days";
import type { PestId } from "../pests/pests";
import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import type { CaseFileInput } from "../format/schema";

/** Day 0 of every trial; it stands for no day in particular. */
export const TRIAL_DAY = "2000-01-03" as Day;

/** A case to try plans on. */
export interface TrialCase {
  readonly pest: PestId;
  readonly form: GrowthFormId;
  readonly meanC: number;
  /** Live animals that a look with a lamp at the whole plant sees on day 0, and leaves in place. */
  readonly found: number;
}

/** The case file of a trial: found on day 0, and nothing done yet. */
export function trialFile({ pest, form, meanC, found }: TrialCase): CaseFileInput {
  return {
    format: "wary-petal.case",
    version: 1,
    pest,
    plant: { growthForm: form },
    temperature: meanC,
    timeStepDays: 0.25,
    scenarios: "all",
    events: [
      {
        type: "inspection",
        // At dusk, when treatments are put on.
        at: `${TRIAL_DAY}T18:00:00Z`,
        found,
        removed: false,
        look: { with: "lamp", spots: [...spotsOf(form)] },
      },
    ],
    asOf: addDays(TRIAL_DAY, 1),
  };
}
