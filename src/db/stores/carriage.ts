import { z } from "zod";
import { growthFormIds } from "@/core/plants/growthForms";
import type { PlantCarries } from "@/core/spread/carries";
import type { Scope } from "../connection";
import { any, idList, rows, run } from "../query";

/** What plants may carry unseen: reckoned, kept as a cache. */

/** Has what these plants may carry reckoned anew before the rest. Must run in the turn in which states are derived. */
export function want(scope: Scope, plantIds: readonly string[]): Promise<void> {
  return run(
    scope,
    `insert into carriage (collection_id, plant_id, soon)
     select :c, id, true from unnest(cast(:ids as uuid[])) id order by id
     on conflict (collection_id, plant_id) do update set wanted = carriage.wanted + 1, soon = true`,
    { ids: idList(plantIds) },
  );
}

/** Has what every plant may carry reckoned anew. */
export function wantAll(scope: Scope): Promise<void> {
  return run(
    scope,
    `insert into carriage_turns (collection_id, turn) values (:c, 1)
     on conflict (collection_id) do update set turn = carriage_turns.turn + 1`,
  );
}

const stale = z.object({ plantId: z.string(), wanted: z.number(), turn: z.number() });
export type Wanted = z.output<typeof stale>;

/** Up to `limit` plants in use whose row is not of the facts, the turn, the model or the day; what was touched first. */
export function toReckon(
  scope: Scope,
  now: { readonly modelVersion: number; readonly asOf: string },
  limit: number,
): Promise<Wanted[]> {
  const sql = `select g.plant_id as "plantId", g.wanted::float8 as wanted, coalesce(t.turn, 0)::float8 as turn
    from carriage g
    join plants p on p.collection_id = g.collection_id and p.id = g.plant_id and p.archived_at is null
    left join carriage_turns t on t.collection_id = g.collection_id
    where g.collection_id = :c and (g.reckoned <> g.wanted or g.turn <> coalesce(t.turn, 0)
      or g.as_of is distinct from cast(:asOf as date) or g.model_version is distinct from cast(:modelVersion as integer))
    order by g.soon desc, g.as_of nulls first, g.plant_id limit :limit`;
  return rows(scope, stale, sql, { ...now, limit });
}

/** Whether something that a deed has touched waits. */
export async function somethingSoon(scope: Scope): Promise<boolean> {
  const sql = `select 1 from carriage g
    join plants p on p.collection_id = g.collection_id and p.id = g.plant_id and p.archived_at is null
    where g.collection_id = :c and g.soon and g.reckoned <> g.wanted`;
  return any(scope, sql);
}

/** Keeps answers, each as of what was wanted when it was begun: what was wanted meanwhile is reckoned again. */
export function keep(
  scope: Scope,
  now: { readonly modelVersion: number; readonly asOf: string },
  kept: readonly (Wanted & { readonly result: PlantCarries })[],
): Promise<void> {
  return run(
    scope,
    `update carriage g set reckoned = r.wanted, turn = r.turn, soon = g.soon and g.wanted <> r.wanted,
       model_version = :modelVersion, as_of = :asOf, p = (r.result ->> 'p')::float8, result = r.result
     from (select * from jsonb_to_recordset(cast(:kept as jsonb))
         as r("plantId" uuid, wanted bigint, turn bigint, result jsonb) order by "plantId") r
     where g.collection_id = :c and g.plant_id = r."plantId"`,
    { ...now, kept: JSON.stringify(kept) },
  );
}

const row = z.object({ plantId: z.string(), p: z.number(), asOf: z.string(), result: z.custom<PlantCarries>() });
export type CarriageRow = z.output<typeof row>;

/** What is known of some plants; those of which nothing is are left out. */
export function of(scope: Scope, plantIds: readonly string[]): Promise<CarriageRow[]> {
  const sql = `select plant_id as "plantId", p, as_of::text as "asOf", result from carriage
    where collection_id = :c and p is not null and plant_id = any (cast(:ids as uuid[]))`;
  return rows(scope, row, sql, { ids: idList(plantIds) });
}

const risk = z.object({ plantId: z.string(), risk: z.number().nullable(), current: z.boolean() });
export type RiskRow = z.output<typeof risk>;

/** The chance by which plants are at risk, the last that was reckoned, and whether it is of the facts as they are. */
export function risks(scope: Scope, plantIds: readonly string[]): Promise<RiskRow[]> {
  const sql = `select plant_id as "plantId", (result ->> 'risk')::float8 as risk, reckoned = wanted as current
    from carriage where collection_id = :c and plant_id = any (cast(:ids as uuid[]))`;
  return rows(scope, risk, sql, { ids: idList(plantIds) });
}

const lookable = z.object({
  plantId: z.string(),
  p: z.number(),
  pFinds: z.array(z.coerce.number()),
  growthForm: z.enum(growthFormIds),
  genus: z.string(),
  potCm: z.number(),
});

/** Every plant in use that is in no case, with the chance that it carries something and that each look would find it. */
export function lookables(scope: Scope): Promise<z.output<typeof lookable>[]> {
  const sql = `select g.plant_id as "plantId", g.p, p.growth_form as "growthForm", p.genus, p.pot_cm::float8 as "potCm",
      array[g.result #>> '{looks,0,pFind}', g.result #>> '{looks,1,pFind}'] as "pFinds"
    from carriage g
    join plants p on p.collection_id = g.collection_id and p.id = g.plant_id and p.archived_at is null
    join plant_states s on s.collection_id = g.collection_id and s.plant_id = g.plant_id
    where g.collection_id = :c and g.p is not null and s.state not in ('infested', 'surer')`;
  return rows(scope, lookable, sql);
}
