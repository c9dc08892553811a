// A disk that is full: what cannot be written is refused with a word, and goes out when there is room again.
import { execFileSync } from "node:child_process";
import { chmodSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { startPostgres } from "../lib/postgres.mjs";
import { aLook, isKept, type Sent } from "./sent";
import { isAsRebuilt, notRun, sendOn, verdict, withTarget } from "./target";

const DISK_MB = 320;
const WAIT_MS = 30_000;
const MB = 1_048_576;

const disk = mkdtempSync(path.join(tmpdir(), "wary-full-"));
chmodSync(disk, 0o755);
let mounted = false;
try {
  execFileSync("mount", ["-t", "tmpfs", "-o", `size=${DISK_MB}m,mode=755`, "tmpfs", disk], { stdio: "ignore" });
  mounted = true;
} catch {
  // Only whoever may mount a small disk can fill it without filling the machine's own.
}
if (!mounted) notRun("a full disk: it needs the right to mount a small one");
else {
  const database = await startPostgres("full", { keep: true, folder: disk });
  try {
    process.env["DATABASE_URL"] = database.url;
    await withTarget("wary_faults_full", (target) => fill(target));
  } finally {
    await database.stop();
    execFileSync("umount", [disk]);
  }
}
rmSync(disk, { recursive: true, force: true });

async function fill(target: Parameters<Parameters<typeof withTarget>[1]>[0]): Promise<void> {
  const { plantIds, send, base } = target;
  const acknowledged: Sent[] = [];
  let n = 0;
  const next = () => aLook(plantIds[n % plantIds.length]!, n++);
  const ballast = path.join(disk, "ballast");
  const free = () => statfsSync(disk).bavail * statfsSync(disk).bsize;
  try {
    writeFileSync(ballast, Buffer.alloc(Math.max(0, free() - MB)));
  } catch {
    // It is full already.
  }
  let refused = 0;
  let held: ReturnType<typeof aLook> | null = null;
  const end = Date.now() + WAIT_MS;
  while (refused < 5 && Date.now() < end) {
    const command = next();
    const answer = await send(command);
    if (answer?.ok) acknowledged.push(command);
    else {
      refused++;
      held = command;
    }
  }
  verdict(`with ${(free() / MB).toFixed(1)} MB left a command is not acknowledged`, held !== null);
  rmSync(ballast, { force: true });
  await pause(3000);
  if (held && (await sendOn(target, held, () => true, WAIT_MS))) acknowledged.push(held);
  const after = next();
  verdict("with room again the next is taken", await sendOn(target, after, () => true, WAIT_MS));
  acknowledged.push(after);
  verdict("and the pages answer", (await fetch(`${base}/today`)).ok);
  await isKept(target, "a full disk", acknowledged, 2);
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
}
