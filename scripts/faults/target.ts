import { spawn, type ChildProcess } from "node:child_process";
import { once } from "node:events";
import { readFileSync } from "node:fs";
import path from "node:path";
import { createInterface } from "node:readline";
import { setTimeout as pause } from "node:timers/promises";
import getPort from "get-port";
import pg from "pg";
import { v7 as uuidv7 } from "uuid";
import { loadDemo, DEMO_ID } from "../../demo/loadDemo";
import { now } from "../../src/clock";
import { SHAPE } from "../../src/core/record/facts/keptShape";
import { connect } from "../../src/db/connection";
import { contextOf, openCollections } from "../../src/operations/shared/context";
import { deriveStale } from "../../src/operations/plants/commands/deriveStale";
import { startWalk } from "../../src/operations/walks/commands/startWalk";
import { prepareAppRole } from "../../src/db/appRole";
import { NOT_RUN } from "./notRun.mjs";
import { withDatabase } from "../benchmarks/withDatabase";

const serve = path.resolve(import.meta.dirname, "../serve.mjs");

/** An application with a demo of its own, to be treated badly. */
export interface Target {
  readonly url: string;
  readonly base: string;
  readonly plantIds: readonly string[];
  /** A walk on which plants are left out. */
  readonly walkId: string;
  /** Sends a command as the outbox does; null when nobody answered. */
  readonly send: (command: unknown) => Promise<{ readonly status: number; readonly ok: boolean } | null>;
  /** As `send`, by another address. */
  readonly sendTo: (
    base: string,
  ) => (command: unknown) => Promise<{ readonly status: number; readonly ok: boolean } | null>;
  readonly query: <T extends object>(sql: string, values?: unknown[]) => Promise<T[]>;
  /** Kills the server as a power cut does, and starts it again. */
  readonly killServer: () => Promise<void>;
  /** Kills the process that does the jobs; the server starts another. */
  readonly killJobs: () => void;
  /** Ends the server and starts it with its clock so many ms beside the true one. */
  readonly setClock: (ms: number) => Promise<void>;
}

/** Runs `work` against a fresh application, and ends that afterwards whatever happened. */
export async function withTarget(name: string, work: (target: Target) => Promise<void>): Promise<void> {
  await withDatabase(name, async (url) => {
    await loadDemo(url, now());
    // As `npm start` does it: under the application's own role, which sees one collection at a time.
    const served = await prepareAppRole(connect(url), url);
    const port = await getPort({ host: "127.0.0.1" });
    const base = `http://127.0.0.1:${port}`;
    let server = await start(port, served);
    const query: Target["query"] = async <T extends object>(sql: string, values: unknown[] = []) => {
      const client = new pg.Client(url);
      client.on("error", () => {});
      await client.connect();
      return client
        .query(sql, values)
        .then(({ rows }) => rows as T[])
        .finally(() => client.end());
    };
    const plants = await query<{ id: string }>("select id from plants where archived_at is null order by id");
    const sendTo: Target["sendTo"] = (to) => async (command) => {
      const body = typeof command === "string" || command instanceof Uint8Array ? command : JSON.stringify(command);
      const told = { "x-collection": DEMO_ID, "x-clock": new Date().toISOString(), "x-shape": String(SHAPE) };
      const headers = { "content-type": "application/json", origin: to, ...told };
      try {
        const answer = await fetch(`${to}/walk/deeds`, { method: "POST", headers, body: body as string });
        const result = (await answer.json().catch(() => ({}))) as { ok?: boolean };
        return { status: answer.status, ok: result.ok === true };
      } catch {
        return null;
      }
    };
    const walkId = uuidv7();
    const collection = (await openCollections(url))[0]!;
    const keeper = contextOf(url, collection, { actor: "faults", role: "owner", now: now() });
    const walk = { id: walkId, scope: "everything", placeId: null, tool: "lamp", round: "likely" } as const;
    if (!(await startWalk(keeper, walk)).ok) throw new Error("no walk was begun");
    try {
      await work({
        walkId,
        url,
        base,
        plantIds: plants.map(({ id }) => id),
        query,
        send: sendTo(base),
        sendTo,
        killServer: async () => {
          server.kill("SIGKILL");
          await once(server, "exit");
          server = await start(port, served);
        },
        killJobs: () => {
          for (const pid of childrenOf(server.pid!)) {
            try {
              process.kill(pid, "SIGKILL");
            } catch {
              // It has ended by itself.
            }
          }
        },
        setClock: async (ms) => {
          server.kill("SIGTERM");
          await once(server, "exit");
          server = await start(port, served, ms);
        },
      });
    } finally {
      server.kill("SIGTERM");
      await once(server, "exit");
    }
  });
}

