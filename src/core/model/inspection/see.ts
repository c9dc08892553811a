import {
  isKnownPest,
  phaseOf,
  type LifeStage,
  type Pest,
  type PestId,
  type Visibility,
} from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { shareOn } from "../../knowledge/plants/spotWeights";
import type { SpotId } from "../../knowledge/plants/spots";
import { NOWHERE, type PerSite } from "../population/sites";
import { tools, type Tool, type ToolId } from "./tools";

/** A look that left one side of the plant unseen saw half of what it looked at (HOUSE). */
export const ONE_SIDE = 0.5;

/** No look sees every animal, whatever is known of the eye (HOUSE). */
export const MOST_SEEN = 0.98;

/** Of what some chances see, so much: half of it, or what an eye is known to see of it. 1 gives the same. @example seeShare([[0.6, 0.25, 0]], 0.5) // [[0.3, 0.125, 0]] */
export function seeShare(see: readonly PerSite[], share: number): PerSite[] {
  if (share === 1) return [...see];
  const some = (chance: number) => Math.min(MOST_SEEN, chance * share);
  return see.map(([open, sheltered, deep]) => [some(open), some(sheltered), some(deep)]);
}

/** With what and where one looks. */
export interface Search {
  readonly tool: ToolId;
  readonly spots: readonly SpotId[];
}

/** Stages that are larger, or harder to see, than their name tells. Source: sizes common practice; classes HOUSE. */
const exceptions: Partial<Record<PestId, Readonly<Record<string, Visibility>>>> = {
  // Egg sacs are white wool, half-grown animals a few millimetres long.
  mealybug: { egg: "large", nymph: "large" },
  rootMealybug: { egg: "large", nymph: "large" },
  // Mites are half a millimetre long, thrips one.
  spiderMite: { youngAdult: "small", adult: "small" },
  thrips: { pupa: "unseen", youngAdult: "small", adult: "small" },
  aphid: { nymph: "large" },
};

/** By phase, where neither the stage nor the pest's own look says otherwise. */
const usualSize = { egg: "unseen", young: "small", adult: "large" } as const;

/**
 * How well a life stage shows: as it says itself; else adults large, the young small, eggs not at all, but for what the
 * pest's own look changes. @example visibilityOf("mealybug", pests.mealybug.stages[0]) // "large": the egg sac
 */
export function visibilityOf(pest: string, stage: LifeStage): Visibility {
  // Names come from files too: only what the table itself holds counts.
  const special =
    isKnownPest(pest) && Object.hasOwn(exceptions[pest] ?? {}, stage.id) ? exceptions[pest]?.[stage.id] : null;
  return stage.size ?? special ?? usualSize[phaseOf(stage)];
}

/**
 * For each stage the chance that one animal is seen, on open, on sheltered and on deep places:
 * Σ over examined spots of the site (weight / Σ weights of the site) · (chance that an animal on it is seen).
 * Spots that the plant's form lacks, and those the tool cannot be used on, add nothing.
 * @example seeChances(pests.mealybug, "mealybug", "trailingVine", { tool: "loupe", spots: all }).at(-1) // [0.9, 0.6, 0.08]
 */
export function seeChances(pest: Pest, weights: PestId, form: GrowthFormId, { tool, spots }: Search): PerSite[] {
  const { chance, deep, onlyOn, movingOnly }: Tool = tools[tool];
  const usable = onlyOn ? spots.filter((spot) => onlyOn.includes(spot)) : spots;
  const [onOpen, onSheltered, onDeep] = shareOn(form, weights, usable);
  return pest.stages.map((stage) => {
    const size = visibilityOf(weights, stage);
    if (size === "unseen" || (movingOnly && !stage.mobile)) return NOWHERE;
    return [onOpen * chance[size][0], onSheltered * chance[size][1], onDeep * deep];
  });
}
