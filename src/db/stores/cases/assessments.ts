import { z } from "zod";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Scope } from "../../connection";
import { idList, rows, run } from "../../query";

/** A judgement as it is kept: `result` belongs to whoever computes it. */
const assessment = z.object({
  caseId: z.string(),
  plantId: z.string(),
  /** The version of the plant's facts it was computed from. */
  factsVersion: z.number(),
  /** How the keeper works, as far as it bears on it. */
  ways: z.string(),
  modelVersion: z.number(),
  asOf: z.string(),
  result: z.json(),
});
export type AssessmentRow = z.output<typeof assessment>;

export async function ofCases(scope: Scope, caseIds: readonly string[]): Promise<AssessmentRow[]> {
  if (caseIds.length === 0) return [];
  const sql = `select case_id as "caseId", plant_id as "plantId", facts_version::float8 as "factsVersion", ways,
      model_version as "modelVersion", as_of::text as "asOf", result
    from assessments where collection_id = :c and case_id = any (cast(:caseIds as uuid[]))`;
  return rows(scope, assessment, sql, { caseIds: idList(caseIds) });
}

/** Keeps a judgement, unless the plant's facts have changed since it was begun. */
export async function keep(scope: Scope, { result, ...kept }: AssessmentRow): Promise<void> {
  await run(
    scope,
    `insert into assessments (collection_id, case_id, plant_id, facts_version, ways, model_version, as_of, result)
     select :c, :caseId, :plantId, :factsVersion, :ways, :modelVersion, :asOf, cast(:result as jsonb)
     from plant_states s where s.collection_id = :c and s.plant_id = :plantId and s.facts_version = :factsVersion
     on conflict (collection_id, case_id) do update set plant_id = excluded.plant_id,
       facts_version = excluded.facts_version, ways = excluded.ways, model_version = excluded.model_version,
       as_of = excluded.as_of, result = excluded.result`,
    { ...kept, result: JSON.stringify(result) },
  );
}

const open = z.object({ caseId: z.string(), plantId: z.string() });

/** Open cases whose judgement is not of these ways, this model, this day and the facts as they are; oldest judgement first. */
export function toJudge(
  scope: Scope,
  now: { ways: string; modelVersion: number; asOf: string },
): Promise<z.output<typeof open>[]> {
  const sql = `select s.id as "caseId", s.plant_id as "plantId"
    from cases s
    join plants p on p.collection_id = s.collection_id and p.id = s.plant_id and p.archived_at is null
    join plant_states t on t.collection_id = s.collection_id and t.plant_id = s.plant_id
    left join assessments a on a.collection_id = s.collection_id and a.case_id = s.id
    where s.collection_id = :c and s.closed_at is null and (
      a.case_id is null or a.facts_version <> t.facts_version or a.ways <> :ways
      or a.model_version <> :modelVersion or a.as_of <> :asOf)
    order by a.as_of nulls first, s.id`;
  return rows(scope, open, sql, now);
}

/** Open cases of plants in use whose judgement, of these ways, this model, this day and the facts as they are, is at least so sure that it is over. */
export function sureOf(
  scope: Scope,
  now: { ways: string; modelVersion: number; asOf: string },
  least: number,
): Promise<z.output<typeof open>[]> {
  const sql = `select s.id as "caseId", s.plant_id as "plantId"
    from assessments a
    join cases s on s.collection_id = a.collection_id and s.id = a.case_id and s.closed_at is null
    join plants p on p.collection_id = s.collection_id and p.id = s.plant_id and p.archived_at is null
    join plant_states t on t.collection_id = s.collection_id and t.plant_id = s.plant_id
    where a.collection_id = :c and a.facts_version = t.facts_version and a.ways = :ways
      and a.model_version = :modelVersion and a.as_of = :asOf
      and (a.result #>> '{judgement,assessment,pClear}')::float8 >= :least
    order by p.code`;
  return rows(scope, open, sql, { ...now, least });
}

const twice = z.object({
  caseId: z.string(),
  code: z.string(),
  plant: z.string(),
  pest: z.enum(pestIds),
  pClear: z.number(),
  byOurs: z.number(),
});
/** An open case on which the keeper's record bears, with how likely it is over by that, and by our estimates alone. */
export type JudgedTwice = z.output<typeof twice>;

/** Open cases of plants in use that were judged both ways, of these ways, this model, this day and the facts as they are; those furthest apart first. */
export function judgedTwice(
  scope: Scope,
  now: { ways: string; modelVersion: number; asOf: string },
): Promise<JudgedTwice[]> {
  const sql = `select s.id as "caseId", p.code, p.name as plant, s.pest, b."pClear", b."byOurs"
    from assessments a
    join cases s on s.collection_id = a.collection_id and s.id = a.case_id and s.closed_at is null
    join plants p on p.collection_id = s.collection_id and p.id = s.plant_id and p.archived_at is null
    join plant_states t on t.collection_id = s.collection_id and t.plant_id = s.plant_id
    cross join lateral (select (a.result #>> '{judgement,assessment,pClear}')::float8 as "pClear",
      (a.result #>> '{judgement,byOurs}')::float8 as "byOurs") b
    where a.collection_id = :c and a.facts_version = t.facts_version and a.ways = :ways
      and a.model_version = :modelVersion and a.as_of = :asOf and b."byOurs" is not null
    order by abs(b."pClear" - b."byOurs") desc, p.code, s.pest`;
  return rows(scope, twice, sql, now);
}
