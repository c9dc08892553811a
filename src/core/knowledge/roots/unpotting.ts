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

const cacti: readonly GrowthFormId[] = ["tubercledCactus", "columnarCactus", "jointedCactus"];
const succulents: readonly GrowthFormId[] = ["rosetteSucculent", "stemSucculent", "caudexSucculent"];
const orchids: readonly GrowthFormId[] = ["pseudobulbOrchid", "fanOrchid"];

/** What a plant is potted into. */
export const mediumIds = ["mix", "mineral", "bark", "moss", "other"] as const;
export type MediumId = (typeof mediumIds)[number];

/** What plants of a form are usually potted into (common practice, no source). @example mediumOf("fern") // "mix" */
export function mediumOf(form: GrowthFormId): MediumId {
  if (orchids.includes(form)) return "bark";
  return cacti.includes(form) || succulents.includes(form) ? "mineral" : "mix";
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
  { id: "peroxide", when: ({ form }) => orchids.includes(form) },
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

/** Days before the first water after roots were washed and cut (common practice: cacti some days, orchids too; the numbers HOUSE). */
const DRY_DAYS = { cactus: 7, succulent: 4, orchid: 3, other: 0 } as const;

/**
 * Days for which washed roots stay without water, so that wounds dry; 0 for what wilts. One that rests dry stays so until it grows,
 * `untilSpringDays` away (0 where it does not rest). @example dryDaysFor("fern", 0) // 0
 */
export function dryDaysFor(form: GrowthFormId, untilSpringDays: number): number {
  const wounds = cacti.includes(form)
    ? DRY_DAYS.cactus
    : succulents.includes(form)
      ? DRY_DAYS.succulent
      : orchids.includes(form)
        ? DRY_DAYS.orchid
        : DRY_DAYS.other;
  return Math.max(wounds, untilSpringDays);
}
