import { addDays, daysBetween, type Day } from "../../shared/days";
import { standing, type ActDone } from "../../record/facts/facts";
import { workIn, type Act } from "../../acts/acts";
import { workIds, type WorkId } from "../../acts/workIds";
import { workOf, works } from "../../acts/works";
import type { Bottle } from "../../knowledge/household/bottles";
import { mixes } from "../../knowledge/mixes/mixes";
import type { TreatmentCourse, TreatmentCourses } from "../planning/treatmentCourse";
import { courseOf, eachOf, limitsOf, type CourseId, type Dose, type Limits } from "../planning/doses";
import { ownLimits } from "../labels/ownLabels";
import { remedyIds } from "../../knowledge/remedies/remedies";

/** A course is over when so many days have passed without it (HOUSE). */
const COURSE_ENDS_AFTER_DAYS = 60;
/** What a label calls a season is taken as a year. */
const SEASON_DAYS = 365;

/**
 * The running course of each remedy and work on a plant up to a day: how often it has been put on or done without a long break, and
 * the last time, with the limits of the tables or of the labels on the keeper's bottles. What belongs to no case counts like the
 * rest: the plant bears it all. `acts` in the order in which they were done.
 */
export function coursesOn(acts: readonly ActDone[], today: Day, bottles: readonly Bottle[] = []): TreatmentCourses {
  const of = (course: CourseId): TreatmentCourse => {
    const own = ownLimits(bottles, course);
    const limits: Limits = {
      smallestIntervalDays: own.smallestIntervalDays ?? limitsOf(course).smallestIntervalDays,
      mostTimes: own.mostTimes ?? limitsOf(course).mostTimes,
    };
    const days = standing(acts).flatMap(({ act, day }) =>
      countsAs(act).includes(course) && day <= today ? [day] : [],
    );
    const within = own.mostTimes === null ? withinDays(course) : SEASON_DAYS;
    if (within !== null) {
      const counted = days.filter((one) => addDays(one, within) > today);
      return { times: counted.length, last: counted.at(-1) ?? null, limits };
    }
    let times = 0;
    let last: Day | null = null;
    for (const day of days) {
      times = last !== null && daysBetween(last, day) <= COURSE_ENDS_AFTER_DAYS ? times + 1 : 1;
      last = day;
    }
    const runs = last !== null && addDays(last, COURSE_ENDS_AFTER_DAYS) >= today;
    return runs ? { times, last, limits } : { times: 0, last: null, limits };
  };
  return Object.fromEntries([...remedyIds, ...workIds].map((course) => [course, of(course)])) as TreatmentCourses;
}

const withinDays = (course: CourseId): number | null =>
  course in works ? (workOf(course as WorkId).withinDays ?? null) : null;

/** What an act is a dose of; null where plans know nothing of its kind. @example doseIn({ kind: "dust", dryDays: 7 }) // null */
export function doseIn(act: Act): Dose | null {
  if (act.kind === "contact") return { remedy: mixes[act.mix].remedy, technique: act.technique, mix: act.mix };
  const work = workIn(act);
  return work && { work };
}

function countsAs(act: Act): readonly CourseId[] {
  const dose = doseIn(act);
  return dose ? eachOf(dose).map(courseOf) : [];
}
