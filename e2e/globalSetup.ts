import pg from "pg";
import type { TestProject } from "vitest/node";
import { loadDemo } from "../demo/loadDemo";
import { now } from "../src/clock";
import { disconnect } from "../src/db/connection";
import makeDatabase from "../src/db/testing/database";
import { contextOf, openCollections } from "../src/operations/shared/context";
import { deriveStale } from "../src/operations/plants/commands/deriveStale";
import { judgeStale } from "../src/operations/cases/commands/judgeStale";
import { reckonCarriage } from "../src/operations/plants/commands/reckonCarriage";
import { takeSnapshot } from "./support/snapshot";
import { openSlot, type Slot } from "./support/slots";

/** So many stories run side by side: one for each core of a small machine. */
const SLOTS = 2;

declare module "vitest" {
  interface ProvidedContext {
    slots: readonly Slot[];
  }
}

/**
 * Loads the demo once and lets everything that follows from it be reckoned; then opens the application and a browser before it for
 * each story that runs at once. A story begins with the demo as it was then; nothing of the one before is left.
 */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  let url = "";
  const dropDatabase = await makeDatabase({
    provide: (name: "databaseUrl" | "appUrl", value: string) => {
      if (name === "databaseUrl") url = value;
      project.provide(name, value);
    },
  } as TestProject);
  // Whatever else runs on this machine, the demo's device is one that does not answer: nothing comes in beside the tests.
  process.env["AIR_PORT"] = "9";
  await loadDemo(url, now());
  for (const collection of await openCollections(url)) {
    const context = contextOf(url, collection, { actor: "jobs", role: "owner", now: now() });
    for (const work of [deriveStale, judgeStale, reckonCarriage]) await work(context);
  }
  await disconnect(url);
  await withClient(url, takeSnapshot);
  const slots: Awaited<ReturnType<typeof openSlot>>[] = [];
  for (let n = 1; n <= SLOTS; n++) slots.push(await openSlot(url, n));
  project.provide(
    "slots",
    slots.map(({ slot }) => slot),
  );
  return async () => {
    for (const { close } of slots) await close();
    await dropDatabase();
  };
}

async function withClient(url: string, work: (client: pg.Client) => Promise<void>): Promise<void> {
  const client = new pg.Client(url);
  await client.connect();
  await work(client).finally(() => client.end());
}
