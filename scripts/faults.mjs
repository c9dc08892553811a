// `npm run faults`: kills, bursts, broken bodies and presses, poisoned files, devices that lie, a clock that goes back, a line that is cut
// and a disk that is full, against an application of its own on loopback; ends by itself. FAULTS_KILLS and FAULTS_BODIES make it shorter. Names of faults run only those.
import { checkNode, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, finish, main, run, say } from "./lib/process.mjs";
import { NOT_RUN } from "./faults/notRun.mjs";
import { ensureBuild } from "./lib/build.mjs";

const FAULTS = [
  "bursts",
  "bodies",
  "actions",
  "imports",
  "device",
  "frozen",
  "clock",
  "cut",
  "full",
  "browser",
  "kills",
];

main(async () => {
  checkNode();
  await ensureNodePackages();
  await ensureBuild();
  const database = await startPostgres("faults", { keep: true });
  atEnd(database.stop);
  const env = { ...process.env, DATABASE_URL: database.url };
  let code = 0;
  const notRun = [];
  const only = process.argv.slice(2);
  for (const fault of FAULTS) {
    if (only.length > 0 && !only.includes(fault)) continue;
    const script = ["--import", "tsx", `scripts/faults/${fault}.ts`];
    const done = await run(process.execPath, script, { cwd: root, env, show: true });
    if (done.code === NOT_RUN) notRun.push(fault);
    else code ||= done.code;
  }
  if (notRun.length > 0) say(`Not run: ${notRun.join(", ")}.`);
  await finish(code);
});
