import { between, type Air } from "../../climate/air";
import { ln } from "../../shared/exponential";
import type { PestId } from "../pests/pests";
import type { CautionId } from "./remedies";

/**
 * Remedies that go on for a while instead of acting once: daily death rates by pest and stage, from a day after the act to
 * another. A pest or a stage left out is not touched.
 */
export interface LastingRemedy {
  readonly fromDay: number;
  readonly untilDay: number;
  readonly dailyHazard: Partial<Record<PestId, Readonly<Record<string, number>>>>;
  /** Where it grows and fades: from a day to another the share of its rates; the full ones all the time where left out. */
  readonly phases?: readonly (readonly [fromDay: number, untilDay: number, share: number])[];
  /** The group by which resistance to it is reckoned (IRAC's classification of modes of action, from memory); none where left out. */
  readonly group?: string;
  /** Whether it comes in bottles of its own only: what is in none of the keeper's is not proposed. */
  readonly bottledOnly?: true;
  /** Whether it does anything in a closed cabinet only: elsewhere it flies to the window. */
  readonly onlyEnclosed?: true;
  /** Up to which warmth animals let loose do nothing, °C; and whether dry air stops them. */
  readonly stillUpToC?: number;
  readonly needsHumidAir?: true;
  /** Whether it rests in the short days of the cold half of the year, lamps or not. */
  readonly restsInShortDays?: true;
  readonly cautions: readonly CautionId[];
}

/** The daily rate at which a share dies within so many days. */
const rateOf = (share: number, days: number) => -ln(1 - share) / days;

/** Taken up in ten to fourteen days, it then kills over a week; it reaches .95 of all that feed, wherever they sit. */
const UPTAKE_DAYS = 12;
const WEEK = 7;
const TAIL_DAYS = 28;
const REACHED = 0.95;
const eaten = (share: number) => rateOf(share * REACHED, WEEK);
const systemicCautions = [
  ...(["label", "localLaw", "beesAndOutdoors", "neverOnFood", "resistance", "childrenPets", "leftovers"] as const),
];
const feeding = (rate: number) => ({ crawler: rate, nymph: rate, larva: rate, youngAdult: rate, adult: rate });

/** Taken up by a day, at its full rate for a week, and fading for some weeks more. */
const takenUp = (uptakeDays: number, tailDays: number) =>
  ({
    fromDay: uptakeDays,
    untilDay: uptakeDays + WEEK + tailDays,
    phases: [
      [uptakeDays, uptakeDays + WEEK, 1],
      [uptakeDays + WEEK, uptakeDays + WEEK + tailDays, 0.4],
    ],
  }) as const;

/**
 * Systemic insecticides through the roots, as sticks, granules or watered in: whatever feeds on sap dies over a week once it is in
 * the plant, and those that come or hatch to feed for some weeks more, ever fewer; none of the usual ones works on mites. The first is
 * one of the usual ones, whichever it is; of the single ones dinotefuran is the quicker and the only one that does much to armoured
 * scale (extension leaflets, from memory).
 * Source: our own estimates (HOUSE); weeks of tail by labels, from memory.
 */
