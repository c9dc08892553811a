import { Sequelize, type Transaction } from "sequelize";
import { initModels } from "./models";

/** What a store works in: the collection, the transaction, and who writes when. */
export interface Scope {
  readonly sequelize: Sequelize;
  readonly transaction: Transaction | undefined;
  readonly collectionId: string;
  /** IANA name of the zone in which a day of this collection is a day. */
  readonly timeZone: string;
  readonly now: Date;
  /** The name under which facts are written down. */
  readonly actor: string;
}

// One pool for the whole process, but every bundled copy of the model modules must be initialised on it.
const shared = globalThis as typeof globalThis & { waryPools?: Map<string, Sequelize> };
const initialised = new WeakSet<Sequelize>();

/** How long a page waits for a connection before it says that the database does not answer, ms. */
const ACQUIRE_MS = 4000;

/** A connection, and the collection that its session has last been told. */
interface Told {
  readonly query: (sql: string, values: readonly string[]) => Promise<unknown>;
  waryCollection?: string;
}

/** Tells the database's session which collection a statement is about: it shows rows of no other. Once for each that follows. */
async function tellCollection(connection: unknown, options: unknown): Promise<void> {
  const told = connection as Told;
  const collectionId = (options as { collectionId?: string } | undefined)?.collectionId ?? "";
  if ((told.waryCollection ?? "") === collectionId) return;
  await told.query("select set_config('wary.collection', $1, false)", [collectionId]);
  told.waryCollection = collectionId;
}

/** The connection pool for `url`, made once per process. */
export function connect(url: string): Sequelize {
  const pools = (shared.waryPools ??= new Map());
  const sequelize =
    pools.get(url) ??
    new Sequelize(url, {
      dialect: "postgres",
      logging: false,
      pool: { max: 10, acquire: ACQUIRE_MS },
      dialectOptions: { connectionTimeoutMillis: ACQUIRE_MS, keepAlive: true },
    });
  if (!pools.has(url)) sequelize.addHook("afterPoolAcquire", tellCollection);
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
