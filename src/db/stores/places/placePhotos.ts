import { z } from "zod";
import type { Scope } from "../../connection";
import { rows } from "../../query";

const newestOf = z.object({ placeId: z.string(), id: z.string() });

/** The newest photo of each place as it stood, where there is one; photos of its cards are none. */
export function newest(scope: Scope): Promise<z.output<typeof newestOf>[]> {
  const sql = `select distinct on (place_id) place_id as "placeId", id from place_photos
    where collection_id = :c and voided_at is null and count_id is null order by place_id, happened_at desc, recorded_at desc`;
  return rows(scope, newestOf, sql);
}

const ofCount = z.object({ id: z.string(), at: z.date(), count: z.number() });
const MOST_SHOWN = 12;

/** The newest photos of cards on which something was counted at a place, with the count; none of counts that were struck out. */
export function ofCounts(scope: Scope, placeId: string): Promise<z.output<typeof ofCount>[]> {
  const sql = `select p.id, c.happened_at as "at", c.count from place_photos p
    join trap_counts c on c.id = p.count_id and c.collection_id = p.collection_id
    where p.collection_id = :c and p.place_id = :placeId and p.voided_at is null and c.voided_at is null
    order by c.happened_at desc, p.recorded_at, p.id limit ${MOST_SHOWN}`;
  return rows(scope, ofCount, sql, { placeId });
}
