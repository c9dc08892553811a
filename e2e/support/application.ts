import getPort from "get-port";
import pg from "pg";
import { inject } from "vitest";
import { disconnect } from "../../src/db/connection";
import { contextOf, openCollections, type Context } from "../../src/operations/shared/context";
import { startServer } from "../../scripts/lib/startServer";
import { browserOf, forgetAll, keepPages, laptop, openBrowser, type Browser, type Size } from "./browser";
import { Page } from "./page";
import { asAdmin, copyDatabase, driverOf } from "./slots";
import { putBack } from "./snapshot";

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

async function demoOf(databaseUrl: string): Promise<Context> {
  const demo = (await openCollections(databaseUrl)).find(({ isDemo }) => isDemo)!;
  return contextOf(databaseUrl, demo, { actor: "test", role: "owner", now: new Date() });
}

/**
 * The built application with the demo as it is in the beginning, and a browser in front of it that has never been there. One that opens
 * pages without a connection (`keepsPages`) is slower: it fetches them all.
 */
export async function openApplication(size: Size = laptop, { keepsPages = false } = {}): Promise<Application> {
  const slots = inject("slots");
  const slot = slots[(Number(process.env["VITEST_POOL_ID"] ?? 1) - 1) % slots.length]!;
  const { databaseUrl, appUrl, port } = slot;
  const base = `http://127.0.0.1:${port}`;
  const driver = driverOf(slot);
  await forgetAll(driver, base);
  if (keepsPages) await keepPages(driver, base);
  const client = new pg.Client(databaseUrl);
  await client.connect();
  // The clock counts up, whichever worker asks.
  await putBack(client, Math.floor(Date.now() / 1000) % 1_000_000).finally(() => client.end());
  const browser = browserOf(driver);
  await browser.resize(size);
  return {
    page: new Page(driver, base),
    browser,
    databaseUrl,
    appUrl,
    context: () => demoOf(databaseUrl),
    close: () => disconnect(databaseUrl),
  };
}

/** As {@link openApplication}, with a process and a browser of its own: `env` goes to the process. */
export async function openApplicationWith(
  env: Readonly<Record<string, string>>,
  size: Size = laptop,
): Promise<Application> {
  const template = inject("databaseUrl");
  const port = await getPort({ host: "127.0.0.1" });
  const name = `${new URL(template).pathname.slice(1)}_own_${port}`;
  const { databaseUrl, appUrl } = await copyDatabase(template, name);
  const stopServer = await startServer(port, appUrl, env);
  const browser = await openBrowser(size);
  return {
    page: new Page(browser.driver, `http://127.0.0.1:${port}`),
    browser,
    databaseUrl,
    appUrl,
    context: () => demoOf(databaseUrl),
    close: async () => {
      await disconnect(databaseUrl);
      await browser.close();
      await stopServer();
      await asAdmin(template, `drop database ${name} with (force)`);
    },
  };
}
