import type { Sequelize } from "sequelize";
import { z } from "zod";
import type { Scope } from "../../connection";
import { first, insert, rows, run } from "../../query";

const kept = z.object({ id: z.string(), name: z.string(), madeAt: z.date(), fetchedAt: z.date().nullable() });
/** A private address of the calendar, without what it is recognised by. */
export type Feed = z.output<typeof kept>;

export function all(scope: Scope): Promise<Feed[]> {
  const sql = `select id, name, made_at as "madeAt", fetched_at as "fetchedAt" from feeds where collection_id = :c
    order by made_at, id`;
  return rows(scope, kept, sql);
}

export function add(scope: Scope, feed: { id: string; name: string; tokenHash: string }): Promise<void> {
  return insert(scope, "feeds", [{ ...feed, madeAt: scope.now, madeBy: scope.actor }]);
}

export function drop(scope: Scope, id: string): Promise<void> {
  return run(scope, "delete from feeds where collection_id = :c and id = :id", { id });
}

/** The collection that an address opens, which is not known before; null where none does. Notes when it was fetched. */
export async function collectionOf(sequelize: Sequelize, tokenHash: string, now: Date): Promise<string | null> {
  const sql = "update feeds set fetched_at = :now where token_hash = :tokenHash returning collection_id as id";
  const asks = { sequelize, transaction: undefined, feed: tokenHash };
  return (await first(asks, z.object({ id: z.string() }), sql, { tokenHash, now }))?.id ?? null;
}
