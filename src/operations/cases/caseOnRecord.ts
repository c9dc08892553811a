import { caseNamed, type Case } from "@/core/record/cases/cases";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases/cases";
import { recordsOf, type KeptRecord, type Records } from "../plants/plantRecords";

export interface CaseOnRecord {
  readonly found: Case;
  readonly record: KeptRecord;
  readonly around: Omit<Records, "records">;
}

/** A case by the id it bears, or under which something of it was written down, with its plant's record; null for none. */
export async function caseOnRecord(scope: Scope, caseId: string): Promise<CaseOnRecord | null> {
  const plantId = await cases.plantOf(scope, caseId);
  if (!plantId) return null;
  const { records, ...around } = await recordsOf(scope, [plantId]);
  const record = records[0];
  const found = record && caseNamed(record.cases, caseId);
  return found ? { found, record, around } : null;
}
