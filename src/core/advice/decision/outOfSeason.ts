import { eventsOfAct } from "../../acts/acts";
import { workOf } from "../../acts/works";
import { expm1 } from "../../shared/exponential";
import { isKnownPest, pestOf } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { mixVolumeMl } from "../../knowledge/roots/pots";
import { pictureOf } from "../planning/picture";
import { endOf, type Scorer } from "../planning/score";

/** What unpotting costs of a plant: in the resting season, and once it grows (HOUSE): the chance that it is lost by it. */
export const LOST_AT_REST = 0.15;
export const LOST_IN_GROWTH = 0.03;
/** So many days of one feeding animal on a litre of mix are as many as kill one plant in e (HOUSE). */
const DAYS_A_LITRE = 8000;

/** Unpotting a plant that rests now, against leaving it until it grows. */
export interface OutOfSeason {
  readonly now: { readonly pOver: number; readonly pLost: number };
  readonly wait: {
    /** Animals expected today, and on the day on which it would be done. */
    readonly animals: number;
    readonly animalsThen: number;
    readonly pOver: number;
    readonly pLost: number;
  };
  /** Which of them the plant is likelier to come through. */
  readonly better: "now" | "wait";
}

/**
 * Weighs unpotting at rest against waiting, in chances: of the plant being lost by the disturbance, or by what feeds on it until
 * then, and of the pest being over one generation after the act. `springDay` is the day on which it would be done, days since day
 * 0, after the moment of judgement. Throws RangeError for a pest of no table. Source: numbers from the model; what a plant bears is
 * our own estimate (HOUSE).
 */
export function outOfSeason(
  scorer: Scorer,
  { form, potCm }: { readonly form: GrowthFormId; readonly potCm: number },
  fromDay: number,
  springDay: number,
): OutOfSeason {
  const { id } = scorer.reckoning.timeline.layout.pest;
  if (!isKnownPest(id)) throw new RangeError(`nothing is known of where ${id} hides`);
  const target = { pest: pestOf(id), weights: id, form };
  const dose = { events: eventsOfAct(workOf("unpot").act({ form, potCm }), target, 0) };
  const pOver = (atDays: number) => scorer.pOverAt([{ atDays, dose }], endOf(scorer, atDays));
  const feeds = target.pest.stages.map((stage) => stage.id !== "egg" && stage.id !== "pupa");
  const numbers = pictureOf(scorer.reckoning, [], springDay)
    .days.filter(({ day }) => day >= fromDay)
    .map(({ expected }) => expected.reduce((sum, n, i) => sum + (feeds[i] ? n : 0), 0));
  const fed = numbers.reduce((sum, n) => sum + n, 0);
  const byPest = -expm1(-fed / (DAYS_A_LITRE * (mixVolumeMl(potCm) / 1000)));
  const now = { pOver: pOver(fromDay), pLost: LOST_AT_REST };
  const wait = {
    animals: numbers[0] ?? 0,
    animalsThen: numbers.at(-1) ?? 0,
    pOver: pOver(springDay),
    pLost: 1 - (1 - byPest) * (1 - LOST_IN_GROWTH),
  };
  return { now, wait, better: now.pLost <= wait.pLost ? "now" : "wait" };
}
