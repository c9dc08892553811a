import { daysBetween, type Day } from "../../shared/days";
import { remedyOf, type RemedyId, type TechniqueId } from "../../knowledge/remedies/remedies";
import type { TreatmentCourses } from "../planning/treatmentCourse";
import { courseOf, eachOf, gapBetween, isWork, OTHER_REMEDY_DAYS, type CourseId, type Dose } from "../planning/doses";
import { MOST_RUNNING, tooManyRunning } from "./resistance";

/** What a label has against dates. */
export type LabelObjection =
  | { readonly code: "technique_not_taken"; readonly remedy: RemedyId; readonly technique: TechniqueId }
  | {
      readonly code: "too_close";
      readonly remedy: CourseId;
      readonly days: number;
      readonly before: Day;
      readonly after: Day;
    }
  | { readonly code: "too_many_running"; readonly remedy: CourseId; readonly most: number }
  | { readonly code: "too_often"; readonly remedy: CourseId; readonly most: number; readonly times: number }
  | { readonly code: "not_together"; readonly remedy: CourseId; readonly other: CourseId; readonly days: number };

/** One thing done that is planned or was. */
export interface DatedDose {
  readonly day: Day;
  readonly dose: Dose;
}

/**
 * What the remedies' limits have against things done on certain days, with the courses that run: a technique the remedy does not
 * take, two applications of one remedy closer than it bears, more of them than a course allows, more of one group running than pests
 * stay susceptible to, and sprays beside helpful animals. `planned` by day; of each kind the first is told.
 * Source: labels from memory and common practice; the keeper's own label decides.
 * @example labelObjections([twoSoapsOnOneDay], courses)[0].code // "too_close"
 */
export function labelObjections(planned: readonly DatedDose[], courses: TreatmentCourses): LabelObjection[] {
  const objections: LabelObjection[] = [];
  const applications = planned.flatMap(({ day, dose }) => eachOf(dose).map((one) => ({ day, dose: one })));
  const put = applications.flatMap(({ day, dose }) => (isWork(dose) ? [] : [{ day, ...dose }]));
  const odd = put.find(({ remedy, technique }) => !remedyOf(remedy).techniques.includes(technique));
  if (odd) objections.push({ code: "technique_not_taken", remedy: odd.remedy, technique: odd.technique });
  const dated = applications.map(({ day, dose }) => ({ day, course: courseOf(dose) }));
  for (const remedy of new Set(dated.map(({ course }) => course))) {
    const { times, last, limits } = courses[remedy];
    const { smallestIntervalDays, mostTimes } = limits;
    const days = [...(last ? [last] : []), ...dated.filter(({ course }) => course === remedy).map(({ day }) => day)]
      // What is written down late may lie before the last one on record.
      .toSorted();
    const close = days.findIndex((day, i) => i > 0 && daysBetween(days[i - 1]!, day) < smallestIntervalDays);
    if (close > 0) {
      const [before, after] = [days[close - 1]!, days[close]!];
      objections.push({ code: "too_close", remedy, days: smallestIntervalDays, before, after });
    }
    const all = times + days.length - (last ? 1 : 0);
    if (all > mostTimes) objections.push({ code: "too_often", remedy, most: mostTimes, times: all });
  }
  const inOrder = dated.toSorted((a, b) => (a.day < b.day ? -1 : 1)).map(({ course }) => course);
  const running = tooManyRunning(inOrder, courses);
  if (running) objections.push({ code: "too_many_running", remedy: running, most: MOST_RUNNING });
  const together = notTogether(applications, courses);
  if (together) objections.push(together);
  return objections;
}

/** The first two of what is planned and was done that do not bear each other as near as they are. */
function notTogether(applications: readonly DatedDose[], courses: TreatmentCourses): LabelObjection | null {
  const before = (Object.keys(courses) as CourseId[]).flatMap((course) => {
    const { last } = courses[course];
    return last ? [{ day: last, course }] : [];
  });
  for (const { day, dose } of applications) {
    const earlier = [...before, ...applications.map((one) => ({ day: one.day, course: courseOf(one.dose) }))];
    for (const other of earlier) {
      const days = gapBetween(other.course, dose);
      const apart = daysBetween(other.day, day);
      const bears = other.course === courseOf(dose) || days <= OTHER_REMEDY_DAYS || apart < 0 || apart >= days;
      if (!bears) return { code: "not_together", remedy: courseOf(dose), other: other.course, days };
    }
  }
  return null;
}
