import { v7 as uuidv7 } from "uuid";
import { workOf } from "@/core/acts/works";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import { doseOf } from "@/core/advice/plans/plans";
import type { Day } from "@/core/shared/days";
import { inUse } from "@/core/knowledge/household/bottles";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import { isWork } from "@/core/advice/planning/doses";
import { labelObjections } from "@/core/advice/labels/label";
import { actObjections } from "@/core/advice/tolerance/actObjections";
import { objections } from "@/core/advice/tolerance/suitability";
import { today, type Context } from "../shared/context";
import { refuse } from "../shared/outcome";
import { checkHorizon } from "../shared/checks";
import { bearerOn } from "../plants/onPlant";
import type { KeptRecord } from "../plants/plantRecords";

/** A treatment that is chosen for a day. */
export interface Chosen {
  readonly day: Day;
  readonly dose: PlannedDose;
}

/** Refuses days too far off, what the plant does not bear, and what goes against a label with what has been put on already. */
export function checkChosen(context: Context, record: KeptRecord, treatments: readonly Chosen[]): void {
  for (const { day } of treatments) checkHorizon(context, "dates", day);
  const bearer = bearerOn(context, record, today(context));
  for (const { dose } of treatments) {
    const against = isWork(dose)
      ? actObjections(workOf(dose.work).act(bearer), bearer)
      : objections(bearer, dose.mix, dose.technique);
    if (against.some((o) => o.level === "refuse")) refuse("mix", "advised_against", { objections: against });
  }
  const label = labelObjections(
    treatments.map(({ day, dose }) => ({ day, dose: doseOf(dose) })),
    coursesOn(record.acts, today(context), inUse(context.collection.bottles)),
  );
  if (label.length > 0) refuse("dates", "against_label", { label });
}

/** The steps of a programme: its treatments and its looks. */
export function stepsFor(context: Context, treatments: readonly Chosen[], looks: readonly Day[]) {
  const id = () => uuidv7({ msecs: context.now.getTime() });
  return [
    ...treatments.map(({ day, dose }) => ({ id: id(), kind: "treat" as const, dueOn: day, dose })),
    ...looks.map((dueOn) => ({ id: id(), kind: "look" as const, dueOn, dose: null })),
  ];
}
