import type { WorkId } from "@/core/acts/workIds";
import { treatmentOf } from "@/core/advice/planning/doses";
import { isForGroup, lineOf, type SessionLine, type SessionStep } from "@/core/advice/sessions/session";
import type { MixId } from "@/core/knowledge/mixes/mixes";
import { groupBy } from "@/core/shared/groupBy";
import type { TreatmentLine } from "../../cases/treatmentLines";
import { scopeOf, type Context } from "../../shared/context";
import { beforehand } from "../beforehand";
import type { DueStepId, GroupPlant, SessionView } from "../sessionView";
import { readEvening } from "./readEvening";

/** What plans ask for: of one mix or one work, or all of it. */
export type DueAsked = MixId | WorkId | "all";

/** What is due as a session that goes through it: its plants in the order that spreads least. */
export interface DueView extends SessionView {
  readonly steps: readonly SessionStep<DueStepId>[];
}

/**
 * A session of what plans ask for by today. With `stepIds`, those of an evening that was planned: some of what is due, and what was brought
 * forward. Without plants when nothing is.
 */
export async function readDue(
  context: Context,
  what: DueAsked,
  stepIds: readonly string[] | null = null,
): Promise<DueView> {
  const lines = await dueLines(context, what, stepIds);
  const plants = [...groupBy(lines, ({ plant }) => plant.id).values()].map(groupPlant);
  const byId = new Map(plants.map((plant) => [plant.plantId, plant]));
  return {
    plants,
    steps: [...groupBy(lines, stepOf)].map(([id, some]) => ({
      id,
      lines: onceEach(some).map((line) => sessionLine(byId.get(line.plant.id)!, line)),
      ...(id.startsWith("each ") && { oneByOne: true as const }),
    })),
    ...(await beforehand(context, scopeOf(context, "see"), plants)),
  };
}

/** One step that is due, or may be brought forward; null where it is not among them. */
export async function readDueStep(context: Context, stepId: string): Promise<TreatmentLine | null> {
  return (await dueLines(context, "all", [stepId]))[0] ?? null;
}

async function dueLines(context: Context, what: DueAsked, stepIds: readonly string[] | null): Promise<TreatmentLine[]> {
  const { lines } = await readEvening(context, what === "all" ? null : what);
  return lines.filter(({ daysLate, stepId }) => (stepIds === null ? daysLate >= 0 : stepIds.includes(stepId)));
}

function stepOf({ planned }: TreatmentLine): DueStepId {
  return `${isForGroup(planned) ? "due" : "each"} ${treatmentOf(planned)}`;
}

/** One spray meets whatever sits there: of two finds that ask for the same on one plant the first is carried out. */
function onceEach(lines: readonly TreatmentLine[]): readonly TreatmentLine[] {
  return [...groupBy(lines, ({ plant }) => plant.id).values()].map(([first]) => first!);
}

function groupPlant(lines: readonly TreatmentLine[]): GroupPlant {
  const { plant, bearer, placeName } = lines[0]!;
  return {
    ...{ plantId: plant.id, code: plant.code, bearer, card: plant, placeId: plant.placeId, placeName },
    cases: lines.flatMap(({ caseId, pest }) => (caseId && pest ? [{ caseId, pest, due: null }] : [])),
    minutes: null,
    // What is due has not been done, whatever else was today.
    lately: { acts: [], looked: false },
  };
}

function sessionLine(plant: GroupPlant, { act, caseId, stepId, label }: TreatmentLine): SessionLine {
  return { ...lineOf(plant, act), caseId, stepId, label };
}
