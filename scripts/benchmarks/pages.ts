// How long the pages take to answer, with the demo and with a large collection. Prints a table.
import { cpus } from "node:os";
import { setTimeout } from "node:timers/promises";
import { loadDemo, idOf } from "../../demo/loadDemo";
import { now } from "../../src/clock";
import { connect } from "../../src/db/connection";
import { reckoners } from "../../src/jobs/reckoners";
import { contextOf, openCollections } from "../../src/operations/shared/context";
import { reckonCarriage } from "../../src/operations/plants/commands/reckonCarriage";
import { startServer } from "../lib/startServer";
import { buildLargeCollection } from "./largeCollection";
import { withDatabase } from "./withDatabase";

const PORT = 3197;
const WARM_UP = 10;
const SETTLE_MS = 8000;
const REQUESTS = 100;
const LARGE = { plants: 5000, shelves: 100, weeks: 52, openCases: 40 };

// What is asked is asked under the application's own role: row-level security is part of what a page takes.

/**
 * The 50th and 95th percentile of the times to a whole answer, one request after the other, in ms. What is worked through meanwhile
 * comes after what can be read at once: `first` is when that was there.
 */
async function time(path: string): Promise<Record<"first" | "whole", { p50: number; p95: number }>> {
  const firsts: number[] = [];
  const times: number[] = [];
  for (let i = 0; i < WARM_UP + REQUESTS; i++) {
    const begin = performance.now();
    const response = await fetch(`http://127.0.0.1:${PORT}${path}`);
    if (!response.ok) throw new Error(`${path} answered ${response.status}`);
    const pieces = response.body!.getReader();
    // The page itself is the first piece; what is still waited for holds back its end only.
    await pieces.read();
    const first = performance.now() - begin;
    while (!(await pieces.read()).done);
    if (i < WARM_UP) continue;
    firsts.push(first);
    times.push(performance.now() - begin);
  }
  return { first: percentiles(firsts), whole: percentiles(times) };
}

function percentiles(times: number[]): { p50: number; p95: number } {
  times.sort((a, b) => a - b);
  return { p50: times[Math.floor(times.length * 0.5)]!, p95: times[Math.floor(times.length * 0.95)]! };
}

/** Pages on which something is worked through while the rest is read: held to their first piece, the whole is told beside it. */
const streamed = ["/prevention"];

const names = [
  ["/cases/", "a case"],
  ["/plants/", "a plant"],
] as const;

async function measure(what: string, appUrl: string, limitMs: number, caseId: string, plantId: string): Promise<void> {
  const stopServer = await startServer(PORT, appUrl);
  try {
    // The process that does the jobs starts beside the pages, and judges what it finds to be judged.
    await setTimeout(SETTLE_MS);
    const around = `/cases/${caseId}/around`;
    const ofOne = [`/cases/${caseId}`, `/plants/${plantId}`, around];
    const ofTheYear = ["/evening", "/calendar", "/prevention", "/wintering", "/benches/climate", "/benches/plan"];
    const pages = ["/today", "/benches", ...ofOne, "/walk/tonight", "/ledger", ...ofTheYear, "/session?who=atRisk"];
    for (const path of pages) {
      const { first, whole } = await time(path);
      const { p50, p95 } = streamed.includes(path) ? first : whole;
      const page = path === around ? "around" : (names.find(([begin]) => path.startsWith(begin))?.[1] ?? path);
      const verdict = p95 < limitMs ? "ok" : "TOO SLOW";
      console.log(
        `${what.padEnd(28)} ${page.padEnd(18)} p50 ${p50.toFixed(0).padStart(4)} ms   p95 ${p95.toFixed(0).padStart(4)} ms   limit ${limitMs} ms   ${verdict}${streamed.includes(path) ? `, whole ${whole.p50.toFixed(0)} ms` : ""}`,
      );
      if (p95 >= limitMs) process.exitCode = 1;
    }
  } finally {
    await stopServer();
  }
}

console.log(`Pages, ${REQUESTS} requests each, one at a time; ${cpus().length} cores (${cpus()[0]?.model.trim()}).`);
await withDatabase("wary_benchmark_demo", async (url, appUrl) => {
  await loadDemo(url, now());
  await measure("demo, 52 plants", appUrl, 100, idOf("case", "R01", "mealybug"), idOf("plant", "L03"));
});
await withDatabase("wary_benchmark_large", async (url, appUrl) => {
  const begin = performance.now();
  const { caseId, plantId } = await buildLargeCollection(connect(url), now(), LARGE);
  console.log(
    `Built ${LARGE.plants} plants with ${LARGE.plants * LARGE.weeks} looks in ${((performance.now() - begin) / 1000).toFixed(0)} s.`,
  );
  // What the job would have reckoned by the time anyone opens a page.
  const context = (await openCollections(url))[0]!;
  const pool = reckoners(2);
  await reckonCarriage(
    contextOf(url, context, { actor: "jobs", role: "owner", now: now() }),
    () => true,
    pool.reckonAll,
  );
  await pool.end();
  await measure(`${LARGE.plants} plants, a year`, appUrl, 100, caseId, plantId);
});
