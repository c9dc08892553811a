import { promiseOf } from "@/core/advice/plans/ask";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import { doseOf, planInForce, treatmentsToCome } from "@/core/advice/plans/plans";
import { addDays } from "@/core/shared/days";
import { checkCaseFile } from "@/core/record/format/read";
import { inUse } from "@/core/knowledge/household/bottles";
import { scopeOf, today, type Context } from "../../shared/context";
import { caseOnRecord } from "../caseOnRecord";
import { fileOfCase, waysOf } from "../judgements";
import { onPlant } from "../../plants/onPlant";

/** How likely the looks after the plan of a case are clean when its next treatment is done today, and when it is done tomorrow; 0–1. */
export interface Delay {
  readonly today: number;
  readonly tomorrow: number;
}

/**
 * What a day's delay of the next treatment costs, the others on their days; null without such a case, without a plan that still has a
 * treatment, and for a case that cannot be reckoned.
 */
export async function readDelay(context: Context, caseId: string): Promise<Delay | null> {
  const known = await caseOnRecord(scopeOf(context, "read"), caseId);
  if (!known?.found.open) return null;
  const { found, record } = known;
  const plan = planInForce(found, record.cases, record);
  const day = today(context);
  const [next, ...others] = plan ? treatmentsToCome(plan) : [];
  const file = fileOfCase(record, found, day, context.collection);
  const read = file && checkCaseFile(file);
  if (!next || !read?.ok) return null;
  const { clearTarget: target, workDays } = waysOf(context.collection);
  const courses = coursesOn(record.acts, day, inUse(context.collection.bottles));
  const question = { first: day, workDays, target, courses, on: onPlant(context, record, found.openedAt) };
  // What is late beside it is done on the day after.
  const rest = (from: typeof day) =>
    others.map(({ dueOn, dose }) => ({ day: dueOn > from ? dueOn : addDays(from, 1), dose: doseOf(dose) }));
  const onDay = (when: typeof day) => {
    const steps = [{ day: when, dose: doseOf(next.dose) }, ...rest(when)];
    const byDay = steps.toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
    return promiseOf(read.file, question, byDay).pClean;
  };
  return { today: onDay(day), tomorrow: onDay(addDays(day, 1)) };
}
