import { createHmac } from "node:crypto";
import { QueryTypes, Sequelize } from "sequelize";
import { driver } from "./driver";

/**
 * The application's own role in the database: it reads and writes rows, passes no row-level security, and may make a database to
 * restore a backup into. Whoever owns the database
 * makes it; its password follows from theirs, so that none has to be kept.
 */
const ROLE = "wary_app";

/** The address under which the application itself connects. */
function appUrlOf(ownerUrl: string): string {
  const url = new URL(ownerUrl);
  url.password = createHmac("sha256", decodeURIComponent(url.password)).update("application").digest("hex");
  url.username = ROLE;
  return url.href;
}

async function connects(url: string): Promise<boolean> {
  const tried = new Sequelize(url, { dialect: "postgres", dialectModule: driver, logging: false, pool: { max: 1 } });
  return tried
    .authenticate()
    .then(() => true)
    .catch(() => false)
    .finally(() => tried.close());
}

/**
 * Makes the role, with what it needs in this database, and gives the address to connect under. Where whoever owns the database may
 * make no roles it is their own address: then row-level security, which is forced on owners too, holds unless they are superusers.
 */
export async function prepareAppRole(owner: Sequelize, ownerUrl: string): Promise<string> {
  const ask = (sql: string) => owner.query<{ value: unknown }>(sql, { type: QueryTypes.SELECT });
  const [able] = await ask("select rolcreaterole or rolsuper as value from pg_roles where rolname = current_user");
  // From an empty password one would follow that anybody can reckon.
  if (able?.value !== true || new URL(ownerUrl).password === "") return ownerUrl;
  const url = appUrlOf(ownerUrl);
  const password = `'${new URL(url).password}'`;
  const [there] = await ask(`select 1 as value from pg_roles where rolname = '${ROLE}'`);
  // Another process may be making it at this moment.
  if (!there)
    await owner
      .query(`create role ${ROLE} login nosuperuser nobypassrls createdb password ${password}`)
      .catch(() => {});
  const database = owner.getDatabaseName();
  await owner.query(`
    grant connect, create on database "${database}" to ${ROLE};
    grant usage on schema public to ${ROLE};
    grant select, insert, update, delete on all tables in schema public to ${ROLE};
    revoke update, delete on doings from ${ROLE};
    grant usage on all sequences in schema public to ${ROLE};
  `);
  if (!(await connects(url))) {
    await owner.query(`alter role ${ROLE} login nosuperuser nobypassrls createdb password ${password}`);
    if (!(await connects(url))) throw new Error("The application's own role cannot connect to the database.");
  }
  return url;
}
