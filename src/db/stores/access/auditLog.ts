import { z } from "zod";
import { first, rows, run, type Asks } from "../../query";

const logEntry = z.object({
  id: z.string(),
  at: z.date(),
  who: z.string(),
  what: z.string(),
  about: z.string(),
});
/** Who did what, and when. */
export type LogEntry = z.output<typeof logEntry>;

export interface NewLogEntry extends LogEntry {
  readonly accountId: string | null;
  readonly collectionId: string | null;
}

export function add(asks: Asks, { id, at, accountId, collectionId, who, what, about }: NewLogEntry): Promise<void> {
  return run(
    asks,
    `insert into doings (id, at, account_id, collection_id, who, what, about)
     values (:id, :at, :accountId, cast(:collectionId as uuid), :who, :what, :about)`,
    { id, at, accountId, collectionId, who, what, about },
  );
}

/** What was done lately with a collection, and by its people at the door; the newest first. */
export function lately(asks: Asks, collectionId: string, limit: number): Promise<LogEntry[]> {
  const sql = `select id, at, who, what, about from doings d
    where d.collection_id = :collectionId or (d.collection_id is null and (
      d.account_id in (select account_id from memberships where collection_id = :collectionId)
      -- Wrong guesses are nobody's; whoever owns the installation sees them, as the database lets them.
      or d.account_id is null))
    order by at desc, id desc limit :limit`;
  return rows({ ...asks, collectionId }, logEntry, sql, { collectionId, limit });
}

const bare = z.object({ id: z.string() });

/** The id of what was done with a collection last; null while nothing has been. */
export async function last(asks: Asks, collectionId: string): Promise<string | null> {
  const sql = "select id from doings where collection_id = :collectionId order by at desc, id desc limit 1";
  return (await first({ ...asks, collectionId }, bare, sql, { collectionId }))?.id ?? null;
}
