import { daysFor } from "../../climate/degreeDays";
import { phaseOf, type LifeStage, type Pest } from "./pests";

/**
 * The stages an animal passes before it is adult, in the order of life. Where a pest bears live young they begin with the
 * newborn; a pest that is adult at once has none.
 */
export function immatureStages(pest: Pest): readonly LifeStage[] {
  const adult = pest.stages.findIndex((stage) => phaseOf(stage) === "adult");
  return adult < 0 ? pest.stages : pest.stages.slice(0, adult);
}

/**
 * Degree-days from egg to adult, through every immature stage. @example eggToAdultDegreeDays(pests.mealybug) // 450
 */
export function eggToAdultDegreeDays(pest: Pest): number {
  return immatureStages(pest).reduce((sum, stage) => sum + stage.degreeDays, 0);
}

/**
 * Days one stage takes at a constant mean temperature, or null where it is too cold for development.
 * @example stageDays(pests.spiderMite, pests.spiderMite.stages[0], 22) // 64 / 12 = 5.33
 */
export function stageDays(pest: Pest, stage: LifeStage, meanC: number): number | null {
  return daysFor(pest, stage.degreeDays, meanC);
}

/**
 * Egg to adult (newborn to adult where the pest bears live young): days at `meanC` through every stage before
 * `youngAdult`, or null where it is too cold for development.
 * @example eggToAdultDays(pests.mealybug, 25) // 450 / 15 = 30
 */
export function eggToAdultDays(pest: Pest, meanC: number): number | null {
  return daysFor(pest, eggToAdultDegreeDays(pest), meanC);
}
