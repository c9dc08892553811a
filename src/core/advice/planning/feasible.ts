import { isCut } from "../../knowledge/plants/growthForms";
import { productsOf } from "../../acts/acts";
import type { Conditions } from "../../acts/kind";
import { workOf } from "../../acts/works";
import type { WorkId } from "../../acts/workIds";
import { severities } from "../../model/inspection/severity";
import { isBottles } from "../../knowledge/household/bottles";
import { isHousehold } from "../../knowledge/household/products";
import type { Approach } from "./approaches";
import { dosesOf } from "./approaches";
import { isWork, type Dose } from "./doses";
import {
  huntsIn,
  predatorIds,
  predators,
  takenUpAt,
  type LastingRemedy,
  type PredatorId,
} from "../../knowledge/remedies/lasting";
import type { TechniqueId } from "../../knowledge/remedies/remedies";
import { restsDry, unwipedFor, type TreatedPlant, type Unwiped } from "../tolerance/treatedPlant";

/** Why a way that does the plant no harm cannot be gone on it all the same, or not now. */
export const hindranceIds = [
  "tooBigToDunk",
  "dryRest",
  "dabOnly",
  "wipedSpines",
  "wipedVelvet",
  "tooColdToTakeUp",
  "helpersWouldSit",
  "daysTooShort",
  "tooMany",
  "tooFewToCut",
  "onePoint",
] as const;
export type HindranceId = (typeof hindranceIds)[number];

/** Nobody dunks a pot wider than this, cm (common practice, no source). */
const WIDEST_DUNKED_CM = 18;
/** What would keep less than this of its effect is not begun (HOUSE). */
const WORTH_BEGINNING = 0.3;
/** Where a patch or more was found, a part of the plant is worth cutting off; where more than that, helpful animals follow a spray. */
const patch = severities.find(({ id }) => id === "patch")!;
/** What bears on whether a way can be gone. */
export interface Standing {
  readonly pest: string;
  readonly bearer: TreatedPlant;
  /** How it is where the plant stands; nothing is held against a way where it is not known. */
  readonly now?: Conditions;
  /** Live animals found last. */
  readonly found: number;
}

/** What is in the way of an approach now; empty where nothing is. Source: common practice, no source; bounds HOUSE. */
export function hindrancesOf(approach: Approach, standing: Standing): readonly HindranceId[] {
  const leads = approach.first === undefined && approach.once === undefined;
  return [...new Set(dosesOf(approach).flatMap((dose) => hindranceOf(dose, leads, standing) ?? []))];
}

function hindranceOf(dose: Dose, leads: boolean, { pest, bearer, now, found }: Standing): HindranceId | null {
  const rests = restsDry(bearer);
  if (!isWork(dose)) {
    if (dose.technique === "dunk" && bearer.potCm > WIDEST_DUNKED_CM) return "tooBigToDunk";
    if (wetting.includes(dose.technique) && rests) return "dryRest";
    // Wax bloom is rubbed and washed off for good.
    if (dose.technique !== "dab" && bearer.sensitivities.includes("waxBloom")) return "dabOnly";
    return dose.technique === "wipe" ? hindersWiping(bearer) : null;
  }
  const { work } = dose;
  // Between spines a brush rubs, where no cloth wipes.
  if (work === "rub" && unwipedFor(bearer) !== "spines") return hindersWiping(bearer);
  if (isPredator(work)) {
    const { restsInShortDays }: LastingRemedy = predators[work];
    if (restsInShortDays && bearer.resting) return "daysTooShort";
    if (now && huntsIn(work, now) < WORTH_BEGINNING) return "helpersWouldSit";
    return leads && found > patch.to ? "tooMany" : null;
  }
  if (work === "prune") {
    // Aphids sit on spikes and flowers, and these can always be spared.
    if (pest === "aphid" && (bearer.inBud || bearer.inFlower)) return null;
    if (!isCut(bearer.form)) return "onePoint";
    return found < patch.from ? "tooFewToCut" : null;
  }
  if (rests && watering.includes(work)) return "dryRest";
  if (work === "systemic" && now && takenUpAt(now.meanC, now.rests) < WORTH_BEGINNING) return "tooColdToTakeUp";
  return null;
}

const wipedNot = { spines: "wipedSpines", bloom: "dabOnly", velvet: "wipedVelvet" } as const satisfies Record<
  Unwiped,
  HindranceId
>;
const hindersWiping = (bearer: TreatedPlant): HindranceId | null => {
  const why = unwipedFor(bearer);
  return why && wipedNot[why];
};

const wetting: readonly TechniqueId[] = ["spray", "sprayAndSwab", "hastySpray", "dunk"];
/** Works that water the mix, or need roots that take something up. */
const watering: readonly WorkId[] = ["systemic", "drenchNeem", "drenchBti", "drenchPeroxide", "shower"];
const isPredator = (work: WorkId): work is WorkId & PredatorId => predatorIds.some((id) => id === work);

/**
 * Whether everything that an approach needs stands in the cupboard, or in any home; all of it does where nothing is known of the
 * cupboard. @example isAtHand(approachOf("soapSpray"), bearer) // true
 */
export function isAtHand(approach: Approach, { home, form, potCm }: TreatedPlant): boolean {
  const bottles = home?.bottles;
  if (!bottles) return true;
  return dosesOf(approach).every((dose) => {
    const products = isWork(dose) ? productsOf(workOf(dose.work).act({ form, potCm })) : [dose.remedy];
    return products.every((one) => isHousehold(one) || bottles.some((bottle) => isBottles(bottle, one)));
  });
}
