import type { Scope } from "../connection";
import { model } from "../models";
import { rows } from "../query";

/** A judgement as it is kept: `result` belongs to whoever computes it. */
export interface AssessmentRow<T> {
  readonly caseId: string;
  /** Digest of the facts it was computed from. */
  readonly factsVersion: string;
  readonly modelVersion: number;
  readonly asOf: string;
  readonly result: T;
}

export async function ofCases<T>(scope: Scope, caseIds: readonly string[]): Promise<AssessmentRow<T>[]> {
  if (caseIds.length === 0) return [];
  const sql = `select case_id as "caseId", facts_version as "factsVersion", model_version as "modelVersion",
      as_of::text as "asOf", result
    from assessments where collection_id = :c and case_id in (:caseIds)`;
  return rows<AssessmentRow<T>>(scope, sql, { caseIds });
}

export async function put(scope: Scope, assessment: AssessmentRow<object>): Promise<void> {
  await model(scope.sequelize, "Assessment").bulkCreate([{ collectionId: scope.collectionId, ...assessment }], {
    updateOnDuplicate: ["factsVersion", "modelVersion", "asOf", "result"],
    transaction: scope.transaction,
  });
}
