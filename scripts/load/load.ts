// So many collections, each of a keeper's size, asked for pages and given commands at a steady rate that goes up step by step, until
// answers take too long. Whoever asks does not wait for the answer before: a crowd does not either.
import { cpus } from "node:os";
import { setTimeout as pause } from "node:timers/promises";
import { v7 as uuidv7 } from "uuid";
import { now } from "../../src/clock";
import { prepareAppRole } from "../../src/db/appRole";
import { connect } from "../../src/db/connection";
import { reckoners } from "../../src/jobs/reckoners";
import { reckonCarriage } from "../../src/operations/plants/commands/reckonCarriage";
import { startServer } from "../lib/startServer";
import { buildLargeCollection } from "../benchmarks/largeCollection";
import { withDatabase } from "../benchmarks/withDatabase";
import { copyCollection } from "./copyCollection";

const COLLECTIONS = Number(process.env["LOAD_COLLECTIONS"] ?? 200);
const PLANTS = Number(process.env["LOAD_PLANTS"] ?? 500);
const PORTS = [3198, 3199];
/** Of each kind so many a second, one step after the other. */
const RATES = [1, 2, 4, 6, 8, 12, 16, 25, 50];
const STEP_S = 12;
const LIMIT_MS = 100;
/** So many a second of each kind within that two cores are to bear. */
const MUST_BEAR = 6;
/** From here on it is no use to anybody. */
const END_MS = 1000;
const SETTLE_MS = 20_000;
/** A process that has just begun is slow: each kind is asked for so often at each before anything counts. */
const WARM_UP = 60;
/** Nobody waits longer; what takes so long counts as not answered. */
const PATIENCE_MS = 10_000;

const bases = () => PORTS.map((port) => `http://127.0.0.1:${port}`);
const seconds = (begin: number) => ((performance.now() - begin) / 1000).toFixed(0);

interface Asked {
  readonly collectionId: string;
  readonly base: string;
}

await withDatabase("wary_load", async (owner) => {
  const begin = performance.now();
  const size = { plants: PLANTS, shelves: Math.ceil(PLANTS / 25), weeks: 12, openCases: 4 };
  const sequelize = connect(owner);
  const { context, caseId, plantId } = await buildLargeCollection(sequelize, now(), size);
  const pool = reckoners(2);
  await reckonCarriage(context, () => true, pool.reckonAll);
  await pool.end();
  const ids = [context.collection.id];
  for (let i = 1; i < COLLECTIONS; i++)
    ids.push(await copyCollection(sequelize, context.collection.id, `Collection ${i + 1}`));
  await sequelize.query("analyze");
  const url = await prepareAppRole(sequelize, owner);
  console.log(
    `${COLLECTIONS} collections of ${PLANTS} plants and ${PLANTS * size.weeks} looks, made in ${seconds(begin)} s; ${PORTS.length} processes on ${cpus().length} cores, which this also asks from.`,
  );
  const stops = await Promise.all(PORTS.map((port) => startServer(port, url)));
  try {
    await pause(SETTLE_MS);
    const kinds: Record<string, (at: Asked) => Promise<Response>> = {
      today: (at) => page(at, "/today"),
      benches: (at) => page(at, "/benches"),
      case: (at) => page(at, `/cases/${caseId}`),
      command: (at) => look(at, plantId),
    };
    for (let n = 0; n < WARM_UP; n++)
      for (const kind of Object.values(kinds))
        await Promise.all(bases().map((base) => kind({ base, collectionId: ids[n % ids.length]! })));
    let borne = 0;
    for (const rate of RATES) {
      const { inTime, goesOn } = await step(rate, kinds, ids);
      if (inTime) borne = rate;
      if (!goesOn) break;
    }
    console.log(`Within ${LIMIT_MS} ms: ${borne} a second of each; ${MUST_BEAR} are to be.`);
    if (borne < MUST_BEAR) process.exitCode = 1;
  } finally {
    await Promise.all(stops.map((stop) => stop()));
  }
});

/** Asks for each kind `rate` times a second; prints what came of it, and says whether that was in time, and whether more is worth a try. */
async function step(
  rate: number,
  kinds: Record<string, (at: Asked) => Promise<Response>>,
  ids: readonly string[],
): Promise<{ readonly inTime: boolean; readonly goesOn: boolean }> {
  const times = new Map(Object.keys(kinds).map((name) => [name, [] as number[]]));
  let failed = 0;
  const asked: Promise<void>[] = [];
  const all = Object.entries(kinds);
  const places = bases();
  const [begin, every] = [performance.now(), 1000 / (rate * all.length)];
  for (let n = 0; n < STEP_S * rate * all.length; n++) {
    const wait = begin + n * every - performance.now();
    if (wait > 0) await pause(wait);
    const [name, ask] = all[n % all.length]!;
    const collectionId = ids[Math.floor(Math.random() * ids.length)]!;
    const at = { collectionId, base: places[n % places.length]! };
    const from = performance.now();
    asked.push(
      ask(at)
        .then(async (answer) => {
          await answer.arrayBuffer();
          if (answer.ok) times.get(name)!.push(performance.now() - from);
          else failed++;
        })
        .catch(() => {
          failed++;
        }),
    );
  }
  await Promise.all(asked);
  const columns = [...times].map(([name, took]) => {
    const sorted = took.toSorted((a, b) => a - b);
    const at = (share: number) => sorted[Math.floor(sorted.length * share)] ?? Infinity;
    const text = [at(0.5), at(0.95)].map((ms) => ms.toFixed(0).padStart(4));
    return { text: `${name} p50 ${text[0]} p95 ${text[1]}`, p95: at(0.95) };
  });
  const p95 = Math.max(...columns.map((one) => one.p95));
  const inTime = failed === 0 && p95 < LIMIT_MS;
  const verdict = inTime ? "ok" : `over ${LIMIT_MS} ms`;
  const texts = columns.map(({ text }) => text).join("   ");
  console.log(`${String(rate).padStart(3)} a second each: ${texts} ms   ${failed} failed   ${verdict}`);
  return { inTime, goesOn: failed === 0 && p95 < END_MS };
}

function page({ base, collectionId }: Asked, path: string): Promise<Response> {
  return fetch(base + path, {
    headers: { cookie: `wary-collection=${collectionId}` },
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
}

/** A clean look at a plant, as a walk sends it. */
function look({ base, collectionId }: Asked, plantId: string): Promise<Response> {
  const input = {
    id: uuidv7(),
    plantId,
    at: new Date().toISOString(),
    tool: "lamp",
    spots: ["axil"],
    note: "",
    finds: [],
  };
  const headers = {
    "content-type": "application/json",
    origin: base,
    "x-collection": collectionId,
    "x-clock": "",
    "x-shape": "2",
  };
  const signal = AbortSignal.timeout(PATIENCE_MS);
  return fetch(`${base}/walk/deeds`, {
    method: "POST",
    headers,
    body: JSON.stringify({ kind: "look", input }),
    signal,
  });
}
