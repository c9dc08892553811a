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

/** The chances, 0–1, that bear on what one look sees where another found something. */
export interface ChancesBeside {
  /** That it sees an animal which the other has seen. */
  readonly ofSeen: number;
  /** That it sees any one animal, and that the other does. */
  readonly ofAny: number;
  readonly otherSees: number;
}

/**
 * What a look sees beside another that was made with `other`: by age and place, those that the other sees are also easier for it, and those
 * that the other passes are harder. `ofSeen` is 0 where the other can see none. @example chancesBeside("mealybug", "rosette", 22, eyeOnAll, loupeOnAll).ofSeen // higher than for any animal
 */
export function chancesBeside(
  pestId: PestId,
  form: GrowthFormId,
  meanC: number,
  search: Search,
  other: Search,
): ChancesBeside {
  const { shares, seeing } = population(pestId, form, meanC);
  const [see, seen] = [seeing(search), seeing(other)];
  const over = (of: (i: number) => number) => shares.reduce((sum, share, i) => sum + share * of(i), 0);
  const otherSees = over((i) => seen[i]!);
  const both = over((i) => seen[i]! * see[i]!);
  return { ofSeen: otherSees > 0 ? both / otherSees : 0, ofAny: over((i) => see[i]!), otherSees };
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
