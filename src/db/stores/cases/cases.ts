import { z } from "zod";
import type { Case } from "@/core/record/cases/cases";
import { closing, outcomes } from "@/core/record/facts/kinds/closing";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Day } from "@/core/shared/days";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { first, idList, insert, rows, run } from "../../query";

/** Cases are derived from facts; these rows are a cache, so that lists need not derive them. */
const row = z.object({
  id: z.string(),
  plantId: z.string(),
  pest: z.enum(pestIds),
  openedAt: z.date(),
  closedAt: z.date().nullable(),
  outcome: z.enum(outcomes).nullable(),
});

export type CaseRow = z.output<typeof row> & { readonly openedOn: Day; readonly open: boolean };

const columns = `s.id, s.plant_id as "plantId", s.pest, s.opened_at as "openedAt", s.closed_at as "closedAt", s.outcome`;
const parsed = (scope: Scope, one: z.output<typeof row>): CaseRow => ({
  ...one,
  openedOn: dayIn(one.openedAt, scope.timeZone),
  open: one.closedAt === null,
});

/** The plant of the case that bears an id, or under whose facts it was written; null for none. */
export async function plantOf(scope: Scope, caseId: string): Promise<string | null> {
  const sql = `select s.plant_id as id from cases s where s.collection_id = :c and s.aliases @> array[cast(:caseId as uuid)]
    order by (s.id = :caseId) desc limit 1`;
  return (await first(scope, z.object({ id: z.string() }), sql, { caseId }))?.id ?? null;
}

/** All open cases of plants in use, oldest first. */
export async function open(scope: Scope): Promise<CaseRow[]> {
  const sql = `select ${columns} from cases s join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    where s.collection_id = :c and s.closed_at is null and p.archived_at is null order by s.opened_at, s.id`;
  return (await rows(scope, row, sql)).map((one) => parsed(scope, one));
}

const alikeRow = row
  .pick({ id: true, openedAt: true })
  .extend({ code: z.string(), name: z.string(), place: z.string() });

/** Other open cases of a pest, with the plant and where it stands: those beside this one first, then by code. */
export function alike(
  scope: Scope,
  of: { readonly id: string; readonly pest: string; readonly placeId: string },
  limit: number,
): Promise<z.output<typeof alikeRow>[]> {
  const sql = `select s.id, s.opened_at as "openedAt", p.code, p.name, l.name as place
    from cases s join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    join plant_states t on t.collection_id = s.collection_id and t.plant_id = s.plant_id
    join places l on l.collection_id = s.collection_id and l.id = t.place_id
    where s.collection_id = :c and s.closed_at is null and p.archived_at is null and s.pest = :pest and s.id <> :id
    order by (t.place_id = :placeId) desc, p.code limit :limit`;
  return rows(scope, alikeRow, sql, { ...of, limit });
}

/** The cases closed last, newest first. */
export async function closedLately(scope: Scope, limit: number): Promise<CaseRow[]> {
  const sql = `select ${columns} from cases s where s.collection_id = :c and s.closed_at is not null
    order by s.closed_at desc, s.id limit :limit`;
  return (await rows(scope, row, sql, { limit })).map((one) => parsed(scope, one));
}

/** Which of these plants have, or have had, a case. */
export async function everIn(scope: Scope, plantIds: readonly string[]): Promise<Set<string>> {
  const sql = `select distinct plant_id as id from cases where collection_id = :c and plant_id = any (cast(:ids as uuid[]))`;
  const found = await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(plantIds) });
  return new Set(found.map(({ id }) => id));
}

/** Plants that have, or have had, a case and have stood at one of the places where these have; these among them. */
export async function besides(scope: Scope, plantIds: readonly string[]): Promise<string[]> {
  const sql = `select distinct s.plant_id as id from cases s
    join placements t on t.collection_id = s.collection_id and t.plant_id = s.plant_id and t.voided_at is null
    where s.collection_id = :c and t.place_id in (
      select m.place_id from placements m
      where m.collection_id = :c and m.voided_at is null and m.plant_id = any (cast(:ids as uuid[])))`;
  return (await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(plantIds) })).map(({ id }) => id);
}

const source = z.object({
  plantId: z.string(),
  code: z.string(),
  caseId: z.string(),
  pest: z.enum(pestIds),
  openedAt: z.date(),
  closedAt: z.date().nullable(),
  finds: z.array(z.coerce.date()),
  /** When the plant left the collection; null while it is there. */
  archivedAt: z.date().nullable(),
});

/** The cases of plants as what stands beside them meets them. */
export function asSources(scope: Scope, plantIds: readonly string[]): Promise<z.output<typeof source>[]> {
  const sql = `select s.plant_id as "plantId", p.code, s.id as "caseId", s.pest, s.opened_at as "openedAt",
      s.closed_at as "closedAt", s.finds, p.archived_at as "archivedAt"
    from cases s join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    where s.collection_id = :c and s.plant_id = any (cast(:ids as uuid[])) order by s.opened_at, s.id`;
  return rows(scope, source, sql, { ids: idList(plantIds) });
}

/** Replaces the cached cases of plants by those derived anew, and forgets what was judged of cases that are none any more. */
export async function replace(scope: Scope, plantIds: readonly string[], cases: readonly Case[]): Promise<void> {
  const ids = { ids: idList(plantIds) };
  await run(scope, "delete from cases where collection_id = :c and plant_id = any (cast(:ids as uuid[]))", ids);
  await insert(
    scope,
    "cases",
    cases.map(({ id, aliases, plantId, pest, openedAt, finds, closing }) => ({
      id,
      aliases,
      plantId,
      pest,
      openedAt,
      finds,
      closedAt: closing?.at ?? null,
      outcome: closing?.outcome ?? null,
    })),
  );
  await run(
    scope,
    `delete from assessments where collection_id = :c and plant_id = any (cast(:ids as uuid[]))
       and not case_id = any (cast(:kept as uuid[]))`,
    { ...ids, kept: idList(cases.filter((one) => one.open).map((one) => one.id)) },
  );
}

/** So many closings are gone through for what they have told of the keepers' hands. */
const CLOSED_LATELY = 200;

const reach = z.object({
  at: z.date(),
  recordedBy: z.string(),
  recordedAccount: z.string().nullable(),
  reach: closing.own.shape.reach.unwrap(),
  voidReason: z.string().nullable(),
});

/** What the cases closed lately have told of the keepers' hands. */
export function shownReach(scope: Scope): Promise<z.output<typeof reach>[]> {
  const sql = `select happened_at as at, recorded_by as "recordedBy", recorded_account as "recordedAccount", reach, void_reason as "voidReason" from closings
    where collection_id = :c and reach is not null and voided_at is null order by happened_at desc, id limit ${CLOSED_LATELY}`;
  return rows(scope, reach, sql);
}
