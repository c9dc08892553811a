import type { DatedComparison } from "@/core/case/ask";
import { addDays, type Day } from "@/core/climate/days";
import type { Basis, PlannedDose } from "@/core/facts/kinds/programme";
import type { ApproachId } from "@/core/planning/approaches";
import type { Dose } from "@/core/planning/doses";
import type { HelpId } from "@/core/planning/helps";
import type { Blame } from "@/core/planning/why";
import type { SchoolId } from "@/core/remedies/schools";
import type { Objection } from "@/core/suitability/suitability";
import { approachNames, schoolNames } from "@/wording/names";

/** One way to go about a case, as a row of the comparison. */
export interface Way {
  readonly id: ApproachId | SchoolId;
  readonly name: string;
  readonly basis: Basis;
  readonly badges: readonly string[];
  readonly dates: readonly Day[];
  readonly doses: readonly Dose[];
  readonly pOver: number;
  readonly by: Day;
  readonly reaches: boolean;
  readonly rising: readonly number[];
  readonly why: Blame;
  readonly help: { readonly id: HelpId; readonly pOver: number } | null;
}

/** What has been chosen, ready to be adopted. */
export interface Chosen {
  readonly basis: Basis;
  readonly dates: readonly Day[];
  readonly doses: readonly PlannedDose[];
}

interface Refused {
  readonly id: ApproachId | SchoolId;
  readonly name: string;
  readonly why: readonly Objection["code"][];
}

const isSchool = (id: ApproachId | SchoolId): id is SchoolId => !(id in approachNames);
const nameOf = (id: ApproachId | SchoolId) => (isSchool(id) ? schoolNames[id] : approachNames[id]);

/** The rows of a comparison: those that reach the target first, then those that fall short, then the schools. */
export function waysOf(comparison: DatedComparison): { good: Way[]; short: Way[]; schools: Way[]; refused: Refused[] } {
  const plans = comparison.plans.map((plan): Way => ({
    ...plan,
    id: plan.approach,
    name: approachNames[plan.approach],
    basis: "reckoned",
    badges: (["fewest", "soonest", "gentlest"] as const).filter((badge) => comparison[badge] === plan.approach),
  }));
  return {
    good: plans.filter((plan) => plan.reaches).toSorted((a, b) => a.dates.length - b.dates.length || b.pOver - a.pOver),
    short: plans.filter((plan) => !plan.reaches).toSorted((a, b) => b.pOver - a.pOver),
    schools: comparison.schools.map((school): Way => ({
      ...school,
      id: school.school,
      name: schoolNames[school.school],
      basis: school.school,
      badges: [],
      rising: [],
      why: [],
      help: null,
    })),
    refused: comparison.refused.map(({ id, why }) => ({ id, name: nameOf(id), why })),
  };
}

/** Days 0, n, 2n … for a count; nothing that makes no sense gives dates. */
export function spread(everyDays: number, times: number): number[] {
  if (!(everyDays >= 1 && everyDays <= 60 && times >= 1 && times <= 24)) return [];
  return Array.from({ length: Math.floor(times) }, (_, i) => i * Math.floor(everyDays));
}

export function daysFrom(first: Day, days: readonly number[]): Day[] {
  return days.map((day) => addDays(first, day));
}
