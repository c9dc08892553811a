import { z } from "zod";
import { walkScopes } from "@/core/record/facts/commands";
import type { Walk } from "@/core/record/facts/descriptions";
import { toolIds } from "@/core/model/inspection/tools";
import { pestIds } from "@/core/knowledge/pests/pests";
import { growthFormIds } from "@/core/knowledge/plants/growthForms";
import { sensitivities } from "@/core/knowledge/plants/sensitivities";
import { plantStates } from "@/core/knowledge/plants/states";
import { rounds } from "@/core/model/inspection/rounds";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { first, insert, rows, run, update } from "../../query";

const walk = z.object({
  id: z.string(),
  scope: z.enum(walkScopes),
  placeId: z.string().nullable(),
  tool: z.enum(toolIds),
  round: z.enum(rounds),
  startedAt: z.date(),
  endedAt: z.date().nullable(),
});
const columns = `w.id, w.scope, w.place_id as "placeId", w.tool, w.round, w.started_at as "startedAt", w.ended_at as "endedAt"`;
const parsed = <W extends z.output<typeof walk>>(scope: Scope, one: W) => ({
  ...one,
  startedOn: dayIn(one.startedAt, scope.timeZone),
});

export async function find(scope: Scope, id: string): Promise<Walk | null> {
  const sql = `select ${columns} from walks w where w.collection_id = :c and w.id = :id`;
  const found = await first(scope, walk, sql, { id });
  return found && parsed(scope, found);
}

const inShort = walk.extend({ plants: z.number(), done: z.number(), finds: z.number() });
export type WalkInShort = z.output<typeof inShort> & Pick<Walk, "startedOn">;

/** The walks begun last, newest first, with how far they came; plants that have left the collection no longer count. */
export async function lately(scope: Scope, limit: number): Promise<WalkInShort[]> {
  const sql = `select ${columns},
      (select count(*)::int from walk_plants m
        join plants p on p.collection_id = m.collection_id and p.id = m.plant_id and p.archived_at is null
        where m.collection_id = w.collection_id and m.walk_id = w.id) as plants,
      (select count(*)::int from (
          select k.plant_id from looks k where k.collection_id = w.collection_id and k.walk_id = w.id and k.voided_at is null
          union
          select s.plant_id from skips s where s.collection_id = w.collection_id and s.walk_id = w.id and s.voided_at is null
        ) each) as done,
      (select count(distinct k.plant_id)::int from looks k where k.collection_id = w.collection_id and k.walk_id = w.id and k.voided_at is null
        and exists (select 1 from finds f where f.collection_id = k.collection_id and f.look_id = k.id)) as finds
    from walks w where w.collection_id = :c order by w.started_at desc, w.id desc limit :limit`;
  return (await rows(scope, inShort, sql, { limit })).map((one) => parsed(scope, one));
}

export function add(scope: Scope, added: Omit<Walk, "startedOn" | "endedAt">): Promise<void> {
  return insert(scope, "walks", [{ ...added, recordedAt: scope.now, recordedBy: scope.actor }]);
}

const member = z.object({
  plantId: z.string(),
  placeId: z.string(),
  state: z.enum(plantStates),
  petals: z.number(),
  apart: z.boolean(),
  /** For chosen plants: when it comes, and what to look with and where; null where the walk's own order and ways hold. */
  rank: z.number().nullable(),
  tool: z.enum(toolIds).nullable(),
  round: z.enum(rounds).nullable(),
});
export type WalkPlantRow = z.output<typeof member>;

/** Adds the plants of a walk in one statement: thousands are ready before anybody waits. */
export async function addPlants(scope: Scope, walkId: string, plants: readonly WalkPlantRow[]): Promise<void> {
  await run(
    scope,
    `insert into walk_plants (collection_id, walk_id, plant_id, place_id, state, petals, apart, rank, tool, round)
     select :c, :walkId, r."plantId", r."placeId", r.state, r.petals, r.apart, r.rank, r.tool, r.round
     from jsonb_to_recordset(cast(:plants as jsonb))
       as r("plantId" uuid, "placeId" uuid, state text, petals integer, apart boolean, rank integer, tool text, round text)`,
    { walkId, plants: JSON.stringify(plants) },
  );
}

