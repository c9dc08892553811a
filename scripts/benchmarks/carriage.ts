// How long it takes to reckon what every plant of a large collection may carry, and what a find has touched. Prints a table.
import { availableParallelism, cpus } from "node:os";
import { setTimeout } from "node:timers/promises";
import { v7 as uuidv7 } from "uuid";
import { now } from "../../src/clock";
import { recordLook as recordLookShape } from "../../src/core/record/facts/kinds/look";
import { connect } from "../../src/db/connection";
import * as carriage from "../../src/db/stores/plants/carriage";
import * as plantStates from "../../src/db/stores/plants/plantStates";
import { reckoners } from "../../src/jobs/reckoners";
import { scopeOf, type Context } from "../../src/operations/shared/context";
import { expectOk } from "../../src/operations/shared/outcome";
import { reckonCarriage } from "../../src/operations/plants/commands/reckonCarriage";
import { recordLook } from "../../src/operations/looks/commands/recordLook";
import { withOffset } from "../../src/zones";
import { buildLargeCollection } from "./largeCollection";
import { withDatabase } from "./withDatabase";

const LARGE = { plants: 5000, shelves: 100, weeks: 26, openCases: 20 };
const WHOLE_LIMIT_S = 60;
const FIND_LIMIT_MS = 1000;
const FINDS = 5;
const POLL_MS = 10;

const seconds = (ms: number) => (ms / 1000).toFixed(1);
const verdict = (ok: boolean) => {
  if (!ok) process.exitCode = 1;
  return ok ? "ok" : "TOO SLOW";
};

/** Writes a find down and reckons what it has touched; gives how long until that is known, ms. */
async function afterFind(context: Context, plantId: string, reckonAll: Parameters<typeof reckonCarriage>[2]) {
  const at = withOffset(context.now, context.collection.timeZone);
  const find = { id: uuidv7(), caseId: uuidv7(), pest: "thrips", severity: "light", count: 5, removed: false };
  const command = { id: uuidv7(), plantId, at, tool: "lamp", spots: ["axil"], note: "", finds: [find] };
  const begin = performance.now();
  expectOk(await recordLook(context, recordLookShape.parse(command)));
  const scope = scopeOf(context, "record");
  let ended = false;
  const all = reckonCarriage(context, () => !ended, reckonAll);
  // The clock stops as soon as what it touched is known; the rest follows.
  while (await carriage.somethingSoon(scope)) await setTimeout(POLL_MS);
  const took = performance.now() - begin;
  ended = true;
  await all;
  return took;
}

console.log(`What plants may carry; ${availableParallelism()} cores (${cpus()[0]?.model.trim()}).`);
await withDatabase("wary_benchmark_carriage", async (url) => {
  const { context } = await buildLargeCollection(connect(url), now(), LARGE);
  const { reckonAll, end } = reckoners(2);
  try {
    const begin = performance.now();
    const plants = await reckonCarriage(context, () => true, reckonAll);
    const whole = performance.now() - begin;
    console.log(
      `everything: ${plants} plants, eight pests, two threads   ${seconds(whole)} s   limit ${WHOLE_LIMIT_S} s   ${verdict(whole < 1000 * WHOLE_LIMIT_S)}`,
    );
    const listed = await plantStates.list(scopeOf(context, "record"));
    const times: number[] = [];
    for (let i = 0; i < FINDS; i++) times.push(await afterFind(context, listed[i * 700 + 13]!.id, reckonAll));
    const [first, ...later] = times as [number, ...number[]];
    const slowest = Math.max(...later);
    console.log(`the first find, of a process that has just begun   ${first.toFixed(0)} ms`);
    console.log(
      `a find: what stands at its place   slowest of ${later.length} ${slowest.toFixed(0)} ms   limit ${FIND_LIMIT_MS} ms   ${verdict(slowest < FIND_LIMIT_MS)}`,
    );
  } finally {
    await end();
  }
});
process.exit();
