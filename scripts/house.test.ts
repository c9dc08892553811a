import { spawnSync } from "node:child_process";
import path from "node:path";
import { expect, it } from "vitest";

it("the house is drawn as its imports are", { timeout: 180_000 }, () => {
  const script = path.resolve(import.meta.dirname, "drawHouse.mjs");
  const { status, stderr } = spawnSync(process.execPath, [script, "--check"], { encoding: "utf8" });
  expect([status, stderr]).toEqual([0, ""]);
});
