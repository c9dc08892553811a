import { z } from "zod";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Day } from "@/core/shared/days";
import type { CameFrom } from "@/core/advice/spread/record";
import type { Handling } from "@/core/advice/spread/handling";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { rows } from "../../query";

/** What of a whole collection bears on how pests spread in it. */

const source = z.object({
  plantId: z.string(),
  code: z.string(),
  caseId: z.string(),
  pest: z.enum(pestIds),
  openedAt: z.date(),
  endedAt: z.date().nullable(),
});

/** Cases that have run since a moment; they end when they are closed, or when their plant leaves. */
export function sources(scope: Scope, since: Date): Promise<z.output<typeof source>[]> {
  const sql = `select s.plant_id as "plantId", p.code, s.id as "caseId", s.pest, s.opened_at as "openedAt",
      least(s.closed_at, p.archived_at) as "endedAt"
    from cases s join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    where s.collection_id = :c and coalesce(least(s.closed_at, p.archived_at), 'infinity') >= :since
    order by s.opened_at, s.id`;
  return rows(scope, source, sql, { since });
}

const stood = z.object({
  plantId: z.string(),
  placeId: z.string(),
  slot: z.number().nullable(),
  from: z.date(),
  until: z.date().nullable(),
});

/** Where every plant has stood since a moment, and in which spot of the row, by plant and time. */
export function stands(scope: Scope, since: Date): Promise<z.output<typeof stood>[]> {
  const sql = `select * from (
      select t.plant_id as "plantId", t.place_id as "placeId", t.slot, t.happened_at as "from",
        least(lead(t.happened_at) over (partition by t.plant_id order by t.happened_at, t.recorded_at, t.id), p.archived_at) as until
      from placements t join plants p on p.collection_id = t.collection_id and p.id = t.plant_id
      where t.collection_id = :c and t.voided_at is null) s
    where coalesce(s.until, 'infinity') > greatest(:since, s."from") order by s."plantId", s."from"`;
  return rows(scope, stood, sql, { since });
}

const came = z.object({
  plantId: z.string(),
  seller: z.string(),
  acquiredOn: z.string().nullable(),
  addedAt: z.date(),
  pests: z.array(z.enum(pestIds)),
  shownAt: z.array(z.coerce.date()),
});

/** Where every plant came from, those that have left again too, and which pests it showed. */
export async function cameFrom(scope: Scope): Promise<CameFrom[]> {
  const sql = `select p.id as "plantId", p.seller, p.acquired_on::text as "acquiredOn", p.added_at as "addedAt",
      coalesce(s.pests, '{}') as pests, coalesce(s.at, '{}') as "shownAt"
    from plants p left join (
      select plant_id, array_agg(pest order by opened_at) as pests, array_agg(opened_at order by opened_at) as at
      from cases where collection_id = :c group by plant_id) s on s.plant_id = p.id
    where p.collection_id = :c and p.seller <> ''`;
  const day = (at: Date) => dayIn(at, scope.timeZone);
  return (await rows(scope, came, sql)).map(({ plantId, seller, acquiredOn, addedAt, pests, shownAt }) => ({
    plantId,
    seller,
    acquiredOn: acquiredOn as Day | null,
    cameOn: (acquiredOn as Day | null) ?? day(addedAt),
    shown: pests.map((pest, i) => ({ pest, on: day(shownAt[i]!) })),
  }));
}

const handling = z.object({ plantId: z.string().nullable(), keeper: z.string(), at: z.date() });

/**
 * What was handled since a moment: plants while they were in a case, those handled by the same keeper within `minutes` after one
 * of them, and every cleaning; as it happened.
 */
export function handlings(scope: Scope, since: Date, minutes: number): Promise<Handling[]> {
  const columns = (of: string) => `${of}.plant_id, ${of}.recorded_by, ${of}.happened_at, ${of}.recorded_at, ${of}.id`;
  const dirty = (table: string) => `select ${columns("h")} from cases s join ${table} h
      on h.collection_id = s.collection_id and h.plant_id = s.plant_id and h.voided_at is null
      and h.happened_at >= greatest(s.opened_at, :since) and h.happened_at <= coalesce(s.closed_at, 'infinity')
    where s.collection_id = :c`;
  // From the few dirty ones the index by moment leads to what came soon after; "offset 0" keeps the planner to that.
  const after = (table: string) => `select ${columns("h")} from dirty d cross join lateral (
      select ${columns("h")} from ${table} h where h.collection_id = :c
        and h.voided_at is null and h.plant_id is not null and h.recorded_by = d.recorded_by
        and h.happened_at between d.happened_at and d.happened_at + :minutes * interval '1 minute' offset 0) h`;
  const sql = `
    with dirty as (${dirty("looks")} union ${dirty("acts")})
    select plant_id as "plantId", recorded_by as keeper, happened_at as at, recorded_at, id from (
      select * from dirty
      union ${after("looks")}
      union ${after("acts")}
      union all
      select null, c.recorded_by, c.happened_at, c.recorded_at, c.id from cleanings c
        where c.collection_id = :c and c.voided_at is null and c.happened_at >= :since
    ) every order by happened_at, recorded_at, id`;
  return rows(scope, handling, sql, { since, minutes });
}

/** Plants that were looked at or treated within so many minutes from a moment on. */
export async function handledWithin(scope: Scope, from: Date, minutes: number): Promise<string[]> {
  const within = "happened_at between :from and cast(:from as timestamptz) + :minutes * interval '1 minute'";
  const sql = `select plant_id as id from looks where collection_id = :c and ${within}
    union select plant_id from acts where collection_id = :c and plant_id is not null and ${within}`;
  return (await rows(scope, z.object({ id: z.string() }), sql, { from, minutes })).map(({ id }) => id);
}
