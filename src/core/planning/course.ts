import type { Day } from "../climate/days";
import type { CourseId } from "./doses";

/** How often a remedy has been put on a plant, or a work done to it, in the course that runs, and the last time; none yet: 0 and null. */
export interface Course {
  readonly times: number;
  readonly last: Day | null;
}

/** The course of each remedy and each work. */
export type Courses = Readonly<Record<CourseId, Course>>;
