import type { PestId } from "../pests/pests";
import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import type { SpotId } from "../plants/spots";

/**
 * How often a sign is there with a pest, in classes: hardly ever, rarely, sometimes, often, almost always.
 * Source: our own estimates (HOUSE), to be replaced when keepers' confirmed finds say better.
 */
export const likelihoods = { "-": 0.01, r: 0.05, s: 0.3, o: 0.65, a: 0.9 } as const;
export type LikelihoodClass = keyof typeof likelihoods;

/** One class per pest in the order of {@link columns}, then one for a plant without any pest. */
type Classes = string;

/** The order of the columns below. */
export const columns = [
  "mealybug",
  "rootMealybug",
  "spiderMite",
  "thrips",
  "softScale",
  "armouredScale",
  "fungusGnat",
  "aphid",
] as const satisfies readonly PestId[];

export interface Sign {
  readonly classes: Classes;
  /** Only a plant with one of these spots can show it; every plant where left out. */
  readonly onlyOn?: readonly SpotId[];
}

/** Signs that are seen without doing anything to the plant. Source: classes HOUSE; the signs common practice, no source. */
export const seenSigns = {
  cottonTufts: { classes: "ar--rr--r" },
  rootMeal: { classes: "ra------r" },
  webbing: { classes: "--s-----r" },
  stippling: { classes: "r-ao-s-rr" },
  silverStreaks: { classes: "--sa----r" },
  blackSpecks: { classes: "--ro----r" },
  twistedGrowth: { classes: "srror--or", onlyOn: ["newLeaf", "crown"] },
  stickyFilm: { classes: "o---o--or" },
  sootyFilm: { classes: "s---s--sr" },
  fixedBumps: { classes: "----aa--r" },
  shellLifts: { classes: "----ro---" },
  smallFlies: { classes: "------a-r" },
  mixLarvae: { classes: "------o--" },
  creepingSpecks: { classes: "r-or---rr", onlyOn: ["underside", "areole", "axil"] },
  runningSpecks: { classes: "---o----r", onlyOn: ["underside", "flower", "newLeaf"] },
  grittyDust: { classes: "--or---sr", onlyOn: ["underside"] },
  packedInsects: { classes: "-------a-" },
  corkyScars: { classes: "r-or-s--s", onlyOn: ["areole"] },
  yellowing: { classes: "sosssssss" },
  wiltsDamp: { classes: "rorrrrsrs" },
  ants: { classes: "ss--s--sr" },
} as const satisfies Record<string, Sign>;

/** What a test brings to light. Source: classes HOUSE; the tests common practice, no source. */
const testSigns = {
  alcoholDissolves: { classes: "ao------r" },
  livesWhenTouched: { classes: "osoo--ra-" },
  scrapeSmears: { classes: "rr--aa--r" },
  rustyStreaks: { classes: "--o----r-", onlyOn: ["underside"] },
  loupeRoundDots: { classes: "--or----r" },
  loupeSlender: { classes: "---o----r" },
  potatoLarvae: { classes: "------o-r" },
  cardDarkFlies: { classes: "------a-r" },
  cardSlender: { classes: "---o----r" },
} as const satisfies Record<string, Sign>;

export const signs = { ...seenSigns, ...testSigns } as const;
export type SignId = keyof typeof signs;
export const signIds = Object.keys(signs) as [SignId, ...SignId[]];
export const seenSignIds = Object.keys(seenSigns) as (keyof typeof seenSigns)[];

/**
 * The chance that the sign is there, with this pest alone or (`null`) with none.
 * @example likelihoodOf("webbing", "spiderMite") // 0.3
 */
export function likelihoodOf(sign: SignId, pest: PestId | null): number {
  const row: Sign = signs[sign];
  const column = pest === null ? columns.length : columns.indexOf(pest);
  return likelihoods[row.classes[column] as LikelihoodClass];
}

/** Whether a plant of this form can show the sign at all. @example canShow("corkyScars", "fern") // false */
export function canShow(sign: SignId, form: GrowthFormId): boolean {
  const { onlyOn }: Sign = signs[sign];
  return onlyOn === undefined || spotsOf(form).some((spot) => onlyOn.includes(spot));
}

/**
 * Things to do that settle which pest it is, each with the signs it looks for, and roughly how long it takes in days: a card
 * and a potato slice want waiting for. Source: common practice, no source.
 */
export const tests = {
  alcoholDab: { shows: ["alcoholDissolves"], days: 0 },
  touch: { shows: ["livesWhenTouched"], days: 0 },
  scrape: { shows: ["scrapeSmears", "shellLifts"], days: 0 },
  paper: { shows: ["creepingSpecks", "runningSpecks"], days: 0 },
  tissue: { shows: ["rustyStreaks"], days: 0 },
  loupeNewLeaf: { shows: ["loupeRoundDots", "loupeSlender"], days: 0 },
  rootBall: { shows: ["rootMeal"], days: 0 },
  potato: { shows: ["potatoLarvae"], days: 4 },
  yellowCard: { shows: ["cardDarkFlies", "cardSlender"], days: 7 },
} as const satisfies Record<string, { shows: readonly SignId[]; days: number }>;
export type TestId = keyof typeof tests;
export const testIds = Object.keys(tests) as TestId[];

/** What was seen of each sign; one that is missing was not looked for. */
export type Observations = Readonly<Partial<Record<SignId, "present" | "absent">>>;
