import { createHash } from "node:crypto";
import { judgeCase, type Judgement, type KeepersWays } from "@/core/case/judge";
import { MODEL_VERSION } from "@/core/case/model";
import { caseFile } from "@/core/format/schema";
import type { Settings } from "@/core/facts/deeds";
import type { Plan, PlaceTemperature } from "@/core/facts/records";
import { mixes } from "@/core/mixing/mixes";
import type { Scope } from "@/db/connection";
import * as assessments from "@/db/stores/assessments";
import * as plans from "@/db/stores/plans";
import { fileOfCase, type CaseOnRecord } from "./caseFile";
import { today, type Context } from "./context";

/** A judgement that is kept, and whether it speaks of today's facts. */
export interface KeptJudgement {
  readonly judgement: Judgement;
  readonly current: boolean;
}

export interface Judged {
  readonly kept: ReadonlyMap<string, KeptJudgement>;
  /** Cases whose judgement is out of date or has never been made, for want of budget. */
  readonly pending: ReadonlySet<string>;
}

/** How many judgements may be made while somebody waits; the others show the last one kept until a job has made them. */
export class Budget {
  constructor(private left: number) {}

  take(): boolean {
    if (this.left <= 0) return false;
    this.left--;
    return true;
  }
}

/** A page never waits for ten of them. */
export const whileWaiting = () => new Budget(4);
export const untilDone = () => new Budget(Infinity);

/** How a keeper works, from the settings. */
export function waysOf({ workDays, planPercent, clearPercent }: Settings): KeepersWays {
  return { workDays, planTarget: planPercent / 100, clearTarget: clearPercent / 100 };
}

/**
 * The judgements of open cases: kept ones where their facts, the model and the day are still the same, fresh ones as far as
 * the budget goes. A case that no look supports has none.
 */
export async function judgeCases(
  context: Context,
  scope: Scope,
  cases: readonly CaseOnRecord[],
  temperatures: readonly PlaceTemperature[],
  budget: Budget,
): Promise<Judged> {
  const day = today(context);
  const ids = cases.map(({ found }) => found.id);
  const planned = await plans.ofCases(scope, ids);
  const kept = new Map((await assessments.ofCases<Judgement>(scope, ids)).map((row) => [row.caseId, row]));
  const ways = waysOf(context.collection);
  const judged = new Map<string, KeptJudgement>();
  const pending = new Set<string>();
  for (const onRecord of cases) {
    const caseId = onRecord.found.id;
    const input = fileOfCase(onRecord, temperatures, day);
    if (!input) continue;
    const plan = runningPlan(plans.inForce(planned, caseId));
    const { lastLook, search } = lookedAt(onRecord);
    const factsVersion = digest([input, plan, lastLook, search, ways]);
    const old = kept.get(caseId);
    if (old && old.factsVersion === factsVersion && old.modelVersion === MODEL_VERSION && old.asOf === day) {
      judged.set(caseId, { judgement: old.result, current: true });
      continue;
    }
    if (!budget.take()) {
      pending.add(caseId);
      if (old) judged.set(caseId, { judgement: old.result, current: false });
      continue;
    }
    const file = caseFile.parse(input);
    const judgement = judgeCase(file, onRecord.plant.growthForm, { today: day, lastLook, search, plan }, ways);
    if (!judgement) continue;
    await assessments.put(scope, { caseId, factsVersion, modelVersion: MODEL_VERSION, asOf: day, result: judgement });
    judged.set(caseId, { judgement, current: true });
  }
  return { kept: judged, pending };
}

function runningPlan(plan: Plan | null) {
  if (!plan) return null;
  const remaining = plan.steps.filter((step) => step.kind === "treat" && step.doneOn === null).map((s) => s.dueOn);
  return { approach: { id: plan.id, then: { remedy: mixes[plan.mix].remedy, technique: plan.technique } }, remaining };
}

/** The last look at a plant in a case, and how it was made: the next one is supposed to be made like it. */
function lookedAt({ looks, found }: CaseOnRecord) {
  const last = looks.findLast((look) => look.voidReason === null && look.at >= found.openedAt)!;
  return { lastLook: last.day, search: { tool: last.tool, spots: last.spots } };
}

function digest(value: unknown): string {
  return createHash("sha256").update(JSON.stringify(value)).digest("hex");
}
