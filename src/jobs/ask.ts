import type { JobId } from "./jobs";
import { ask } from "./queue";

/** Asks for jobs for a collection, or for all; returns at once when they are asked for, or could not be. Whoever only asks loads none of the work. */
export async function askFor(url: string, collectionId: string | null, ...jobs: readonly JobId[]): Promise<void> {
  await Promise.all(jobs.map((job) => ask(url, job, collectionId)));
}
