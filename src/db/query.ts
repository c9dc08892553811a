import { QueryTypes, type Transaction } from "sequelize";
import type { z } from "zod";
import { TELL, toldOf, type About, type Scope } from "./connection";
import { model } from "./models";
import { patiently } from "./patience";

/** Where a statement is carried out, and what it is about. */
export type Asks = Pick<Scope, "sequelize" | "transaction"> & About;

/** What a transaction has been told. */
const toldIn = new WeakMap<Transaction, string>();

/**
 * What a statement is carried out with. Outside a transaction the connection is told what it is about as it is taken; a transaction
 * has its own, and is told here, for as long as it goes on.
 */
async function how({ sequelize, transaction, collectionId, accountId, feed, every }: Asks) {
  const about: About = { collectionId, accountId, feed, every };
  const told = toldOf(about);
  const all = told.join(" ");
  if (transaction && (toldIn.get(transaction) ?? "   ") !== all) {
    await sequelize.query(TELL, { bind: [...told, true], transaction });
    toldIn.set(transaction, all);
  }
  return { transaction, about };
}

/** Carries a statement out: within a transaction as long as that takes, else as long as whoever asks waits. */
function carriedOut<T>({ transaction }: Pick<Asks, "transaction">, statement: () => Promise<T>): Promise<T> {
  return transaction ? statement() : patiently(statement());
}

/**
 * Rows of a query written by hand, read through the shape that stands beside it: what the database gives is checked like
 * everything else that comes from outside. `:c` is the collection; the rest are named replacements.
 */
export async function rows<S extends z.ZodType>(
  scope: Asks,
  shape: S,
  sql: string,
  replacements: Record<string, unknown> = {},
): Promise<z.output<S>[]> {
  const by = await how(scope);
  const found = await carriedOut(scope, () =>
    scope.sequelize.query<object>(sql, {
      type: QueryTypes.SELECT,
      replacements: { c: scope.collectionId ?? null, ...replacements },
      ...by,
    }),
  );
  return found.map((row) => shape.parse(row));
}

/**
 * The same for thousands of rows, in the order of the query: they travel as one text, which is read many times faster than as many
 * rows. Dates and numbers come as JSON has them.
 */
export async function manyRows<S extends z.ZodType>(
  scope: Asks,
  shape: S,
  sql: string,
  replacements: Record<string, unknown> = {},
): Promise<z.output<S>[]> {
  const by = await how(scope);
  const found = await carriedOut(scope, () =>
    scope.sequelize.query<{ all: string | null }>(`select json_agg(one)::text as "all" from (${sql}) one`, {
      type: QueryTypes.SELECT,
      replacements: { c: scope.collectionId ?? null, ...replacements },
      ...by,
    }),
  );
  return (JSON.parse(found[0]?.all ?? "[]") as unknown[]).map((row) => shape.parse(row));
}

/** The first row of a query, or null when there is none. */
export async function first<S extends z.ZodType>(
  scope: Asks,
  shape: S,
  sql: string,
  replacements: Record<string, unknown> = {},
): Promise<z.output<S> | null> {
  return (await rows(scope, shape, sql, replacements))[0] ?? null;
}

/** Whether a query gives any row. */
export async function any(scope: Asks, sql: string, replacements: Record<string, unknown> = {}): Promise<boolean> {
  const by = await how(scope);
  const found = await carriedOut(scope, () =>
    scope.sequelize.query(`select exists (${sql}) as found`, {
      type: QueryTypes.SELECT,
      replacements: { c: scope.collectionId ?? null, ...replacements },
      ...by,
    }),
  );
  return (found[0] as { found: boolean }).found;
}

/** Carries out a statement written by hand. */
export async function run(scope: Asks, sql: string, replacements: Record<string, unknown> = {}): Promise<void> {
  const by = await how(scope);
  await carriedOut(scope, () =>
    scope.sequelize.query(sql, { replacements: { c: scope.collectionId ?? null, ...replacements }, ...by }),
  );
}

/** Ids as PostgreSQL writes an array, for `= any (cast(:ids as uuid[]))`: a list of thousands is one value. */
export function idList(ids: readonly string[]): string {
  return `{${ids.join(",")}}`;
}

/** Adds rows in one statement; the collection is filled in. No rows, no statement. */
export async function insert(scope: Scope, table: string, values: readonly Record<string, unknown>[]): Promise<void> {
  if (values.length === 0) return;
  await model(scope.sequelize, table).bulkCreate(
    values.map((row) => ({ collectionId: scope.collectionId, ...row })),
    await how(scope),
  );
}

/** Adds one row that names its collection itself. */
export async function insertRow(asks: Asks, table: string, values: Record<string, unknown>): Promise<void> {
  await model(asks.sequelize, table).create(values, { ...(await how(asks)), returning: false });
}

/** Changes a row that is there. */
export async function changeRow(
  asks: Asks,
  table: string,
  where: Record<string, unknown>,
  values: Record<string, unknown>,
): Promise<void> {
  await model(asks.sequelize, table).update(values, { where, ...(await how(asks)) });
}

/** Changes the row with this id; throws when it is not there, since callers have looked it up. */
export async function update(scope: Scope, table: string, id: string, values: Record<string, unknown>): Promise<void> {
  const where = { collectionId: scope.collectionId, id };
  const [count] = await model(scope.sequelize, table).update(values, { where, ...(await how(scope)) });
  if (count !== 1) throw new Error(`${table} ${id} is not in collection ${scope.collectionId}`);
}

/**
 * What several reads give, in their order. They go at once, each on a connection of its own; in a transaction, which has one
 * connection, one after the other.
 */
export async function inParallel<T extends readonly (() => Promise<unknown>)[]>(
  { transaction }: Pick<Scope, "transaction">,
  ...reads: T
): Promise<{ -readonly [K in keyof T]: Awaited<ReturnType<T[K]>> }> {
  const results: unknown[] = [];
  if (transaction) for (const read of reads) results.push(await read());
  else results.push(...(await Promise.all(reads.map((read) => read()))));
  return results as { -readonly [K in keyof T]: Awaited<ReturnType<T[K]>> };
}