export function end(scope: Scope, id: string): Promise<void> {
  return update(scope, "walks", id, { endedAt: scope.now });
}

const event = z.object({ id: z.string(), plantId: z.string(), kind: z.enum(["clean", "found", "skipped"]) });

/** Looks and skips of a walk that stand, in the order in which they were made. */
export function events(scope: Scope, walkId: string): Promise<z.output<typeof event>[]> {
  const sql = `
    select k.id, k.plant_id as "plantId", case when exists (
        select 1 from finds f where f.collection_id = k.collection_id and f.look_id = k.id
      ) then 'found' else 'clean' end as kind
    from looks k where k.collection_id = :c and k.walk_id = :walkId and k.voided_at is null
    union all
    select s.id, s.plant_id, 'skipped'
    from skips s where s.collection_id = :c and s.walk_id = :walkId and s.voided_at is null
    order by 1`;
  return rows(scope, event, sql, { walkId });
}

const described = member.extend({
  code: z.string(),
  name: z.string(),
  growthForm: z.enum(growthFormIds),
  potCm: z.number(),
  seller: z.string(),
  genus: z.string(),
  careAdded: z.array(z.enum(sensitivities)),
  careWithout: z.array(z.enum(sensitivities)),
  /** The last look before this walk. */
  lastAt: z.date().nullable(),
  lastTool: z.enum(toolIds).nullable(),
  lastNote: z.string().nullable(),
  lastPests: z.array(z.enum(pestIds)),
  /** Every pest that was ever found on it. */
  everPests: z.array(z.enum(pestIds)),
});

/** The plants of a walk. */
export async function memberIds(scope: Scope, walkId: string): Promise<string[]> {
  const sql = "select plant_id as id from walk_plants where collection_id = :c and walk_id = :walkId";
  return (await rows(scope, z.object({ id: z.string() }), sql, { walkId })).map(({ id }) => id);
}

/** The plants of a walk with what was seen on them before it. Archived ones are left out. */
export async function members(scope: Scope, walkId: string) {
  const sql = `
    select m.plant_id as "plantId", m.place_id as "placeId", m.state, m.petals, m.apart, m.rank, m.tool, m.round, p.code, p.name,
      p.genus, p.care_added as "careAdded", p.care_without as "careWithout", p.growth_form as "growthForm", p.pot_cm::float8 as "potCm", p.seller,
      last.at as "lastAt", last.tool as "lastTool", last.note as "lastNote",
      coalesce(last.pests, '{}') as "lastPests", coalesce(ever.pests, '{}') as "everPests"
    from walk_plants m
    join plants p on p.collection_id = m.collection_id and p.id = m.plant_id and p.archived_at is null
    left join lateral (
      select k.happened_at as at, k.tool, k.note, array(
        select f.pest from finds f where f.collection_id = k.collection_id and f.look_id = k.id order by f.pest
      ) as pests
      from looks k where k.collection_id = m.collection_id and k.plant_id = m.plant_id and k.voided_at is null
        and k.walk_id is distinct from m.walk_id
      order by k.happened_at desc, k.recorded_at desc limit 1
    ) last on true
    left join (
      select c.plant_id, array_agg(distinct c.pest order by c.pest) as pests
      from cases c where c.collection_id = :c group by c.plant_id
    ) ever on ever.plant_id = m.plant_id
    where m.collection_id = :c and m.walk_id = :walkId`;
  const found = await rows(scope, described, sql, { walkId });
  return found.map(({ lastAt, ...one }) => ({ ...one, lastOn: lastAt && dayIn(lastAt, scope.timeZone) }));
}
