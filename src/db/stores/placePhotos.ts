import { z } from "zod";
import type { Scope } from "../connection";
import { rows } from "../query";

const newestOf = z.object({ placeId: z.string(), id: z.string() });

/** The newest photo of each place that has one. */
export function newest(scope: Scope): Promise<z.output<typeof newestOf>[]> {
  const sql = `select distinct on (place_id) place_id as "placeId", id from place_photos
    where collection_id = :c and voided_at is null order by place_id, happened_at desc, recorded_at desc`;
  return rows(scope, newestOf, sql);
}
