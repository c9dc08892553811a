import getPort from "get-port";
import pg from "pg";
import { inject } from "vitest";
import { prepareAppRole } from "../../src/db/appRole";
import { connect, disconnect } from "../../src/db/connection";
import { contextOf, openCollections, type Context } from "../../src/operations/context";
import { startServer } from "../../scripts/lib/startServer";
import { laptop, openBrowser, type Browser, type Size } from "./browser";
import { Page } from "./page";

export interface Application {
  readonly page: Page;
  readonly browser: Browser;
  /** For whoever looks behind the application, and for the application itself. */
  readonly databaseUrl: string;
  readonly appUrl: string;
  /** The demo, to write something down in it beside the browser. */
  readonly context: () => Promise<Context>;
  readonly close: () => Promise<void>;
}

async function asAdmin(sql: string): Promise<void> {
  const client = new pg.Client(Object.assign(new URL(inject("databaseUrl")), { pathname: "/postgres" }).href);
  await client.connect();
  await client.query(sql).finally(() => client.end());
}

/** The built application with a demo collection of its own, and a browser in front of it. `env` goes to its processes. */
export async function openApplication(
  size: Size = laptop,
  env: Readonly<Record<string, string>> = {},
): Promise<Application> {
  const port = await getPort({ host: "127.0.0.1" });
  const template = new URL(inject("databaseUrl")).pathname.slice(1);
  const name = `${template}_${port}`;
  await asAdmin(`create database ${name} template ${template}`);
  const databaseUrl = Object.assign(new URL(inject("databaseUrl")), { pathname: `/${name}` }).href;
  const appUrl = await prepareAppRole(connect(databaseUrl), databaseUrl);
  const stopServer = await startServer(port, appUrl, env);
  const browser = await openBrowser(size);
  return {
    page: new Page(browser.driver, `http://127.0.0.1:${port}`),
    browser,
    databaseUrl,
    appUrl,
    context: async () => {
      const demo = (await openCollections(databaseUrl)).find(({ isDemo }) => isDemo)!;
      return contextOf(databaseUrl, demo, { actor: "test", role: "owner", now: new Date() });
    },
    close: async () => {
      await disconnect(databaseUrl);
      await browser.close();
      await stopServer();
      await asAdmin(`drop database ${name} with (force)`);
    },
  };
}