/** The processes that a process has started, from what the system says of each. */
function childrenOf(pid: number): number[] {
  return readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8").split(" ").filter(Boolean).map(Number);
}

async function start(port: number, url: string, clockMs = 0): Promise<ChildProcess> {
  const clock = path.resolve(import.meta.dirname, "../../e2e/support/clock.mjs");
  const beside = clockMs === 0 ? {} : { NODE_OPTIONS: `--import ${clock}`, WARY_TEST_CLOCK_MS: String(clockMs) };
  const server = spawn(process.execPath, [serve], {
    env: {
      ...process.env,
      ...beside,
      BACKUP_FOLDER: "none",
      PORT: String(port),
      DATABASE_URL: url,
      NODE_ENV: "production",
    },
    stdio: ["ignore", "pipe", "ignore"],
  });
  await new Promise<void>((resolve, reject) => {
    server.once("exit", () => reject(new Error("the application did not start")));
    createInterface({ input: server.stdout }).on("line", (line) => line === "ready" && resolve());
  });
  server.removeAllListeners("exit");
  return server;
}

const derived = `select jsonb_build_object(
  'cases', (select jsonb_agg(to_jsonb(c) order by c.id) from cases c),
  'exposures', (select jsonb_agg(to_jsonb(e) order by e.plant_id, e.source_plant_id, e.case_id, e.since) from exposures e),
  'states', (select jsonb_agg(to_jsonb(s) - 'facts_version' order by s.plant_id) from plant_states s))::text as all`;

/** Says whether everything derived is what deriving it anew from the facts gives. */
export async function isAsRebuilt({ url, query }: Pick<Target, "url" | "query">): Promise<boolean> {
  const [before] = await query<{ all: string }>(derived);
  await query("update plant_states set current = false");
  for (const collection of await openCollections(url))
    await deriveStale(contextOf(url, collection, { actor: "faults", role: "owner", now: now() }));
  await connect(url).query("select 1");
  const [after] = await query<{ all: string }>(derived);
  return before!.all === after!.all;
}

const PAGES = ["/today", "/benches", "/cases", "/walk", "/calendar", "/ledger", "/benches/climate", "/prevention"];

/** Says whether the pages that everything comes together on answer. */
export async function pagesAnswer({ base }: Pick<Target, "base">): Promise<boolean> {
  const all = await Promise.all(PAGES.map((page) => fetch(base + page)));
  return all.every(({ ok }) => ok);
}

/** Sends a command until it is acknowledged, as the outbox does; false when it never was. */
export async function sendOn(
  target: Pick<Target, "send">,
  command: unknown,
  going: () => boolean,
  patienceMs = 60_000,
): Promise<boolean> {
  const end = Date.now() + patienceMs;
  while (going() && Date.now() < end) {
    if ((await target.send(command))?.ok) return true;
    await pause(100);
  }
  return false;
}

/** Says that a fault was not tried, and why. */
export function notRun(what: string): void {
  console.log(`not run ${what}`);
  process.exitCode = NOT_RUN;
}

/** Prints what was found; a fault makes the whole run fail. */
export function verdict(what: string, good: boolean): void {
  console.log(`${good ? "ok   " : "FAULT"} ${what}`);
  if (!good) process.exitCode = 1;
}
