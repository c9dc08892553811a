import { spawn } from "node:child_process";
import { once } from "node:events";
import { createServer, type AddressInfo } from "node:net";
import { createInterface } from "node:readline";
import pg from "pg";
import { inject } from "vitest";
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
  const server = spawn(process.execPath, ["scripts/serve.mjs"], {
    env: { ...process.env, PORT: String(port), DATABASE_URL: databaseUrl, NODE_ENV: "production" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  // Waiting ends when it says that it is ready, or when it has exited.
  for await (const line of createInterface({ input: server.stdout })) if (line === "ready") break;
  if (server.exitCode !== null) throw new Error("the application did not start; build it first");
  const browser = await openBrowser(size);
  return {
    page: new Page(browser.driver, `http://127.0.0.1:${port}`),
    browser,
    databaseUrl,
    close: async () => {
      await browser.close();
      const gone = once(server, "exit");
      server.kill("SIGTERM");
      await gone;
      await asAdmin(`drop database ${name} with (force)`);
    },
  };
}
