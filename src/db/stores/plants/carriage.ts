import { z } from "zod";
import type { PestId } from "@/core/knowledge/pests/pests";
import { growthFormIds } from "@/core/knowledge/plants/growthForms";
import type { PlantCarries } from "@/core/advice/spread/carries";
import { potFactor } from "@/core/advice/walks/timeLeft";
import type { Scope } from "../../connection";
import { any, first, idList, manyRows, rows, run } from "../../query";

/** What plants may carry unseen: reckoned, kept as a cache. */

/** Has what these plants may carry reckoned anew before the rest. Must run in the turn in which states are derived. */
export async function want(scope: Scope, plantIds: readonly string[]): Promise<void> {
  await run(
    scope,
    `insert into carriage (collection_id, plant_id, soon)
     select :c, id, true from unnest(cast(:ids as uuid[])) id order by id
     on conflict (collection_id, plant_id) do update set wanted = carriage.wanted + 1, soon = true`,
    { ids: idList(plantIds) },
  );
  await run(
    scope,
    `insert into carriage_turns (collection_id, turn, touches) values (:c, 0, 1)
     on conflict (collection_id) do update set touches = carriage_turns.touches + 1`,
  );
}

/** Has what every plant may carry reckoned anew. */
export function wantAll(scope: Scope): Promise<void> {
  return run(
    scope,
    `insert into carriage_turns (collection_id, turn, touches) values (:c, 1, 1)
     on conflict (collection_id) do update set turn = carriage_turns.turn + 1, touches = carriage_turns.touches + 1`,
  );
}

const stale = z.object({
  plantId: z.string(),
  wanted: z.number(),
  turn: z.number(),
  /** How many commands have touched the collection so far. */
  touches: z.number(),
  /** Whether a command has touched it. */
  soon: z.boolean(),
  /** The chance by which it was at risk so far, and whether that was of the facts as they were. */
  risk: z.number().nullable(),
  current: z.boolean(),
});
export type Wanted = z.output<typeof stale>;

/** Up to `limit` plants in use whose row is not of the facts, the turn, the model or the day, or is not there; what was touched first. */
export function toReckon(
  scope: Scope,
  now: { readonly modelVersion: number; readonly asOf: string },
  limit: number,
  except: readonly string[],
): Promise<Wanted[]> {
  const sql = `select p.id as "plantId", coalesce(g.wanted, 0)::float8 as wanted, coalesce(t.turn, 0)::float8 as turn,
      coalesce(t.touches, 0)::float8 as touches, coalesce(g.soon, false) as soon, (g.result ->> 'risk')::float8 as risk, coalesce(g.reckoned = g.wanted, false) as current
    from plants p
    join plant_states s on s.collection_id = p.collection_id and s.plant_id = p.id
    left join carriage g on g.collection_id = p.collection_id and g.plant_id = p.id
    left join carriage_turns t on t.collection_id = p.collection_id
    where p.collection_id = :c and p.archived_at is null and not p.id = any (cast(:except as uuid[])) and (g.plant_id is null
      or g.reckoned <> g.wanted or g.turn <> coalesce(t.turn, 0)
      or g.as_of is distinct from cast(:asOf as date) or g.model_version is distinct from cast(:modelVersion as integer))
    order by coalesce(g.soon, false) desc, g.as_of nulls first, p.id limit :limit`;
  return rows(scope, stale, sql, { ...now, limit, except: idList(except) });
}

