import type { DatedDose } from "@/core/case/draw";
import { addDays, type Day } from "@/core/climate/days";
import { doseOf } from "@/core/facts/records";
import { mixes } from "@/core/mixing/mixes";
import type { CaseView } from "@/operations/readCase";
import type { Mark } from "@/ui/charts/CaseChart";

/** How far ahead a picture looks beyond the last step, days. */
const LOOK_AHEAD_DAYS = 14;

/** The treatments that a case's plan still has to come. */
export function comingDoses({ plan, found }: CaseView): DatedDose[] {
  if (!plan || !found.open) return [];
  return plan.steps
    .filter((step) => step.kind === "treat" && step.doneOn === null)
    .map((step) => {
      const { mix, technique } = doseOf(plan, step);
      return { day: step.dueOn, dose: { remedy: mixes[mix].remedy, technique } };
    });
}

/** What stands on the time line of a case. */
export function marksOf(view: CaseView): Mark[] {
  const { found, looks, treatments } = view;
  return [
    ...treatments.filter((t) => t.voidReason === null).map((t): Mark => ({ day: t.day, kind: "treated" })),
    ...looks
      .filter((look) => look.voidReason === null)
      .map((look): Mark => ({
        day: look.day,
        kind: look.finds.some((f) => f.pest === found.pest) ? "found" : "clean",
      })),
    ...comingDoses(view).map(({ day }): Mark => ({ day, kind: "planned" })),
  ];
}

/** The last day a picture shows: two weeks after the last step to come, or the day a case was closed. */
export function lastDay(view: CaseView, today: Day): Day {
  if (view.closing) return view.closing.day;
  const last = comingDoses(view).at(-1)?.day ?? today;
  return addDays(last > today ? last : today, LOOK_AHEAD_DAYS);
}
