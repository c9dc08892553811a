import { inUse } from "@/core/knowledge/household/bottles";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import { promiseOf } from "@/core/advice/plans/ask";
import { doseOf } from "@/core/advice/plans/plans";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { addDays, type Day } from "@/core/shared/days";
import type { AdoptPlan, PlannedDose } from "@/core/record/facts/kinds/programme";
import { mixes, partsOf } from "@/core/knowledge/mixes/mixes";
import { isWork } from "@/core/advice/planning/doses";
import { mixFor } from "@/core/advice/tolerance/mixFor";
import { checkCaseFile } from "@/core/record/format/read";
import { scopeOf, today, type Context } from "../../shared/context";
import * as facts from "@/db/stores/record/facts";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { looksAfterUnscored } from "@/core/advice/planning/looks";
import { lockOpenCase, pastMoment } from "../../shared/checks";
import { fileOfCase, waysOf } from "../judgements";
import { caseOnRecord } from "../caseOnRecord";
import { bearerOn, onPlant } from "../../plants/onPlant";
import { checkChosen, stepsFor, type Chosen } from "../planChecks";
import type { KeptRecord } from "../../plants/plantRecords";
import type { Case } from "@/core/record/cases/cases";

/**
 * Adopts a plan for a case: its treatments, each with its own dose, and after the last as many looks as make it sure. The plan
 * adopted last is the one in force; those before it stay on record. What the plant does not bear, and dates that go against a
 * remedy's label with what has been put on already, are refused. What the plan promises is reckoned here, before anything is
 * locked, and not taken from whoever asks.
 */
export async function adoptPlan(context: Context, command: AdoptPlan): Promise<Outcome<{ id: string }>> {
  const promised = await promise(context, command);
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("programme", command.id)) return { id: command.id };
    const { found, record } = await lockOpenCase(scope, command.caseId);
    if (command.dates[0]! < found.openedOn) refuse("dates", "before_case");
    const treatments = treatmentsOf(context, command, record);
    checkChosen(context, record, treatments);
    const last = treatments.at(-1)!.day;
    const steps = stepsFor(
      context,
      treatments,
      promised?.looks ?? looksAfterUnscored.map((days) => addDays(last, days)),
    );
    const { plantId, pest } = found;
    const { pOver = null, pClean = null, sure = null } = promised ?? {};
    const of = { programme: "casePlan" as const, plantId, caseId: found.id, pest, basis: command.basis };
    const at = pastMoment(context, context.now);
    await facts.add(scope, "programme", [{ id: command.id, ...of, pOver, pClean, sure, steps, at }]);
    scope.invalidate([plantId]);
    return { id: command.id };
  });
}

function treatmentsOf(
  context: Context,
  { dates, mix, technique, knockDown, doses = [], asBorne }: AdoptPlan,
  record: KeptRecord,
): Chosen[] {
  const bearer = bearerOn(context, record, today(context));
  const borne = (dose: PlannedDose): PlannedDose =>
    // What is in a can was put together by the keeper: there is no other strength of it.
    asBorne && !isWork(dose) && partsOf(dose.mix).length === 1
      ? { ...dose, mix: mixFor(mixes[dose.mix].remedy, bearer) }
      : dose;
  return dates.map((day, i) => ({
    day,
    dose: borne(doses[i] ?? (i === 0 && knockDown ? knockDown : { mix, technique })),
  }));
}

/** The plan with its looks and chances; null for a case that cannot be reckoned, and for what is refused anyway. */
async function promise(context: Context, command: AdoptPlan): Promise<DatedSchedule | null> {
  const open = await caseOnRecord(scopeOf(context, "record"), command.caseId);
  return open && promiseFor(context, command, open.found, open.record);
}

function promiseFor(context: Context, command: AdoptPlan, found: Case, record: KeptRecord): DatedSchedule | null {
  const first = command.dates[0]!;
  const day = today(context);
  const asOf: Day = first < day ? first : day;
  if (first < found.openedOn || command.dates.at(-1)! > addDays(day, LONGEST_DAYS)) return null;
  const file = fileOfCase(record, found, asOf, context.collection);
  const read = file && checkCaseFile(file);
  if (!read?.ok) return null;
  const { clearTarget: target, workDays } = waysOf(context.collection);
  const question = {
    first: asOf,
    workDays,
    target,
    courses: coursesOn(record.acts, day, inUse(context.collection.bottles)),
    on: onPlant(context, record, found.openedAt),
  };
  return promiseOf(
    read.file,
    question,
    treatmentsOf(context, command, record).map((step) => ({ day: step.day, dose: doseOf(step.dose) })),
  );
}

/** A plan that ends later than this is not scored, days. */
const LONGEST_DAYS = 400;
