import { z } from "zod";
import { decimal, orNothing } from "../shared/fields";
import { ln } from "../shared/exponential";
import { mixVolumeMl } from "../knowledge/roots/pots";
import {
  DRENCH_REACH,
  soilKillOf,
  soilRemedies,
  soilRemedyIds,
  type SoilRemedy,
} from "../knowledge/remedies/soilRemedies";
import { pestOf } from "../knowledge/pests/pests";
import type { DoneToPots, InPots } from "./inPots";
import { actKind, touchesNothing } from "./kind";

/** Minutes to water one pot through with a mix (HOUSE). */
const MINUTES = 5;

/** A pot stands 15 to 25 minutes in what it soaks (common practice, no source). */
const SOAK_MINUTES = 20;

/** How wet the mix of a pot is before anything is poured on it. */
export const wetnessIds = ["dry", "moist", "sodden"] as const;
export type WetnessId = (typeof wetnessIds)[number];

/** A mix poured on the mix of the pot until it runs through. */
export const drench = actKind({
  kind: "drench",
  shape: z.object({
    kind: z.literal("drench"),
    remedy: z.enum(soilRemedyIds),
    /** Of the finished mix, on the mix of the pot; of all pots together where it is done to a place. */
    volumeMl: decimal(1, 50_000),
    /** How wet it was before; null where nobody felt. */
    before: orNothing(z.enum(wetnessIds)).optional(),
  }),
  doneTo: ["plant", "place"],
  events: ({ remedy }, { pest }, atDays) => {
    const { after }: SoilRemedy = soilRemedies[remedy];
    const kill = pest.stages.map((stage) => soilKillOf(remedy, pest.id, stage.id));
    const goesOn = pest.stages.map(({ id }, i) =>
      after && id === "larva" && kill[i]!.likely > 0 ? -ln(1 - after.larvae) : 0,
    );
    return [
      { kind: "treatment", atDays, kill, reach: { soil: DRENCH_REACH } },
      ...(after && goesOn.some((rate) => rate > 0)
        ? [
            {
              ...{ kind: "lasting" as const, atDays, untilDays: atDays + after.days },
              effect: { dailyHazard: goesOn, layFactor: 1, cover: DRENCH_REACH },
            },
          ]
        : []),
    ];
  },
  treats: ({ remedy }, pest) =>
    pestOf(pest).stages.some(({ id, where }) => where === "soil" && soilKillOf(remedy, pest, id).likely > 0),
  cleanLook: () => null,
  touches: () => ({ ...touchesNothing, mix: true, roots: true }),
  products: ({ remedy }) => [remedy],
  // Soaked in soap the pots stand in one bath, made by the recipe of the mild mix.
  poured: ({ remedy, volumeMl }) => ({
    ...{ what: remedy === "soap" ? { mix: "soapMild" } : { soil: remedy }, volumeMl },
    ...{ strength: null, bath: remedy === "soap" },
  }),
  work: ({ remedy }) => workOf[remedy],
  cautions: ({ remedy }) => (soilRemedies[remedy] as SoilRemedy).cautions,
  costs: ({ volumeMl }) => ({ minutes: MINUTES, volumeMl }),
  timers: () => [{ what: "soak", minutes: SOAK_MINUTES, optional: true }],
  gnatWay: ({ remedy }) => (remedy === "bti" ? "larvicide" : remedy === "soap" ? null : remedy),
  inPots: inPotsOf,
  alike: ({ remedy }) => remedy,
  ahead: () => [],
});

/** The works of plans that are drenches; a soak in soap is a step of the way in for winter, and of no plan. */
const workOf = { neem: "drenchNeem", bti: "drenchBti", peroxide: "drenchPeroxide", soap: null } as const;

/** How much of what lives in a mix a drench meets: most sits in the top layer and at the neck, little at the roots (HOUSE). */
const DRENCHED = 0.92 * DRENCH_REACH[0] + 0.08 * DRENCH_REACH[2];
const SOIL_STAGES = ["egg", "larva", "pupa"] as const;

function inPotsOf({ remedy }: { readonly remedy: keyof typeof soilRemedies }, { day, pots }: DoneToPots): InPots {
  const [egg, larva, pupa] = SOIL_STAGES.map((stage) => DRENCHED * soilKillOf(remedy, "fungusGnat", stage).likely);
  const { after }: SoilRemedy = soilRemedies[remedy];
  const hazard = after ? -ln(1 - DRENCHED * after.larvae) : 0;
  return {
    treatments: [{ atDay: day, pots, kill: [egg!, larva!, pupa!] }],
    effects: after
      ? [{ fromDay: day, untilDay: day + after.days, pots, dailyHazard: [0, hazard, 0], layFactor: 1 }]
      : [],
  };
}

/** What is poured on until it runs through, against what the pot holds of mix (HOUSE). */
const POURED = 0.3;

/**
 * What is poured on a pot `potCm` wide until it runs through, mL, to the next 10: three tenths of its mix, where that is not wet.
 * Throws RangeError unless `potCm` is above 0. @example drenchVolume(12) // 260
 */
export function drenchVolume(potCm: number): number {
  return Math.ceil((POURED * mixVolumeMl(potCm)) / 10) * 10;
}
