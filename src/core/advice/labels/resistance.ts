import { groupOf } from "../../knowledge/household/products";
import { workIds } from "../../acts/workIds";
import { remedyIds } from "../../knowledge/remedies/remedies";
import { doseAt, type Approach } from "../planning/approaches";
import type { TreatmentCourses } from "../planning/treatmentCourse";
import { courseOf, isWorkId, type CourseId } from "../planning/doses";

/** Of one group not more than so many times running: then something of another kind (labels, from memory). */
export const MOST_RUNNING = 3;

/** What is counted: whatever is put on, and what roots take up; hands, water and helpful animals stand between nothing. */
const counted = (course: CourseId) => !isWorkId(course) || course === "systemic";
const countedIds = [...remedyIds, ...workIds].filter(counted);
const groupIn = (course: CourseId) => groupOf(isWorkId(course) ? "throughTheRoots" : course);

/**
 * How many applications running, up to the last on record, were of a remedy's group; 0 for a remedy without one, or where another
 * came after it. Of what lies before the last of each remedy only the number is known: it is counted as running.
 * @example runningOf("spinosad", { ...none, spinosad: { times: 2, last: "2026-11-20" } }) // 2
 */
export function runningOf(remedy: CourseId, courses: TreatmentCourses): number {
  const group = counted(remedy) ? groupIn(remedy) : null;
  if (group === null) return 0;
  const same = countedIds.filter((id) => groupIn(id) === group);
  const lastOf = (ids: readonly CourseId[]) =>
    ids.flatMap((id) => courses[id].last ?? []).reduce<string>((a, b) => (a > b ? a : b), "");
  const others = countedIds.filter((id) => !same.includes(id));
  if (lastOf(others) > lastOf(same)) return 0;
  return same.reduce((sum, id) => sum + courses[id].times, 0);
}

/**
 * Whether what is put on one after the other, the earliest first, comes to more of one group running than is borne, after what is on
 * record: what that is. @example tooManyRunning(["spinosad", "spinosad", "spinosad"], courses) // "spinosad"
 */
export function tooManyRunning(inOrder: readonly CourseId[], courses: TreatmentCourses): CourseId | null {
  let group: string | null = null;
  let running = 0;
  for (const [i, remedy] of inOrder.filter(counted).entries()) {
    const its = groupIn(remedy);
    const before = i === 0 ? runningOf(remedy, courses) : its === group ? running : 0;
    group = its;
    running = its === null ? 0 : before + 1;
    if (running > MOST_RUNNING) return remedy;
  }
  return null;
}

/** Whether already the first treatment of an approach would do that. */
export function runsOn(approach: Approach, courses: TreatmentCourses): boolean {
  return tooManyRunning([courseOf(doseAt(approach, 0))], courses) !== null;
}
