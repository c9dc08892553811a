import type { Skip, Walk } from "@/core/facts/records";
import type { WalkEvent } from "@/core/walk/progress";
import type { PlantState } from "@/core/plants/states";
import type { PestId } from "@/core/pests/pests";
import type { GrowthFormId } from "@/core/plants/growthForms";
import type { ToolId } from "@/core/inspection/tools";
import type { Scope } from "../connection";
import { dayOf, insert, rows, update } from "../query";

const columns = `w.id, w.scope, w.place_id as "placeId", w.tool, w.round, w.started_at as "startedAt",
  ${dayOf("w.started_at")} as "startedOn", w.ended_at as "endedAt"`;

export async function find(scope: Scope, id: string): Promise<Walk | null> {
  const sql = `select ${columns} from walks w where w.collection_id = :c and w.id = :id`;
  return (await rows<Walk>(scope, sql, { id }))[0] ?? null;
}

export interface WalkInShort extends Walk {
  readonly plants: number;
  readonly done: number;
  readonly finds: number;
}

/** The walks begun last, newest first, with how far they came. */
export function lately(scope: Scope, limit: number): Promise<WalkInShort[]> {
  const sql = `select ${columns},
      (select count(*)::int from walk_plants m where m.collection_id = w.collection_id and m.walk_id = w.id) as plants,
      (select count(*)::int from looks k where k.collection_id = w.collection_id and k.walk_id = w.id and k.voided_at is null)
        + (select count(*)::int from skips s where s.collection_id = w.collection_id and s.walk_id = w.id and s.voided_at is null)
        as done,
      (select count(*)::int from looks k where k.collection_id = w.collection_id and k.walk_id = w.id and k.voided_at is null
        and exists (select 1 from finds f where f.collection_id = k.collection_id and f.look_id = k.id)) as finds
    from walks w where w.collection_id = :c order by w.started_at desc, w.id desc limit :limit`;
  return rows<WalkInShort>(scope, sql, { limit });
}

export async function add(scope: Scope, walk: Omit<Walk, "startedOn" | "endedAt">, recordedAt: Date): Promise<void> {
  await insert(scope, "Walk", { ...walk, recordedAt });
}

export interface WalkPlantRow {
  readonly plantId: string;
  readonly placeId: string;
  readonly state: PlantState;
  readonly petals: number;
  readonly apart: boolean;
}

/** Adds the plants of a walk in one statement: thousands are ready before anybody waits. */
export async function addPlants(scope: Scope, walkId: string, plants: readonly WalkPlantRow[]): Promise<void> {
  await rows(
    scope,
    `insert into walk_plants (collection_id, walk_id, plant_id, place_id, state, petals, apart)
     select :c, :walkId, r."plantId", r."placeId", r.state, r.petals, r.apart
     from jsonb_to_recordset(cast(:plants as jsonb))
       as r("plantId" uuid, "placeId" uuid, state text, petals integer, apart boolean)`,
    { walkId, plants: JSON.stringify(plants) },
  );
}

export function end(scope: Scope, id: string, endedAt: Date): Promise<void> {
  return update(scope, "Walk", id, { endedAt });
}

const skipColumns = `s.id, s.walk_id as "walkId", s.plant_id as "plantId", s.reason, s.skipped_at as at,
  ${dayOf("s.skipped_at")} as day, s.void_reason as "voidReason"`;

export async function findSkip(scope: Scope, id: string): Promise<Skip | null> {
  const sql = `select ${skipColumns} from skips s where s.collection_id = :c and s.id = :id`;
  return (await rows<Skip>(scope, sql, { id }))[0] ?? null;
}

/** Times a plant was left out, oldest first; voided ones included. */
export function skipsOf(scope: Scope, plantId: string): Promise<Skip[]> {
  const sql = `select ${skipColumns} from skips s where s.collection_id = :c and s.plant_id = :plantId order by s.skipped_at`;
  return rows<Skip>(scope, sql, { plantId });
}

export async function isSkipped(scope: Scope, walkId: string, plantId: string): Promise<boolean> {
  const sql = `select 1 from skips where collection_id = :c and walk_id = :walkId and plant_id = :plantId and voided_at is null`;
  return (await rows(scope, sql, { walkId, plantId })).length > 0;
}

export async function addSkip(
  scope: Scope,
  { at, ...skip }: Omit<Skip, "day" | "voidReason">,
  recordedAt: Date,
): Promise<void> {
  await insert(scope, "Skip", { ...skip, skippedAt: at, recordedAt });
}

/** Looks and skips of a walk that stand, in the order in which they were made. */
export function events(scope: Scope, walkId: string): Promise<Omit<WalkEvent, "atMs">[]> {
  const sql = `
    select k.id, k.plant_id as "plantId", case when exists (
        select 1 from finds f where f.collection_id = k.collection_id and f.look_id = k.id
      ) then 'found' else 'clean' end as kind
    from looks k where k.collection_id = :c and k.walk_id = :walkId and k.voided_at is null
    union all
    select s.id, s.plant_id, 'skipped'
    from skips s where s.collection_id = :c and s.walk_id = :walkId and s.voided_at is null
    order by 1`;
  return rows<Omit<WalkEvent, "atMs">>(scope, sql, { walkId });
}

export interface MemberRow extends WalkPlantRow {
  readonly code: string;
  readonly name: string;
  readonly growthForm: GrowthFormId;
  readonly potCm: number;
  readonly seller: string;
  readonly genus: string;
  /** The last look before this walk. */
  readonly lastOn: string | null;
  readonly lastTool: ToolId | null;
  readonly lastNote: string | null;
  readonly lastPests: readonly PestId[];
  /** Every pest that was ever found on it. */
  readonly everPests: readonly PestId[];
}

/** The plants of a walk with what was seen on them before it. Archived ones are left out. */
export function members(scope: Scope, walkId: string): Promise<MemberRow[]> {
  const sql = `
    select m.plant_id as "plantId", m.place_id as "placeId", m.state, m.petals, m.apart, p.code, p.name,
      p.genus, p.growth_form as "growthForm", p.pot_cm::float8 as "potCm", p.seller,
      last.day as "lastOn", last.tool as "lastTool", last.note as "lastNote",
      coalesce(last.pests, '{}') as "lastPests", coalesce(ever.pests, '{}') as "everPests"
    from walk_plants m
    join plants p on p.collection_id = m.collection_id and p.id = m.plant_id and p.archived_at is null
    left join lateral (
      select ${dayOf("k.looked_at")} as day, k.tool, k.note, array(
        select f.pest from finds f where f.collection_id = k.collection_id and f.look_id = k.id order by f.pest
      ) as pests
      from looks k where k.collection_id = m.collection_id and k.plant_id = m.plant_id and k.voided_at is null
        and k.walk_id is distinct from m.walk_id
      order by k.looked_at desc, k.recorded_at desc limit 1
    ) last on true
    left join (
      select c.plant_id, array_agg(distinct c.pest order by c.pest) as pests
      from cases c where c.collection_id = :c and c.voided_at is null group by c.plant_id
    ) ever on ever.plant_id = m.plant_id
    where m.collection_id = :c and m.walk_id = :walkId`;
  return rows<MemberRow>(scope, sql, { walkId });
}
