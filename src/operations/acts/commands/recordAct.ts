import type { Act } from "@/core/acts/acts";
import { subjectsOf } from "@/core/acts/acts";
import { rootsIn } from "@/core/acts/mechanical";
import { caseNamed, type Case } from "@/core/record/cases/cases";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import { inUse } from "@/core/knowledge/household/bottles";
import type { Day } from "@/core/shared/days";
import type { RecordAct } from "@/core/record/facts/kinds/act";
import { standing } from "@/core/record/facts/facts";
import { doseIn } from "@/core/advice/plans/coursesOnRecord";
import { labelObjections, type LabelObjection } from "@/core/advice/labels/label";
import { actObjections, placeObjections } from "@/core/advice/tolerance/actObjections";
import * as cases from "@/db/stores/cases/cases";
import * as facts from "@/db/stores/record/facts";
import * as plants from "@/db/stores/plants/plants";
import { dayOf, type Context } from "../../shared/context";
import { transact, refuse, type CommandScope, type Outcome } from "../../shared/outcome";
import { checkSpots, knownPlace, lockPlant, momentOn, pastMoment } from "../../shared/checks";
import { bearerOn, homeOf } from "../../plants/onPlant";
import { plantsWarmedBy } from "../../places/placesAround";
import { recordsOf, type KeptRecord } from "../../plants/plantRecords";

export interface ActRecorded {
  readonly id: string;
  /** What the remedy's label has against what was done; it is on record all the same. */
  readonly warnings: readonly LabelObjection[];
}

/**
 * Writes down an act on a plant or a place, in a case or in none. What the plant does not bear is refused, unless it has
 * happened already: then it belongs on the record. What goes against a label is told.
 */
export function recordAct(context: Context, command: RecordAct): Promise<Outcome<ActRecorded>> {
  // Whoever only tends carries out what is due.
  return transact(context, command.stepId === null ? "record" : "tend", command.id, async (scope) => {
    if (await scope.wasSent("act", command.id)) return { id: command.id, warnings: [] };
    const subject = command.placeId === null ? "plant" : "place";
    if (!subjectsOf(command.act.kind).includes(subject)) refuse("act", "not_on_place");
    return command.placeId === null
      ? onPlant(context, scope, command)
      : onPlace(context, scope, command, command.placeId);
  });
}

async function onPlace(
  context: Context,
  scope: CommandScope,
  { id, act, note, at: givenAt, alreadyDone }: RecordAct,
  placeId: string,
): Promise<ActRecorded> {
  const place = await knownPlace(scope, placeId);
  const against = placeObjections(act, homeOf(context.collection), place.kind === "outdoors");
  if (against.some((o) => o.level === "refuse") && !alreadyDone) refuse("", "advised_against", { objections: against });
  const at = pastMoment(context, givenAt);
  await facts.add(scope, "act", [{ id, plantId: null, placeId, caseId: null, stepId: null, act, at, note }]);
  scope.invalidate(await plantsWarmedBy(scope, placeId));
  scope.invalidateAll();
  return { id, warnings: [] };
}

async function onPlant(context: Context, scope: CommandScope, command: RecordAct): Promise<ActRecorded> {
  const plant = await lockPlant(scope, command.plantId!);
  const at = momentOn(context, plant, command.at, command.longAgo);
  const day = dayOf(context, at);
  const { act } = command;
  if ("spots" in act) checkSpots(plant, "act.spots", act.spots);
  const record = (await recordsOf(scope, [plant.id])).records[0];
  if (!record) return refuse("plantId", "unknown");
  const found = command.caseId === null ? null : await caseOf(scope, record, command.caseId);
  if (found && day < found.openedOn) refuse("at", "before_case");
  if (command.stepId !== null) checkStep(record, command.stepId);
  const against = actObjections(act, bearerOn(context, record, day));
  if (against.some((o) => o.level === "refuse") && !command.alreadyDone)
    refuse(act.kind === "contact" ? "act.mix" : "", "advised_against", { objections: against });
  const warnings = labelWarnings(context, record, act, day);
  const { alreadyDone: _done, longAgo: _asked, ...fact } = command;
  await facts.add(scope, "act", [
    { ...fact, act: fromPot(act, plant.potCm), plantId: plant.id, caseId: found?.id ?? null, at },
  ]);
  const roots = rootsIn(act);
  // What is written down late does not undo a later potting.
  if (roots && !record.acts.some((one) => one.voidReason === null && one.at > at && rootsIn(one.act)))
    await plants.setPot(scope, plant.id, roots.potCm);
  scope.invalidate([plant.id]);
  return { id: command.id, warnings };
}

/** An unpotting with the pot that it came from. */
export function fromPot(act: Act, fromCm: number): Act {
  return act.kind === "mechanical" && act.roots ? { ...act, roots: { ...act.roots, fromCm } } : act;
}

/** The open case the act is filed under; written down late, it may be one that was open then. */
async function caseOf(scope: CommandScope, record: KeptRecord, caseId: string): Promise<Case> {
  if ((await cases.plantOf(scope, caseId)) !== record.plant.id) return refuse("caseId", "unknown");
  const found = caseNamed(record.cases, caseId);
  if (!found) return refuse("caseId", "unknown");
  if (!found.open) refuse("caseId", "case_closed");
  return found;
}

function checkStep(record: KeptRecord, stepId: string): void {
  const step = record.programmes.flatMap((one) => one.steps).find((one) => one.id === stepId && one.kind === "treat");
  if (!step) refuse("stepId", "unknown");
  if (standing(record.acts).some((act) => act.stepId === stepId)) refuse("stepId", "step_taken");
}

function labelWarnings(context: Context, record: KeptRecord, act: Act, day: Day): LabelObjection[] {
  // Hands and water have no label.
  const dose = act.kind === "mechanical" ? null : doseIn(act);
  return dose ? labelObjections([{ day, dose }], coursesOn(record.acts, day, inUse(context.collection.bottles))) : [];
}
