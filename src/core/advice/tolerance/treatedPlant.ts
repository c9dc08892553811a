import type { Day } from "../../shared/days";
import { seasonOf, type Hemisphere } from "../diagnosis/priors";
import { anyHome, type Home } from "../../knowledge/household/household";
import type { MixId } from "../../knowledge/mixes/mixes";
import { genusIn } from "../../knowledge/plants/genusIn";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { sensitivitiesOf, type Kind } from "../../knowledge/plants/care";
import type { Sensitivity } from "../../knowledge/plants/sensitivities";
import type { SystemicId } from "../../knowledge/remedies/lasting";
import type { TechniqueId } from "../../knowledge/remedies/remedies";
import type { NaturalEnemies } from "../../knowledge/remedies/naturalEnemies";
import type { ReactionId } from "../../knowledge/remedies/reactions";

/** How a plant has borne a treatment before. */
export interface Reacted {
  readonly mix: MixId;
  readonly technique: TechniqueId;
  readonly what: ReactionId;
  /** When it was seen; nobody knows where left out. */
  readonly day?: Day;
}

/** What remedies are weighed against. */
export interface TreatedPlant {
  readonly sensitivities: readonly Sensitivity[];
  /** Whether its genus is known; one that is not gets the milder mix. */
  readonly known: boolean;
  readonly form: GrowthFormId;
  readonly potCm: number;
  readonly inBud: boolean;
  readonly inFlower: boolean;
  /** Whether a plant that rests dry in winter rests now. */
  readonly resting: boolean;
  readonly reactions: readonly Reacted[];
  /** Who lives with it; nothing is said where left out. */
  readonly home?: Home;
  /** Whether it stands in a closed cabinet, and whether out of doors; neither where left out. */
  readonly enclosed?: boolean;
  readonly outdoors?: boolean;
  /** The systemic that the keeper has and may use; one of the usual ones where left out. */
  readonly systemic?: SystemicId;
  /** The day it is weighed on, and what was done to it that bears on helpful animals; nothing is said where left out. */
  readonly today?: Day;
  readonly helpers?: NaturalEnemies;
}

export interface DescribedPlant extends Kind {
  readonly potCm: number;
  readonly inBud: boolean;
  readonly inFlower: boolean;
}

/** Whether plants that rest in the cold half of the year rest on a day. */
function isColdSeason(on: Day, hemisphere: Hemisphere): boolean {
  return ["autumn", "winter"].includes(seasonOf(Number(on.slice(5, 7)), hemisphere));
}

/** Why nobody wipes a plant, in this order: spines catch the cloth, wax bloom comes off for good, velvet is marked. */
const unwiped = [
  ["spiny", "spines"],
  ["waxBloom", "bloom"],
  ["velvet", "velvet"],
] as const satisfies readonly (readonly [Sensitivity, string])[];
export type Unwiped = (typeof unwiped)[number][1];

/**
 * What speaks against wiping a plant with a cloth; null for nothing. Leaves between thorns are wiped all the same; a body of spines has
 * none. Source: common practice, no source. @example unwipedFor({ sensitivities: ["velvet"], form: "softHerb" }) // "velvet"
 */
export function unwipedFor({ sensitivities, form }: Pick<TreatedPlant, "sensitivities" | "form">): Unwiped | null {
  const has = unwiped.filter(([sensitivity]) => sensitivities.includes(sensitivity));
  const hasLeaves = spotsOf(form).some((spot) => spot === "upperSide");
  return has.find(([, why]) => why !== "spines" || !hasLeaves)?.[1] ?? null;
}

/** Whether a plant rests dry on a day, and so takes nothing up. */
export function restsDryOn(plant: Kind, on: Day, hemisphere: Hemisphere): boolean {
  return isColdSeason(on, hemisphere) && sensitivitiesOf(plant).some(({ id }) => id === "winterDry");
}

/** Whether a plant rests dry on the day it is weighed on. */
export function restsDry({ resting, sensitivities }: Pick<TreatedPlant, "resting" | "sensitivities">): boolean {
  return resting && sensitivities.includes("winterDry");
}

/** A plant as remedies are weighed against it, on a day. */
export function treatedPlantOf(
  plant: DescribedPlant,
  reactions: readonly Reacted[],
  on: Day,
  hemisphere: Hemisphere,
  home: Home = anyHome,
): TreatedPlant {
  const { potCm, inBud, inFlower, growthForm: form } = plant;
  const known = genusIn(plant.genus) !== null;
  const sensitivities = sensitivitiesOf(plant).map(({ id }) => id);
  return { sensitivities, known, form, potCm, inBud, inFlower, resting: isColdSeason(on, hemisphere), reactions, home };
}
