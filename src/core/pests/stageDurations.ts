import { daysFor } from "../climate/degreeDays";
import type { LifeStage, Pest } from "./pests";

/**
 * The stages an animal passes before it is adult: all that stand before `youngAdult`. Where a pest bears live young
 * they begin with the newborn.
 */
export function immatureStages(pest: Pest): readonly LifeStage[] {
  return pest.stages.filter((_, i) => i < pest.stages.length - 2);
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
  const degreeDays = immatureStages(pest).reduce((sum, stage) => sum + stage.degreeDays, 0);
  return daysFor(pest, degreeDays, meanC);
}
