// Simulated devices that tell the air of a place: a small HTTP service that speaks JSON, for the demo and for trying out.
import { createServer } from "node:http";
import { faultIds, isRoom, tell, type FaultId } from "./devices";

const DEFAULT_PORT = 3189;
const port = Number(process.env["AIR_PORT"] ?? DEFAULT_PORT);

const server = createServer((request, response) => {
  const url = new URL(request.url ?? "/", "http://127.0.0.1");
  const room = url.pathname.replace(/^\/air\//, "");
  const since = new Date(url.searchParams.get("since") ?? Date.now() - 86_400_000);
  const fault = faultIds.find((id): id is FaultId => id === url.searchParams.get("fault")) ?? null;
  const found = isRoom(room) && !Number.isNaN(since.getTime());
  response.writeHead(found ? 200 : 404, { "content-type": "application/json" });
  response.end(JSON.stringify(found ? tell(room, since, new Date(), fault) : { error: "no such device" }));
});

server.on("error", (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === "EADDRINUSE"
      ? `The simulated devices are not there: port ${port} is taken. AIR_PORT names another.`
      : error.message,
  );
  process.exit(1);
});
server.listen(port, "127.0.0.1");

/** Ends at once: nothing is kept here, and a channel to whoever started it must not hold it back. */
const end = () => {
  server.closeAllConnections();
  server.close(() => process.exit(0));
};
for (const signal of ["SIGTERM", "SIGINT", "SIGHUP"] as const) process.once(signal, end);
// Whoever started it may be killed: then nobody needs it any more.
process.on("disconnect", end);
