import { randomUUID } from "node:crypto";
import pg from "pg";
import { prepareAppRole } from "../appRole";
import { connect, disconnect } from "../connection";

/** A database that nobody else works on, of the newest version and empty, or as empty as one is made. */
export interface OwnDatabase {
  readonly ownerUrl: string;
  readonly appUrl: string;
  readonly drop: () => Promise<void>;
}

async function onServer(url: string, sql: string): Promise<void> {
  const client = new pg.Client(Object.assign(new URL(url), { pathname: "/postgres" }).href);
  await client.connect();
  await client.query(sql).finally(() => client.end());
}

/** Makes a database like the template, with the application's role. */
export async function ownDatabase(templateUrl: string): Promise<OwnDatabase> {
  const name = `wary_own_${randomUUID().replaceAll("-", "")}`;
  await onServer(templateUrl, `create database ${name} template ${new URL(templateUrl).pathname.slice(1)}`);
  const ownerUrl = Object.assign(new URL(templateUrl), { pathname: `/${name}` }).href;
  const appUrl = await prepareAppRole(connect(ownerUrl), ownerUrl);
  return {
    ownerUrl,
    appUrl,
    drop: async () => {
      await disconnect(appUrl);
      await disconnect(ownerUrl);
      await onServer(templateUrl, `drop database ${name} with (force)`);
    },
  };
}
