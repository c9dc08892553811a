import type { WorkId } from "@/core/acts/workIds";
import type { MixId } from "@/core/knowledge/mixes/mixes";
import { treatmentOf } from "@/core/advice/planning/doses";
import type { Day } from "@/core/shared/days";
import { scopeOf, today, type Context } from "../../shared/context";
import { nextTreatments } from "../../cases/nextTreatments";
import { plantsInCase } from "../../cases/openCases";
import { treatmentLines, type TreatmentLine } from "../../cases/treatmentLines";

export type EveningLine = TreatmentLine;

export interface EveningView {
  readonly day: Day;
  /** What is due, and what could be brought forward; in the order that spreads least. */
  readonly lines: readonly EveningLine[];
}

/** What falls due within so many days may be done tonight, where its label does not mind (HOUSE). */
const FORWARD_DAYS = 2;

/** Everything that might be done this evening; with `what`, of one mix or one work alone. */
export async function readEvening(context: Context, what: MixId | WorkId | null = null): Promise<EveningView> {
  const scope = scopeOf(context, "see");
  const day = today(context);
  const { treatments } = nextTreatments(await plantsInCase(scope), context.collection.lookEveryDays, day);
  const near = treatments.filter(
    ({ daysLate, planned }) => daysLate >= -FORWARD_DAYS && (what === null || treatmentOf(planned) === what),
  );
  const lines = await treatmentLines(context, near);
  // What is due is told even where its label is against it; nothing is brought forward against one.
  return { day, lines: lines.filter(({ daysLate, label }) => daysLate >= 0 || label.length === 0) };
}
