import type { DatedComparison, DatedSchedule } from "@/core/case/ask";
import { addDays, type Day } from "@/core/climate/days";
import type { AdoptPlan } from "@/core/facts/kinds/programme";
import { approachIds, approachOf, type ApproachId, type Dose } from "@/core/planning/approaches";
import { schools } from "@/core/remedies/schools";
import { refusals } from "@/core/suitability/mixFor";
import type { Bearer } from "@/core/suitability/suitability";

/** What a keeper has chosen so far: a dose, perhaps a knock-down before it, and where the dates come from. */
export interface Choice {
  readonly dose: Dose;
  readonly knockDown: Dose | null;
  readonly approach: ApproachId | null;
  readonly basis: AdoptPlan["basis"];
}

/** Approaches and schools that this plant does not bear, by their ids. */
export function barredFor(plant: Bearer): string[] {
  const refused = ({ remedy, technique }: Dose) => refusals(remedy, technique, plant).length > 0;
  const approaches = approachIds.filter((id) => {
    const { first, then } = approachOf(id);
    return refused(then) || (first !== undefined && refused(first));
  });
  return [...approaches, ...schools.filter(refused).map((school) => school.id)];
}

/** Days 0, n, 2n … for a count; nothing that makes no sense gives dates. */
export function spread(everyDays: number, times: number): number[] {
  if (!(everyDays >= 1 && everyDays <= 60 && times >= 1 && times <= 24)) return [];
  return Array.from({ length: Math.floor(times) }, (_, i) => i * Math.floor(everyDays));
}

export function daysFrom(first: Day, days: readonly number[]): Day[] {
  return days.map((day) => addDays(first, day));
}

/** The schedule of the approach that was chosen in the comparison, if one was. */
export function chosenPlan({ approach }: Choice, comparison: DatedComparison | null): DatedSchedule | null {
  return comparison?.plans.find((plan) => plan.approach === approach) ?? null;
}
