import { readdir } from "node:fs/promises";
import path from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import { QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { Umzug, type UmzugStorage } from "umzug";

/** What a migration may use: statements, inside the one transaction of all that is to be done. */
interface Statements {
  readonly sequelize: { readonly query: (sql: string) => Promise<unknown> };
}
type Step = (params: { context: Statements }) => Promise<void>;

/** Any number of processes may start at once; the first migrates, the others wait for it. */
const LOCK_KEY = 725_114_010;

/** The note of what has been applied, written in the same transaction as the change itself. */
function noteOf(sequelize: Sequelize, transaction: Transaction): UmzugStorage {
  const run = (sql: string, replacements: Record<string, string> = {}) =>
    sequelize.query(sql, { replacements, transaction });
  return {
    logMigration: async ({ name }) => void (await run("insert into migrations (name) values (:name)", { name })),
    unlogMigration: async ({ name }) => void (await run("delete from migrations where name = :name", { name })),
    executed: async () => {
      await run("create table if not exists migrations (name varchar(255) primary key)");
      const rows = await sequelize.query<{ name: string }>("select name from migrations order by name", {
        type: QueryTypes.SELECT,
        transaction,
      });
      return rows.map(({ name }) => name);
    },
  };
}

/** The migrations in their order; names are stored without suffix so that they may be compiled or not. */
function migrator(sequelize: Sequelize, transaction: Transaction): Umzug<Statements> {
  const folder = path.join(path.dirname(fileURLToPath(import.meta.url)), "migrations");
  return new Umzug<Statements>({
    migrations: {
      glob: ["*.ts", { cwd: folder }],
      resolve: ({ name, path: file, context }) => {
        const load = () => import(pathToFileURL(file!).href) as Promise<{ up: Step; down: Step }>;
        return {
          name: path.parse(name).name,
          up: async () => (await load()).up({ context }),
          down: async () => (await load()).down({ context }),
        };
      },
    },
    context: { sequelize: { query: (sql: string) => sequelize.query(sql, { transaction }) } } satisfies Statements,
    storage: noteOf(sequelize, transaction),
    logger: undefined,
  });
}

/** Lock, changes and note in one transaction: cut off at any moment, the database is as it was or as it is to be. */
async function inTurn<T>(sequelize: Sequelize, work: (transaction: Transaction) => Promise<T>): Promise<T> {
  return sequelize.transaction(async (transaction) => {
    await sequelize.query("select pg_advisory_xact_lock(:key)", { replacements: { key: LOCK_KEY }, transaction });
    // A migration changes the rows of every collection, whoever owns the tables.
    const forced = await sequelize.query<{ name: string }>(
      "select oid::regclass::text as name from pg_class where relforcerowsecurity and relkind = 'r'",
      { type: QueryTypes.SELECT, transaction },
    );
    const each = async (force: string) => {
      for (const { name } of forced)
        await sequelize.query(`alter table if exists ${name} ${force} row level security`, { transaction });
    };
    await each("no force");
    const done = await work(transaction);
    await each("force");
    return done;
  });
}

/** The names of all migrations there are, in their order. */
async function names(): Promise<string[]> {
  const files = await readdir(path.join(path.dirname(fileURLToPath(import.meta.url)), "migrations"));
  return files
    .filter((file) => file.endsWith(".ts"))
    .map((file) => path.parse(file).name)
    .toSorted();
}

/** Whether every migration has been applied. Nothing is locked for the asking. */
async function isNewest(sequelize: Sequelize): Promise<boolean> {
  const select = { type: QueryTypes.SELECT } as const;
  const [there] = await sequelize.query<{ found: boolean }>(
    "select to_regclass('migrations') is not null as found",
    select,
  );
  if (!there?.found) return false;
  const applied = await sequelize.query<{ name: string }>("select name from migrations", select);
  const known = new Set(applied.map(({ name }) => name));
  return (await names()).every((name) => known.has(name));
}

/** Brings the database to the newest version and tells the names of the migrations it applied. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  if (await isNewest(sequelize)) return [];
  return inTurn(sequelize, async (transaction) => {
    const applied = await migrator(sequelize, transaction).up();
    return applied.map(({ name }) => name);
  });
}

/** Takes the database back to before every migration. */
export function migrateDown(sequelize: Sequelize): Promise<string[]> {
  return inTurn(sequelize, async (transaction) => {
    const reverted = await migrator(sequelize, transaction).down({ to: 0 });
    return reverted.map(({ name }) => name);
  });
}
