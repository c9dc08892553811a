import { planOfUnnamed } from "@/core/case/unnamed";
import type { OnPlant } from "@/core/case/onPlant";
import { treatmentsToCome, type Plan } from "@/core/case/plans";
import type { Place, Plant } from "@/core/facts/descriptions";
import type { PestId } from "@/core/pests/pests";
import type { Context } from "./context";
import { readCase } from "./readCase";
import { readPlant } from "./readPlant";
import { readToday, type DueTreatment, type Sitting } from "./readToday";

/** The plant whose turn it is. */
export interface Turn {
  readonly plant: Plant;
  readonly place: Place;
  readonly on: OnPlant;
  /** The case it is for; null for something without a name. */
  readonly found: { readonly id: string; readonly pest: PestId } | null;
  readonly steps: ReturnType<typeof treatmentsToCome>;
}

/** What is due of one mix or one work, and the plant whose turn it is; null when nothing is. */
export async function readSitting(
  context: Context,
  what: Sitting["what"],
): Promise<{ readonly sitting: Sitting; readonly turn: Turn } | null> {
  const sitting = (await readToday(context)).sittings.find((one) => one.what === what);
  const line = sitting?.due[0];
  // Whoever may see what is due sees the plant that is, and no other.
  const turn = line && (await turnOf({ ...context, role: "reader" }, line));
  return sitting && turn ? { sitting, turn } : null;
}

async function turnOf(context: Context, { caseId, plant }: DueTreatment): Promise<Turn | null> {
  if (caseId === null) {
    const view = await readPlant(context, plant.id);
    return view && { ...view, found: null, steps: stepsOf(planOfUnnamed(view.record)) };
  }
  const view = await readCase(context, caseId);
  return view && { ...view, steps: stepsOf(view.plan) };
}

const stepsOf = (plan: Plan | null) => (plan ? treatmentsToCome(plan) : []);
