// `npm test`: everything there is to check, from a clean checkout, without a network beyond the packages it installs.
import { bin, checkNode, ensureBrowser, ensureNodePackages, postgresPrograms, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, main, must, run, say, Stop, finish } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";

/** Checks that run nothing, one after the other, beside the build. Those of types come last: they read what the build has written.
 * @type {[what: string, command: [program: string, ...args: string[]]][]} */
const CHECKS = [
  ["Format", ["prettier", "--check", "--log-level", "warn", "."]],
  ["Boundaries", ["depcruise", "src", "demo", "--config", ".dependency-cruiser.cjs", "--output-type", "err"]],
  ["Unused code", ["knip"]],
  ["Lint", ["eslint", "--max-warnings", "0", "."]],
];
/** @type {typeof CHECKS} */
const TYPES = [
  ["Route types", ["next", "typegen"]],
  ["Types", ["tsc", "--noEmit"]],
];

main(async () => {
  checkNode();
  // Names of projects or files after `npm test --` run only those.
  const only = process.argv.slice(2);
  // Debian's packages come while those of Node.js do.
  const given = process.env["DATABASE_URL"];
  await Promise.all([ensureNodePackages(), ensureBrowser().then(() => given ?? postgresPrograms())]);
  if (only.length > 0) await ensureBuild();
  else {
    await Promise.all([ensureBuild(), check(CHECKS)]);
    await check(TYPES);
  }
  const DATABASE_URL = given ?? (await throwawayDatabase());
  const env = { ...process.env, DATABASE_URL, NODE_ENV: "test", FORCE_COLOR: process.env["FORCE_COLOR"] ?? "0" };
  const { code } = await run(bin("vitest"), ["run", ...only], { cwd: root, env, show: true });
  if (code !== 0) throw new Stop("Tests failed.");
  say("Everything passed.");
  await finish(0);
});

/** @param {typeof CHECKS} checks */
async function check(checks) {
  for (const [what, [program, ...args]] of checks) {
    say(`${what} …`);
    await must(`${what}: failed.`, bin(program), args, { cwd: root });
  }
}

async function throwawayDatabase() {
  const database = await startPostgres("test", { throwaway: true });
  atEnd(database.stop);
  return database.url;
}
