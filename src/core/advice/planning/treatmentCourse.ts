import type { Day } from "../../shared/days";
import type { CourseId, Limits } from "./doses";

/** How often a remedy has been put on a plant, or a work done to it, in the course that runs, and the last time; none yet: 0 and null. */
export interface TreatmentCourse {
  readonly times: number;
  readonly last: Day | null;
  /** What it bears, by the tables or by the keeper's own label. */
  readonly limits: Limits;
}

/** The course of each remedy and each work. */
export type TreatmentCourses = Readonly<Record<CourseId, TreatmentCourse>>;
