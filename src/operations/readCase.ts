import { clearanceRule, type Clearance } from "@/core/clearance/rule";
import { isId } from "@/core/facts/fields";
import type { Case, Closing, Plan, PlanStep, Treatment, Look } from "@/core/facts/records";
import { pestOf } from "@/core/pests/pests";
import { eggToAdultDays } from "@/core/pests/stageDurations";
import { volumeFor } from "@/core/mixing/sprayVolume";
import * as casesStore from "@/db/stores/cases";
import * as plansStore from "@/db/stores/plans";
import { scopeOf, today, type Context } from "./context";
import { readPlant, type PlantView } from "./readPlant";
import { caseRecord } from "./refreshPlantStates";
import { nextTreatment } from "./readToday";

export interface CaseView {
  readonly found: Case;
  readonly view: PlantView;
  readonly looks: readonly Look[];
  readonly treatments: readonly Treatment[];
  readonly plan: Plan | null;
  readonly nextStep: PlanStep | null;
  readonly closing: Closing | null;
  readonly clearance: Clearance;
  readonly generationDays: number | null;
  /** What a treatment of this plant with the plan's technique is likely to take, mL. */
  readonly volumeMl: number;
}

/** A case with everything that bears on whether it is over; null when there is no such case. */
export async function readCase(context: Context, id: string): Promise<CaseView | null> {
  if (!isId(id)) return null;
  const found = await casesStore.find(scopeOf(context), id);
  const view = found && (await readPlant(context, found.plantId));
  if (!found || !view) return null;
  const { meanC } = view.place;
  const plan = plansStore.inForce(view.plans, id);
  return {
    found,
    view,
    looks: view.looks.filter((look) => look.at >= found.openedAt),
    treatments: view.treatments.filter((t) => t.caseId === id),
    plan,
    nextStep: plan && nextTreatment(plan),
    closing: view.closings.findLast((c) => c.caseId === id && c.voidReason === null) ?? null,
    clearance: clearanceRule(caseRecord(found, view.looks, view.treatments, meanC), today(context)),
    generationDays: eggToAdultDays(pestOf(found.pest), meanC),
    volumeMl: volumeFor(plan?.technique ?? "spray", view.plant.potCm),
  };
}
