import { daysBetween, type Day } from "../climate/days";
import { remedyOf, type RemedyId, type TechniqueId } from "../remedies/remedies";
import type { Course } from "./course";
import { MOST_RUNNING, tooManyRunning } from "./resistance";

/** What a label has against dates. */
export type LabelObjection =
  | { readonly code: "technique_not_taken"; readonly remedy: RemedyId; readonly technique: TechniqueId }
  | {
      readonly code: "too_close";
      readonly remedy: RemedyId;
      readonly days: number;
      readonly before: Day;
      readonly after: Day;
    }
  | { readonly code: "too_many_running"; readonly remedy: RemedyId; readonly most: number }
  | { readonly code: "too_often"; readonly remedy: RemedyId; readonly most: number; readonly times: number };

/** One application that is planned or was made. */
export interface DatedApplication {
  readonly day: Day;
  readonly remedy: RemedyId;
  readonly technique: TechniqueId;
}

/**
 * What the remedies' limits have against applications on certain days, with the courses that run: a technique the remedy does not
 * take, two applications of one remedy closer than it bears, more of them than a course allows, more of one group running than pests
 * stay susceptible to. `applications` by day; of each
 * kind the first is told. Source: labels from memory and common practice; the keeper's own label decides.
 * @example labelObjections([twoSoapsOnOneDay], courses)[0].code // "too_close"
 */
export function labelObjections(
  applications: readonly DatedApplication[],
  courses: Readonly<Record<RemedyId, Course>>,
): LabelObjection[] {
  const objections: LabelObjection[] = [];
  const odd = applications.find(({ remedy, technique }) => !remedyOf(remedy).techniques.includes(technique));
  if (odd) objections.push({ code: "technique_not_taken", remedy: odd.remedy, technique: odd.technique });
  for (const remedy of new Set(applications.map((one) => one.remedy))) {
    const { smallestIntervalDays, mostTimes } = remedyOf(remedy);
    const { times, last } = courses[remedy];
    const days = [...(last ? [last] : []), ...applications.filter((one) => one.remedy === remedy).map((one) => one.day)]
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
  const inOrder = applications.toSorted((a, b) => (a.day < b.day ? -1 : 1)).map(({ remedy }) => remedy);
  const running = tooManyRunning(inOrder, courses);
  if (running) objections.push({ code: "too_many_running", remedy: running, most: MOST_RUNNING });
  return objections;
}
