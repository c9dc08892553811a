import { expm1 } from "../../shared/exponential";
import { pestOf, type PestId } from "../../knowledge/pests/pests";

/**
 * How pests come to a plant that nobody has given them to: by windows, clothes and hands. Founders a day on a plant that stands
 * indoors. Source: our own estimates (HOUSE).
 */
export const backgroundPerDay: Readonly<Record<PestId, number>> = {
  spiderMite: 2e-4,
  thrips: 2e-4,
  mealybug: 1.5e-4,
  rootMealybug: 3e-5,
  softScale: 5e-5,
  armouredScale: 5e-5,
  fungusGnat: 5e-4,
  aphid: 1e-4,
};

/** Of the animals on a plant so many go with a cutting that was looked over when it was cut (HOUSE). */
const GO_WITH_A_CUTTING = 0.015;
/** Of what a plant may carry unseen, so much of the chance goes with a cutting (HOUSE). */
const CHANCE_WITH_A_CUTTING = 0.3;

/**
 * The chance that a clean cutting carries a pest: from what its mother may carry unseen (`pMother`, 0–1), and from the animals that
 * are expected on it where it is in a case (0 where it is in none). What lives in the mix stays there.
 * @example cuttingShare("rootMealybug", 1, 500) // 0
 */
export function cuttingShare(pest: PestId, pMother: number, animals: number): number {
  if (pestOf(pest).stages.every(({ where }) => where === "soil")) return 0;
  return Math.max(CHANCE_WITH_A_CUTTING * pMother, -expm1(-GO_WITH_A_CUTTING * animals));
}

/** What a plant stands in changes what comes to it (HOUSE): factors on the background, and on what passes a wall of it. */
export const enclosures = {
  outdoors: { background: 10, passes: 0 },
  cabinet: { background: 1 / 3, passes: 1 / 3 },
  bag: { background: 0.02, passes: 0.02 },
} as const;

/** How near two plants stand, from the nearest to the farthest. */
export const nearnessIds = ["touching", "tray", "drip", "place", "room", "open"] as const;
export type NearnessId = (typeof nearnessIds)[number];

/**
 * Founders a day that one mobile animal gives to a plant so near (HOUSE). `open` is another room whose door stands open: a
 * thirtieth of the same room; with the door shut nothing passes.
 */
const perAnimal: Readonly<Record<NearnessId, number>> = {
  touching: 2e-3,
  tray: 3e-4,
  drip: 3e-5,
  place: 3e-4,
  room: 3e-5,
  open: 1e-6,
};

/** These fly or ride the air: three times as many at the same place, five times in the room and beyond (HOUSE). */
const airborne: readonly PestId[] = ["thrips", "fungusGnat", "aphid", "spiderMite"];
const byAir: Readonly<Partial<Record<NearnessId, number>>> = { tray: 3, place: 3, drip: 5, room: 5, open: 5 };

/** Root mealybugs go where the water goes, and nowhere else (HOUSE). */
const byWater: Readonly<Partial<Record<NearnessId, number>>> = { tray: 1e-3, drip: 1e-3 };

/**
 * Founders a day that one mobile animal of a pest gives to a plant at this nearness. @example perAnimalAt("thrips", "place") // 9e-4
 */
export function perAnimalAt(pest: PestId, nearness: NearnessId): number {
  if (pest === "rootMealybug") return byWater[nearness] ?? 0;
  return perAnimal[nearness] * (airborne.includes(pest) ? (byAir[nearness] ?? 1) : 1);
}

/** Founders at once on a plant handled within so many minutes after an infested one, nothing cleaned between (HOUSE). */
export const HANDLED_WITHIN_MINUTES = 30;
export const HANDLED_FOUNDERS = 0.01;

/** No more of the past than this is reckoned with, days: half a year. */
export const LOOK_BACK_DAYS = 182;

/** How many animals a colony that came with a plant has in the mean (HOUSE). */
export const COLONY_MEAN = 5;

/** The chance that a plant that has been there for longer than is reckoned carried something then (HOUSE): what weekly looks leave. */
export const RESIDENT_SHARE = 0.02;
