// `npm run load`: many collections at once, asked by many at once, on loopback; ends by itself. LOAD_COLLECTIONS and LOAD_PLANTS
// make it smaller.
import { checkNode, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, finish, main, run } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";

main(async () => {
  checkNode();
  await ensureNodePackages();
  await ensureBuild();
  const database = await startPostgres("load");
  atEnd(database.stop);
  const env = { ...process.env, DATABASE_URL: database.url };
  const { code } = await run(process.execPath, ["--import", "tsx", "scripts/load/load.ts"], {
    cwd: root,
    env,
    show: true,
  });
  await finish(code);
});
