import type { DevelopmentRange } from "../../climate/degreeDays";

/** Where animals of a stage live; decides what a spray, a drench or an eye can reach. */
export const habitats = ["foliage", "tissue", "soil", "air"] as const;
export type Habitat = (typeof habitats)[number];

export interface LifeStage {
  readonly id: string;
  /** Thermal time spent in the stage, in degree-days above the pest's lower threshold. */
  readonly degreeDays: number;
  /** Number of equal parts the stage is divided into; more parts, less spread. */
  readonly substages: number;
  /** Natural death rate per day. */
  readonly dailyDeath: number;
  readonly where: Habitat;
  /** Whether the animal walks or flies between open and sheltered places. */
  readonly mobile?: boolean;
  /** Daughters laid over the whole stage; only the laying stage has it. */
  readonly femaleEggs?: number;
  /** The phase of life whose kill numbers hold, and how large it looks; left out where the stage's name tells. */
  readonly phase?: Phase;
  readonly size?: Visibility;
}

/** Kill tables are kept for three phases of life. */
export const phases = ["egg", "young", "adult"] as const;
export type Phase = (typeof phases)[number];

/** How large an animal looks to whoever searches for it. */
export const visibilities = ["large", "small", "unseen"] as const;
export type Visibility = (typeof visibilities)[number];

/**
 * The phase of a stage: as it says itself, else as its name tells; what lays is adult. Everything else is young.
 * @example phaseOf(pests.mealybug.stages[3]) // "adult": youngAdult
 */
export function phaseOf({ id, phase, femaleEggs }: Pick<LifeStage, "id" | "phase" | "femaleEggs">): Phase {
  if (phase) return phase;
  if (id === "egg") return "egg";
  return id === "youngAdult" || id === "adult" || (femaleEggs ?? 0) > 0 ? "adult" : "young";
}

export interface Pest extends DevelopmentRange {
  readonly id: string;
  /** In the order of life. In the table the laying stage is last, the pre-laying adult (`youngAdult`) before it. */
  readonly stages: readonly LifeStage[];
}

/**
 * The pests the application knows.
 * Source: literature from memory (LIT), rounded to the slow side of laboratory figures because house plants are poor
 * hosts. Only females are counted. Daughters are what a house plant carries to adulthood's door, not what a leaf in a laboratory
 * does: half of the literature's for mites, thrips and aphids, a third for gnats (HOUSE).
 */