/** Whether something that a command has touched waits. */
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
  kept: readonly (Pick<Wanted, "plantId" | "wanted" | "turn"> & { readonly result: PlantCarries })[],
): Promise<void> {
  return run(
    scope,
    `insert into carriage as g (collection_id, plant_id, wanted, reckoned, turn, soon, model_version, as_of, p, p_finds, sources, result)
     select :c, r."plantId", r.wanted, r.wanted, r.turn, false, :modelVersion, cast(:asOf as date),
       (r.result ->> 'p')::float8,
       array(select (look ->> 'pFind')::float8 from jsonb_array_elements(r.result -> 'looks') look),
       array(select jsonb_array_elements_text(r.sources)), r.result
     from jsonb_to_recordset(cast(:kept as jsonb)) as r("plantId" uuid, wanted bigint, turn bigint, sources jsonb, result jsonb)
     order by r."plantId"
     on conflict (collection_id, plant_id) do update set reckoned = excluded.reckoned, turn = excluded.turn,
       soon = g.soon and g.wanted <> excluded.reckoned, model_version = excluded.model_version, as_of = excluded.as_of,
       p = excluded.p, p_finds = excluded.p_finds, sources = excluded.sources, result = excluded.result`,
    {
      ...now,
      kept: JSON.stringify(
        kept.map(({ plantId, wanted, turn, result }) => {
          const sources = result.routes.flatMap((way) => (way.plantId ? [sourceKey(way.pest, way.plantId)] : []));
          return { plantId, wanted, turn, sources, result };
        }),
      ),
    },
  );
}

/** A pest and the plant that it may have come from, as they are kept beside what was reckoned. */
export const sourceKey = (pest: PestId, plantId: string) => `${pest} ${plantId}`;

const row = z.object({ plantId: z.string(), p: z.number(), asOf: z.string(), result: z.custom<PlantCarries>() });
export type CarriageRow = z.output<typeof row>;

/** What is known of some plants; those of which nothing is are left out. */
export function of(scope: Scope, plantIds: readonly string[]): Promise<CarriageRow[]> {
  const sql = `select plant_id as "plantId", p, as_of::text as "asOf", result from carriage
    where collection_id = :c and p is not null and plant_id = any (cast(:ids as uuid[]))`;
  return manyRows(scope, row, sql, { ids: idList(plantIds) });
}

/** What is known of a plant as of a day, where that is of the facts as they are; null where it is not. */
export async function currentOf(
  scope: Scope,
  plantId: string,
  now: { readonly modelVersion: number; readonly asOf: string },
): Promise<PlantCarries | null> {
  const sql = `select g.result from carriage g
    left join carriage_turns t on t.collection_id = g.collection_id
    where g.collection_id = :c and g.plant_id = :plantId and g.reckoned = g.wanted and g.turn = coalesce(t.turn, 0)
      and g.as_of = cast(:asOf as date) and g.model_version = :modelVersion`;
  return (await first(scope, row.pick({ result: true }), sql, { ...now, plantId }))?.result ?? null;
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
  pFinds: z.array(z.number()),
  growthForm: z.enum(growthFormIds),
  genus: z.string(),
  potCm: z.number(),
});
const totals = z.object({ plants: z.number(), carry: z.number() });

const inNoCase = `from carriage g
    join plants p on p.collection_id = g.collection_id and p.id = g.plant_id and p.archived_at is null
    join plant_states s on s.collection_id = g.collection_id and s.plant_id = g.plant_id
    where g.collection_id = :c and g.p is not null and s.state not in ('infested', 'surer')`;

/** How many plants in use are in no case, and how many of them are expected to carry something. */
export async function lookableTotals(scope: Scope): Promise<z.output<typeof totals>> {
  return (await first(scope, totals, `select count(*)::int as plants, coalesce(sum(g.p), 0) as carry ${inNoCase}`))!;
}

/**
 * The `limit` plants in use and in no case of which one way to look finds most per minute, with the chance that each way would find
 * something. `minutes` is what each way takes on a pot of the usual width.
 */
export function lookables(
  scope: Scope,
  minutes: readonly number[],
  limit: number,
): Promise<z.output<typeof lookable>[]> {
  const sql = `select g.plant_id as "plantId", p.growth_form as "growthForm", p.genus, p.pot_cm::float8 as "potCm",
      g.p_finds as "pFinds" ${inNoCase}
    order by (select max(f / m) from unnest(g.p_finds, cast(:minutes as float8[])) way(f, m))
      / least(:most, greatest(:least, p.pot_cm / :usualCm)) desc nulls last, g.plant_id limit :limit`;
  return rows(scope, lookable, sql, { ...potFactor, minutes: `{${minutes.join()}}`, limit });
}
