import type { Day } from "@/core/shared/days";
import { unnamedOn } from "@/core/advice/unnamed/unnamed";
import type { AdoptUnnamed } from "@/core/record/facts/kinds/programme";
import * as facts from "@/db/stores/record/facts";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { lockPlant, pastMoment } from "../../shared/checks";
import { checkChosen, stepsFor } from "../planChecks";
import { recordsOf } from "../../plants/plantRecords";

/**
 * Chooses dates against something without a name. They fall due until it has one, or is none; what is chosen last is in force. What
 * the plant does not bear and what goes against a label is refused. How sure it makes is not kept: it was said for several pests at once.
 */
export function adoptUnnamed(context: Context, command: AdoptUnnamed): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("programme", command.id)) return { id: command.id };
    const { id: plantId } = await lockPlant(scope, command.plantId);
    const record = (await recordsOf(scope, [plantId])).records[0];
    if (!record || !unnamedOn(record.looks)) return refuse("plantId", "not_unnamed");
    const treatments = command.dates.map((day: Day, i) => ({ day, dose: command.doses[i]! }));
    checkChosen(context, record, treatments);
    const steps = stepsFor(context, treatments, []);
    const programme = {
      id: command.id,
      programme: "unnamed" as const,
      plantId,
      caseId: null,
      pest: null,
      ...{ pOver: null, pClean: null, sure: null },
      steps,
    };
    await facts.add(scope, "programme", [{ ...programme, basis: "reckoned", at: pastMoment(context, context.now) }]);
    scope.invalidate([plantId]);
    return { id: command.id };
  });
}