export const pests = {
  spiderMite: {
    id: "spiderMite",
    lowerC: 10,
    upperC: 34,
    stages: [
      { id: "egg", degreeDays: 64, substages: 8, dailyDeath: 0.015, where: "foliage" },
      { id: "immature", degreeDays: 96, substages: 8, dailyDeath: 0.06, where: "foliage", mobile: true },
      { id: "youngAdult", degreeDays: 20, substages: 3, dailyDeath: 0.02, where: "foliage", mobile: true },
      { id: "adult", degreeDays: 200, substages: 3, dailyDeath: 0.05, where: "foliage", mobile: true, femaleEggs: 20 },
    ],
  },
  thrips: {
    id: "thrips",
    lowerC: 9.5,
    upperC: 32,
    stages: [
      { id: "egg", degreeDays: 52, substages: 8, dailyDeath: 0.02, where: "tissue" },
      { id: "larva", degreeDays: 86, substages: 8, dailyDeath: 0.08, where: "foliage", mobile: true },
      { id: "pupa", degreeDays: 58, substages: 6, dailyDeath: 0.04, where: "soil" },
      { id: "youngAdult", degreeDays: 25, substages: 3, dailyDeath: 0.02, where: "foliage", mobile: true },
      { id: "adult", degreeDays: 300, substages: 3, dailyDeath: 0.05, where: "foliage", mobile: true, femaleEggs: 18 },
    ],
  },
  mealybug: {
    id: "mealybug",
    lowerC: 10,
    upperC: 32,
    stages: [
      { id: "egg", degreeDays: 95, substages: 8, dailyDeath: 0.01, where: "foliage" },
      { id: "crawler", degreeDays: 90, substages: 6, dailyDeath: 0.06, where: "foliage", mobile: true },
      { id: "nymph", degreeDays: 265, substages: 10, dailyDeath: 0.015, where: "foliage", mobile: true },
      { id: "youngAdult", degreeDays: 120, substages: 5, dailyDeath: 0.01, where: "foliage", mobile: true },
      { id: "adult", degreeDays: 120, substages: 3, dailyDeath: 0.02, where: "foliage", mobile: true, femaleEggs: 60 },
    ],
  },
  rootMealybug: {
    id: "rootMealybug",
    lowerC: 10,
    upperC: 32,
    stages: [
      { id: "egg", degreeDays: 110, substages: 8, dailyDeath: 0.01, where: "soil" },
      { id: "crawler", degreeDays: 130, substages: 6, dailyDeath: 0.05, where: "soil", mobile: true },
      { id: "nymph", degreeDays: 360, substages: 10, dailyDeath: 0.015, where: "soil", mobile: true },
      { id: "youngAdult", degreeDays: 150, substages: 5, dailyDeath: 0.01, where: "soil", mobile: true },
      { id: "adult", degreeDays: 200, substages: 3, dailyDeath: 0.02, where: "soil", mobile: true, femaleEggs: 25 },
    ],
  },
  softScale: {
    id: "softScale",
    lowerC: 11,
    upperC: 32,
    stages: [
      { id: "crawler", degreeDays: 60, substages: 5, dailyDeath: 0.08, where: "foliage", mobile: true },
      { id: "nymph", degreeDays: 420, substages: 10, dailyDeath: 0.01, where: "foliage" },
      { id: "youngAdult", degreeDays: 220, substages: 5, dailyDeath: 0.01, where: "foliage" },
      { id: "adult", degreeDays: 420, substages: 3, dailyDeath: 0.02, where: "foliage", femaleEggs: 60 },
    ],
  },
  armouredScale: {
    id: "armouredScale",
    lowerC: 11,
    upperC: 32,
    stages: [
      { id: "egg", degreeDays: 100, substages: 8, dailyDeath: 0.01, where: "foliage" },
      { id: "crawler", degreeDays: 30, substages: 4, dailyDeath: 0.12, where: "foliage", mobile: true },
      { id: "nymph", degreeDays: 480, substages: 10, dailyDeath: 0.01, where: "foliage" },
      { id: "youngAdult", degreeDays: 120, substages: 5, dailyDeath: 0.01, where: "foliage" },
      { id: "adult", degreeDays: 350, substages: 3, dailyDeath: 0.02, where: "foliage", femaleEggs: 35 },
    ],
  },
  fungusGnat: {
    id: "fungusGnat",
    lowerC: 8,
    upperC: 30,
    stages: [
      { id: "egg", degreeDays: 48, substages: 8, dailyDeath: 0.03, where: "soil" },
      { id: "larva", degreeDays: 160, substages: 10, dailyDeath: 0.04, where: "soil" },
      { id: "pupa", degreeDays: 64, substages: 6, dailyDeath: 0.02, where: "soil" },
      { id: "youngAdult", degreeDays: 12, substages: 2, dailyDeath: 0.05, where: "air", mobile: true },
      { id: "adult", degreeDays: 70, substages: 2, dailyDeath: 0.08, where: "air", mobile: true, femaleEggs: 10 },
    ],
  },
  aphid: {
    id: "aphid",
    lowerC: 5,
    upperC: 30,
    stages: [
      { id: "nymph", degreeDays: 130, substages: 10, dailyDeath: 0.06, where: "foliage", mobile: true },
      { id: "youngAdult", degreeDays: 12, substages: 2, dailyDeath: 0.02, where: "foliage", mobile: true },
      { id: "adult", degreeDays: 260, substages: 3, dailyDeath: 0.05, where: "foliage", mobile: true, femaleEggs: 15 },
    ],
  },
} as const satisfies Record<string, Pest>;

export type PestId = keyof typeof pests;
export const pestIds = Object.keys(pests) as [PestId, ...PestId[]];

/** The pest with this id, as the general type. @example pestOf("aphid").stages.length // 3 */
export function pestOf(id: PestId): Pest {
  return pests[id];
}

/** Whether the tables know this pest. @example isKnownPest("weevil") // false */
export function isKnownPest(id: string): id is PestId {
  return Object.hasOwn(pests, id);
}

/** Whether a pest is a matter of the room and not of one plant: it flies as long as it is grown. @example isOfRoom("fungusGnat") // true */
export function isOfRoom(pest: PestId): boolean {
  return pestOf(pest).stages.at(-1)!.where === "air";
}
