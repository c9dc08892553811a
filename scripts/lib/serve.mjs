// Serves the built application, in this process.
import { fork } from "node:child_process";
import http from "node:http";
import path from "node:path";
import compression from "compression";
import { serverFor } from "./listen.mjs";
import { root } from "./packages.mjs";
import { endOf, Stop } from "./process.mjs";

/** Throws when the port is taken.
 * @param {number} port @param {string} [host] @returns {Promise<void>} */
export function checkPort(port, host = "127.0.0.1") {
  return new Promise((resolve, reject) => {
    const probe = http.createServer();
    probe.on("error", (/** @type {NodeJS.ErrnoException} */ { code }) =>
      reject(
        code === "EADDRNOTAVAIL" || code === "ENOTFOUND"
          ? new Stop(`HOST is an address of this machine, or 0.0.0.0 for all of them, and ${host} is none.`)
          : new Stop(`Port ${port} is in use: stop what uses it, or choose another with PORT=4000 npm start.`),
      ),
    );
    probe.listen(port, host, () => probe.close(() => resolve()));
  });
}

/** Starts answering where it is to listen, and the process that does its jobs; resolves once it answers. Who may ask is decided
 * within the application.
 * @param {number} port @param {string} databaseUrl @param {import("./listen.mjs").Listening} listening
 * @returns {Promise<() => Promise<void>>} closes it again */
export async function serve(port, databaseUrl, listening) {
  Object.assign(process.env, { DATABASE_URL: databaseUrl, NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1" });
  const { default: next } = await import("next");
  // Nothing here speaks another protocol than HTTP: Next would answer upgrades on a server it is given, and this one never
  // listens. On the one that does, Node takes a request to upgrade for a plain one.
  const httpServer = http.createServer();
  const app = next({ dev: false, dir: root, hostname: "127.0.0.1", port, httpServer });
  await app.prepare();
  const handle = app.getRequestHandler();
  const server = serverFor(listening, (request, response) =>
    packing(request, response, () => void handle(request, unavailableInstead(response))),
  );
  // Also those that never say anything: a server by TLS knows nothing of whoever has not shaken hands yet.
  /** @type {Set<import("node:net").Socket>} */
  const sockets = new Set();
  server.on("connection", (socket) => {
    sockets.add(socket);
    socket.once("close", () => sockets.delete(socket));
  });
  await new Promise((resolve, reject) => {
    server.on("error", reject);
    server.listen(port, listening.host, () => resolve(undefined));
  });
  const endJobs = doJobs();
  return async () => {
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeAllConnections();
    for (const socket of sockets) socket.destroy();
    await Promise.all([closed, endJobs()]);
    await app.close();
  };
}

const packed = compression();

/** Packs what the build has made: it is fetched once and kept. A page takes longer to pack than to send.
 * @param {import("node:http").IncomingMessage} request @param {import("node:http").ServerResponse} response @param {() => void} next */
function packing(request, response, next) {
  if (!request.url?.startsWith("/_next/static/")) return next();
  /** @typedef {Parameters<typeof packed>} Packing */
  const asked = /** @type {Packing[0]} */ (/** @type {unknown} */ (request));
  packed(asked, /** @type {Packing[1]} */ (/** @type {unknown} */ (response)), next);
}

/** A page fails for as long as it waits for the database; after that its silence is no reason any more, ms. */
const SILENCE_COUNTS_MS = 25_000;

/** A page that failed while the database did not answer is not there just now, and not broken. What tells so: app/_parts/server/pageCache.
 * @param {import("node:http").ServerResponse} response */
function unavailableInstead(response) {
  const writeHead = response.writeHead;
  response.writeHead = /** @type {typeof writeHead} */ (
    function (/** @type {number} */ status, /** @type {any[]} */ ...rest) {
      const { silentSince = 0 } = /** @type {{ waryKept?: { silentSince: number } }} */ (globalThis).waryKept ?? {};
      const silent = silentSince > 0 && performance.now() - silentSince < SILENCE_COUNTS_MS;
      return writeHead.call(response, status === 500 && silent ? 503 : status, ...rest);
    }
  );
  return response;
}

const JOBS_AGAIN_MS = 2000;

/** Runs the jobs in a process of their own, and again when it dies: without them pages still work, only less is reckoned
 * beforehand. @returns {() => Promise<void>} ends it */
function doJobs() {
  /** @type {import("node:child_process").ChildProcess | null} */
  let jobs = null;
  let ended = false;
  /** @type {NodeJS.Timeout | undefined} */
  let again;
  const begin = () => {
    jobs = fork(path.join(root, "src/jobs/main.ts"), { cwd: root, execArgv: ["--import", "tsx"] });
    jobs.on("error", (error) => console.error(`No jobs are run: ${error.message}`));
    jobs.once("exit", () => {
      jobs = null;
      if (!ended) again = setTimeout(begin, JOBS_AGAIN_MS);
    });
  };
  begin();
  return async () => {
    ended = true;
    clearTimeout(again);
    if (jobs) await endOf(jobs);
  };
}
