import type { Act } from "./acts";
import type { GnatWayId } from "./gnatWayIds";

/** What a way is done to. */
export interface GnatPlaceSize {
  readonly pots: number;
  /** What a drench of all pots takes, mL. */
  readonly drenchMl: number;
  readonly cards: number;
}

export interface GnatWay {
  /** After so many days it is done again; null where once is enough while it is kept up. */
  readonly everyDays: number | null;
  /** So often within a year at most. */
  readonly mostTimes?: number;
  readonly act: (size: GnatPlaceSize) => Act;
  /** Minutes of hands, each time (HOUSE). */
  readonly minutes: (size: GnatPlaceSize) => number;
}

/** Kept up until it is ended, as far as a year goes. */
const KEPT_DAYS = 120;
/** A card is changed after so many days, a cup after so many (common practice). */
const CARD_DAYS = 28;
const CUP_DAYS = 5;
/** What is watered in with every watering, about once a week (common practice). */
const WATERING_DAYS = 7;
const SACHETS_A_TEN = 1;

/** Source: common practice; Bti with each watering, peroxide twice a year at most, nematodes again after two weeks. */
export const gnatWays: Readonly<Record<GnatWayId, GnatWay>> = {
  dryTop: { everyDays: null, minutes: () => 0, act: () => ({ kind: "culture", way: "dryTop", days: KEPT_DAYS }) },
  waterFromBelow: {
    everyDays: null,
    minutes: ({ pots }) => pots,
    act: () => ({ kind: "culture", way: "waterFromBelow", days: KEPT_DAYS }),
  },
  larvicide: {
    everyDays: WATERING_DAYS,
    minutes: ({ pots }) => 3 + pots / 2,
    act: ({ drenchMl }) => ({ kind: "drench", remedy: "bti", volumeMl: drenchMl }),
  },
  // In an outbreak every three to five days (common practice).
  neem: {
    everyDays: 4,
    minutes: ({ pots }) => 4 + pots / 2,
    act: ({ drenchMl }) => ({ kind: "drench", remedy: "neem", volumeMl: drenchMl }),
  },
  sandCap: {
    everyDays: null,
    minutes: ({ pots }) => 2 * pots,
    act: () => ({ kind: "culture", way: "sandCap", days: KEPT_DAYS }),
  },
  // Wetted at the next watering, it is put on anew.
  dust: {
    everyDays: WATERING_DAYS,
    minutes: ({ pots }) => 2 + pots / 2,
    act: () => ({ kind: "dust", dryDays: WATERING_DAYS, on: "mix" }),
  },
  cards: {
    everyDays: CARD_DAYS,
    minutes: ({ cards }) => 2 * cards,
    act: ({ cards }) => ({ kind: "trap", lure: "card", cards, days: CARD_DAYS }),
  },
  vinegar: {
    everyDays: CUP_DAYS,
    minutes: ({ cards }) => cards,
    act: ({ cards }) => ({ kind: "trap", lure: "vinegar", cards, days: CUP_DAYS }),
  },
  scaldedMix: {
    everyDays: null,
    minutes: () => 0,
    act: () => ({ kind: "culture", way: "scaldedMix", days: KEPT_DAYS }),
  },
  peroxide: {
    everyDays: 14,
    minutes: ({ pots }) => 5 + pots,
    mostTimes: 2,
    act: ({ drenchMl }) => ({ kind: "drench", remedy: "peroxide", volumeMl: drenchMl }),
  },
  nematodes: {
    everyDays: 14,
    minutes: ({ pots }) => 8 + pots / 2,
    mostTimes: 2,
    act: ({ pots }) => ({
      kind: "release",
      predator: "nematodes",
      sachets: Math.max(1, Math.ceil((pots / 10) * SACHETS_A_TEN)),
    }),
  },
};

/** Cards for so many pots: one for each ten, and one for each shelf (common practice). @example cardsFor(12, 1) // 2 */
export function cardsFor(pots: number, shelves: number): number {
  return Math.max(1, shelves, Math.ceil(pots / 10));
}

/** What is sold together, from the least work to the most; the keeper picks among them or way by way. */
export const gnatPackages: readonly (readonly GnatWayId[])[] = [
  ["cards"],
  ["dryTop", "cards"],
  ["dryTop", "larvicide", "cards"],
  ["dryTop", "sandCap", "cards"],
  ["dryTop", "nematodes", "cards"],
  ["dryTop", "waterFromBelow", "larvicide", "sandCap", "cards", "vinegar", "scaldedMix"],
];