export const systemics = {
  throughTheRoots: {
    ...takenUp(UPTAKE_DAYS, TAIL_DAYS),
    group: "4A",
    dailyHazard: {
      mealybug: feeding(eaten(0.9)),
      rootMealybug: feeding(eaten(0.9)),
      softScale: feeding(eaten(0.9)),
      aphid: feeding(eaten(0.9)),
      armouredScale: feeding(eaten(0.3)),
      thrips: feeding(eaten(0.6)),
    },
    cautions: systemicCautions,
  },
  imidacloprid: {
    ...takenUp(14, 56),
    group: "4A",
    bottledOnly: true,
    dailyHazard: {
      mealybug: feeding(eaten(0.9)),
      rootMealybug: feeding(eaten(0.9)),
      softScale: feeding(eaten(0.9)),
      aphid: feeding(eaten(0.95)),
      armouredScale: feeding(eaten(0.2)),
      thrips: feeding(eaten(0.4)),
    },
    cautions: systemicCautions,
  },
  dinotefuran: {
    ...takenUp(7, 28),
    group: "4A",
    bottledOnly: true,
    dailyHazard: {
      mealybug: feeding(eaten(0.92)),
      rootMealybug: feeding(eaten(0.92)),
      softScale: feeding(eaten(0.92)),
      aphid: feeding(eaten(0.95)),
      armouredScale: feeding(eaten(0.8)),
      thrips: feeding(eaten(0.6)),
    },
    cautions: systemicCautions,
  },
  // As sticks and granules; what is sprayed has a name of its own.
  acetamipridRoots: {
    ...takenUp(10, 35),
    group: "4A",
    bottledOnly: true,
    dailyHazard: {
      mealybug: feeding(eaten(0.85)),
      rootMealybug: feeding(eaten(0.85)),
      softScale: feeding(eaten(0.85)),
      aphid: feeding(eaten(0.95)),
      armouredScale: feeding(eaten(0.3)),
      thrips: feeding(eaten(0.5)),
    },
    cautions: systemicCautions,
  },
} as const satisfies Record<string, LastingRemedy>;

/**
 * Predators: what they take a day at their height, growing with their number and fading with the sachet; eggs in leaves, pupae in the
 * mix and grown thrips predatory mites do not find, and mealybugs only beetles that cannot fly to the window. A sachet lasts four to six weeks
 * (common practice); the rates are our own estimates, so that a light case on a plant that suits them comes to its end in weeks and
 * a heavy one does not (HOUSE, the span is wide).
 */
export const predators = {
  predatoryMites: {
    stillUpToC: 13,
    needsHumidAir: true,
    fromDay: 3,
    untilDay: 38,
    phases: [
      [3, 10, 0.5],
      [10, 28, 1],
      [28, 38, 0.5],
    ],
    dailyHazard: {
      spiderMite: { egg: 0.25, immature: 0.3, youngAdult: 0.15, adult: 0.12 },
      thrips: { larva: 0.2 },
    },
    cautions: ["label", "sprayFree"],
  },
  lacewingLarvae: {
    stillUpToC: 15,
    fromDay: 0,
    untilDay: 18,
    phases: [
      [0, 12, 1],
      [12, 18, 0.5],
    ],
    dailyHazard: { aphid: { nymph: 0.3, youngAdult: 0.2, adult: 0.2 } },
    cautions: ["label", "sprayFree"],
  },
  // Flower bugs that take thrips, grown ones too, and mites where there are none; in a dark winter they rest (suppliers' leaflets, from memory).
  pirateBugs: {
    stillUpToC: 15,
    restsInShortDays: true,
    fromDay: 1,
    untilDay: 28,
    phases: [
      [1, 14, 1],
      [14, 28, 0.5],
    ],
    dailyHazard: {
      thrips: { larva: 0.25, youngAdult: 0.15, adult: 0.15 },
      spiderMite: { immature: 0.08, youngAdult: 0.08, adult: 0.08 },
    },
    cautions: ["label", "sprayFree"],
  },
  // Lady beetles that eat mealybugs, young and grown.
  mealybugBeetles: {
    stillUpToC: 15,
    fromDay: 0,
    untilDay: 35,
    phases: [
      [0, 21, 1],
      [21, 35, 0.5],
    ],
    onlyEnclosed: true,
    dailyHazard: { mealybug: { egg: 0.15, crawler: 0.2, nymph: 0.2, youngAdult: 0.12, adult: 0.12 } },
    cautions: ["label", "sprayFree"],
  },
  nematodes: {
    stillUpToC: 13,
    fromDay: 1,
    untilDay: 28,
    phases: [
      [1, 14, 1],
      [14, 28, 0.4],
    ],
    dailyHazard: { fungusGnat: { larva: 0.3 }, thrips: { pupa: 0.15 } },
    cautions: ["label", "sprayFree"],
  },
} as const satisfies Record<string, LastingRemedy>;

