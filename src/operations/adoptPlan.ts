import { inUse } from "@/core/household/bottles";
import { v7 as uuidv7 } from "uuid";
import { workOf } from "@/core/acts/works";
import { coursesOn } from "@/core/case/course";
import { promiseOf } from "@/core/case/ask";
import { doseOf } from "@/core/case/plans";
import { addDays, type Day } from "@/core/climate/days";
import type { AdoptPlan } from "@/core/facts/kinds/programme";
import { checkCaseFile } from "@/core/format/read";
import { isWork } from "@/core/planning/doses";
import { labelObjections } from "@/core/planning/label";
import { actObjections } from "@/core/suitability/actObjections";
import { objections } from "@/core/suitability/suitability";
import { scopeOf, today, type Context } from "./context";
import * as facts from "@/db/stores/facts";
import { perform, refuse, type Outcome } from "./outcome";
import { checkHorizon, lockOpenCase, pastMoment } from "./parts/checks";
import { fileOfCase, waysOf } from "./parts/judgements";
import { caseOnRecord } from "./parts/caseOnRecord";
import { bearerOn, onPlant } from "./parts/onPlant";
import type { KeptRecord } from "./parts/plantRecords";
import type { Case } from "@/core/case/cases";

/** Looks that a plan asks for after its last treatment: a week and two weeks later (common practice). */
const LOOKS_AFTER_DAYS = [7, 14] as const;

/**
 * Adopts a plan for a case: its treatments, each with its own dose, and a look a week and two weeks after the last. The plan
 * adopted last is the one in force; those before it stay on record. What the plant does not bear, and dates that go against a
 * remedy's label with what has been put on already, are refused. What the plan promises is reckoned here, before anything is
 * locked, and not taken from whoever asks.
 */
export async function adoptPlan(context: Context, deed: AdoptPlan): Promise<Outcome<{ id: string }>> {
  const pOver = await promise(context, deed);
  return perform(context, "record", deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "programme", deed.id)) return { id: deed.id };
    const { found, record } = await lockOpenCase(scope, deed.caseId);
    if (deed.dates[0]! < found.openedOn) refuse("dates", "before_case");
    for (const date of deed.dates) checkHorizon(context, "dates", date);
    const treatments = treatmentsOf(deed);
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

    const id = () => uuidv7({ msecs: context.now.getTime() });
    const last = deed.dates.at(-1)!;
    const steps = [
      ...treatments.map(({ day, dose }) => ({ id: id(), kind: "treat" as const, dueOn: day, dose })),
      ...LOOKS_AFTER_DAYS.map((days) => ({ id: id(), kind: "look" as const, dueOn: addDays(last, days), dose: null })),
    ];
    const { plantId, pest } = found;
    const programme = { id: deed.id, programme: "casePlan" as const, plantId, caseId: found.id, pest, pOver, steps };
    await facts.add(scope, "programme", [{ ...programme, basis: deed.basis, at: pastMoment(context, context.now) }]);
    scope.touch([plantId]);
    return { id: deed.id };
  });
}

function treatmentsOf({ dates, mix, technique, knockDown, doses = [] }: AdoptPlan) {
  return dates.map((day, i) => ({ day, dose: doses[i] ?? (i === 0 && knockDown ? knockDown : { mix, technique }) }));
}

/** The probability that the plan ends the case; null for a case that cannot be reckoned, and for what is refused anyway. */
async function promise(context: Context, deed: AdoptPlan): Promise<number | null> {
  const open = await caseOnRecord(scopeOf(context, "record"), deed.caseId);
  return open && promiseFor(context, deed, open.found, open.record);
}

function promiseFor(context: Context, deed: AdoptPlan, found: Case, record: KeptRecord): number | null {
  const first = deed.dates[0]!;
  const day = today(context);
  const asOf: Day = first < day ? first : day;
  if (first < found.openedOn || deed.dates.at(-1)! > addDays(day, LONGEST_DAYS)) return null;
  const file = fileOfCase(record, found, asOf, context.collection.timeZone);
  const read = file && checkCaseFile(file);
  if (!read?.ok) return null;
  const { planTarget: target, workDays } = waysOf(context.collection);
  const question = {
    first: asOf,
    workDays,
    target,
    courses: coursesOn(record.acts, day, inUse(context.collection.bottles)),
    on: onPlant(context, record),
  };
  return promiseOf(
    read.file,
    question,
    treatmentsOf(deed).map((step) => ({ day: step.day, dose: doseOf(step.dose) })),
  );
}

/** A plan that ends later than this is not scored, days. */
const LONGEST_DAYS = 400;
