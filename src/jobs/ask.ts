import type { JobId } from "./jobs";
import { ask } from "./queue";

/** Asks for jobs; returns at once when they are asked for, or could not be. Whoever only asks loads none of the work. */
export async function askFor(url: string, ...jobs: readonly JobId[]): Promise<void> {
  await Promise.all(jobs.map((job) => ask(url, job)));
}
