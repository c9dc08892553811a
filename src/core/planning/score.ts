import type { Reckoning } from "../clearance/reckon";
import { eggToAdultDays } from "../pests/stageDurations";
import { layOut, pGoneUnseen, type ComingDose } from "./future";

/** Scores futures of one judged case. */
export interface Scorer {
  readonly reckoning: Reckoning;
  /** Egg to adult, days, at the temperature to come; null where it is too cold for development. */
  readonly generationDays: number | null;
  /** Probability that nothing is left at `atDays`, when these treatments are carried out and nothing is looked at. */
  readonly pOverAt: (doses: readonly ComingDose[], atDays: number) => number;
}

/** Where it is too cold to grow nothing is over after one generation; the scores look this far, days (HOUSE). */
const COLD_HORIZON_DAYS = 60;

/** Makes a scorer for a judged case. */
export function scorerOf(reckoning: Reckoning): Scorer {
  const { layout, dailyMeanC } = reckoning.timeline;
  return {
    reckoning,
    generationDays: eggToAdultDays(layout.pest, dailyMeanC.at(-1)!),
    pOverAt: (doses, atDays) => pGoneUnseen(reckoning, layOut(reckoning, atDays, doses)),
  };
}

/** When a schedule is scored: one egg-to-adult time after its last treatment. Days since day 0. */
export function endOf({ generationDays }: Pick<Scorer, "generationDays">, lastAtDays: number): number {
  return lastAtDays + (generationDays ?? COLD_HORIZON_DAYS);
}
