import { z } from "zod";
import { decimal } from "../fields";
import { DRENCH_REACH, soilKillOf, soilRemedies, soilRemedyIds, type SoilRemedy } from "../remedies/soilRemedies";
import { actKind } from "./kind";

/** Minutes to water one pot through with a mix (HOUSE). */
const MINUTES = 5;

/** A mix poured on the mix of the pot until it runs through. */
export const drench = actKind({
  kind: "drench",
  shape: z.object({
    kind: z.literal("drench"),
    remedy: z.enum(soilRemedyIds),
    /** Of the finished mix, on the mix of the pot. */
    volumeMl: decimal(1, 50_000),
  }),
  doneTo: ["plant"],
  events: ({ remedy }, { pest }, atDays) => [
    {
      kind: "treatment",
      atDays,
      kill: pest.stages.map((stage) => soilKillOf(remedy, pest.id, stage.id)),
      reach: { soil: DRENCH_REACH },
    },
  ],
  cautions: ({ remedy }) => (soilRemedies[remedy] as SoilRemedy).cautions,
  costs: ({ volumeMl }) => ({ minutes: MINUTES, volumeMl }),
});

/**
 * Of a mix, so much runs through a pot `potCm` wide and as high, mL, to the next 10: a fifth of what the pot holds (common
 * practice, HOUSE). Throws RangeError unless `potCm` is above 0. @example drenchVolume(12) // 280
 */
export function drenchVolume(potCm: number): number {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return Math.ceil((Math.PI * potCm ** 3) / 4 / 5 / 10) * 10;
}
