import type { PestId } from "../knowledge/pests/pests";
import { isCut, spotsOf, type GrowthFormId } from "../knowledge/plants/growthForms";
import { predators, type PredatorId, type SystemicId } from "../knowledge/remedies/lasting";
import type { SoilRemedyId } from "../knowledge/remedies/soilRemedies";
import { spotsFor, type CautionId } from "../knowledge/remedies/remedies";
import { cautionsOfAct, type Act } from "./acts";
import { drenchVolume } from "./drench";
import type { WorkId } from "./workIds";

/** What a planned work is done to. */
export interface WorkedOn {
  readonly form: GrowthFormId;
  readonly potCm: number;
  /** Whether it stands in a closed cabinet. */
  readonly enclosed?: boolean;
  /** What is given to the roots where a systemic is; one of the usual ones where left out. */
  readonly systemic?: SystemicId;
}

/** Something that a plan may ask for on a day and that is no mix put on the leaves. */
export interface Work {
  /** The act it comes to on a plant. */
  readonly act: (on: WorkedOn) => Act;
  /** Fewest days between two of it, and most in one course. */
  readonly smallestIntervalDays: number;
  readonly mostTimes: number;
  /** What counts as one course: all within so many days; where left out, all without a long break. */
  readonly withinDays?: number;
  /** How hard it is on a plant, in soap washes of the whole plant (HOUSE). */
  readonly harshness: number;
  /** Pests it is proposed against; a shower or a drench of neem may be put on for others, and does there what the model says. */
  readonly against: readonly PestId[];
  /** Whether it is worth anything in a closed cabinet only. */
  readonly onlyEnclosed?: true;
}

/** The worst part of a plant, a third of it at most, carries so many per cent of the animals (HOUSE). */
const WITH_THE_WORST = 50;
/** A spike in bloom so many of the aphids (HOUSE). */
const WITH_THE_SPIKE = 60;

const sapSuckers = ["mealybug", "rootMealybug", "softScale", "aphid", "thrips"] as const;

const drench = (remedy: SoilRemedyId) => (on: WorkedOn) =>
  ({ kind: "drench", remedy, volumeMl: drenchVolume(on.potCm) }) as const;

/** Sachets for a plant: one for a pot as wide as a hand, more for wider ones (labels, from memory). */
const release = (predator: PredatorId) => (on: WorkedOn) =>
  ({
    kind: "release",
    predator,
    sachets: Math.max(1, Math.ceil(on.potCm / 20)),
    where: on.enclosed ? "cabinet" : "open",
  }) as const;

/** A sachet is renewed once what it held fades: four to six weeks (common practice). */
const renewed = (predator: PredatorId) => predators[predator].untilDay - predators[predator].fromDay;

/**
 * Works by which plans go where no spray comes, or on without one. Intervals and counts: common practice; peroxide at most twice a
 * year; what roots take up is not given again within two months (labels, from memory). Harshness: our own (HOUSE).
 */
export const works = {
  unpot: {
    act: ({ form }) => ({
      ...{ kind: "mechanical", way: "unpot", tool: "unpotted", percent: null },
      spots: [...spotsOf(form)],
    }),
    smallestIntervalDays: 28,
    mostTimes: 2,
    harshness: 4,
    against: ["rootMealybug", "mealybug"],
  },
  // What sits under shells and wool is rubbed off with a damp cloth before anything is sprayed on it.
  rub: {
    act: ({ form }) => ({
      ...{ kind: "mechanical", way: "wipe", tool: null, percent: null },
      spots: spotsFor("wipe", form),
    }),
    smallestIntervalDays: 7,
    mostTimes: 6,
    harshness: 0.5,
    against: ["softScale", "armouredScale", "mealybug"],
  },
  prune: {
    // Of what grows from few points the spike alone is cut.
    act: ({ form }) => ({
      ...{ kind: "mechanical", way: "prune", tool: null, percent: isCut(form) ? WITH_THE_WORST : WITH_THE_SPIKE },
      spots: [...spotsOf(form)],
    }),
    smallestIntervalDays: 90,
    mostTimes: 1,
    harshness: 3,
    against: ["aphid", "spiderMite", "thrips"],
  },
  shower: {
    act: ({ form }) => ({
      ...{ kind: "mechanical", way: "shower", tool: null, percent: null },
      spots: spotsOf(form).filter((spot) => spot !== "roots" && spot !== "pot" && spot !== "mixTop"),
    }),
    smallestIntervalDays: 3,
    mostTimes: 12,
    harshness: 0.5,
    against: ["spiderMite", "aphid", "thrips"],
  },
  drenchNeem: {
    act: drench("neem"),
    smallestIntervalDays: 7,
    mostTimes: 6,
    harshness: 1,
    against: ["rootMealybug", "fungusGnat"],
  },
  drenchBti: { act: drench("bti"), smallestIntervalDays: 5, mostTimes: 12, harshness: 0, against: ["fungusGnat"] },
  drenchPeroxide: {
    act: drench("peroxide"),
    smallestIntervalDays: 14,
    mostTimes: 2,
    withinDays: 365,
    harshness: 1.5,
    against: ["fungusGnat"],
  },
  systemic: {
    act: ({ systemic = "throughTheRoots" }) => ({ kind: "systemic", remedy: systemic, given: "" }),
    smallestIntervalDays: 60,
    mostTimes: 2,
    harshness: 1,
    against: sapSuckers,
  },
  predatoryMites: {
    act: release("predatoryMites"),
    smallestIntervalDays: renewed("predatoryMites"),
    mostTimes: 3,
    harshness: 0,
    against: ["spiderMite", "thrips"],
  },
  lacewingLarvae: {
    act: release("lacewingLarvae"),
    smallestIntervalDays: renewed("lacewingLarvae"),
    mostTimes: 4,
    harshness: 0,
    against: ["aphid"],
  },
  pirateBugs: {
    act: release("pirateBugs"),
    smallestIntervalDays: renewed("pirateBugs"),
    mostTimes: 3,
    harshness: 0,
    against: ["thrips"],
  },
  mealybugBeetles: {
    act: release("mealybugBeetles"),
    smallestIntervalDays: renewed("mealybugBeetles"),
    mostTimes: 3,
    harshness: 0,
    against: ["mealybug"],
    onlyEnclosed: true,
  },
  nematodes: {
    act: release("nematodes"),
    smallestIntervalDays: renewed("nematodes"),
    mostTimes: 3,
    harshness: 0,
    against: ["fungusGnat"],
  },
} as const satisfies Record<WorkId, Work>;

/** The work with this id, as the general type. @example workOf("unpot").mostTimes // 2 */
export function workOf(id: WorkId): Work {
  return works[id];
}

/** What must be read before a work, whatever plant it is done to. */
export function cautionsOfWork(id: WorkId): readonly CautionId[] {
  return cautionsOfAct(workOf(id).act({ form: "uprightShrub", potCm: 12 }));
}
