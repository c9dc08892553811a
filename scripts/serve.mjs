// Serves a build that is there from a database that is ready: what the browser tests and the benchmarks start.
import { atEnd, main, say } from "./lib/process.mjs";
import { checkPort, serve } from "./lib/serve.mjs";

main(async () => {
  const port = Number(process.env["PORT"]);
  await checkPort(port);
  atEnd(await serve(port, process.env["DATABASE_URL"] ?? ""));
  say("ready");
});
