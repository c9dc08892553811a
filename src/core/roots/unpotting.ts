import type { GrowthFormId } from "../plants/growthForms";
import type { Sensitivity } from "../plants/sensitivities";

/** What unpotting asks of a plant. */
export interface Unpotted {
  readonly form: GrowthFormId;
  readonly sensitivities: readonly Sensitivity[];
}

interface Step {
  readonly id: string;
  /** Whether it is asked of a plant; of every one where left out. */
  readonly when?: (plant: Unpotted) => boolean;
}

/**
 * Unpotting and washing, step by step, in the order of the hands: dry and dirty first, water then, clean at the end.
 * Source: common practice, no source.
 */
export const unpottingSteps = [
  { id: "layOut" },
  { id: "tongs", when: ({ sensitivities }) => sensitivities.includes("spiny") },
  { id: "sap", when: ({ sensitivities }) => sensitivities.includes("milkySap") },
  { id: "tipOut" },
  { id: "covers" },
  { id: "comb" },
  { id: "bath" },
  { id: "pickOff" },
  { id: "trim" },
  { id: "rinse" },
  { id: "dry" },
  { id: "pot" },
  { id: "newMix" },
  { id: "cleanUp" },
] as const satisfies readonly Step[];

export type UnpottingStepId = (typeof unpottingSteps)[number]["id"];

/** The steps asked of a plant, in their order. @example stepsFor({ form: "fern", sensitivities: [] }).includes("tongs") // false */
export function stepsFor(plant: Unpotted): readonly UnpottingStepId[] {
  return (unpottingSteps as readonly (Step & { id: UnpottingStepId })[])
    .filter(({ when }) => when?.(plant) ?? true)
    .map(({ id }) => id);
}

const cacti: readonly GrowthFormId[] = ["tubercledCactus", "columnarCactus", "jointedCactus"];
const succulents: readonly GrowthFormId[] = ["rosetteSucculent", "stemSucculent", "caudexSucculent"];

/** Days before the first water after roots were washed and cut (common practice: cacti some days; the numbers HOUSE). */
const DRY_DAYS = { cactus: 7, succulent: 4, other: 0 } as const;

/**
 * Days for which washed roots stay without water, so that wounds dry; 0 for what wilts. @example dryDaysFor("fern") // 0
 */
export function dryDaysFor(form: GrowthFormId): number {
  if (cacti.includes(form)) return DRY_DAYS.cactus;
  return succulents.includes(form) ? DRY_DAYS.succulent : DRY_DAYS.other;
}
