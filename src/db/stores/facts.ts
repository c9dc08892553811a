import type { Scope } from "../connection";
import type { ModelName } from "../models";
import { rows, update } from "../query";

/** Facts are never deleted: voiding says that one is not true, and why. Tables that can be voided. */
export type FactTable = Extract<
  ModelName,
  "Look" | "Treatment" | "Placement" | "Plan" | "Closing" | "Case" | "Skip" | "Photo"
>;

export function voidFact(
  scope: Scope,
  table: FactTable,
  id: string,
  voidedAt: Date,
  voidReason: string,
): Promise<void> {
  return update(scope, table, id, { voidedAt, voidReason });
}

/** Whether some fact of a table already has this id: it was sent before. */
export async function isRecorded(
  scope: Scope,
  table:
    "looks" | "treatments" | "placements" | "plans" | "closings" | "plants" | "places" | "walks" | "skips" | "photos",
  id: string,
) {
  const found = await rows(scope, `select 1 from ${table} where collection_id = :c and id = :id`, { id });
  return found.length > 0;
}

/** Makes transactions that name the same key run one after the other, so that each sees what the one before wrote. */
export async function takeTurn(scope: Scope, key: string): Promise<void> {
  await rows(scope, "select pg_advisory_xact_lock(hashtextextended(:key, 0))", { key });
}
