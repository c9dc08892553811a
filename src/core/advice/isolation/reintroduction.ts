import { catching, colonyMovingDays } from "../../model/carriage/onward";
import type { NearnessId } from "../../model/carriage/rates";
import type { PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";

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
    return sum + p * catching(pest, colonyMovingDays(pest, form, meanC, days), others);
  }, 0);
}
