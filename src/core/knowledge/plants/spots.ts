import type { PestId } from "../pests/pests";

export interface Spot {
  /** A spray or an eye reaches it badly. */
  readonly sheltered: boolean;
  /** Of the animals of a sheltered spot, the share that sits where no brush and no spray comes, however often; 0 on open ones. */
  readonly deep: number;
  /** How the animals of each pest divide over the spots; spots a growth form lacks are dropped and the rest scaled to 1. */
  readonly weight: Partial<Record<PestId, number>>;
}

/**
 * Hiding places and how much of each pest sits there.
 * Source: our own estimates (HOUSE), to be replaced when keepers' records say better.
 */
export const spots = {
  crown: {
    sheltered: true,
    deep: 0.15,
    weight: { mealybug: 0.16, spiderMite: 0.08, thrips: 0.12, softScale: 0.04, armouredScale: 0.05, aphid: 0.1 },
  },
  axil: {
    sheltered: true,
    deep: 0.1,
    weight: { mealybug: 0.2, spiderMite: 0.04, thrips: 0.08, softScale: 0.1, armouredScale: 0.12, aphid: 0.05 },
  },
  underside: {
    sheltered: false,
    deep: 0,
    weight: { mealybug: 0.12, spiderMite: 0.52, thrips: 0.3, softScale: 0.26, armouredScale: 0.26, aphid: 0.12 },
  },
  upperSide: {
    sheltered: false,
    deep: 0,
    weight: { mealybug: 0.03, spiderMite: 0.1, thrips: 0.06, softScale: 0.1, armouredScale: 0.1, aphid: 0.03 },
  },
  vein: {
    sheltered: false,
    deep: 0,
    weight: { mealybug: 0.05, spiderMite: 0.08, thrips: 0.05, softScale: 0.16, armouredScale: 0.1, aphid: 0.02 },
  },
  newLeaf: {
    sheltered: true,
    deep: 0.2,
    weight: { mealybug: 0.08, spiderMite: 0.08, thrips: 0.22, softScale: 0.04, armouredScale: 0.02, aphid: 0.28 },
  },
  flower: {
    sheltered: false,
    deep: 0,
    weight: { mealybug: 0.08, spiderMite: 0.02, thrips: 0.09, softScale: 0.03, armouredScale: 0.02, aphid: 0.34 },
  },
  stem: {
    sheltered: false,
    deep: 0,
    weight: { mealybug: 0.05, spiderMite: 0.02, thrips: 0.08, softScale: 0.17, armouredScale: 0.15, aphid: 0.06 },
  },
  sheath: {
    sheltered: true,
    deep: 0.35,
    weight: { mealybug: 0.1, spiderMite: 0.02, softScale: 0.06, armouredScale: 0.16 },
  },
  areole: {
    sheltered: false,
    deep: 0,
    weight: { mealybug: 0.1, spiderMite: 0.04, softScale: 0.04, armouredScale: 0.06 },
  },
  gap: {
    sheltered: true,
    deep: 0.3,
    weight: { mealybug: 0.2, spiderMite: 0.12, softScale: 0.05, armouredScale: 0.08 },
  },
  neck: {
    sheltered: true,
    deep: 0.2,
    weight: { mealybug: 0.08, rootMealybug: 0.08, softScale: 0.02, fungusGnat: 0.1 },
  },
  mixTop: { sheltered: false, deep: 0, weight: { mealybug: 0.02, rootMealybug: 0.02, fungusGnat: 0.75 } },
  roots: { sheltered: true, deep: 0.5, weight: { mealybug: 0.04, rootMealybug: 0.8, fungusGnat: 0.1 } },
  pot: { sheltered: true, deep: 0.3, weight: { mealybug: 0.05, rootMealybug: 0.1, softScale: 0.01, fungusGnat: 0.05 } },
} as const satisfies Record<string, Spot>;

export type SpotId = keyof typeof spots;
export const spotIds = Object.keys(spots) as [SpotId, ...SpotId[]];
