import { isWork } from "@/core/advice/planning/doses";
import type { Context } from "../../shared/context";
import { treatmentLines, type TreatmentLine } from "../../cases/treatmentLines";
import { readEvening } from "./readEvening";
import { readToday, type Sitting } from "../../plants/queries/readToday";

export type SittingLine = TreatmentLine;

export interface SittingView {
  readonly what: Sitting["what"];
  /** In the order that spreads least. */
  readonly lines: readonly SittingLine[];
}

/**
 * All that is due of one mix or one work, plant by plant; without lines when nothing is. With `steps`, those of an evening that was
 * planned: some of what is due, and what was brought forward.
 */
export async function readSitting(
  context: Context,
  what: Sitting["what"],
  steps: readonly string[] | null = null,
): Promise<SittingView> {
  if (steps === null) {
    const sitting = (await readToday(context)).sittings.find((one) => one.what === what);
    return { what, lines: await treatmentLines(context, sitting?.due ?? []) };
  }
  const lines = (await readEvening(context)).lines.filter(
    ({ planned, stepId }) => (isWork(planned) ? planned.work : planned.mix) === what && steps.includes(stepId),
  );
  return { what, lines };
}
