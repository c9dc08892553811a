import path from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import type { QueryInterface, Sequelize } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";

type Step = (params: { context: QueryInterface }) => Promise<void>;

/** Any number of processes may start at once; the first migrates, the others wait for it. */
const LOCK_KEY = 725_114_010;

/** The migrations in their order; names are stored without suffix so that they may be compiled or not. */
export function migrator(sequelize: Sequelize): Umzug<QueryInterface> {
  const folder = path.join(path.dirname(fileURLToPath(import.meta.url)), "migrations");
  return new Umzug({
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
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: "migrations" }),
    logger: undefined,
  });
}

/** Brings the database to the newest version and tells the names of the migrations it applied. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  return sequelize.transaction(async (transaction) => {
    await sequelize.query("select pg_advisory_xact_lock(:key)", { replacements: { key: LOCK_KEY }, transaction });
    const applied = await migrator(sequelize).up();
    return applied.map((migration) => migration.name);
  });
}
