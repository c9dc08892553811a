// Serves a build that is there from a database that is ready: what the browser tests and the benchmarks start.
import { atEnd, main, say } from "./lib/process.mjs";
import { listeningFrom } from "./lib/listen.mjs";
import { checkPort, serve } from "./lib/serve.mjs";

main(async () => {
  const port = Number(process.env["PORT"]);
  const listening = await listeningFrom(process.env);
  await checkPort(port, listening.host);
  atEnd(await serve(port, process.env["DATABASE_URL"] ?? "", listening));
  say("ready");
});
