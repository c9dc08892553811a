// `npm run faults`: kills, bursts and broken bodies against an application of its own on loopback; ends by itself.
import { checkNode, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, finish, main, run } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";

main(async () => {
  checkNode();
  await ensureNodePackages();
  await ensureBuild();
  const database = await startPostgres("faults", { keep: true });
  atEnd(database.stop);
  const env = { ...process.env, DATABASE_URL: database.url };
  let code = 0;
  for (const fault of ["bursts", "bodies", "frozen", "kills"]) {
    const script = ["--import", "tsx", `scripts/faults/${fault}.ts`];
    const done = await run(process.execPath, script, { cwd: root, env, show: true });
    code ||= done.code;
  }
  await finish(code);
});
