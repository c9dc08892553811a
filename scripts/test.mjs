// `npm test`: everything there is to check, from a clean checkout, without a network beyond the packages it installs.
import { bin, checkNode, ensureBrowser, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, main, must, run, say, Stop, finish } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";

/** @type {[what: string, command: [program: string, ...args: string[]]][]} */
const CHECKS = [
  ["Format", ["prettier", "--check", "--log-level", "warn", "."]],
  ["Lint", ["eslint", "--max-warnings", "0", "."]],
  ["Boundaries", ["depcruise", "src", "demo", "--config", ".dependency-cruiser.cjs", "--output-type", "err"]],
  ["Unused code", ["knip"]],
  ["Route types", ["next", "typegen"]],
  ["Types", ["tsc", "--noEmit"]],
];

main(async () => {
  checkNode();
  await ensureNodePackages();
  await ensureBrowser();
  for (const [what, [program, ...args]] of CHECKS) {
    say(`${what} …`);
    await must(`${what}: failed.`, bin(program), args, { cwd: root });
  }
  await ensureBuild();
  const DATABASE_URL = process.env["DATABASE_URL"] ?? (await throwawayDatabase());
  const env = { ...process.env, DATABASE_URL, NODE_ENV: "test", FORCE_COLOR: process.env["FORCE_COLOR"] ?? "0" };
  // Names of projects or files after `npm test --` run only those.
  const { code } = await run(bin("vitest"), ["run", ...process.argv.slice(2)], { cwd: root, env, show: true });
  if (code !== 0) throw new Stop("Tests failed.");
  say("Everything passed.");
  await finish(0);
});

async function throwawayDatabase() {
  const database = await startPostgres("test", { throwaway: true });
  atEnd(database.stop);
  return database.url;
}
