// Bundles the `wary` command into one file, so that it starts at once.
import { existsSync, readdirSync, renameSync, statSync } from "node:fs";
import path from "node:path";
import { root } from "./packages.mjs";

const SOURCES = ["src/core", "src/cli", "package-lock.json"];
export const bundle = path.join(root, "dist/wary.mjs");

/** When a file, or anything in a folder, was last changed; a folder itself is when something in it is gone. @param {string} file @returns {number} */
function changedAt(file) {
  const stat = statSync(file);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return readdirSync(file).reduce((last, name) => Math.max(last, changedAt(path.join(file, name))), stat.mtimeMs);
}

/** Bundles the command if the bundle is missing or older than its sources. */
export async function ensureCommand() {
  const sources = SOURCES.map((source) => changedAt(path.join(root, source)));
  if (existsSync(bundle) && statSync(bundle).mtimeMs > Math.max(...sources)) return;
  const { build } = await import("esbuild");
  // Written beside it and put in its place whole: another process may be reading it.
  const fresh = `${bundle}.${process.pid}`;
  await build({
    entryPoints: [path.join(root, "src/cli/wary.ts")],
    tsconfig: path.join(root, "tsconfig.json"),
    outfile: fresh,
    bundle: true,
    minify: true,
    platform: "node",
    format: "esm",
    target: "node20",
    logLevel: "error",
  });
  renameSync(fresh, bundle);
}
