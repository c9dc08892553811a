import { QueryTypes } from "sequelize";
import type { Scope } from "./connection";
import { model, type ModelName } from "./models";

/** Rows of a query written by hand. `:c` is the collection and `:tz` its time zone; the rest are named replacements. */
export async function rows<T extends object>(
  scope: Scope,
  sql: string,
  replacements: Record<string, unknown> = {},
): Promise<T[]> {
  return scope.sequelize.query<T>(sql, {
    type: QueryTypes.SELECT,
    replacements: { c: scope.collectionId, tz: scope.timeZone, ...replacements },
    transaction: scope.transaction,
  });
}

/** Adds one row; the collection is filled in. */
export async function insert(scope: Scope, name: ModelName, values: Record<string, unknown>): Promise<void> {
  await insertAll(scope, name, [values]);
}

/** Adds rows in one statement; the collection is filled in. No rows, no statement. */
export async function insertAll(scope: Scope, name: ModelName, values: Record<string, unknown>[]): Promise<void> {
  if (values.length === 0) return;
  await model(scope.sequelize, name).bulkCreate(
    values.map((row) => ({ collectionId: scope.collectionId, ...row })),
    { transaction: scope.transaction },
  );
}

/** Changes the row with this id; throws when it is not there, since callers have looked it up. */
export async function update(
  scope: Scope,
  name: ModelName,
  id: string,
  values: Record<string, unknown>,
): Promise<void> {
  const where = { collectionId: scope.collectionId, id };
  const [count] = await model(scope.sequelize, name).update(values, { where, transaction: scope.transaction });
  if (count !== 1) throw new Error(`${name} ${id} is not in collection ${scope.collectionId}`);
}

/** SQL for the day of an instant in the collection's zone, `YYYY-MM-DD`. */
export const dayOf = (column: string) => `(${column} at time zone :tz)::date::text`;
