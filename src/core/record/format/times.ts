import type { CaseFile } from "./schema";

/** Ten years: no case runs longer. */
export const MOST_DAYS = 3650;

const DAY_MS = 86_400_000;

/** The beginning, UTC, of the day of the first event. */
export function dayZero({ events }: Pick<CaseFile, "events">): string {
  return new Date(Date.parse(events[0]!.at)).toISOString().slice(0, 10);
}

/** Days, with fractions, from one moment to another; a day without a time is its beginning, UTC. */
export function daysSince(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / DAY_MS;
}
