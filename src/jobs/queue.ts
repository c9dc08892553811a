import PgBoss from "pg-boss";
import { pastDeadlocks } from "@/operations/shared/pastDeadlocks";

/** What a job does, for one collection or, without one, for all; it stops between two pieces of work when `more` says so. */
export type Work = (more: () => boolean, collectionId: string | null) => Promise<void>;

// One boss for the whole process and database; every bundled copy of this module sees the same. It stands here as a promise
// from the moment it is begun, so that nobody meets one that has not started yet.
const shared = globalThis as typeof globalThis & { waryJobs?: Map<string, Promise<PgBoss>> };

/** A process that takes part does what is asked and minds the queues; one that only asks leaves both to those. */
type Role = "takes part" | "asks";

function bossOf(url: string, role: Role): Promise<PgBoss> {
  const bosses = (shared.waryJobs ??= new Map());
  const known = bosses.get(url);
  if (known) return known;
  const minds = role === "takes part";
  const boss = new PgBoss({
    connectionString: url,
    schema: "jobs",
    application_name: "wary-petal jobs",
    supervise: minds,
    schedule: minds,
    max: minds ? 4 : 1,
  });
  // Without a listener a lost connection would end the process; the next poll tries again.
  boss.on("error", (error) => console.error(error.message));
  const started = boss.start();
  // One that could not start is no boss: whoever comes next begins anew.
  started.catch(() => bosses.delete(url));
  bosses.set(url, started);
  return started;
}

/** A keeper waits for nothing that is asked; a job that is to end has so long to put its work down, ms. */
const PATIENCE_MS = 5000;
/** What a command has touched is to be known within a second. */
const POLL_SECONDS = 0.5;
/** So many collections that wait are taken at once. */
const AT_ONCE = 20;

interface Asked {
  readonly collectionId?: string;
}

/**
 * Takes part in jobs, each a queue of its own: any number of processes may, and of two jobs that wait for the same thing, a
 * collection or all of them, one is done. Each also runs once a minute, so that nothing waits for ever for somebody to ask.
 */
export async function takePart(url: string, jobs: Readonly<Record<string, Work>>): Promise<void> {
  const boss = await bossOf(url, "takes part");
  let going = true;
  for (const [queue, work] of Object.entries(jobs)) {
    // Processes that start at the same moment may wait for each other over the same queue.
    await pastDeadlocks(() => boss.createQueue(queue, { name: queue, policy: "stately", retryLimit: 2 }));
    await pastDeadlocks(() => boss.schedule(queue, "* * * * *"));
    const options = { pollingIntervalSeconds: POLL_SECONDS, batchSize: AT_ONCE };
    await boss.work<Asked>(queue, options, async (jobs) => {
      for (const { data } of jobs) if (going) await work(() => going, data?.collectionId ?? null);
    });
  }
  ending.set(url, () => (going = false));
}

const ending = new Map<string, () => void>();

/**
 * Asks for a job, now or in so many seconds, for one collection or, without one, for all. What is asked for is on record already: that it could not be asked is no failure of whoever asked, since
 * every job runs by itself once a minute.
 */
export async function ask(
  url: string,
  queue: string,
  collectionId: string | null = null,
  afterSeconds = 0,
): Promise<void> {
  try {
    const boss = await bossOf(url, "asks");
    const when = afterSeconds > 0 ? { startAfter: afterSeconds } : {};
    await boss.send(queue, collectionId ? { collectionId } : {}, {
      ...when,
      ...(collectionId && { singletonKey: collectionId }),
    });
  } catch (error) {
    console.error(`No job could be asked for: ${error instanceof Error ? error.message : String(error)}`);
  }
}

/** Leaves the queues, letting a running job put its work down. */
export async function leaveQueues(): Promise<void> {
  for (const end of ending.values()) end();
  ending.clear();
  const all = [...(shared.waryJobs?.values() ?? [])];
  shared.waryJobs?.clear();
  for (const started of all) {
    const boss = await started.catch(() => null);
    await boss?.stop({ timeout: PATIENCE_MS, graceful: true });
  }
}
