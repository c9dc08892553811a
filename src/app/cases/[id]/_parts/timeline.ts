import type { DatedDose } from "@/core/advice/plans/draw";
import { doseOf, treatmentsToCome } from "@/core/advice/plans/plans";
import { addDays, type Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import type { CaseView } from "@/operations/cases/queries/readCase";
import type { Mark } from "@/ui/charts/CaseChart";

/** How far ahead a picture looks beyond the last step, days. */
const LOOK_AHEAD_DAYS = 14;

/** The treatments that a case's plan still has to come. */
export function comingDoses({ plan, found }: CaseView): DatedDose[] {
  if (!plan || !found.open) return [];
  return treatmentsToCome(plan).map(({ dueOn, dose }) => ({ day: dueOn, dose: doseOf(dose) }));
}

/** What stands on the time line of a case. */
export function marksOf(view: CaseView): Mark[] {
  const { found, facts } = view;
  return [
    ...standing(facts.acts).map((act): Mark => ({ day: act.day, kind: "treated" })),
    ...standing(facts.looks).map((look): Mark => ({
      day: look.day,
      kind: look.finds.some((find) => find.pest === found.pest) ? "found" : "clean",
    })),
    ...comingDoses(view).map(({ day }): Mark => ({ day, kind: "planned" })),
  ];
}

/** The last day a picture shows: two weeks after the last step to come, or the day a case was closed. */
export function lastDay(view: CaseView, today: Day): Day {
  if (view.found.closing) return view.found.closing.day;
  const last = comingDoses(view).at(-1)?.day ?? today;
  return addDays(last > today ? last : today, LOOK_AHEAD_DAYS);
}
