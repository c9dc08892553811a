import { Sequelize, type Transaction } from "sequelize";
import { driver } from "./driver";
import { initModels } from "./models";

/** What a store works in: the collection, the transaction, and who writes when. */
export interface Scope {
  readonly sequelize: Sequelize;
  readonly transaction: Transaction | undefined;
  readonly collectionId: string;
  /** IANA name of the zone in which a day of this collection is a day. */
  readonly timeZone: string;
  readonly now: Date;
  /** The name under which facts are written down, and the account of whoever does; null for none. */
  readonly actor: string;
  readonly accountId: string | null;
}

// One pool for the whole process, but every bundled copy of the model modules must be initialised on it.
const shared = globalThis as typeof globalThis & { waryPools?: Map<string, Sequelize> };
const initialised = new WeakSet<Sequelize>();

/** How long a page waits for a connection before it says that the database does not answer, ms. */
const ACQUIRE_MS = 4000;

/**
 * What a statement is about, as the database is told it: it shows and takes rows of nothing else. A collection; an account, for what
 * that one has to do with; the address of a calendar; or every collection there is, for those that go through all.
 */
export interface About {
  readonly collectionId?: string;
  readonly accountId?: string | null;
  readonly feed?: string;
  readonly every?: boolean;
}

/** The names of the session's settings, and what each is told. */
export const TELL =
  "select set_config('wary.collection', $1, $5), set_config('wary.account', $2, $5), set_config('wary.feed', $3, $5), set_config('wary.every', $4, $5)";
export function toldOf({ collectionId = "", accountId, feed = "", every = false }: About): readonly string[] {
  return [collectionId, accountId ?? "", feed, every ? "on" : ""];
}

/** A connection, and what its session has last been told. */
interface Told {
  readonly query: (sql: string, values: readonly unknown[]) => Promise<unknown>;
  waryTold?: string;
}

/** Tells the database's session what a statement is about. Once for each that follows. */
async function tell(connection: unknown, options: unknown): Promise<void> {
  const session = connection as Told;
  const told = toldOf((options as { about?: About } | undefined)?.about ?? {});
  const all = told.join(" ");
  if ((session.waryTold ?? "   ") === all) return;
  await session.query(TELL, [...told, false]);
  session.waryTold = all;
}

/** The connection pool for `url`, made once per process. */
export function connect(url: string): Sequelize {
  const pools = (shared.waryPools ??= new Map());
  const sequelize =
    pools.get(url) ??
    new Sequelize(url, {
      dialect: "postgres",
      dialectModule: driver,
      logging: false,
      pool: { max: 10, acquire: ACQUIRE_MS },
      dialectOptions: { connectionTimeoutMillis: ACQUIRE_MS, keepAlive: true },
    });
  if (!pools.has(url)) sequelize.addHook("afterPoolAcquire", tell);
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
