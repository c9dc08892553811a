import { phaseOf, type Habitat, type LifeStage, type Phase } from "../pests/pests";

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
  /** Techniques it may be put on with, the usual one first. */
  readonly techniques: readonly TechniqueId[];
  /** What goes on after it has dried. */
  readonly afterwards?: { readonly days: number; readonly layFactor: number };
  /** Fewest days between two applications. */
  readonly smallestIntervalDays: number;
  /** Most applications in one course: what the label allows, else twelve (labels from memory; the keeper's own decides). */
  readonly mostTimes: number;
  /** How a room smells of it afterwards (common practice, no source). */
  readonly smell: "none" | "slight" | "sharp" | "strong";
  /** How hard one application of the whole plant is on it, against a soap wash (HOUSE). */
  readonly harshness: number;
  /** Codes of the cautions that stand before the act; `wording` has the sentences. */
  readonly cautions: readonly CautionId[];
}

/** Share of the animals that a technique reaches, on open and on sheltered spots. */
export interface Reach {
  readonly open: number;
  readonly sheltered: number;
}

/** Source: our own estimates (HOUSE). */
export const techniques = {
  dab: { open: 0.95, sheltered: 0.6 },
  wipe: { open: 0.9, sheltered: 0.3 },
  spray: { open: 0.95, sheltered: 0.55 },
  sprayAndSwab: { open: 0.97, sheltered: 0.8 },
  hastySpray: { open: 0.75, sheltered: 0.25 },
  dunk: { open: 0.98, sheltered: 0.85 },
} as const satisfies Record<string, Reach>;
export type TechniqueId = keyof typeof techniques;
export const techniqueIds = Object.keys(techniques) as [TechniqueId, ...TechniqueId[]];

export const cautionIds = [
  "label",
  "protectYourself",
  "flammable",
  "darkAfter",
  "neemIrritates",
  "waterLife",
  "sunAndHeat",
  "shake",
  "dryCrown",
  "testLeaf",
  "childrenPets",
  "leftovers",
  "milkySap",
  "spines",
  "notSodden",
  "peroxideTwice",
  "localLaw",
  "beesAndOutdoors",
  "neverOnFood",
  "sprayFree",
  "cleanHands",
  "coverTheMix",
  "cutLittle",
  "wipeTools",
  "binTheMix",
  "bleachAlone",
  "waste",
  "dustMask",
  "dustOnlyDry",
  "cardsCatchMore",
  "thirst",
] as const;
export type CautionId = (typeof cautionIds)[number];

const common = ["label", "protectYourself", "childrenPets", "leftovers"] as const;

/**
 * Household remedies of the first kind: those that act by touching the animal.
 * Kill tables: our own estimates (HOUSE), ordered by literature and common practice. Smallest intervals: common
 * practice, no source.
 */
export const remedies = {
  alcohol: {
    id: "alcohol",
    kill: {
      egg: { low: 0.3, likely: 0.6, high: 0.8 },
      young: { low: 0.9, likely: 0.95, high: 0.99 },
      adult: { low: 0.8, likely: 0.9, high: 0.97 },
    },
    actsIn: ["foliage"],
    techniques: ["dab", "sprayAndSwab", "spray", "hastySpray"],
    smallestIntervalDays: 3,
    mostTimes: 12,
    smell: "sharp",
    harshness: 2,
    cautions: ["flammable", "darkAfter", "testLeaf", ...common],
  },
  soap: {
    id: "soap",
    kill: {
      egg: { low: 0.05, likely: 0.2, high: 0.4 },
      young: { low: 0.75, likely: 0.87, high: 0.95 },
      adult: { low: 0.55, likely: 0.72, high: 0.85 },
    },
    actsIn: ["foliage"],
    techniques: ["spray", "sprayAndSwab", "wipe", "dunk", "hastySpray"],
    smallestIntervalDays: 2,
    mostTimes: 12,
    smell: "none",
    harshness: 1,
    cautions: ["sunAndHeat", "dryCrown", "testLeaf", ...common],
  },
  oil: {
    id: "oil",
    kill: {
      egg: { low: 0.5, likely: 0.75, high: 0.9 },
      young: { low: 0.85, likely: 0.93, high: 0.98 },
      adult: { low: 0.7, likely: 0.82, high: 0.92 },
    },
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
    kill: {
      egg: { low: 0.15, likely: 0.35, high: 0.5 },
      young: { low: 0.5, likely: 0.72, high: 0.85 },
      adult: { low: 0.2, likely: 0.4, high: 0.6 },
    },
    actsIn: ["foliage"],
    techniques: ["spray", "sprayAndSwab", "wipe", "dunk", "hastySpray"],
    // It cuts egg laying by half for a week (HOUSE).
    afterwards: { days: 7, layFactor: 0.5 },
    smallestIntervalDays: 3,
    mostTimes: 12,
    smell: "strong",
    harshness: 1.5,
    cautions: ["neemIrritates", "waterLife", "sunAndHeat", "shake", "dryCrown", "testLeaf", ...common],
  },
} as const satisfies Record<string, Remedy>;

export type RemedyId = keyof typeof remedies;
export const remedyIds = Object.keys(remedies) as [RemedyId, ...RemedyId[]];

/** The remedy with this id, as the general type. @example remedyOf("oil").smallestIntervalDays // 5 */
export function remedyOf(id: RemedyId): Remedy {
  return remedies[id];
}

/** Adult armoured scale sits under its shell: alcohol and soap reach little of it, oil smothers it (HOUSE). */
const underShell: Partial<Record<RemedyId, KillRange>> = {
  alcohol: { low: 0.3, likely: 0.3, high: 0.3 },
  soap: { low: 0.3, likely: 0.3, high: 0.3 },
  oil: { low: 0.8, likely: 0.8, high: 0.8 },
};

/**
 * Chance that an animal of a stage that the remedy touched dies.
 * @example killOf("alcohol", "mealybug", pests.mealybug.stages[2]).likely // 0.95, nymphs
 */
export function killOf(remedy: RemedyId, pest: string, stage: LifeStage): KillRange {
  const phase = phaseOf(stage);
  const shelled = pest === "armouredScale" && phase === "adult" ? underShell[remedy] : undefined;
  return shelled ?? remedies[remedy].kill[phase];
}
