import type { Day } from "../climate/days";

/** How often a remedy has been put on a plant in the course that runs, and the last time; none yet: 0 and null. */
export interface Course {
  readonly times: number;
  readonly last: Day | null;
}
