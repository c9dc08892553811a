// A process that does the jobs: reckoning takes its time, and no page waits for it.
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { takePartInJobs } from "./jobs";
import { leaveQueues } from "./queue";

const end = async () => {
  await leaveQueues();
  process.exit(0);
};
for (const signal of ["SIGTERM", "SIGINT", "SIGHUP"] as const) process.once(signal, () => void end());
// Whoever started it may be killed: then nobody needs it any more.
process.on("disconnect", () => void end());

await takePartInJobs(databaseUrl(), now);
process.send?.("ready");
