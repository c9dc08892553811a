import type { Sensitivity } from "../plants/sensitivities";
import type { RemedyId, TechniqueId } from "./remedies";

/** One school's schedule: the days, counted from the first treatment, on which it treats. */
export interface School {
  readonly id: string;
  readonly remedy: RemedyId;
  /** The way it is usually put on there. */
  readonly technique: TechniqueId;
  readonly days: readonly number[];
  /** Only on plants that are known to bear this; on all where left out. */
  readonly on?: Sensitivity;
}

const every = (interval: number, until: number) =>
  Array.from({ length: Math.floor(until / interval) + 1 }, (_, i) => i * interval);

/**
 * Schedules that practitioners follow; where a school says "until clean" it is written out over four weeks.
 * Source: common practice, no source. They disagree, and each is shown beside the reckoned dates.
 */
export const schools = [
  { id: "alcoholThreeTimes", remedy: "alcohol", technique: "sprayAndSwab", days: [0, 6, 13] },
  // Neat is 70 % and more: for cacti and tough succulents, and for nothing else.
  { id: "alcoholNeatWeekly", remedy: "alcohol", technique: "spray", days: [0, 7, 14, 21], on: "bearsNeat" },
  { id: "soapWeeklyThreeTimes", remedy: "soap", technique: "spray", days: [0, 7, 14] },
  { id: "soapWhenHeavy", remedy: "soap", technique: "spray", days: every(3, 27) },
  { id: "soapEveryFortnight", remedy: "soap", technique: "spray", days: every(14, 56) },
  { id: "spinosadWeekly", remedy: "spinosad", technique: "spray", days: [0, 7, 14] },
  { id: "oilOnceThenLook", remedy: "oil", technique: "spray", days: [0] },
  { id: "oilWeeklyThreeTimes", remedy: "oil", technique: "spray", days: [0, 7, 14] },
  { id: "neemUntilClean", remedy: "neem", technique: "spray", days: every(4, 28) },
  { id: "neemDailyWhenBad", remedy: "neem", technique: "spray", days: every(1, 9) },
  { id: "neemThenWeekly", remedy: "neem", technique: "spray", days: [0, 5, 10, 17, 24, 31, 38] },
] as const satisfies readonly School[];

export type SchoolId = (typeof schools)[number]["id"];

/** The schedules practised with a remedy, the most usual first. @example schoolsFor("oil").length // 2 */
export function schoolsFor(remedy: RemedyId): readonly School[] {
  return schools.filter((school) => school.remedy === remedy);
}

/** A school as a way to be weighed. */
export function approachOfSchool({ id, remedy, technique, on }: School): {
  readonly id: string;
  readonly then: { readonly remedy: RemedyId; readonly technique: TechniqueId };
  readonly on?: Sensitivity;
} {
  return { id, then: { remedy, technique }, ...(on && { on }) };
}
