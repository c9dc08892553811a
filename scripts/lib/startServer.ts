import { spawn } from "node:child_process";
import { once } from "node:events";
import path from "node:path";
import { createInterface } from "node:readline";

const script = path.resolve(import.meta.dirname, "../serve.mjs");

/**
 * Serves the build that is there on a port of this machine; resolves when it answers, to what ends it again. `env` goes to its
 * processes beside the usual.
 */
export async function startServer(
  port: number,
  databaseUrl: string,
  env: Readonly<Record<string, string>> = {},
): Promise<() => Promise<void>> {
  // As `npm start` does: a page makes more short-lived objects than Node's usual room for the young holds.
  const server = spawn(process.execPath, ["--max-semi-space-size=64", script], {
    env: {
      BACKUP_FOLDER: "none",
      ...process.env,
      ...env,
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      NODE_ENV: "production",
    },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const exited = once(server, "exit");
  // Its output is read to the end: a server whose words nobody takes would stop at the next one.
  const ready = new Promise<void>((resolve) => {
    createInterface({ input: server.stdout }).on("line", (line) => line === "ready" && resolve());
  });
  await Promise.race([ready, exited]);
  if (server.exitCode !== null) throw new Error("the application did not start; build it first");
  return async () => {
    server.kill("SIGTERM");
    await exited;
  };
}
