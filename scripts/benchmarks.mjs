// `npm run bench`: prints how fast it is here. Nothing of the keeper's is touched: databases are its own and go again.
import { bin, checkNode, ensureBrowser, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, finish, main, run } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";

main(async () => {
  checkNode();
  await ensureNodePackages();
  await ensureBuild();
  const database = await startPostgres("benchmarks");
  atEnd(database.stop);
  const env = { ...process.env, DATABASE_URL: database.url };
  const tsx = ["--expose-gc", "--import", "tsx"];
  const engine = await run(process.execPath, [...tsx, "scripts/benchmarks/engine.ts"], { cwd: root, show: true });
  const truth = await run(process.execPath, [...tsx, "scripts/benchmarks/calibration.ts"], { cwd: root, show: true });
  // The model against animals played one by one, as often as it takes to see a small difference.
  const played = await run(bin("vitest"), ["run", "--project", "unit", "simulation"], {
    cwd: root,
    env: { ...env, WARY_SIMULATIONS: "full" },
    show: true,
  });
  const cards = await run(process.execPath, [...tsx, "scripts/benchmarks/cards.ts"], { cwd: root, show: true });
  const rooms = await run(process.execPath, [...tsx, "scripts/benchmarks/rooms.ts"], { cwd: root, show: true });
  const carriage = await run(process.execPath, [...tsx, "scripts/benchmarks/carriage.ts"], {
    cwd: root,
    env,
    show: true,
  });
  const pages = await run(process.execPath, [...tsx, "scripts/benchmarks/pages.ts"], { cwd: root, env, show: true });
  await ensureBrowser();
  const walk = await run(process.execPath, [...tsx, "scripts/benchmarks/walk.ts"], { cwd: root, env, show: true });
  const drag = await run(process.execPath, [...tsx, "scripts/benchmarks/drag.ts"], { cwd: root, env, show: true });
  const all = [engine, truth, played, cards, rooms, carriage, pages, walk, drag];
  await finish(all.find(({ code }) => code !== 0)?.code ?? 0);
});
