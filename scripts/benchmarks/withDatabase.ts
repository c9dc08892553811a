import pg from "pg";
import { prepareAppRole } from "../../src/db/appRole";
import { connect, disconnect } from "../../src/db/connection";
import { migrate } from "../../src/db/migrate";
import { databaseUrl } from "../../src/env";

/** A database of its own on the server, dropped again afterwards: its owner's address, and the application's own. */
export async function withDatabase(name: string, work: (url: string, appUrl: string) => Promise<void>): Promise<void> {
  const server = databaseUrl();
  const admin = async (sql: string) => {
    const client = new pg.Client(server);
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  await admin(`drop database if exists ${name} with (force)`);
  await admin(`create database ${name}`);
  const url = Object.assign(new URL(server), { pathname: `/${name}` }).href;
  try {
    await migrate(connect(url));
    await work(url, await prepareAppRole(connect(url), url));
  } finally {
    await disconnect(url);
    await admin(`drop database ${name} with (force)`);
  }
}
