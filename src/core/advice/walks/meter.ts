import type { Priors } from "../diagnosis/priors";
import type { Search } from "../../model/inspection/see";
import { severities } from "../../model/inspection/severity";
import { chanceToSeeOne } from "../../model/inspection/detectionProbability";
import { pestIds, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";

/** How many animals a light infestation has, as the severity classes take it. */
export const LIGHT_ANIMALS = severities.find((one) => one.id === "light")!.typical;

export interface Meter {
  /** The chance that a light infestation would have shown, of whichever pest is likely there, 0–1. */
  readonly shown: number;
  /** For each pest, were it there. */
  readonly of: Readonly<Record<PestId, number>>;
}

/**
 * What a look of this effort is worth on a plant: the chance that about five animals would have shown, for each pest, and for
 * all of them weighed by how likely each is there. `sides` is the share of the plant that was turned into view, above 0 to 1.
 * Throws RangeError for another share. @example meterOf("trailingVine", 22, priors, { tool: "lamp", spots: [] }, 1).shown // 0
 */
export function meterOf(form: GrowthFormId, meanC: number, priors: Priors, search: Search, sides: number): Meter {
  if (!(sides > 0 && sides <= 1)) throw new RangeError(`a share of the plant is above 0 and at most 1, got ${sides}`);
  const each = pestIds.map((pest) => {
    const seen = search.spots.length === 0 ? 0 : chanceToSeeOne(pest, form, meanC, search);
    return [pest, 1 - (1 - sides * seen) ** LIGHT_ANIMALS] as const;
  });
  const weight = pestIds.reduce((sum, pest) => sum + priors[pest], 0);
  const shown = each.reduce((sum, [pest, p]) => sum + (p * priors[pest]) / weight, 0);
  return { shown, of: Object.fromEntries(each) as Record<PestId, number> };
}
