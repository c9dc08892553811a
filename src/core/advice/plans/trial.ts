import { addDays, type Day } from "../../shared/days";
import type { CaseFileInput } from "../../record/format/schema";
import { seeChances } from "../../model/inspection/see";
import { sitesOn } from "../../model/inspection/sitesOn";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";

/** Day 0 of every trial; it stands for no day in particular. */
export const TRIAL_DAY = "2000-01-03" as Day;

/** A case to try plans on. */
export interface TrialCase {
  readonly pest: PestId;
  readonly form: GrowthFormId;
  readonly meanC: number;
  /** Live animals that a look with a lamp at the whole plant sees on day 0, and leaves in place. */
  readonly found: number;
  /** Of the sheltered animals, the share that sits where no spray comes, 0–1; the form's own where left out. */
  readonly deepShare?: number;
  /** The day it was found; {@link TRIAL_DAY} where left out. */
  readonly on?: Day;
}

/** The case file of a trial: found on day 0, and nothing done yet. */
export function trialFile({ pest, form, meanC, found, deepShare, on = TRIAL_DAY }: TrialCase): CaseFileInput {
  const chances = seeChances(pestOf(pest), pest, form, { tool: "lamp", spots: spotsOf(form) });
  const see = Object.fromEntries(
    pestOf(pest).stages.map(({ id }, i): [string, [number, number, number]] => [id, [...chances[i]!]]),
  );
  const sites = sitesOn(form, pest);
  return {
    format: "wary-petal.case",
    version: 1,
    pest,
    plant: { ...sites, deepShare: deepShare ?? sites.deepShare },
    temperature: meanC,
    timeStepDays: 0.25,
    scenarios: "all",
    // At dusk, when treatments are put on.
    events: [{ type: "inspection", at: `${on}T18:00:00Z`, found, removed: false, see }],
    asOf: addDays(on, 1),
  };
}
