import { spawn } from "node:child_process";
import { once } from "node:events";
import { createInterface } from "node:readline";
import { createServer } from "node:net";
import type { AddressInfo } from "node:net";
import type { TestProject } from "vitest/node";
import { loadDemo } from "../demo/loadDemo";
import { now } from "../src/clock";
import { connect, disconnect } from "../src/db/connection";
import { migrate } from "../src/db/migrate";
import makeDatabase from "../src/db/testing/database";

declare module "vitest" {
  interface ProvidedContext {
    baseUrl: string;
  }
}

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, "127.0.0.1");
  await once(probe, "listening");
  const { port } = probe.address() as AddressInfo;
  probe.close();
  await once(probe, "close");
  return port;
}

/** Serves the built application with the demo collection from a database of its own. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  let url = "";
  const dropDatabase = await makeDatabase({
    provide: (_name: string, value: string) => (url = value),
  } as unknown as TestProject);
  const sequelize = connect(url);
  await migrate(sequelize);
  await loadDemo(sequelize, now());
  await disconnect(url);

  const port = await freePort();
  const server = spawn(process.execPath, ["scripts/serve.mjs"], {
    env: { ...process.env, PORT: String(port), DATABASE_URL: url, NODE_ENV: "production" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  // Waiting ends when it says that it is ready, or when it has exited.
  for await (const line of createInterface({ input: server.stdout })) if (line === "ready") break;
  if (server.exitCode !== null) throw new Error("the application did not start; build it first");
  project.provide("baseUrl", `http://127.0.0.1:${port}`);
  project.provide("databaseUrl", url);
  return async () => {
    const gone = once(server, "exit");
    server.kill("SIGTERM");
    await gone;
    await dropDatabase();
  };
}
