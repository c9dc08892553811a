// `npm run bench`: prints how fast it is here; `npm run bench -- pages walk` that of some. Nothing of the keeper's is touched: databases are its own and go again.
import { bin, checkNode, ensureBrowser, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, finish, main, run, Stop } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";

/** What is measured, in this order, and how it is run. A model against animals played one by one goes as often as it takes to see a small difference.
 * @type {Record<string, { tsx: string } | { full: string }>} */
const BENCHMARKS = {
  engine: { tsx: "engine" },
  truth: { tsx: "calibration" },
  taught: { tsx: "taught" },
  learning: { tsx: "learning" },
  played: { full: "simulation" },
  cards: { tsx: "cards" },
  rooms: { tsx: "rooms" },
  carriage: { tsx: "carriage" },
  pages: { tsx: "pages" },
  walk: { tsx: "walk" },
  frames: { tsx: "frames" },
};

main(async () => {
  checkNode();
  const asked = process.argv.slice(2);
  const unknown = asked.find((name) => !Object.hasOwn(BENCHMARKS, name));
  if (unknown) throw new Stop(`No benchmark is called ${unknown}; there are ${Object.keys(BENCHMARKS).join(", ")}.`);
  const chosen = asked.length > 0 ? asked : Object.keys(BENCHMARKS);
  await ensureNodePackages();
  await ensureBuild();
  if (chosen.includes("walk") || chosen.includes("frames")) await ensureBrowser();
  const database = await startPostgres("benchmarks");
  atEnd(database.stop);
  const env = { ...process.env, DATABASE_URL: database.url };
  let failed = 0;
  for (const name of chosen) {
    const how = BENCHMARKS[name];
    const { code } = await ("full" in how
      ? run(bin("vitest"), ["run", "--project", "unit", how.full], {
          cwd: root,
          env: { ...env, WARY_SIMULATIONS: "full" },
          show: true,
        })
      : run(process.execPath, ["--expose-gc", "--import", "tsx", `scripts/benchmarks/${how.tsx}.ts`], {
          cwd: root,
          env,
          show: true,
        }));
    failed ||= code;
  }
  await finish(failed);
});
