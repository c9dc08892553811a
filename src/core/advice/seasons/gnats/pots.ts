import type { GrowthFormId } from "../../../knowledge/plants/growthForms";
import { moistureOf, type MoistureId } from "../../../knowledge/plants/moisture";

/** What flies lay where it is wet, against a mix that dries between two waterings (HOUSE). */
const wetness: Readonly<Record<MoistureId, number>> = { dry: 0.1, usual: 1, wet: 4 };

/**
 * How much of a room's gnats a pot holds, in no unit: its surface times how wet it is. 0 for a plant without a pot. Throws RangeError
 * unless the pot has a width. @example gnatWeight({ growthForm: "fern", kept: null, potCm: 12 }) // 576
 */
export function gnatWeight(plant: {
  readonly growthForm: GrowthFormId;
  readonly kept: MoistureId | null;
  readonly potCm: number;
}): number {
  if (!(plant.potCm > 0)) throw new RangeError(`a pot has a width, got ${plant.potCm}`);
  return plant.growthForm === "airPlant" ? 0 : wetness[moistureOf(plant)] * plant.potCm ** 2;
}

/** A wet mix feeds so many larvae a cm² of its surface, a drier one its share of them (HOUSE). */
const LARVAE_A_CM2 = 1.5;

/**
 * How many gnat larvae a pot feeds at most; beyond that they starve. As {@link gnatWeight} it is 0 for a plant without a pot, and
 * throws for a pot without a width. @example larvaeCeiling({ growthForm: "softHerb", kept: "wet", potCm: 12 }) // 170
 */
export function larvaeCeiling(plant: Parameters<typeof gnatWeight>[0]): number {
  return (LARVAE_A_CM2 * Math.PI * gnatWeight(plant)) / (4 * wetness.wet);
}

/** Whether few larvae in its mix hurt a plant: seedlings and soft herbs (common practice). */
export function isTender({ growthForm }: { readonly growthForm: GrowthFormId }): boolean {
  return growthForm === "softHerb";
}
