// `npm start`: from a clean checkout to the running application with its demo collection.
import { checkNode, ensureNodePackages, root } from "./lib/packages.mjs";
import { startPostgres } from "./lib/postgres.mjs";
import { atEnd, main, must, say, Stop } from "./lib/process.mjs";
import { ensureBuild } from "./lib/build.mjs";
import { fingerprintOf, isLoopback, listeningFrom } from "./lib/listen.mjs";
import { serveAir } from "./lib/air.mjs";
import { checkPort, serve } from "./lib/serve.mjs";

const DEFAULT_PORT = 3180;

main(async () => {
  checkNode();
  const port = Number(process.env["PORT"] ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT must be a number from 1 to 65535, not ${process.env["PORT"]}.`);
  await checkPort(port, process.env["HOST"] || undefined);
  await ensureNodePackages();
  const listening = await listeningFrom(process.env);
  const databaseUrl = process.env["DATABASE_URL"] ?? (await privateDatabase());
  const env = { ...process.env, DATABASE_URL: databaseUrl };
  const prepared = await must(
    "The database could not be brought up to date.",
    process.execPath,
    ["--import", "tsx", "scripts/prepareDatabase.ts"],
    { env, cwd: root },
  );
  const lines = prepared.trim().split("\n");
  for (const line of lines) if (line !== "" && !line.startsWith("url ")) say(line);
  const appUrl = lines.find((line) => line.startsWith("url "))?.slice(4) ?? databaseUrl;
  await ensureBuild();
  atEnd(await serve(port, appUrl, listening));
  atEnd(serveAir());
  const scheme = listening.tls ? "https" : "http";
  const names = isLoopback(listening.host) ? [listening.host] : listening.names;
  for (const name of names) say(`Wary Petal is at ${scheme}://${name}:${port}`);
  if (process.env["TLS"])
    say(
      `A phone will warn that it does not know this certificate, which was made here. Its fingerprint is ${fingerprintOf(listening)}; where the phone shows the same, going on is safe.`,
    );
  say("Ctrl-C stops it.");
});

async function privateDatabase() {
  const database = await startPostgres("postgres", { keep: true });
  atEnd(database.stop);
  return database.url;
}
