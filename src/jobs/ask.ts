import type { JobId } from "./jobs";
import { ask } from "./queue";

/** Asks for jobs for a collection, or for all; returns at once when they are asked for, or could not be. Whoever only asks loads none of the work. */
export async function askFor(url: string, collectionId: string | null, ...jobs: readonly JobId[]): Promise<void> {
  await Promise.all(jobs.map((job) => ask(url, job, collectionId, soonest[job])));
}

/** What bears on every plant is not begun with each press of a walk: presses that follow within so many seconds are reckoned together. */
const soonest: Partial<Record<JobId, number>> = { carryRest: 5 };