/** A heated or shaded home, per cent (HOUSE). */
const UNKNOWN_HUMIDITY = 50;
/** From here on animals let loose hunt as well as they do, °C (HOUSE). */
const HUNT_FULLY_C = 21;

/**
 * How much of its rates a predator keeps in some air, 0–1: nothing up to the warmth at which it sits still, all from 21 °C on;
 * mites that hunt mites three tenths where it is under 50 % humid, all from 65 % on. Where nobody
 * measures it a home is taken to have {@link UNKNOWN_HUMIDITY}.
 * Source: suppliers' leaflets, from memory; the sizes are our own (HOUSE).
 * @example huntsIn("predatoryMites", { meanC: 9, humidity: 60 }) // 0
 */
export function huntsIn(predator: PredatorId, { meanC, humidity }: Air): number {
  const { stillUpToC = 0, needsHumidAir }: LastingRemedy = predators[predator];
  const warm = between(meanC, [stillUpToC, 0], [HUNT_FULLY_C, 1]);
  return needsHumidAir ? warm * between(humidity ?? UNKNOWN_HUMIDITY, [50, 0.3], [65, 1]) : warm;
}

/**
 * How much of a systemic roots take up at a warmth, 0–1: nothing up to 15 °C, all from 18 °C on; nothing at rest (HOUSE).
 * @example takenUpAt(16.5, false) // 0.5
 */
export function takenUpAt(meanC: number, rests: boolean): number {
  return rests ? 0 : between(meanC, [15, 0], [18, 1]);
}

/** A sticky card takes .08 of the flying adults a day (HOUSE). */
const CARD_HAZARD = rateOf(0.08, 1);
export const cardHazard: LastingRemedy["dailyHazard"] = {
  fungusGnat: { youngAdult: CARD_HAZARD, adult: CARD_HAZARD },
  thrips: { youngAdult: CARD_HAZARD, adult: CARD_HAZARD },
};

/** A cup of vinegar with a drop of soap drowns fewer (HOUSE). */
const CUP_HAZARD = rateOf(0.03, 1);
export const cupHazard: LastingRemedy["dailyHazard"] = { fungusGnat: { youngAdult: CUP_HAZARD, adult: CUP_HAZARD } };

/** Dry mineral dust wears down what walks through it, as long as it is dry (HOUSE). */
export const DUST_HAZARD = 0.05;
/** On a mix that is dry on top it keeps some gnats from laying, and wears down larvae that come up to it (HOUSE). */
export const DUSTED_MIX = { layFactor: 0.7, larvaHazard: 0.03 } as const;

/**
 * Ways of growing that pests notice: a factor on the laying of gnats, and what dies a day of their eggs and larvae (HOUSE). New mix
 * that was scalded brings none with it and does nothing to those that are there; soft growth after much nitrogen feeds what sucks
 * sap, which is told and not reckoned.
 */
export const cultures = {
  sandCap: { layFactor: 0.2, larvaHazard: 0 },
  dryTop: { layFactor: 1, larvaHazard: 0.1 },
  waterFromBelow: { layFactor: 1, larvaHazard: 0.05 },
  scaldedMix: { layFactor: 1, larvaHazard: 0 },
  richFeed: { layFactor: 1, larvaHazard: 0 },
} as const;

export type SystemicId = keyof typeof systemics;
export const systemicIds = Object.keys(systemics) as [SystemicId, ...SystemicId[]];
export type PredatorId = keyof typeof predators;
export const predatorIds = Object.keys(predators) as [PredatorId, ...PredatorId[]];
export type CultureId = keyof typeof cultures;
export const cultureIds = Object.keys(cultures) as [CultureId, ...CultureId[]];
