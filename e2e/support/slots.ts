import getPort from "get-port";
import pg from "pg";
import { Session, type Capabilities } from "selenium-webdriver";
import { Driver, ServiceBuilder } from "selenium-webdriver/chrome";
import { Executor, HttpClient } from "selenium-webdriver/http";
import { prepareAppRole } from "../../src/db/appRole";
import { connect, disconnect } from "../../src/db/connection";
import { startServer } from "../../scripts/lib/startServer";
import { newSession } from "./browser";

/** An application on a database of its own and a browser, for one story after the other. Plain data, as it is handed to workers. */
export interface Slot {
  readonly number: number;
  readonly databaseUrl: string;
  readonly appUrl: string;
  readonly port: number;
  /** Where the browser's driver listens, and its session there. */
  readonly driverUrl: string;
  readonly sessionId: string;
}

/** Carries out a statement on the server of a database, beside all of its databases. */
export async function asAdmin(databaseUrl: string, sql: string): Promise<void> {
  const client = new pg.Client(Object.assign(new URL(databaseUrl), { pathname: "/postgres" }).href);
  await client.connect();
  await client.query(sql).finally(() => client.end());
}

/** A copy of a database that nobody is connected to, ready for the application. */
export async function copyDatabase(url: string, name: string): Promise<{ databaseUrl: string; appUrl: string }> {
  await asAdmin(url, `create database ${name} template ${new URL(url).pathname.slice(1)}`);
  const databaseUrl = Object.assign(new URL(url), { pathname: `/${name}` }).href;
  const appUrl = await prepareAppRole(connect(databaseUrl), databaseUrl);
  await disconnect(databaseUrl);
  return { databaseUrl, appUrl };
}

/** Opens an application and a browser; `close` ends both. `template` is a database that nobody is connected to. */
export async function openSlot(
  template: string,
  number: number,
): Promise<{ readonly slot: Slot; readonly close: () => Promise<void> }> {
  const name = `${new URL(template).pathname.slice(1)}_${number}`;
  const port = await getPort({ host: "127.0.0.1" });
  const urls = await copyDatabase(template, name);
  const stopServer = await startServer(port, urls.appUrl);
  const service = new ServiceBuilder("/usr/bin/chromedriver").build();
  const driverUrl = await service.start();
  const session = await newSession(driverUrl);
  const sessionId = (await session.driver.getSession()).getId();
  return {
    slot: { number, ...urls, port, driverUrl, sessionId },
    close: async () => {
      await session.close();
      await service.kill();
      await stopServer();
      await asAdmin(template, `drop database ${name} with (force)`);
    },
  };
}

/** The browser of a slot, to be driven from here. */
export function driverOf({ driverUrl, sessionId }: Slot): Driver {
  const executor = new Executor(new HttpClient(driverUrl));
  (executor as unknown as { w3c: boolean }).w3c = true;
  executor.defineCommand("sendDevToolsCommand", "POST", "/session/:sessionId/chromium/send_command");
  executor.defineCommand(
    "sendAndGetDevToolsCommand",
    "POST",
    "/session/:sessionId/chromium/send_command_and_get_result",
  );
  executor.defineCommand("setNetworkConditions", "POST", "/session/:sessionId/chromium/network_conditions");
  return new Driver(new Session(sessionId, {} as Capabilities), executor);
}
