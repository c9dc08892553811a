import { randomUUID } from "node:crypto";
import pg from "pg";
import type { TestProject } from "vitest/node";
import { prepareAppRole } from "../appRole";
import { connect, disconnect } from "../connection";
import { migrate } from "../migrate";

declare module "vitest" {
  interface ProvidedContext {
    /** For whoever looks behind the application. */
    databaseUrl: string;
    /** For the application itself. */
    appUrl: string;
  }
}

/** Makes a database for this run on the server that DATABASE_URL names, and drops it afterwards. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const server = process.env["DATABASE_URL"];
  if (!server)
    throw new Error("DATABASE_URL must name a PostgreSQL server whose user may create databases; `npm test` sets it.");
  const name = `wary_test_${randomUUID().replaceAll("-", "")}`;
  const asAdmin = async (sql: string) => {
    const client = new pg.Client(server);
    await client.connect();
    await client.query(sql);
    await client.end();
  };
  await asAdmin(`create database ${name}`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  project.provide("databaseUrl", url.href);
  const owner = connect(url.href);
  await migrate(owner);
  project.provide("appUrl", await prepareAppRole(owner, url.href));
  await disconnect(url.href);
  return () => asAdmin(`drop database ${name} with (force)`);
}
