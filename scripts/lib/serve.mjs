// Serves the built application on loopback, in this process.
import http from "node:http";
import { root } from "./packages.mjs";
import { Stop } from "./process.mjs";

/** Throws when the port is taken.
 * @param {number} port @returns {Promise<void>} */
export function checkPort(port) {
  return new Promise((resolve, reject) => {
    const probe = http.createServer();
    probe.on("error", () =>
      reject(new Stop(`Port ${port} is in use: stop what uses it, or choose another with PORT=4000 npm start.`)),
    );
    probe.listen(port, "127.0.0.1", () => probe.close(() => resolve()));
  });
}

/** Starts answering on 127.0.0.1; resolves once it does.
 * @param {number} port @param {string} databaseUrl @returns {Promise<() => Promise<void>>} closes it again */
export async function serve(port, databaseUrl) {
  Object.assign(process.env, { DATABASE_URL: databaseUrl, NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1" });
  const { default: next } = await import("next");
  const app = next({ dev: false, dir: root, hostname: "127.0.0.1", port });
  await app.prepare();
  const handle = app.getRequestHandler();
  // A page on the web can point a name of its own at this machine; only the local names are answered.
  const names = new Set([`127.0.0.1:${port}`, `localhost:${port}`]);
  const server = http.createServer((request, response) => {
    if (names.has(request.headers.host ?? "")) void handle(request, response);
    else
      response.writeHead(421, { "content-type": "text/plain" }).end("Wary Petal answers only to its local address.\n");
  });
  await new Promise((resolve, reject) => {
    server.on("error", reject);
    server.listen(port, "127.0.0.1", () => resolve(undefined));
  });
  return async () => {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await app.close();
  };
}
