// Power cuts: the server and the database are killed over and over while deeds are sent. What was acknowledged is there, once.
import { readFileSync } from "node:fs";
import { setTimeout as pause } from "node:timers/promises";
import { aLook, isAsRebuilt, verdict, withTarget } from "./target";

const KILLS = 30;
const SENDERS = 4;
const BETWEEN_MS = 2500;
const PATIENCE_MS = 60_000;

await withTarget("wary_faults_kills", async (target) => {
  const { plantIds, send, query, killServer } = target;
  const acknowledged: string[] = [];
  let going = true;
  let n = 0;
  // Each keeps a deed until it is acknowledged, as the outbox does.
  const sender = async () => {
    while (going) {
      const deed = aLook(plantIds[n % plantIds.length]!, n++);
      const end = Date.now() + PATIENCE_MS;
      for (let answer = await send(deed); ; answer = await send(deed)) {
        if (answer?.ok) {
          acknowledged.push(deed.input.id);
          break;
        }
        if (!going || Date.now() > end) break;
        await pause(100);
      }
    }
  };
  const senders = Array.from({ length: SENDERS }, sender);
  for (let kill = 0; kill < KILLS; kill++) {
    await pause(BETWEEN_MS * (0.5 + Math.random()));
    if (kill % 3 === 0) await killDatabase(query);
    else await killServer();
  }
  await pause(BETWEEN_MS);
  going = false;
  await Promise.all(senders);
  await answering(query);
  const there = await query<{ id: string; n: number }>(
    "select id, count(*)::int as n from looks where id = any ($1) group by id",
    [acknowledged],
  );
  const lost = acknowledged.length - there.length;
  const doubled = there.filter((one) => one.n > 1).length;
  verdict(
    `${KILLS} kills, ${acknowledged.length} acknowledged looks: ${lost} lost, ${doubled} doubled`,
    lost === 0 && doubled === 0 && acknowledged.length > KILLS,
  );
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
