import type { MechanicalWay } from "../../acts/mechanical";
import { airOf } from "../../climate/vapour";
import type { PestId } from "../../knowledge/pests/pests";
import { developmentRateAt, growthOf } from "./developmentRate";

/** What is on record of a place, as far as it feeds pests. */
export interface PlaceRecord {
  /** Mean warmth and thirst of the air of the last weeks; null where nobody measured. */
  readonly meanC: number | null;
  readonly deficitKpa: number | null;
  readonly plants: number;
  readonly roomFor: number | null;
  /** Plants that are kept wet, and seedlings or soft herbs among all. */
  readonly keptWet: number;
  /** Days since leaves were last dusted or showered, and litter taken off, anywhere there; null for never. */
  readonly cleanedDays: number | null;
  readonly litterDays: number | null;
  /** How often they were fed with much nitrogen within two months. */
  readonly richFeeds: number;
  /** Pests found there within a year, and how often. */
  readonly finds: Partial<Readonly<Record<PestId, number>>>;
  /** Gnats that cards caught in the last two weeks; null where none hang. */
  readonly gnats: number | null;
}

/** What is asked of so many days back: the air and the cards lately, feeding within two months, finds within a year. */
export const fedWithin = { lately: 14, fed: 60, found: 365 } as const;
/** What takes dust off leaves, and what takes litter away. */
export const takesDust = ["dustOff", "shower", "wipe"] as const satisfies readonly MechanicalWay[];
export const takesLitter = ["litter", "unpot"] as const satisfies readonly MechanicalWay[];

/** Something that feeds the trouble at a place, with what on record says so. */
export type Feeds =
  | {
      readonly code: "warm";
      /** Whether the air was measured to be dry; null where nobody measured it. */
      readonly dry: boolean | null;
      readonly doublingDays: number;
      readonly coolerDays: number | null;
      readonly found: number;
    }
  | { readonly code: "damp"; readonly deficitKpa: number; readonly gnats: number | null }
  | { readonly code: "tooWet"; readonly keptWet: number; readonly plants: number; readonly gnats: number | null }
  | { readonly code: "crowded"; readonly plants: number; readonly roomFor: number }
  | { readonly code: "dust"; readonly days: number | null }
  | { readonly code: "litter"; readonly days: number | null; readonly found: number }
  | { readonly code: "nitrogen"; readonly times: number; readonly found: number };

const COOLER_C = 3;
/** Leaves want dusting, and litter to be taken off, at least so often (HOUSE). */
const DUST_DAYS = 90;
const LITTER_DAYS = 120;
/** So large a share of plants kept wet feeds gnats (HOUSE). */
const WET_SHARE = 0.3;

const sapSuckers: readonly PestId[] = [
  "mealybug",
  "rootMealybug",
  "softScale",
  "armouredScale",
  "aphid",
  "spiderMite",
  "thrips",
];
const sheltered: readonly PestId[] = ["mealybug", "rootMealybug", "softScale"];

/**
 * What of watering, feeding, air, room and cleaning feeds pests at a place, each with its evidence; empty where nothing on record
 * speaks of it. Only what pests care about. Source: common practice; bounds HOUSE.
 */
export function whatFeeds(place: PlaceRecord): readonly Feeds[] {
  const found = (pests: readonly PestId[]) => pests.reduce((sum, pest) => sum + (place.finds[pest] ?? 0), 0);
  const all: Feeds[] = [];
  if (place.plants === 0) return all;
  if (place.meanC !== null) {
    const { doublingDays } = developmentRateAt("spiderMite", place.meanC);
    const dry = place.deficitKpa === null ? null : airOf(place.deficitKpa) === "dry";
    if (dry !== false && doublingDays !== null && growthOf(doublingDays) === "fast")
      all.push({
        ...{
          code: "warm",
          dry,
          doublingDays,
          coolerDays: developmentRateAt("spiderMite", place.meanC - COOLER_C).doublingDays,
        },
        found: found(["spiderMite"]),
      });
  }
  if (place.deficitKpa !== null && airOf(place.deficitKpa) === "damp")
    all.push({ code: "damp", deficitKpa: place.deficitKpa, gnats: place.gnats });
  if (place.keptWet / place.plants >= WET_SHARE || (place.gnats ?? 0) > 0)
    all.push({ code: "tooWet", keptWet: place.keptWet, plants: place.plants, gnats: place.gnats });
  if (place.roomFor !== null && place.plants > place.roomFor)
    all.push({ code: "crowded", plants: place.plants, roomFor: place.roomFor });
  if (place.cleanedDays === null || place.cleanedDays > DUST_DAYS) all.push({ code: "dust", days: place.cleanedDays });
  if ((place.litterDays === null || place.litterDays > LITTER_DAYS) && found(sheltered) > 0)
    all.push({ code: "litter", days: place.litterDays, found: found(sheltered) });
  if (place.richFeeds > 0) all.push({ code: "nitrogen", times: place.richFeeds, found: found(sapSuckers) });
  return all;
}
