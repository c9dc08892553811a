import { byReach, allScenarios } from "../../model/clearance/scenarios";
import type { Reckoning } from "../../model/clearance/reckon";
import { degreeDaysPerDay } from "../../climate/degreeDays";
import { eggToAdultDays, eggToAdultDegreeDays } from "../../knowledge/pests/stageDurations";
import { layOut, pGoneUnseen, pUnseen, type ComingDose, type ComingLook } from "./future";

/** What looks after a course come to. */
export interface AfterLooks {
  /** The chance that none of them finds anything. */
  readonly pClean: number;
  /** The chance that nothing is left, once they have not. */
  readonly sure: number;
}

/** The chance that the looks are clean and that nothing is left indeed. */
export function pRight({ pClean, sure }: AfterLooks): number {
  return pClean * sure;
}

/** Scores futures of one judged case. */
export interface Scorer {
  readonly reckoning: Reckoning;
  /** Egg to adult, days, at the temperature to come; null where it is too cold for development. */
  readonly generationDays: number | null;
  /** When one egg-to-adult time will have passed since the last live animal was seen, days since day 0; null where it is too cold. */
  readonly generationOver: number | null;
  /** Probability that nothing is left at `atDays`, when these treatments are carried out and nothing is looked at. */
  readonly pOverAt: (doses: readonly ComingDose[], atDays: number) => number;
  /** What looks come to when these treatments are carried out; ascending, at least one. */
  readonly afterLooks: (doses: readonly ComingDose[], looks: readonly ComingLook[]) => AfterLooks;
}

/** Where it is too cold to grow nothing is over after one generation; the scores look this far, days (HOUSE). */
const COLD_HORIZON_DAYS = 60;

/** Makes a scorer for a judged case. */
export function scorerOf(reckoning: Reckoning): Scorer {
  const { layout, dailyMeanC } = reckoning.timeline;
  return {
    reckoning,
    generationDays: eggToAdultDays(layout.pest, dailyMeanC.at(-1)!),
    generationOver: generationOver(reckoning),
    pOverAt: (doses, atDays) => pGoneUnseen(reckoning, layOut(reckoning, atDays, doses)),
    afterLooks: (doses, looks) => {
      const future = layOut(reckoning, looks.at(-1)!.atDays, doses, looks);
      const pClean = pUnseen(reckoning, future);
      // So thorough that what is believed to be there could not stay unseen: only "gone" is left.
      return { pClean, sure: pClean > 0 ? Math.min(1, pGoneUnseen(reckoning, future) / pClean) : 1 };
    },
  };
}

/**
 * The same with three scenarios instead of nine, those of usual laying with the weights of their reach: close enough to choose among
 * schedules, and three times as quick. The scorer itself where it has no nine.
 */
export function quickly(scorer: Scorer): Scorer {
  const known = quick.get(scorer);
  if (known) return known;
  const made = scorer.reckoning.believed.length === allScenarios.length ? fewer(scorer.reckoning) : scorer;
  quick.set(scorer, made);
  return made;
}

/** Made once for each scorer: what it has reckoned serves all that ask. */
const quick = new WeakMap<Scorer, Scorer>();

function fewer(reckoning: Reckoning): Scorer {
  const usual = reckoning.believed.flatMap((one, k) => (one.scenario.eggs === 1 ? [k] : []));
  const some = <T>(of: readonly T[]): T[] => usual.map((k) => of[k]!);
  return scorerOf({
    ...reckoning,
    believed: some(reckoning.believed),
    scenarioPClear: some(reckoning.scenarioPClear),
    weights: byReach(reckoning.weights),
  });
}

/** When a schedule is scored: one egg-to-adult time after its last treatment. Days since day 0. */
export function endOf({ generationDays }: Pick<Scorer, "generationDays">, lastAtDays: number): number {
  return lastAtDays + (generationDays ?? COLD_HORIZON_DAYS);
}

function generationOver({ timeline, past, lastFind, asOfStep }: Reckoning): number | null {
  const { layout, dailyMeanC, dt } = timeline;
  const asOf = asOfStep * dt;
  let missing = eggToAdultDegreeDays(layout.pest);
  for (let day = past[lastFind]!.step * dt; day < asOf; day++) {
    const meanC = dailyMeanC[Math.min(Math.floor(day + 1e-9), dailyMeanC.length - 1)]!;
    missing -= degreeDaysPerDay(layout.pest, meanC) * Math.min(1, asOf - day);
  }
  if (missing <= 1e-6) return asOf;
  const perDay = degreeDaysPerDay(layout.pest, dailyMeanC.at(-1)!);
  return perDay > 0 ? asOf + missing / perDay : null;
}
