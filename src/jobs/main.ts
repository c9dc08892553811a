// A process that does the jobs: reckoning takes its time, and no page waits for it.
import { now } from "@/clock";
import { backupSettings, databaseUrl } from "@/env";
import { askFor } from "./ask";
import { takePartInJobs } from "./jobs";
import { leaveQueues } from "./queue";

const end = async () => {
  await leaveQueues();
  process.exit(0);
};
for (const signal of ["SIGTERM", "SIGINT", "SIGHUP"] as const) process.once(signal, () => void end());
// Whoever started it may be killed: then nobody needs it any more.
process.on("disconnect", () => void end());

await takePartInJobs(databaseUrl(), now, backupSettings());
// Whatever has changed while nobody was there, the calendar for one, is not left for the minute to come round.
await askFor(databaseUrl(), null, "derive", "judge", "carry", "carryRest");
process.send?.("ready");
