// A database that stands still: pages that only read go on with what is known and say so, and nothing is lost meanwhile.
import { readFileSync } from "node:fs";
import { aLook } from "./sent";
import { verdict, withTarget } from "./target";

const PAGES = [
  ...["/today", "/benches", "/cases", "/walk", "/walk/tonight", "/evening", "/prevention", "/wintering", "/calendar"],
  ...["/benches/climate", "/benches/plan", "/mixing/cupboard", "/ledger", "/arrivals", "/session?who=atRisk"],
];
const LIMIT_MS = 5000;

await withTarget("wary_faults_frozen", async ({ plantIds, send, query, base }) => {
  const pages = [...PAGES, `/plants/${plantIds[0]}`];
  const read = async (path: string) => {
    const begin = performance.now();
    const answer = await fetch(base + path);
    const text = await answer.text();
    return { path, ms: performance.now() - begin, ok: answer.ok, says: text.includes("does not answer just now") };
  };
  for (const path of pages) await read(path);

  const processes = (
    await query<{ pid: number }>("select pid from pg_stat_activity where pid <> pg_backend_pid()")
  ).map(({ pid }) => pid);
  const parent = Number(/PPid:\s+(\d+)/.exec(readFileSync(`/proc/${processes[0]}/status`, "utf8"))![1]);
  const tell = (signal: NodeJS.Signals) => {
    for (const pid of [parent, ...processes]) {
      try {
        process.kill(pid, signal);
      } catch {
        // It has ended by itself.
      }
    }
  };
  const look = aLook(plantIds[1]!, 1);
  tell("SIGSTOP");
  try {
    for (const path of pages) {
      const { ms, ok, says } = await read(path);
      verdict(`${path} with the database standing still: ${ms.toFixed(0)} ms`, ok && says && ms < LIMIT_MS);
    }
    const answer = await send(look);
    verdict(`a command is answered with ${answer?.status}, to be sent again`, answer?.status === 503);
  } finally {
    tell("SIGCONT");
  }
  let answer = await send(look);
  for (let tries = 0; tries < 20 && !answer?.ok; tries++) answer = await send(look);
  const [count] = await query<{ n: number }>("select count(*)::int as n from looks where id = $1", [look.input.id]);
  verdict("sent again it is there once", answer?.ok === true && count!.n === 1);
  const after = await read("/today");
  verdict("and the pages are of now again", after.ok && !after.says);
});
