import { remedyIds, remedyOf, type RemedyId } from "../remedies/remedies";
import { doseAt, type Approach } from "./approaches";
import { isWork, type Dose } from "./doses";
import type { Courses } from "./course";

/** Of one group not more than so many times running: then something of another kind (labels, from memory). */
export const MOST_RUNNING = 2;

/**
 * How many applications running, up to the last on record, were of a remedy's group; 0 for a remedy without one, or where another
 * came after it. Of what lies before the last of each remedy only the number is known: it is counted as running.
 * @example runningOf("spinosad", { ...none, spinosad: { times: 2, last: "2026-11-20" } }) // 2
 */
export function runningOf(remedy: RemedyId, courses: Courses): number {
  const { group } = remedyOf(remedy);
  if (group === null) return 0;
  const same = remedyIds.filter((id) => remedyOf(id).group === group);
  const lastOf = (ids: readonly RemedyId[]) =>
    ids.flatMap((id) => courses[id].last ?? []).reduce<string>((a, b) => (a > b ? a : b), "");
  const others = remedyIds.filter((id) => !same.includes(id));
  if (lastOf(others) > lastOf(same)) return 0;
  return same.reduce((sum, id) => sum + courses[id].times, 0);
}

/**
 * Whether remedies put on one after the other, the earliest first, come to more of one group running than is borne, after what is on
 * record. @example tooManyRunning(["spinosad", "spinosad", "spinosad"], courses) // true
 */
export function tooManyRunning(remedies: readonly RemedyId[], courses: Courses): RemedyId | null {
  let group: string | null = null;
  let running = 0;
  for (const [i, remedy] of remedies.entries()) {
    const { group: its } = remedyOf(remedy);
    const before = i === 0 ? runningOf(remedy, courses) : its === group ? running : 0;
    group = its;
    running = its === null ? 0 : before + 1;
    if (running > MOST_RUNNING) return remedy;
  }
  return null;
}

/** The remedies of those doses that put one on; works have no group, and stand between nothing. */
const contactRemedies = (doses: readonly Dose[]): RemedyId[] =>
  doses.flatMap((dose) => (isWork(dose) ? [] : [dose.remedy]));

/** Whether the first treatments of an approach would do that. */
export function runsOn(approach: Approach, courses: Courses): boolean {
  const first = Array.from({ length: MOST_RUNNING + 1 }, (_, n) => doseAt(approach, n));
  return tooManyRunning(contactRemedies(first), courses) !== null;
}
