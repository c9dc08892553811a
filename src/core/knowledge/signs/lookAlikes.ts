import type { GrowthFormId } from "../plants/growthForms";
import type { SignId } from "./signs";

/** What is taken for a sign of a pest and is none. Source: common practice, no source. */
export const lookAlikes = {
  perlite: { of: ["cottonTufts", "rootMeal", "fixedBumps"] },
  aerialRoots: { of: ["cottonTufts", "rootMeal"] },
  hairsAndBloom: { of: ["cottonTufts"] },
  dustAndCobweb: { of: ["webbing", "grittyDust", "creepingSpecks"] },
  hardWater: { of: ["stippling", "silverStreaks", "fixedBumps"] },
  nectar: { of: ["stickyFilm", "ants"] },
  naturalCork: { of: ["corkyScars"], forms: ["tubercledCactus", "columnarCactus", "jointedCactus"] },
  sporeCases: { of: ["fixedBumps"], forms: ["fern"] },
  springtails: { of: ["smallFlies", "mixLarvae"] },
  deadShells: { of: ["fixedBumps", "shellLifts"] },
  woollyAreoles: { of: ["cottonTufts"], forms: ["tubercledCactus", "columnarCactus", "jointedCactus"] },
  farina: { of: ["cottonTufts", "grittyDust"] },
  oedema: { of: ["fixedBumps", "corkyScars"] },
  sunburn: { of: ["silverStreaks", "stippling"] },
  ribNectar: { of: ["stickyFilm", "sootyFilm", "ants"], forms: ["columnarCactus", "tubercledCactus"] },
  soilMites: { of: ["creepingSpecks", "runningSpecks"] },
  predatoryMites: { of: ["runningSpecks", "livesWhenTouched"] },
  wetOrDry: { of: ["yellowing", "wiltsDamp", "twistedGrowth"] },
} as const satisfies Record<string, { of: readonly SignId[]; forms?: readonly GrowthFormId[] }>;

export type LookAlikeId = keyof typeof lookAlikes;
export const lookAlikeIds = Object.keys(lookAlikes) as LookAlikeId[];

/** What these signs on a plant of this form may be instead. @example lookAlikesOf(["fixedBumps"], "fern") // perlite, hardWater, sporeCases, deadShells */
export function lookAlikesOf(seen: readonly SignId[], form: GrowthFormId): LookAlikeId[] {
  return lookAlikeIds.filter((id) => {
    const { of, forms }: { of: readonly SignId[]; forms?: readonly GrowthFormId[] } = lookAlikes[id];
    return (forms === undefined || forms.includes(form)) && of.some((sign) => seen.includes(sign));
  });
}

/**
 * Whether a healthy plant of this form makes the sign itself: the areoles of ribbed cacti give nectar, sooty mould grows on it and ants
 * come for it (common practice, no source). @example showsOfItself("stickyFilm", "columnarCactus") // true
 */
export function showsOfItself(sign: SignId, form: GrowthFormId): boolean {
  const { of, forms }: { of: readonly SignId[]; forms: readonly GrowthFormId[] } = lookAlikes.ribNectar;
  return of.includes(sign) && forms.includes(form);
}
