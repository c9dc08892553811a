import { once } from "node:events";
import { createServer, type AddressInfo } from "node:net";
import pg from "pg";
import { inject } from "vitest";
import { startServer } from "../../scripts/lib/startServer";
import { laptop, openBrowser, type Browser, type Size } from "./browser";
import { Page } from "./page";

export interface Application {
  readonly page: Page;
  readonly browser: Browser;
  readonly databaseUrl: string;
  readonly close: () => Promise<void>;
}

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, "127.0.0.1");
  await once(probe, "listening");
  const { port } = probe.address() as AddressInfo;
  probe.close();
  await once(probe, "close");
  return port;
}

async function asAdmin(sql: string): Promise<void> {
  const client = new pg.Client(Object.assign(new URL(inject("databaseUrl")), { pathname: "/postgres" }).href);
  await client.connect();
  await client.query(sql).finally(() => client.end());
}

/** The built application with a demo collection of its own, and a browser in front of it. */
export async function openApplication(size: Size = laptop): Promise<Application> {
  const port = await freePort();
  const template = new URL(inject("databaseUrl")).pathname.slice(1);
  const name = `${template}_${port}`;
  await asAdmin(`create database ${name} template ${template}`);
  const databaseUrl = Object.assign(new URL(inject("databaseUrl")), { pathname: `/${name}` }).href;
  const stopServer = await startServer(port, databaseUrl);
  const browser = await openBrowser(size);
  return {
    page: new Page(browser.driver, `http://127.0.0.1:${port}`),
    browser,
    databaseUrl,
    close: async () => {
      await browser.close();
      await stopServer();
      await asAdmin(`drop database ${name} with (force)`);
    },
  };
}
