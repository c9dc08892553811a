import type { RecordTreatment } from "@/core/facts/deeds";
import { genusNamed } from "@/core/plants/genera";
import { objections } from "@/core/suitability/suitability";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/facts";
import * as plans from "@/db/stores/plans";
import * as treatments from "@/db/stores/treatments";
import { checkSpots, lockOpenCase, pastInstant } from "./checks";
import { dayOf, type Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/**
 * Writes down a treatment of an open case. What is advised against on this plant is refused, unless it has happened
 * already: then it belongs on the record.
 */
export function recordTreatment(context: Context, deed: RecordTreatment): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    const { alreadyDone, ...treatment } = deed;
    if (await facts.isRecorded(scope, "treatments", deed.id)) return { id: deed.id };
    const { found, plant } = await lockOpenCase(scope, deed.caseId);
    const at = pastInstant(context, deed.at);
    if (dayOf(context, at) < found.openedOn) refuse("at", "before_case");
    checkSpots(plant, deed.spots);
    if (deed.stepId !== null) await checkStep(scope, found.id, deed.stepId);
    const bearer = { sensitivities: genusNamed(plant.genus)?.sensitivities ?? [], inFlower: plant.inFlower };
    const against = objections(bearer, deed.mix, deed.technique);
    if (!alreadyDone && against.some((o) => o.level === "refuse")) {
      refuse("mix", "advised_against", { objections: against });
    }
    await treatments.add(scope, { ...treatment, plantId: plant.id, at }, context.now);
    await refreshPlantStates(context, scope, [plant.id]);
    return { id: deed.id };
  });
}

async function checkStep(scope: Scope, caseId: string, stepId: string): Promise<void> {
  const all = (await plans.ofCases(scope, [caseId])).flatMap((plan) => plan.steps);
  const step = all.find((s) => s.id === stepId && s.kind === "treat");
  if (!step) return refuse("stepId", "unknown");
  if (step.doneOn !== null) refuse("stepId", "step_taken");
}
