import PgBoss from "pg-boss";

// One queue for the whole process and database; every bundled copy of this module sees the same.
const shared = globalThis as typeof globalThis & { waryQueues?: Map<string, PgBoss> };

/**
 * Takes part in the jobs of a queue: any number of processes may, and of two jobs that wait for the same thing one is done.
 * `work` also runs once a minute, so that nothing waits for ever for somebody to ask.
 */
export async function takePart(url: string, queue: string, work: () => Promise<void>): Promise<void> {
  const queues = (shared.waryQueues ??= new Map());
  if (queues.has(url)) return;
  const boss = new PgBoss({ connectionString: url, schema: "jobs", application_name: "wary-petal jobs" });
  queues.set(url, boss);
  // Without a listener a lost connection would end the process; the next poll tries again.
  boss.on("error", (error) => console.error(error.message));
  await boss.start();
  await boss.createQueue(queue, { name: queue, policy: "stately", retryLimit: 2 });
  await boss.schedule(queue, "* * * * *");
  await boss.work(queue, { pollingIntervalSeconds: 2 }, work);
}

/** Asks for a job now; nothing happens where no process takes part, since the next that does begins with it. */
export async function ask(url: string, queue: string): Promise<void> {
  await shared.waryQueues?.get(url)?.send(queue, {});
}

/** Leaves the queues, letting a running job end. */
export async function leaveQueues(): Promise<void> {
  for (const boss of shared.waryQueues?.values() ?? []) await boss.stop({ timeout: 5000 });
  shared.waryQueues?.clear();
}
