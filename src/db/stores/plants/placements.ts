import { z } from "zod";
import type { Scope } from "../../connection";
import { idList, rows } from "../../query";

/** Plants in use that have shared a place with one of these at any time since its first case began; these left out. */
export async function companionsOf(scope: Scope, plantIds: readonly string[]): Promise<string[]> {
  const sql = `
    with stays as (
      select t.plant_id, t.place_id, t.happened_at as began,
        lead(t.happened_at) over (partition by t.plant_id order by t.happened_at, t.recorded_at, t.id) as ended
      from placements t where t.collection_id = :c and t.voided_at is null
    )
    select distinct o.plant_id as id
    from (select plant_id, min(opened_at) as since from cases where collection_id = :c group by plant_id) s
    join stays m on m.plant_id = s.plant_id
    join stays o on o.place_id = m.place_id and o.began < coalesce(m.ended, 'infinity') and m.began < coalesce(o.ended, 'infinity')
    join plants p on p.collection_id = :c and p.id = o.plant_id and p.archived_at is null
    where m.plant_id = any (cast(:ids as uuid[])) and not o.plant_id = any (cast(:ids as uuid[]))
      and coalesce(least(m.ended, o.ended), 'infinity') >= s.since`;
  return (await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(plantIds) })).map(({ id }) => id);
}

/** Plants that have ever stood at one of these places. */
export async function everAt(scope: Scope, placeIds: readonly string[]): Promise<string[]> {
  const sql = `select distinct t.plant_id as id from placements t
    where t.collection_id = :c and t.voided_at is null and t.place_id = any (cast(:ids as uuid[]))`;
  return (await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(placeIds) })).map(({ id }) => id);
}
