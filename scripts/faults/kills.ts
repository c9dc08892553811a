// Power cuts: the server, the database and the jobs are killed over and over while commands are sent. What was acknowledged is there, once.
import { readFileSync } from "node:fs";
import { setTimeout as pause } from "node:timers/promises";
import { isKept, press, type Sent } from "./sent";
import { isAsRebuilt, sendOn, verdict, withTarget } from "./target";

const KILLS = Number(process.env["FAULTS_KILLS"] ?? 940);
const SENDERS = 4;
const BETWEEN_MS = 1200;
const PATIENCE_MS = 60_000;

await withTarget("wary_faults_kills", async (target) => {
  const { query, killServer, killJobs } = target;
  const acknowledged: Sent[] = [];
  let going = true;
  let n = 0;
  // Each keeps a command until it is acknowledged, as the outbox does.
  const sender = async () => {
    while (going)
      for (const command of press(target, n++))
        if (await sendOn(target, command, () => going, PATIENCE_MS)) acknowledged.push(command);
  };
  const senders = Array.from({ length: SENDERS }, sender);
  for (let kill = 0; kill < KILLS; kill++) {
    await pause(BETWEEN_MS * (0.5 + Math.random()));
    if (kill % 3 === 0) await killDatabase(query);
    else if (kill % 3 === 1) await killServer();
    else killJobs();
    if (kill % 50 === 49) console.log(`${kill + 1} kills, ${acknowledged.length} acknowledged`);
  }
  await pause(BETWEEN_MS);
  going = false;
  await Promise.all(senders);
  await answering(query);
  await isKept(target, `${KILLS} kills`, acknowledged, KILLS);
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});

type Query = (sql: string, values?: unknown[]) => Promise<object[]>;

/** Kills the database's first process; whoever started it starts it again. */
async function killDatabase(query: Query): Promise<void> {
  await answering(query);
  const [row] = (await query("select pg_backend_pid() as pid")) as { pid: number }[];
  // The session's own process may have ended by now; any other of the same database has the same parent.
  const backend = (await query("select pid from pg_stat_activity where backend_type = 'checkpointer'")) as {
    pid: number;
  }[];
  const parent = /PPid:\s+(\d+)/.exec(readFileSync(`/proc/${backend[0]?.pid ?? row!.pid}/status`, "utf8"))![1];
  process.kill(Number(parent), "SIGKILL");
}

async function answering(query: Query): Promise<void> {
  const end = Date.now() + PATIENCE_MS;
  while (Date.now() < end) {
    const is = await query("select 1").then(
      () => true,
      () => false,
    );
    if (is) return;
    await pause(200);
  }
  throw new Error("the database did not come back");
}
