import type { Treatment } from "@/core/facts/records";
import type { Scope } from "../connection";
import { dayOf, insert, rows } from "../query";

const columns = `t.id, t.case_id as "caseId", t.plant_id as "plantId", t.step_id as "stepId", t.mix, t.technique,
  t.volume_ml::float8 as "volumeMl", t.spots, t.treated_at as at, ${dayOf("t.treated_at")} as day, t.note,
  t.void_reason as "voidReason"`;

/** Treatments of cases, oldest first, voided ones included. */
export async function ofCases(scope: Scope, caseIds: readonly string[]): Promise<Treatment[]> {
  if (caseIds.length === 0) return [];
  const sql = `select ${columns} from treatments t where t.collection_id = :c and t.case_id in (:caseIds)
    order by t.treated_at, t.recorded_at`;
  return rows<Treatment>(scope, sql, { caseIds });
}

export async function find(scope: Scope, id: string): Promise<Treatment | null> {
  const sql = `select ${columns} from treatments t where t.collection_id = :c and t.id = :id`;
  return (await rows<Treatment>(scope, sql, { id }))[0] ?? null;
}

export function add(scope: Scope, treatment: Omit<Treatment, "day" | "voidReason">, recordedAt: Date): Promise<void> {
  const { at, ...rest } = treatment;
  return insert(scope, "Treatment", { ...rest, treatedAt: at, recordedAt });
}
