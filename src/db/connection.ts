import { Sequelize, type Transaction } from "sequelize";
import { initModels } from "./models";

/** The collection and the transaction a store works in. */
export interface Scope {
  readonly sequelize: Sequelize;
  readonly transaction: Transaction | undefined;
  readonly collectionId: string;
  /** IANA name of the zone in which a day of this collection is a day. */
  readonly timeZone: string;
}

// One pool for the whole process, but every bundled copy of the model modules must be initialised on it.
const shared = globalThis as typeof globalThis & { waryPools?: Map<string, Sequelize> };
const initialised = new WeakSet<Sequelize>();

/** The connection pool for `url`, made once per process. */
export function connect(url: string): Sequelize {
  const pools = (shared.waryPools ??= new Map());
  const sequelize = pools.get(url) ?? new Sequelize(url, { dialect: "postgres", logging: false, pool: { max: 10 } });
  pools.set(url, sequelize);
  if (!initialised.has(sequelize)) {
    initModels(sequelize);
    initialised.add(sequelize);
  }
  return sequelize;
}

/** Closes the pool for `url` and forgets it. */
export async function disconnect(url: string): Promise<void> {
  await shared.waryPools?.get(url)?.close();
  shared.waryPools?.delete(url);
}
