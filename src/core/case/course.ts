import { addDays, daysBetween, type Day } from "../climate/days";
import { standing, type ActDone } from "../facts/facts";
import { mixes } from "../mixing/mixes";
import { remedyIds, type RemedyId } from "../remedies/remedies";
import type { Course } from "../planning/course";

/** A course of a remedy is over when so many days have passed without it (HOUSE). */
const COURSE_ENDS_AFTER_DAYS = 60;

/**
 * The running course of each remedy on a plant up to a day: how often it has been put on without a long break, and the last
 * time. What belongs to no case counts like the rest: the plant bears it all. `acts` in the order in which they were done.
 */
export function coursesOn(acts: readonly ActDone[], today: Day): Record<RemedyId, Course> {
  const of = (remedy: RemedyId): Course => {
    const days = standing(acts).flatMap(({ act, day }) =>
      act.kind === "contact" && mixes[act.mix].remedy === remedy && day <= today ? [day] : [],
    );
    let times = 0;
    let last: Day | null = null;
    for (const day of days) {
      times = last !== null && daysBetween(last, day) <= COURSE_ENDS_AFTER_DAYS ? times + 1 : 1;
      last = day;
    }
    return last !== null && addDays(last, COURSE_ENDS_AFTER_DAYS) >= today ? { times, last } : { times: 0, last: null };
  };
  return Object.fromEntries(remedyIds.map((remedy) => [remedy, of(remedy)])) as Record<RemedyId, Course>;
}
