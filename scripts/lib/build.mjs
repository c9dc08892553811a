// Builds the application when what it is built from has changed.
import { createHash } from "node:crypto";
import { existsSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { bin, root } from "./packages.mjs";
import { must, say } from "./process.mjs";

const SOURCES = ["src", "demo", "public", "next.config.ts", "tsconfig.json", "package-lock.json"];
const TESTS = /\.test\.tsx?$/;

/** @param {string} file @returns {string[]} */
function filesUnder(file) {
  if (!existsSync(file)) return [];
  if (!statSync(file).isDirectory()) return TESTS.test(file) ? [] : [file];
  return readdirSync(file)
    .sort()
    .flatMap((name) => filesUnder(path.join(file, name)));
}

function fingerprint() {
  const hash = createHash("sha256").update(process.version);
  for (const file of SOURCES.flatMap((source) => filesUnder(path.join(root, source)))) {
    hash.update(path.relative(root, file)).update("\0").update(readFileSync(file)).update("\0");
  }
  return hash.digest("hex");
}

/** Builds if the build is missing, unfinished or older than its sources. */
export async function ensureBuild() {
  const stamp = path.join(root, ".next/built-from");
  const wanted = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  say("Building …");
  // Types of deleted routes in an old build would fail the new one.
  rmSync(path.join(root, ".next"), { recursive: true, force: true });
  const env = { ...process.env, NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1", BUILT_FROM: wanted };
  await must("The application could not be built.", bin("next"), ["build"], { cwd: root, env });
  writeFileSync(stamp, wanted);
}
