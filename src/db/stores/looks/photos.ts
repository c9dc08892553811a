import { z } from "zod";
import type { Scope } from "../../connection";
import { first } from "../../query";

const picture = z.object({ mediaType: z.string(), bytes: z.instanceof(Buffer) });

/** The picture itself; null where there is none, or it was struck out. */
export function bytesOf(scope: Scope, id: string): Promise<z.output<typeof picture> | null> {
  const of = (table: string) =>
    `select media_type as "mediaType", bytes from ${table} where collection_id = :c and id = :id and voided_at is null`;
  const sql = `${of("photos")} union all ${of("place_photos")}`;
  return first(scope, picture, sql, { id });
}
