import { pestOf, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { layoutOf, spread } from "../population/layout";
import { stableGrowth } from "../population/stable";
import { stepFor } from "../population/step";
import { sitesOn } from "./sitesOn";
import { seeChances, type Search } from "./see";

/**
 * The chance that a look of this effort would see at least one of `animals` (a light infestation is about five) that sit and
 * are as old as those of a growing population: 1 − (1 − D)ⁿ, D the chance to see one.
 * 0 where nothing can be seen that way. Throws RangeError for less than 0 animals.
 * @example wouldShow("spiderMite", "trailingVine", 22, { tool: "eye", spots: ["underside"] }, 5.5) // low: mites are small
 */
export function detectionProbability(
  pestId: PestId,
  form: GrowthFormId,
  meanC: number,
  search: Search,
  animals: number,
): number {
  if (!(animals >= 0)) throw new RangeError(`how many animals? got ${animals}`);
  return 1 - (1 - chanceToSeeOne(pestId, form, meanC, search)) ** animals;
}

/** The chance that one animal, of no known age or place, is seen. */
export function chanceToSeeOne(pestId: PestId, form: GrowthFormId, meanC: number, search: Search): number {
  const { shares, seeing } = population(pestId, form, meanC);
  const see = seeing(search);
  return shares.reduce((sum, share, i) => sum + share * see[i]!, 0);
}

/**
 * The chance that an animal which one look has seen is seen by another: of those that one sees, by age and place, the share that the
 * other sees. 0 where the first can see none. @example chanceAmongSeen("mealybug", "rosette", 22, eyeOnAll, loupeOnAll) // higher than for any animal
 */
export function chanceAmongSeen(
  pestId: PestId,
  form: GrowthFormId,
  meanC: number,
  search: Search,
  seenWith: Search,
): number {
  const { shares, seeing } = population(pestId, form, meanC);
  const [see, seen] = [seeing(search), seeing(seenWith)];
  const all = shares.reduce((sum, share, i) => sum + share * seen[i]!, 0);
  return all > 0 ? shares.reduce((sum, share, i) => sum + share * seen[i]! * see[i]!, 0) / all : 0;
}

/** A growing population's shares by age and place, and the chance that one of each is seen. */
function population(pestId: PestId, form: GrowthFormId, meanC: number) {
  const pest = pestOf(pestId);
  const layout = layoutOf(pest);
  // Where it is too cold to grow the ages stay as they were when it was last warm enough.
  const warmC = Math.max(meanC, pest.lowerC + 5);
  const { shares } = stableGrowth(layout, sitesOn(form, pestId), warmC, stepFor(layout, warmC, 0.25));
  const seeing = (search: Search) => {
    const see = seeChances(pest, pestId, form, search);
    return spread(layout, (stage, site) => see[stage]![site]!);
  };
  return { shares, seeing };
}
