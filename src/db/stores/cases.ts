import type { Case, Closing } from "@/core/facts/records";
import type { PestId } from "@/core/pests/pests";
import type { Scope } from "../connection";
import { dayOf, insert, insertAll, rows, update } from "../query";

const columns = `s.id, s.plant_id as "plantId", s.pest, s.opened_at as "openedAt", ${dayOf("s.opened_at")} as "openedOn",
  s.is_open as open`;
const valid = "s.collection_id = :c and s.voided_at is null";

export async function find(scope: Scope, id: string): Promise<Case | null> {
  return (await rows<Case>(scope, `select ${columns} from cases s where ${valid} and s.id = :id`, { id }))[0] ?? null;
}

/** Cases of plants, oldest first, closed ones included. */
export async function ofPlants(scope: Scope, plantIds: readonly string[]): Promise<Case[]> {
  if (plantIds.length === 0) return [];
  const sql = `select ${columns} from cases s where ${valid} and s.plant_id in (:plantIds) order by s.opened_at, s.id`;
  return rows<Case>(scope, sql, { plantIds });
}

/** All open cases of plants in use, oldest first. */
export async function open(scope: Scope): Promise<Case[]> {
  const sql = `select ${columns} from cases s join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    where ${valid} and s.is_open and p.archived_at is null order by s.opened_at, s.id`;
  return rows<Case>(scope, sql);
}

/** The cases closed last, newest first. */
export async function closedLately(scope: Scope, limit: number): Promise<Case[]> {
  const sql = `select ${columns} from cases s join closings g on g.collection_id = s.collection_id and g.case_id = s.id
    and g.voided_at is null where ${valid} and not s.is_open order by g.closed_at desc limit :limit`;
  return rows<Case>(scope, sql, { limit });
}

export async function add(
  scope: Scope,
  found: { id: string; plantId: string; pest: PestId; openedByLookId: string; openedAt: Date },
  recordedAt: Date,
): Promise<void> {
  await insert(scope, "Case", { ...found, isOpen: true, recordedAt });
}

export function setOpen(scope: Scope, id: string, isOpen: boolean): Promise<void> {
  return update(scope, "Case", id, { isOpen });
}

/** A find written down late shows that a case began earlier. */
export function openEarlier(scope: Scope, id: string, openedAt: Date): Promise<void> {
  return update(scope, "Case", id, { openedAt });
}

/** Ids of cases that a look opened and to which no other look that stands has added a find. */
export async function restingOnlyOn(scope: Scope, lookId: string): Promise<string[]> {
  const sql = `select s.id from cases s where ${valid} and s.opened_by_look_id = :lookId and not exists (
      select 1 from finds f join looks k on k.collection_id = f.collection_id and k.id = f.look_id
      where f.collection_id = :c and f.case_id = s.id and f.look_id <> :lookId and k.voided_at is null
    )`;
  return (await rows<{ id: string }>(scope, sql, { lookId })).map((row) => row.id);
}

/** Marks plants as having stood near the find that opened a case. */
export function addExposures(scope: Scope, caseId: string, plantIds: readonly string[], since: Date): Promise<void> {
  return insertAll(
    scope,
    "Exposure",
    plantIds.map((plantId) => ({ caseId, plantId, since })),
  );
}

export interface ExposureRow {
  readonly plantId: string;
  readonly caseId: string;
  readonly pest: PestId;
  readonly sourceCode: string;
  readonly sourcePlantId: string;
  readonly since: Date;
  readonly day: string;
}

/** Where plants stood near a find; finds that were voided no longer count. */
export async function exposures(scope: Scope, plantIds: readonly string[]): Promise<ExposureRow[]> {
  if (plantIds.length === 0) return [];
  const sql = `select e.plant_id as "plantId", e.case_id as "caseId", s.pest, p.code as "sourceCode",
      s.plant_id as "sourcePlantId", e.since, ${dayOf("e.since")} as day
    from exposures e
    join cases s on s.collection_id = e.collection_id and s.id = e.case_id
    join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    where ${valid} and e.plant_id in (:plantIds) order by e.since`;
  return rows<ExposureRow>(scope, sql, { plantIds });
}

/** The plants marked at risk by a case. */
export async function exposedBy(scope: Scope, caseIds: readonly string[]): Promise<string[]> {
  if (caseIds.length === 0) return [];
  const sql = `select distinct plant_id as id from exposures where collection_id = :c and case_id in (:caseIds)`;
  return (await rows<{ id: string }>(scope, sql, { caseIds })).map((row) => row.id);
}

const closingColumns = `g.id, g.case_id as "caseId", g.outcome, g.closed_at as at, ${dayOf("g.closed_at")} as day, g.note,
  g.void_reason as "voidReason"`;

/** Closings of cases, oldest first, voided ones included. */
export async function closings(scope: Scope, caseIds: readonly string[]): Promise<Closing[]> {
  if (caseIds.length === 0) return [];
  const sql = `select ${closingColumns} from closings g where g.collection_id = :c and g.case_id in (:caseIds)
    order by g.closed_at, g.recorded_at`;
  return rows<Closing>(scope, sql, { caseIds });
}

export async function findClosing(scope: Scope, id: string): Promise<Closing | null> {
  const sql = `select ${closingColumns} from closings g where g.collection_id = :c and g.id = :id`;
  return (await rows<Closing>(scope, sql, { id }))[0] ?? null;
}

export async function addClosing(
  scope: Scope,
  closing: Omit<Closing, "day" | "voidReason">,
  recordedAt: Date,
): Promise<void> {
  const { at, ...rest } = closing;
  await insert(scope, "Closing", { ...rest, closedAt: at, recordedAt });
}
