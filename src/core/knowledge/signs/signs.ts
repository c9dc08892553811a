import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import type { SpotId } from "../plants/spots";
import type { SuspectId } from "./suspects";

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
  "whitefly",
  "flatMite",
  "rootAphid",
] as const satisfies readonly SuspectId[];

export interface Sign {
  readonly classes: Classes;
  /** Only a plant with one of these spots can show it; every plant where left out. */
  readonly onlyOn?: readonly SpotId[];
}

/** Signs that are seen without doing anything to the plant. Source: classes HOUSE; the signs common practice, no source. */
export const seenSigns = {
  cottonTufts: { classes: "ar--rr-----r" },
  rootMeal: { classes: "ra--------rr", onlyOn: ["roots"] },
  webbing: { classes: "--s--------r" },
  stippling: { classes: "r-ao-s-rrs-r" },
  silverStreaks: { classes: "--sa-----o-r" },
  blackSpecks: { classes: "--ro-------r" },
  twistedGrowth: { classes: "srror--ors-r", onlyOn: ["newLeaf", "crown"] },
  stickyFilm: { classes: "o---o--oo--r" },
  sootyFilm: { classes: "s---s--ss--r" },
  fixedBumps: { classes: "----aa--r--r" },
  shellLifts: { classes: "----ro------" },
  smallFlies: { classes: "------a-r--r" },
  whiteFlies: { classes: "--------a---" },
  mixLarvae: { classes: "------o-----", onlyOn: ["mixTop"] },
  creepingSpecks: { classes: "r-or---r-o-r", onlyOn: ["underside", "areole", "axil"] },
  runningSpecks: { classes: "---o-------r", onlyOn: ["underside", "flower", "newLeaf"] },
  grittyDust: { classes: "--or---sro-r", onlyOn: ["underside"] },
  packedInsects: { classes: "-------a----" },
  corkyScars: { classes: "r-or-s---o-s", onlyOn: ["areole"] },
  yellowing: { classes: "sossssssssss" },
  wiltsDamp: { classes: "rorrrrsrrros" },
  ants: { classes: "ss--s--sr-sr" },
} as const satisfies Record<string, Sign>;

/** What a test brings to light. Source: classes HOUSE; the tests common practice, no source. */
const testSigns = {
  alcoholDissolves: { classes: "ao------r-or" },
  livesWhenTouched: { classes: "osoo--raoro-" },
  scrapeSmears: { classes: "rr--aa--s--r" },
  rustyStreaks: { classes: "--o----r-o--", onlyOn: ["underside"] },
  loupeRoundDots: { classes: "--or-----r-r" },
  loupeSlender: { classes: "---o-------r" },
  loupeFlatRed: { classes: "---------a--" },
  rootInsects: { classes: "-r--------a-", onlyOn: ["roots"] },
  potatoLarvae: { classes: "------o----r", onlyOn: ["mixTop"] },
  cardDarkFlies: { classes: "------a-r--r" },
  cardSlender: { classes: "---o-------r" },
  cardWhiteFlies: { classes: "--------a---" },
} as const satisfies Record<string, Sign>;

export const signs = { ...seenSigns, ...testSigns } as const;
export type SignId = keyof typeof signs;
export const signIds = Object.keys(signs) as [SignId, ...SignId[]];
export const seenSignIds = Object.keys(seenSigns) as (keyof typeof seenSigns)[];

/**
 * The chance that the sign is there, with this pest alone or (`null`) with none.
 * @example likelihoodOf("webbing", "spiderMite") // 0.3
 */
export function likelihoodOf(sign: SignId, pest: SuspectId | null): number {
  const row: Sign = signs[sign];
  const column = pest === null ? columns.length : columns.indexOf(pest);
  return likelihoods[row.classes[column] as LikelihoodClass];
}

/** Whether a plant of this form can show the sign at all. @example canShow("corkyScars", "fern") // false */
export function canShow(sign: SignId, form: GrowthFormId): boolean {
  const { onlyOn }: Sign = signs[sign];
  return onlyOn === undefined || spotsOf(form).some((spot) => onlyOn.includes(spot));
}

/** Something to do that settles which pest it is. */
export interface Test {
  readonly shows: readonly SignId[];
  /** So long it takes: a card and a potato slice want waiting for. */
  readonly days: number;
  /** One of these signs has to be there: without a bump there is nothing to scrape. */
  readonly on?: readonly SignId[];
}

const somethingThere = ["cottonTufts", "rootMeal", "fixedBumps", "packedInsects"] as const;

/** Source: common practice, no source. */
export const tests = {
  alcoholDab: { shows: ["alcoholDissolves"], days: 0, on: somethingThere },
  touch: {
    shows: ["livesWhenTouched"],
    days: 0,
    on: [...somethingThere, "creepingSpecks", "runningSpecks", "mixLarvae"],
  },
  scrape: { shows: ["scrapeSmears", "shellLifts"], days: 0, on: ["fixedBumps"] },
  paper: { shows: ["creepingSpecks", "runningSpecks"], days: 0 },
  tissue: { shows: ["rustyStreaks"], days: 0 },
  loupeNewLeaf: { shows: ["loupeRoundDots", "loupeSlender", "loupeFlatRed"], days: 0 },
  rootBall: { shows: ["rootMeal", "rootInsects"], days: 0 },
  potato: { shows: ["potatoLarvae"], days: 4 },
  yellowCard: { shows: ["cardDarkFlies", "cardSlender", "cardWhiteFlies"], days: 7 },
} as const satisfies Record<string, Test>;
export type TestId = keyof typeof tests;
export const testIds = Object.keys(tests) as TestId[];

/** What was seen of each sign; one that is missing was not looked for. */
export type Observations = Readonly<Partial<Record<SignId, "present" | "absent">>>;

/**
 * The signs that a test can still bring to light on a plant of this form; none where it can show none, where there is nothing it could
 * be done to, and once one of its signs has been looked for. @example shownBy("scrape", "fern", {}) // []
 */
export function shownBy(test: TestId, form: GrowthFormId, observed: Observations): readonly SignId[] {
  const { shows, on }: Test = tests[test];
  if (on && !on.some((sign) => observed[sign] === "present")) return [];
  const shown = shows.filter((sign) => canShow(sign, form));
  return shown.some((sign) => observed[sign] !== undefined) ? [] : shown;
}
