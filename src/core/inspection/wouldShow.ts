import { pestOf, type PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
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
export function wouldShow(pestId: PestId, form: GrowthFormId, meanC: number, search: Search, animals: number): number {
  if (!(animals >= 0)) throw new RangeError(`how many animals? got ${animals}`);
  return 1 - (1 - chanceToSeeOne(pestId, form, meanC, search)) ** animals;
}

/** The chance that one animal, of no known age or place, is seen. */
export function chanceToSeeOne(pestId: PestId, form: GrowthFormId, meanC: number, search: Search): number {
  const pest = pestOf(pestId);
  const layout = layoutOf(pest);
  // Where it is too cold to grow the ages stay as they were when it was last warm enough.
  const warmC = Math.max(meanC, pest.lowerC + 5);
  const { shares } = stableGrowth(layout, sitesOn(form, pestId), warmC, stepFor(layout, warmC, 0.25));
  const see = seeChances(pest, pestId, form, search);
  const seeing = spread(layout, (stage, site) => see[stage]![site]!);
  return shares.reduce((sum, share, i) => sum + share * seeing[i]!, 0);
}
