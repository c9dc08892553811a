import { z } from "zod";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { PlantCarries } from "@/core/advice/spread/carries";
import type { Scope } from "../../connection";
import { rows } from "../../query";
import { sourceKey } from "./carriage";

const near = z.object({
  plantId: z.string(),
  carries: z.custom<PlantCarries>().nullable(),
  sameSeller: z.boolean(),
  sameTray: z.boolean(),
});

/**
 * Plants in use that may have got a pest from one plant, by what was reckoned, and those that came from the same seller; the likeliest
 * to carry anything first.
 */
export function ofSource(scope: Scope, plantId: string, pest: PestId, limit: number): Promise<z.output<typeof near>[]> {
  // Who is near is found first; what was reckoned of thousands is not carried along.
  const sql = `with near as (
      select p.id, p.code, g.p, (o.seller <> '' and p.seller = o.seller) as "sameSeller",
        (o.seller <> '' and p.seller = o.seller and p.acquired_on = o.acquired_on) is true as "sameTray"
      from plants o
      join plants p on p.collection_id = o.collection_id and p.id <> o.id and p.archived_at is null
      left join carriage g on g.collection_id = p.collection_id and g.plant_id = p.id
      where o.collection_id = :c and o.id = :plantId
        and ((o.seller <> '' and p.seller = o.seller) or :source = any (g.sources))
      order by g.p desc nulls last, p.code limit :limit)
    select n.id as "plantId", g.result as carries, n."sameSeller", n."sameTray"
    from near n left join carriage g on g.collection_id = :c and g.plant_id = n.id
    order by n.p desc nulls last, n.code`;
  return rows(scope, near, sql, { plantId, limit, source: sourceKey(pest, plantId) });
}
