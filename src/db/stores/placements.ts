import type { Placement } from "@/core/facts/records";
import type { Scope } from "../connection";
import { dayOf, insert, rows } from "../query";

const columns = `t.id, t.plant_id as "plantId", t.place_id as "placeId", l.name as "placeName", l.kind as "placeKind",
  t.placed_at as at, ${dayOf("t.placed_at")} as day, t.void_reason as "voidReason"`;
const from = `from placements t join places l on l.collection_id = t.collection_id and l.id = t.place_id
  where t.collection_id = :c`;

/** Where plants stood, oldest first; voided placements included. */
export async function ofPlants(scope: Scope, plantIds: readonly string[]): Promise<Placement[]> {
  if (plantIds.length === 0) return [];
  const sql = `select ${columns} ${from} and t.plant_id in (:plantIds) order by t.placed_at, t.recorded_at`;
  return rows<Placement>(scope, sql, { plantIds });
}

export async function find(scope: Scope, id: string): Promise<Placement | null> {
  return (await rows<Placement>(scope, `select ${columns} ${from} and t.id = :id`, { id }))[0] ?? null;
}

export function add(
  scope: Scope,
  placement: { id: string; plantId: string; placeId: string; at: Date },
  recordedAt: Date,
): Promise<void> {
  const { at, ...rest } = placement;
  return insert(scope, "Placement", { ...rest, placedAt: at, recordedAt });
}

/** Plants in use that stood at the same place as `plantId` at the instant `at`, that plant left out. */
export async function neighboursAt(scope: Scope, plantId: string, at: Date): Promise<string[]> {
  const sql = `
    with stood as (
      select distinct on (t.plant_id) t.plant_id, t.place_id
      from placements t
      where t.collection_id = :c and t.voided_at is null and t.placed_at <= :at
      order by t.plant_id, t.placed_at desc, t.recorded_at desc
    )
    select s.plant_id as id
    from stood s
    join stood mine on mine.plant_id = :plantId and mine.place_id = s.place_id
    join plants p on p.collection_id = :c and p.id = s.plant_id
    where s.plant_id <> :plantId and p.archived_at is null`;
  return (await rows<{ id: string }>(scope, sql, { plantId, at })).map((row) => row.id);
}
