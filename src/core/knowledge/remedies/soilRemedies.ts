import type { PestId } from "../pests/pests";
import { remedies, type CautionId, type KillRange } from "./remedies";

/** A remedy that is poured on the mix. */
export interface SoilRemedy {
  /** By pest, or for every pest, the kill of the stages that live in the mix; a stage left out is not touched. */
  readonly kill: Partial<Record<PestId | "any", Readonly<Record<string, KillRange>>>>;
  /** What it takes of larvae on each of so many days after, 0–1; nothing where left out. */
  readonly after?: { readonly days: number; readonly larvae: number };
  readonly cautions: readonly CautionId[];
}

const exactly = (chance: number): KillRange => ({ low: chance, likely: chance, high: chance });
const half = ({ low, likely, high }: KillRange): KillRange => ({ low: low / 2, likely: likely / 2, high: high / 2 });
const neem = remedies.neem.kill;
const soap = remedies.soap.kill;

/**
 * What a drench kills of the animals in the mix that it reaches.
 * Source: gnat larvae by Bti .8 a watering and half of them a day for four days, by 3 % peroxide .7, our own estimates (HOUSE); neem as on leaves.
 */
export const soilRemedies = {
  neem: {
    kill: {
      any: {
        egg: neem.egg,
        crawler: neem.young,
        nymph: neem.young,
        larva: neem.young,
        pupa: exactly(0),
        youngAdult: neem.adult,
        adult: neem.adult,
      },
    },
    cautions: ["label", "neemIrritates", "waterLife", "notSodden", "childrenPets", "leftovers"],
  },
  // Soap in a soak is weak on purpose and flushed out again: half of what it does on leaves (HOUSE).
  soap: {
    kill: {
      any: {
        egg: half(soap.egg),
        crawler: half(soap.young),
        nymph: half(soap.young),
        larva: half(soap.young),
        pupa: exactly(0),
        youngAdult: half(soap.adult),
        adult: half(soap.adult),
      },
    },
    cautions: ["label", "flushAfter", "notSodden", "childrenPets", "leftovers"],
  },
  bti: {
    kill: { fungusGnat: { larva: exactly(0.8) } },
    after: { days: 4, larvae: 0.5 },
    cautions: ["label", "notSodden", "childrenPets"],
  },
  peroxide: {
    kill: { fungusGnat: { larva: exactly(0.7) } },
    cautions: ["label", "protectYourself", "peroxideTwice", "notSodden", "childrenPets", "leftovers"],
  },
} as const satisfies Record<string, SoilRemedy>;

export type SoilRemedyId = keyof typeof soilRemedies;
export const soilRemedyIds = Object.keys(soilRemedies) as [SoilRemedyId, ...SoilRemedyId[]];

/** Share of the animals in the mix that a drench reaches: open, sheltered, deep (HOUSE). */
export const DRENCH_REACH = [0.9, 0.9, 0.5] as const;

/** What a drench kills of a stage of a pest. @example soilKillOf("bti", "fungusGnat", "larva").likely // 0.8 */
export function soilKillOf(remedy: SoilRemedyId, pest: string, stageId: string): KillRange {
  const { kill }: SoilRemedy = soilRemedies[remedy];
  return (kill[pest as PestId] ?? kill.any)?.[stageId] ?? exactly(0);
}
