import { z } from "zod";
import type { CaseNumbers } from "@/core/advice/clearance/numbers";
import type { Scope } from "../../connection";
import type { Blamed } from "@/core/advice/spread/carries";
import { first, idList, rows, run } from "../../query";

/** How many animals the cases of a collection have, day by day: reckoned, kept as a cache. */

const numbers = z.custom<CaseNumbers>();
const row = z.object({ caseId: z.string(), numbers: numbers.nullable() });

/** What is kept of every case. */
export async function all(scope: Scope): Promise<Map<string, CaseNumbers | null>> {
  const sql = `select case_id as "caseId", numbers from case_numbers where collection_id = :c`;
  return new Map((await rows(scope, row, sql)).map((one) => [one.caseId, one.numbers]));
}

const stale = z.object({ caseId: z.string(), plantId: z.string() });

/** Cases whose numbers are not of their plant's facts, of this model or, while they are open, of this day. */
export function toReckon(
  scope: Scope,
  now: { readonly modelVersion: number; readonly asOf: string; readonly since: Date },
): Promise<z.output<typeof stale>[]> {
  const sql = `select s.id as "caseId", s.plant_id as "plantId"
    from cases s
    join plant_states t on t.collection_id = s.collection_id and t.plant_id = s.plant_id
    left join case_numbers n on n.collection_id = s.collection_id and n.case_id = s.id
    where s.collection_id = :c and (s.closed_at is null or s.closed_at >= :since) and (
      n.case_id is null or n.facts_version <> t.facts_version or n.model_version <> :modelVersion
      or (s.closed_at is null and n.as_of <> :asOf))
    order by s.opened_at desc, s.id`;
  return rows(scope, stale, sql, now);
}

/** Keeps the numbers of a case, unless its plant's facts have changed since they were begun. By another model its origin is traced anew. */
export function keep(
  scope: Scope,
  kept: {
    readonly caseId: string;
    readonly plantId: string;
    readonly factsVersion: number;
    readonly modelVersion: number;
    readonly asOf: string;
    readonly numbers: CaseNumbers | null;
  },
): Promise<void> {
  return run(
    scope,
    `insert into case_numbers (collection_id, case_id, plant_id, facts_version, model_version, as_of, numbers)
     select :c, :caseId, :plantId, :factsVersion, :modelVersion, :asOf, cast(:numbers as jsonb)
     from plant_states s where s.collection_id = :c and s.plant_id = :plantId and s.facts_version = :factsVersion
     on conflict (collection_id, case_id) do update set plant_id = excluded.plant_id,
       facts_version = excluded.facts_version, model_version = excluded.model_version, as_of = excluded.as_of,
       numbers = excluded.numbers,
       origin_turn = case when case_numbers.model_version = excluded.model_version then case_numbers.origin_turn end`,
    { ...kept, numbers: kept.numbers && JSON.stringify(kept.numbers) },
  );
}

/** Open cases whose origin was reckoned in another turn of the collection than this. */
export function toTrace(scope: Scope): Promise<(z.output<typeof stale> & { turn: number })[]> {
  const sql = `select s.id as "caseId", s.plant_id as "plantId", coalesce(t.turn, 0)::float8 as turn
    from cases s
    join plants p on p.collection_id = s.collection_id and p.id = s.plant_id and p.archived_at is null
    join case_numbers n on n.collection_id = s.collection_id and n.case_id = s.id
    left join carriage_turns t on t.collection_id = s.collection_id
    where s.collection_id = :c and s.closed_at is null and n.origin_turn is distinct from coalesce(t.turn, 0)
    order by s.opened_at desc, s.id`;
  return rows(scope, stale.extend({ turn: z.number() }), sql);
}

/** Keeps where a case probably came from. */
export function keepOrigin(scope: Scope, caseId: string, turn: number, origin: readonly Blamed[]): Promise<void> {
  return run(
    scope,
    "update case_numbers set origin = cast(:origin as jsonb), origin_turn = :turn where collection_id = :c and case_id = :caseId",
    { caseId, turn, origin: JSON.stringify(origin) },
  );
}

/** Where a case probably came from, the likeliest first; null while that has not been reckoned. */
export async function keptOrigin(scope: Scope, caseId: string): Promise<readonly Blamed[] | null> {
  const sql = "select origin from case_numbers where collection_id = :c and case_id = :caseId";
  const shape = z.object({ origin: z.custom<readonly Blamed[]>().nullable() });
  return (await first(scope, shape, sql, { caseId }))?.origin ?? null;
}

/** The same of several, by case; those that have not been reckoned are left out. */
export async function originsOf(scope: Scope, caseIds: readonly string[]): Promise<Map<string, readonly Blamed[]>> {
  if (caseIds.length === 0) return new Map();
  const sql = `select case_id as "caseId", origin from case_numbers
    where collection_id = :c and origin is not null and case_id = any (cast(:ids as uuid[]))`;
  const shape = z.object({ caseId: z.string(), origin: z.custom<readonly Blamed[]>() });
  const found = await rows(scope, shape, sql, { ids: idList(caseIds) });
  return new Map(found.map(({ caseId, origin }) => [caseId, origin]));
}

/** Forgets cases that are none any more. */
export function forget(scope: Scope): Promise<void> {
  return run(
    scope,
    `delete from case_numbers n where n.collection_id = :c and not exists (
       select 1 from cases s where s.collection_id = n.collection_id and s.id = n.case_id)`,
  );
}
