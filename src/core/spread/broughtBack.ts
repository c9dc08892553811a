import { perAnimalAt, COLONY_MEAN, type NearnessId } from "../carriage/rates";
import { degreeDaysPerDay } from "../climate/degreeDays";
import { sitesOn } from "../inspection/sitesOn";
import { exp, expm1, ln } from "../numerics/exponential";
import { pestOf, type PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import { layoutOf } from "../population/layout";
import { stableGrowth } from "../population/stable";
import { stepFor } from "../population/step";

/**
 * How many plants are expected to catch something within `days` where a plant that may carry stands among them unseen: for each
 * pest the chance that it carries it, times how many of the others a colony of the usual size, growing as it does there, reaches.
 * Throws RangeError for a chance outside 0–1.
 * Source: the same streams as everywhere; the colony's size is ours (HOUSE).
 */
export function plantsThatCatch(
  pests: readonly { readonly pest: PestId; readonly p: number }[],
  form: GrowthFormId,
  others: Readonly<Partial<Record<NearnessId, number>>>,
  meanC: number,
  days: number,
): number {
  return pests.reduce((sum, { pest, p }) => {
    if (!(p >= 0 && p <= 1)) throw new RangeError(`a chance is 0 to 1, got ${p}`);
    const animalDays = colonyDays(pest, form, meanC, days);
    const caught = Object.entries(others).reduce(
      (plants, [nearness, n]) => plants - n * expm1(-perAnimalAt(pest, nearness as NearnessId) * animalDays),
      0,
    );
    return sum + p * caught;
  }, 0);
}

/** Animals times days of a colony that grows as it does in this warmth; where it is too cold to grow it stays as it is. */
function colonyDays(pestId: PestId, form: GrowthFormId, meanC: number, days: number): number {
  const pest = pestOf(pestId);
  if (degreeDaysPerDay(pest, meanC) <= 0) return COLONY_MEAN * days;
  const layout = layoutOf(pest);
  const dt = stepFor(layout, meanC, 0.5);
  const rate = ln(stableGrowth(layout, sitesOn(form, pestId), meanC, dt).perStep) / dt;
  return Math.abs(rate) < 1e-9 ? COLONY_MEAN * days : (COLONY_MEAN * (exp(rate * days) - 1)) / rate;
}
