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
    /** A database of the newest version with nothing in it, to which nobody is connected: others are made like it. */
    templateUrl: string;
  }
}

/** Makes databases for this run on the server that DATABASE_URL names, and drops them afterwards: a template, and one like it. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const server = process.env["DATABASE_URL"];
  if (!server)
    throw new Error("DATABASE_URL must name a PostgreSQL server whose user may create databases; `npm test` sets it.");
  const name = `wary_test_${randomUUID().replaceAll("-", "")}`;
  const template = `${name}_new`;
  const asAdmin = async (sql: string) => {
    const client = new pg.Client(server);
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  const urlOf = (database: string) => Object.assign(new URL(server), { pathname: `/${database}` }).href;
  await asAdmin(`create database ${template}`);
  await migrate(connect(urlOf(template)));
  await disconnect(urlOf(template));
  await asAdmin(`create database ${name} template ${template}`);
  project.provide("templateUrl", urlOf(template));
  project.provide("databaseUrl", urlOf(name));
  project.provide("appUrl", await prepareAppRole(connect(urlOf(name)), urlOf(name)));
  await disconnect(urlOf(name));
  return async () => {
    for (const one of [name, template]) await asAdmin(`drop database ${one} with (force)`);
  };
}
