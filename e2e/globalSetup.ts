import type { TestProject } from "vitest/node";
import { loadDemo } from "../demo/loadDemo";
import { now } from "../src/clock";
import { disconnect } from "../src/db/connection";
import makeDatabase from "../src/db/testing/database";

/** Loads the demo once, into a database that every file of browser tests starts from with a copy of its own. */
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
  await disconnect(url);
  return dropDatabase;
}
