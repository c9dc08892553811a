import { addDays, type Day } from "../../shared/days";
import { standing, type ActDone, type Look, type Programme } from "../../record/facts/facts";
import type { Basis, PlannedDose } from "../../record/facts/kinds/programme";
import { mixes } from "../../knowledge/mixes/mixes";
import { isOneByOne } from "../../knowledge/remedies/remedies";
import { carriesOut, isWork, type Dose } from "../planning/doses";
import { caseFiledUnder, type Case } from "../../record/cases/cases";
import { inspectionsOn } from "../../record/cases/inspections";
import type { RunningPlan } from "../clearance/judge";

/** A step of a plan, and the day on which it was carried out; null while it was not. */
export interface PlanStep {
  readonly id: string;
  readonly kind: "treat" | "look";
  readonly dueOn: Day;
  /** What it is done with; null for a look. */
  readonly dose: PlannedDose | null;
  readonly doneOn: Day | null;
  /** Whether what was done was asked for by another plan: another find's, or an earlier one. */
  readonly byAnother?: true;
}

/** The plan of a case with what has been done of it. */
export interface Plan {
  readonly id: string;
  readonly basis: Basis;
  /** What it promised when it was adopted: the chance of clean looks after it, and how sure they make it; null where it was not scored. */
  readonly promised: { readonly pClean: number; readonly sure: number } | null;
  readonly adoptedAt: Date;
  readonly adoptedOn: Day;
  /** By day; of one day treatments first. */
  readonly steps: readonly PlanStep[];
}

/**
 * The plan of a case that is in force: the one adopted last of those that stand; null without one. A treatment step is done by
 * the act that names it, or by the same done for another find on the plant, or for an earlier plan, from the day before it is due; a look step by any look at the plant from the day before it is due, but not before the plan, until
 * the next look step.
 */
export function planInForce(
  found: Case,
  cases: readonly Case[],
  { programmes, acts, looks }: { programmes: readonly Programme[]; acts: readonly ActDone[]; looks: readonly Look[] },
): Plan | null {
  const own = standing(programmes).filter(
    ({ caseId, at }) => caseId !== null && caseFiledUnder(cases, caseId, at)?.id === found.id,
  );
  const latest = own.at(-1);
  return latest ? planOf(latest, { acts, looks }) : null;
}

/** A programme as a plan, with what has been done of it. */
export function planOf(
  programme: Programme,
  { acts, looks }: { readonly acts: readonly ActDone[]; readonly looks: readonly Look[] },
): Plan {
  const { id, basis, pClean, sure, at, day } = programme;
  const promised = pClean === null || sure === null ? null : { pClean, sure };
  const steps = stepsOf(programme, standing(acts), standing(inspectionsOn({ looks, acts })));
  return { id, basis, promised, adoptedAt: at, adoptedOn: day, steps };
}

function stepsOf(programme: Programme, acts: readonly ActDone[], looks: readonly Look[]): PlanStep[] {
  const lookDays = looks.filter((look) => look.at > programme.at).map((look) => look.day);
  const dueLooks = programme.steps.filter((step) => step.kind === "look").map((step) => step.dueOn as Day);
  const doneLooks = looksDone(dueLooks, lookDays);
  const steps = programme.steps
    .map((step) => ({ ...step, dueOn: step.dueOn as Day }))
    .toSorted((a, b) => (a.dueOn < b.dueOn ? -1 : a.dueOn > b.dueOn ? 1 : a.kind > b.kind ? -1 : 1));
  const ids = new Set(steps.map(({ id }) => id));
  let others = acts.filter((act) => act.stepId !== null && !ids.has(act.stepId) && act.day >= programme.day);
  return steps.map(({ id, kind, dueOn, dose }): PlanStep => {
    if (kind === "look" || dose === null)
      return { id, kind, dueOn, dose, doneOn: doneLooks[dueLooks.indexOf(dueOn)] ?? null };
    const named = acts.find((act) => act.stepId === id)?.day;
    const shared = named ? null : others.find((act) => act.day >= addDays(dueOn, -1) && isAlike(act, dose));
    others = others.filter((act) => act !== shared);
    return { id, kind, dueOn, dose, doneOn: named ?? shared?.day ?? null, ...(shared && { byAnother: true }) };
  });
}

/**
 * Whether what was done for another find on a plant is what a step of this one's plan asks for: put on the whole plant it meets both; what is
 * dabbed here and there meets what it was dabbed on.
 */
function isAlike({ act }: ActDone, dose: PlannedDose): boolean {
  if (!carriesOut(act, doseOf(dose))) return false;
  if (isWork(dose) || act.kind !== "contact") return isWork(dose);
  return act.technique === dose.technique || (!isOneByOne(act.technique) && !isOneByOne(dose.technique));
}

/**
 * Which looks that were asked for have been made, and on which day: each by the first look from the day before it is due until
 * the day before the next one is. Both lists ascending. @example looksDone([day7, day14], [day8]) // [day8, null]
 */
export function looksDone(due: readonly Day[], lookDays: readonly Day[]): (Day | null)[] {
  return due.map((on, i) => {
    const from = addDays(on, -1);
    const next = due[i + 1];
    return lookDays.find((day) => day >= from && (next === undefined || day < addDays(next, -1))) ?? null;
  });
}

/** The first treatment of a plan that has not been carried out; null when all have. */
export function nextTreatment(plan: Plan): PlanStep | null {
  return plan.steps.find((step) => step.kind === "treat" && step.doneOn === null) ?? null;
}

/** A plan as the judging of its case takes it; null without one. */
export function runningPlan(plan: Plan | null): RunningPlan | null {
  const last = plan?.steps.findLast((step) => step.dose !== null)?.dose;
  if (!plan || !last) return null;
  const remaining = treatmentsToCome(plan).map(({ dueOn, dose }) => ({ day: dueOn, dose: doseOf(dose) }));
  const then = remaining.at(-1)?.dose ?? doseOf(last);
  const first = remaining[0]?.dose;
  const knockDown = first && !isSame(first, then);
  return { remaining, goOn: { id: plan.id, ...(knockDown && { first }), then } };
}

function isSame(a: Dose, b: Dose): boolean {
  if (isWork(a) || isWork(b)) return isWork(a) && isWork(b) && a.work === b.work;
  return a.mix === b.mix && a.technique === b.technique;
}

/** A planned dose as the model takes it. */
export function doseOf(planned: PlannedDose): Dose {
  if (isWork(planned)) return { work: planned.work };
  return { remedy: mixes[planned.mix].remedy, technique: planned.technique, mix: planned.mix };
}

/** The treatments of a plan that have not been carried out, by day. */
export function treatmentsToCome(plan: Plan): (PlanStep & { readonly dose: PlannedDose })[] {
  return plan.steps.flatMap((step) =>
    step.kind === "treat" && step.doneOn === null && step.dose ? [{ ...step, dose: step.dose }] : [],
  );
}
