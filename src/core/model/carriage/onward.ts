import { degreeDaysPerDay } from "../../climate/degreeDays";
import { sitesOn } from "../inspection/sitesOn";
import { exp, expm1, ln } from "../../shared/exponential";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { layoutOf } from "../population/layout";
import { stableGrowth } from "../population/stable";
import { stepFor } from "../population/step";
import { remember } from "../../shared/remember";
import { COLONY_MEAN, perAnimalAt, type NearnessId } from "./rates";

/** A plant carries so many animals at most (HOUSE). */
const CARRIES_AT_MOST = 2000;
const MOST_KEPT = 4000;
const kept = new Map<string, number>();

/** Of so many animals on a plant those that move, of no more than it carries. @example movingOf(4000, 1000) // 500 */
export function movingOf(all: number, moving: number): number {
  return all > CARRIES_AT_MOST ? (moving * CARRIES_AT_MOST) / all : moving;
}

/**
 * How many of others standing so near are expected to catch a pest from animals that move, told in animals times days. The one
 * function by which neighbours of a case, plants brought back, decisions and rounds are reckoned. Source: the streams of rates.ts.
 * @example catching("mealybug", 100, { place: 3 }) // 0.09
 */
export function catching(
  pest: PestId,
  movingDays: number,
  others: Readonly<Partial<Record<NearnessId, number>>>,
): number {
  return Object.entries(others).reduce(
    (plants, [nearness, n]) => plants - n * expm1(-perAnimalAt(pest, nearness as NearnessId) * movingDays),
    0,
  );
}

/**
 * Animals that move, times days, of a colony of which nobody knows, over `days`: of the usual size, in the shares of a growing one,
 * growing as it does in this warmth until the plant is full; where it is too cold to grow it stays as it is. Whole degrees are told
 * apart. Source: the growth of the model; the size is ours (HOUSE).
 */
export function colonyMovingDays(pestId: PestId, form: GrowthFormId, meanC: number, days: number): number {
  const whole = Math.round(meanC);
  return remember(kept, MOST_KEPT, `${pestId} ${form} ${whole} ${days}`, () => {
    const pest = pestOf(pestId);
    const layout = layoutOf(pest);
    const grows = degreeDaysPerDay(pest, whole) > 0;
    // Where it is too cold to grow the ages stay as they were when it was last warm enough.
    const warm = grows ? whole : Math.ceil(pest.lowerC) + 5;
    const dt = stepFor(layout, warm, 0.5);
    const { perStep, shares } = stableGrowth(layout, sitesOn(form, pestId), warm, dt);
    const rate = grows ? ln(perStep) / dt : 0;
    let moving = 0;
    for (let i = 0; i < layout.types; i++) if (pest.stages[layout.stageOf[i]!]!.mobile) moving += shares[i]!;
    let sum = 0;
    for (let day = 0; day < days; day++) {
      const all = COLONY_MEAN * exp(rate * (day + 0.5));
      sum += movingOf(all, moving * all);
    }
    return sum;
  });
}
