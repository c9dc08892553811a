import type { Priors } from "../diagnosis/priors";
import { pestIds } from "../../knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { spotWeights } from "../../knowledge/plants/spotWeights";
import type { SpotId } from "../../knowledge/plants/spots";
import type { Round } from "../../model/inspection/rounds";

/** How much of what may be there the likeliest places hold (HOUSE). */
const LIKELY_SHARE = 0.8;

/**
 * The hiding places of a plant of this form, the likeliest first: by the expected number of animals on each, the weight of
 * the place with each pest times how likely the pest is. Roots come last: nobody unpots on a round.
 * @example placesByRisk("trailingVine", priors)[0] // "underside"
 */
export function placesByRisk(form: GrowthFormId, priors: Priors): SpotId[] {
  const risk = riskOf(form, priors);
  return [...spotsOf(form)].toSorted(
    (a, b) => Number(a === "roots") - Number(b === "roots") || risk.get(b)! - risk.get(a)!,
  );
}

/**
 * The places that a round takes in on a plant of this form: `likely`, the fewest that hold four fifths of what may be above
 * the roots; `all`, every one but the roots; `own`, none until the keeper presses them. Likeliest first.
 */
export function placesOfRound(form: GrowthFormId, priors: Priors, round: Round): SpotId[] {
  if (round === "own") return [];
  const reachable = placesByRisk(form, priors).filter((spot) => spot !== "roots");
  if (round === "all") return reachable;
  const risk = riskOf(form, priors);
  const total = reachable.reduce((sum, spot) => sum + risk.get(spot)!, 0);
  let held = 0;
  return reachable.filter((spot) => {
    if (held >= LIKELY_SHARE * total) return false;
    held += risk.get(spot)!;
    return true;
  });
}

function riskOf(form: GrowthFormId, priors: Priors): Map<SpotId, number> {
  const risk = new Map<SpotId, number>(spotsOf(form).map((spot) => [spot, 0]));
  for (const pest of pestIds)
    for (const { id, weight } of spotWeights(form, pest)) risk.set(id, risk.get(id)! + weight * priors[pest]);
  return risk;
}
