import { expm1, ln1p } from "../../shared/exponential";
import { phaseOf, type Habitat, type LifeStage, type PestId, type Phase } from "../pests/pests";
import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import { spotIds, type SpotId } from "../plants/spots";

/** Chance that an animal that was hit dies: what careful estimates call low, likely and high. */
export interface KillRange {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

export interface Remedy {
  readonly id: string;
  readonly kill: Readonly<Record<Phase, KillRange>>;
  /** Where the remedy acts at all. A contact spray reaches neither eggs inside the leaf nor pupae in the mix. */
  readonly actsIn: readonly Habitat[];
  /** The pests it does anything to, as a factor on its table; whatever it touches where left out. */
  readonly only?: Partial<Readonly<Record<PestId, number>>>;
  /** The group by which resistance to it is reckoned; null for what no pest becomes resistant to. Source: IRAC's classification of modes of action, from memory. */
  readonly group: string | null;
  /** Techniques it may be put on with, the usual one first. */
  readonly techniques: readonly TechniqueId[];
  /** What goes on where it went after it has dried: for how long, a daily death rate of young and of grown ones, a factor on laying. */
  readonly afterwards?: {
    readonly days: number;
    readonly hazard: Readonly<Record<"young" | "adult", number>>;
    readonly layFactor: number;
  };
  /** Fewest days between two applications. */
  readonly smallestIntervalDays: number;
  /** Most applications in one course: what the label allows, else twelve (labels from memory; the keeper's own decides). */
  readonly mostTimes: number;
  /** How a room smells of it afterwards (common practice, no source). */
  readonly smell: "none" | "slight" | "sharp" | "strong";
  /** How hard one application of the whole plant is on it, against a soap wash (HOUSE). */
  readonly harshness: number;
  /** Whether it comes in bottles of its own only: what is in none of the keeper's is not proposed. */
  readonly bottledOnly?: true;
  /** Codes of the cautions that stand before the act; `wording` has the sentences. */
  readonly cautions: readonly CautionId[];
}

export interface Technique {
  /** Share of the animals that it reaches on the spots where the hand went: open, sheltered, deep. */
  readonly reach: readonly [open: number, sheltered: number, deep: number];
  /** Spots where it never goes. */
  readonly never: readonly SpotId[];
  /** It is done once, on a plant that is out of its pot: no plan repeats it. */
  readonly unpotted?: true;
}

/** Source: our own estimates (HOUSE). */
export const techniques = {
  dab: { reach: [0.95, 0.6, 0], never: ["mixTop", "roots"] },
  wipe: { reach: [0.9, 0.3, 0], never: ["neck", "mixTop", "roots"] },
  spray: { reach: [0.95, 0.7, 0.1], never: ["roots", "pot"] },
  sprayAndSwab: { reach: [0.97, 0.85, 0.15], never: ["roots", "pot"] },
  hastySpray: { reach: [0.75, 0.25, 0], never: ["roots", "pot"] },
  // The leaves are dunked with the mix covered.
  dunk: { reach: [0.98, 0.85, 0.45], never: ["neck", "mixTop", "roots", "pot"] },
  // The plant is out of its pot, its neck bared; what was poured is rinsed off after minutes.
  neckPour: { reach: [0.95, 0.85, 0.6], never: spotIds.filter((spot) => spot !== "neck"), unpotted: true },
  // It misses what sits between the roots (common practice).
  rootSoak: { reach: [0, 0, 0], never: spotIds.filter((spot) => spot !== "roots"), unpotted: true },
} as const satisfies Record<string, Technique>;
export type TechniqueId = keyof typeof techniques;
export const techniqueIds = Object.keys(techniques) as [TechniqueId, ...TechniqueId[]];

/** What is done animal by animal, or on a plant out of its pot. */
export const oneByOne = ["dab", "neckPour", "rootSoak"] as const satisfies readonly TechniqueId[];

/** Whether a technique is of {@link oneByOne}. @example isOneByOne("spray") // false */
export function isOneByOne(technique: TechniqueId): technique is (typeof oneByOne)[number] {
  return oneByOne.some((one) => one === technique);
}

/** The ways of a remedy that go anywhere on a plant of a form. @example techniquesOn("alcohol", "airPlant").includes("neckPour") // false */
export function techniquesOn(remedy: RemedyId, form: GrowthFormId): readonly TechniqueId[] {
  return remedyOf(remedy).techniques.filter((technique) => spotsFor(technique, form).length > 0);
}

/** The ways of a remedy that a plan may repeat: not those that take the plant out of its pot. @example repeatable("alcohol").includes("rootSoak") // false */
export function repeatable(remedy: RemedyId): readonly TechniqueId[] {
  return remedyOf(remedy).techniques.filter((id) => !(techniques[id] as Technique).unpotted);
}

/** The spots of a plant that a technique goes to. @example spotsFor("dunk", "fern").includes("roots") // false */
export function spotsFor(technique: TechniqueId, form: GrowthFormId): SpotId[] {
  const { never }: Technique = techniques[technique];
  return spotsOf(form).filter((spot) => !never.includes(spot));
}

/** What goes with acts and ingredients, wherever they are used; the order in which it is told stands in suitability/told.ts. */
export const cautionIds = [
  "flammable",
  "bleachAlone",
  "catsAndFish",
  "childrenPets",
  "neverOnFood",
  "milkySap",
  "spines",
  "protectYourself",
  "dustMask",
  "neemIrritates",
  "localLaw",
  "label",
  "beesAndOutdoors",
  "beesWhileWet",
  "waterLife",
  "darkAfter",
  "notAfterOil",
  "sunAndHeat",
  "testLeaf",
  "notSodden",
  "flushAfter",
  "peroxideTwice",
  "dryCrown",
  "cutLittle",
  "resistance",
  "sprayFree",
  "coverTheMix",
  "shake",
  "cleanHands",
  "wipeTools",
  "binTheMix",
  "waste",
  "leftovers",
  "dustOnlyDry",
  "cardsCatchMore",
  "thirst",
  "repellentAtBest",
] as const;
export type CautionId = (typeof cautionIds)[number];

const common = ["label", "protectYourself", "childrenPets", "leftovers"] as const;
/** What stands before every poison that is made up as its label says. */
const byLabel = ["localLaw", "resistance", "sunAndHeat", "testLeaf", ...common] as const;

type Three = readonly [low: number, likely: number, high: number];
const killing = (egg: Three, young: Three, adult: Three): Remedy["kill"] => {
  const range = ([low, likely, high]: Three): KillRange => ({ low, likely, high });
  return { egg: range(egg), young: range(young), adult: range(adult) };
};

/**
 * Household remedies of the first kind: those that act by touching the animal.
 * Kill tables: our own estimates (HOUSE), ordered by literature and common practice, and set so that courses come to what growers
 * report; sprays to run-off also wash off what they do not kill. Smallest intervals: common practice, no source.
 */
export const remedies = {
  alcohol: {
    id: "alcohol",
    kill: killing([0.3, 0.6, 0.8], [0.9, 0.97, 0.99], [0.85, 0.93, 0.98]),
    group: null,
    actsIn: ["foliage"],
    techniques: ["dab", "sprayAndSwab", "wipe", "spray", "hastySpray", "neckPour", "rootSoak"],
    smallestIntervalDays: 3,
    mostTimes: 12,
    smell: "sharp",
    harshness: 2,
    cautions: ["flammable", "darkAfter", "testLeaf", ...common],
  },
  soap: {
    id: "soap",
    kill: killing([0.1, 0.25, 0.45], [0.85, 0.94, 0.98], [0.72, 0.87, 0.95]),
    group: null,
    actsIn: ["foliage"],
    techniques: ["spray", "sprayAndSwab", "dab", "wipe", "dunk", "hastySpray"],
    smallestIntervalDays: 2,
    mostTimes: 12,
    smell: "none",
    harshness: 1,
    cautions: ["sunAndHeat", "dryCrown", "testLeaf", ...common],
  },
  oil: {
    id: "oil",
    kill: killing([0.6, 0.82, 0.93], [0.88, 0.96, 0.99], [0.78, 0.9, 0.97]),
    group: null,
    actsIn: ["foliage"],
    techniques: ["spray", "sprayAndSwab", "wipe", "hastySpray"],
    smallestIntervalDays: 5,
    mostTimes: 6,
    smell: "slight",
    harshness: 2,
    cautions: ["sunAndHeat", "shake", "dryCrown", "testLeaf", ...common],
  },
  neem: {
    id: "neem",
    kill: killing([0.15, 0.35, 0.5], [0.5, 0.72, 0.85], [0.2, 0.4, 0.6]),
    // Azadirachtin: a mode of action that is not settled, and no resistance known.
    group: null,
    actsIn: ["foliage"],
    techniques: ["spray", "sprayAndSwab", "wipe", "dunk", "hastySpray"],
    // It hinders moulting and cuts egg laying by half (HOUSE).
    afterwards: { days: 8, hazard: { young: 0.06, adult: 0 }, layFactor: 0.5 },
    smallestIntervalDays: 3,
    mostTimes: 12,
    smell: "strong",
    harshness: 1.5,
    cautions: ["neemIrritates", "waterLife", "localLaw", "sunAndHeat", "shake", "dryCrown", "testLeaf", ...common],
  },
  spinosad: {
    id: "spinosad",
    kill: killing([0, 0, 0], [0.75, 0.9, 0.97], [0.75, 0.9, 0.97]),
    // It goes on killing where it went (HOUSE).
    afterwards: { days: 7, hazard: { young: 0.4, adult: 0.4 }, layFactor: 1 },
    // Of mites .2 where of thrips .9 (HOUSE).
    only: { thrips: 1, spiderMite: 0.2 / 0.9 },
    group: "5",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 7,
    mostTimes: 6,
    smell: "slight",
    harshness: 1,
    cautions: ["localLaw", "beesWhileWet", "resistance", "sunAndHeat", "testLeaf", ...common],
  },
  pyrethrins: {
    id: "pyrethrins",
    kill: killing([0, 0.05, 0.1], [0.6, 0.8, 0.9], [0.6, 0.8, 0.9]),
    only: { thrips: 1, aphid: 1, fungusGnat: 1, mealybug: 0.5, softScale: 0.4, spiderMite: 0.3 },
    group: "3A",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 5,
    mostTimes: 6,
    smell: "sharp",
    harshness: 1.5,
    cautions: ["localLaw", "catsAndFish", "beesWhileWet", "resistance", "sunAndHeat", "testLeaf", ...common],
  },
  essentialOil: {
    id: "essentialOil",
    kill: killing([0, 0, 0], [0, 0, 0], [0, 0, 0]),
    only: {},
    group: null,
    actsIn: ["foliage"],
    techniques: ["spray", "wipe"],
    smallestIntervalDays: 3,
    mostTimes: 12,
    smell: "strong",
    harshness: 1.5,
    cautions: ["repellentAtBest", "catsAndFish", "testLeaf", ...common],
  },
  // Single active ingredients of products with a label. What they do to whom: labels and extension leaflets, from memory; the numbers
  // are our own (HOUSE). How often a year: labels, from memory.
  permethrin: {
    id: "permethrin",
    kill: killing([0, 0.05, 0.1], [0.6, 0.8, 0.9], [0.6, 0.8, 0.9]),
    only: { aphid: 1, fungusGnat: 1, thrips: 0.8, mealybug: 0.6, softScale: 0.5, spiderMite: 0.2 },
    group: "3A",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 7,
    mostTimes: 4,
    smell: "slight",
    harshness: 1.5,
    bottledOnly: true,
    cautions: [...byLabel, "catsAndFish", "beesWhileWet"],
  },
  acetamiprid: {
    id: "acetamiprid",
    kill: killing([0, 0.05, 0.1], [0.75, 0.88, 0.95], [0.7, 0.85, 0.93]),
    only: { aphid: 1, mealybug: 0.9, softScale: 0.7, thrips: 0.5 },
    group: "4A",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 7,
    mostTimes: 2,
    smell: "slight",
    harshness: 1,
    bottledOnly: true,
    cautions: [...byLabel, "beesAndOutdoors", "neverOnFood"],
  },
  abamectin: {
    id: "abamectin",
    kill: killing([0, 0.05, 0.1], [0.8, 0.92, 0.97], [0.8, 0.92, 0.97]),
    only: { spiderMite: 1, thrips: 0.8 },
    group: "6",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 7,
    mostTimes: 2,
    smell: "slight",
    harshness: 1.5,
    bottledOnly: true,
    cautions: [...byLabel, "beesWhileWet", "waterLife", "neverOnFood"],
  },
  // It keeps eggs from hatching and young mites from moulting; grown ones live on, and lay eggs that do not hatch.
  hexythiazox: {
    id: "hexythiazox",
    kill: killing([0.7, 0.85, 0.95], [0.7, 0.85, 0.95], [0, 0, 0]),
    only: { spiderMite: 1 },
    group: "10A",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    afterwards: { days: 21, hazard: { young: 0.1, adult: 0 }, layFactor: 0.2 },
    smallestIntervalDays: 28,
    mostTimes: 1,
    smell: "slight",
    harshness: 1,
    bottledOnly: true,
    cautions: byLabel,
  },
  bifenazate: {
    id: "bifenazate",
    kill: killing([0.3, 0.5, 0.7], [0.8, 0.92, 0.97], [0.8, 0.92, 0.97]),
    only: { spiderMite: 1 },
    group: "20D",
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 14,
    mostTimes: 2,
    smell: "slight",
    harshness: 1,
    bottledOnly: true,
    cautions: [...byLabel, "waterLife"],
  },
  sulphur: {
    id: "sulphur",
    kill: killing([0.05, 0.15, 0.3], [0.5, 0.7, 0.85], [0.4, 0.6, 0.8]),
    only: { spiderMite: 1, thrips: 0.3 },
    group: null,
    actsIn: ["foliage"],
    techniques: ["spray", "hastySpray"],
    smallestIntervalDays: 7,
    mostTimes: 6,
    smell: "strong",
    harshness: 2,
    bottledOnly: true,
    cautions: ["localLaw", "notAfterOil", "sunAndHeat", "testLeaf", ...common],
  },
} as const satisfies Record<string, Remedy>;

export type RemedyId = keyof typeof remedies;
export const remedyIds = Object.keys(remedies) as [RemedyId, ...RemedyId[]];

/** The remedy with this id, as the general type. @example remedyOf("oil").smallestIntervalDays // 5 */
export function remedyOf(id: RemedyId): Remedy {
  return remedies[id];
}

/** Under a shell little gets at an animal; oil smothers it (HOUSE). */
const underShell: Record<RemedyId, number> = {
  ...{ alcohol: 0.3, soap: 0.3, neem: 0.15, oil: 0.8 },
  ...{ spinosad: 0, pyrethrins: 0.1, essentialOil: 0, permethrin: 0.1, acetamiprid: 0.1 },
  ...{ abamectin: 0, hexythiazox: 0, bifenazate: 0, sulphur: 0.1 },
};
/** A cloth rubs off so many of the shells it touches (HOUSE). */
const RUBBED_OFF = 0.9;
/** The wool of an egg sac holds water off (HOUSE). */
const THROUGH_WOOL: Partial<Record<RemedyId, number>> = { soap: 0.5, neem: 0.5 };

/** A factor on a remedy's table for a pest; 0 where it does nothing to it. @example doesTo("spinosad", "aphid") // 0 */
export function doesTo(remedy: RemedyId, pest: string): number {
  const { only } = remedyOf(remedy);
  return only ? (only[pest as PestId] ?? 0) : 1;
}

/** Whether animals of a stage sit under a shell of their own or their mother's: armoured scale from the settled crawler on. */
function isShelled(pest: string, stage: Pick<LifeStage, "id">): boolean {
  return pest === "armouredScale" && stage.id !== "crawler";
}

/** What a remedy does to a stage, as a factor on its own table: 0 where it does nothing, a part of it under a shell or in wool. */
export function worksOn(remedy: RemedyId, pest: string, stage: LifeStage): number {
  const usual = remedies[remedy].kill[phaseOf(stage)].likely;
  return usual > 0 ? Math.min(1, killOf(remedy, pest, stage).likely / usual) : doesTo(remedy, pest);
}

/**
 * Chance that an animal of a stage that the remedy touched dies, `potency` times as strong as the table takes it (see mixing/potency):
 * 1 − (1 − kill) to that power.
 * @example killOf("alcohol", "mealybug", pests.mealybug.stages[2]).likely // 0.95, nymphs
 */
export function killOf(remedy: RemedyId, pest: string, stage: LifeStage, potency = 1): KillRange {
  const phase = phaseOf(stage);
  const sac = phase === "egg" && (pest === "mealybug" || pest === "rootMealybug") ? (THROUGH_WOOL[remedy] ?? 1) : 1;
  const shell = underShell[remedy];
  const { low, likely, high }: KillRange = isShelled(pest, stage)
    ? { low: shell, likely: shell, high: shell }
    : remedies[remedy].kill[phase];
  const strong = (kill: number) => (potency === 1 ? kill : kill === 1 ? 1 : -expm1(potency * ln1p(-kill)));
  const share = sac * doesTo(remedy, pest);
  return { low: strong(low * share), likely: strong(likely * share), high: strong(high * share) };
}

/** As {@link killOf}, put on with a technique: a cloth also rubs shells off. */
export function killWith(
  remedy: RemedyId,
  technique: TechniqueId,
  pest: string,
  stage: LifeStage,
  potency = 1,
): KillRange {
  const kill = killOf(remedy, pest, stage, potency);
  if (technique !== "wipe" || !isShelled(pest, stage)) return kill;
  const rubbed = (chance: number) => Math.max(chance, RUBBED_OFF);
  return { low: rubbed(kill.low), likely: rubbed(kill.likely), high: rubbed(kill.high) };
}
