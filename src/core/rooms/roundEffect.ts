import { applicationEvents } from "../acts/contact";
import { reckonCarriage } from "../carriage/carriage";
import { COLONY_MEAN, perAnimalAt } from "../carriage/rates";
import { sitesOn } from "../inspection/sitesOn";
import { mixes, type MixId } from "../mixing/mixes";
import { potencyOf } from "../mixing/potency";
import { pestOf, type PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import { expm1 } from "../numerics/exponential";
import { layoutOf, nobody } from "../population/layout";
import { stableGrowth } from "../population/stable";
import { stepFor, goOf, ratesOf, stepForward } from "../population/step";
import { remember } from "../remember";
import { spotsFor, type TechniqueId } from "../remedies/remedies";

/** A colony has shown itself, or is gone, after so many days. */
const FOLLOWED_DAYS = 28;
const STEP_DAYS = 0.25;
const MOST_KEPT = 4000;
const kept = new Map<string, number>();

/** One treatment of a round on a plant that may carry a pest. */
export interface RoundDose {
  readonly pest: PestId;
  readonly form: GrowthFormId;
  readonly mix: MixId;
  readonly technique: TechniqueId;
  /** Mean warmth, °C; whole degrees are told apart. */
  readonly meanC: number;
}

/**
 * Of the colonies that a plant may carry unseen, the share that is still there four weeks after one treatment, against those that
 * would be there without it; 0–1. Colonies as carriage takes them: five animals in the mean, in stable shares. Source: the same reckoning as
 * what a plant may carry (HOUSE numbers). @example leftAfter({ pest: "mealybug", form: "fern", mix: "soapMild", technique: "spray", meanC: 21 }) // 0.7
 */
export function leftAfter({ pest, form, mix, technique, meanC }: RoundDose): number {
  const whole = Math.round(meanC);
  return remember(kept, MOST_KEPT, `${pest} ${form} ${mix} ${technique} ${whole}`, () => {
    const known = pestOf(pest);
    // A cold place is reckoned as one where they still move.
    const warm = Math.max(whole, Math.ceil(known.lowerC) + 3);
    const on = { form, weights: pest, spots: spotsFor(technique, form) };
    const { remedy } = mixes[mix];
    const spray = applicationEvents(known, { remedy, technique, potency: potencyOf(mix), on }, 0);
    const carries = (events: typeof spray | readonly []) =>
      reckonCarriage({
        ...{ pest: known, sites: sitesOn(form, pest), dailyMeanC: [warm], timeStepDays: STEP_DAYS },
        ...{ fromDays: 0, asOfDays: FOLLOWED_DAYS, events, looks: [], streams: [] },
        arrival: { share: 1, mean: COLONY_MEAN },
      }).pCarries;
    return Math.min(1, carries(spray) / carries([]));
  });
}

/** A colony nobody knows of gives to others for so long before a weekly look finds it (HOUSE). */
const UNKNOWN_DAYS = 28;
const onwardKept = new Map<string, number>();

/**
 * How many plants one carrying plant gives its pest to, for each that stands at the same place, before it is found; 0–1. From the
 * animals of a small colony over four weeks and how fast pests pass at one place. @example onwardAt("spiderMite", 24) // 0.3
 */
export function onwardAt(pest: PestId, meanC: number): number {
  const whole = Math.round(meanC);
  return remember(onwardKept, MOST_KEPT, `${pest} ${whole}`, () => {
    const known = pestOf(pest);
    const layout = layoutOf(known);
    const sites = { shelteredShare: 0, deepShare: 0, mixPerDay: 0 };
    const warm = Math.max(whole, Math.ceil(known.lowerC) + 3);
    const dt = stepFor(layout, warm, STEP_DAYS);
    const rates = ratesOf(layout, goOf(sites, dt), warm, dt, []);
    const { shares } = stableGrowth(layout, sites, warm, dt);
    const m = nobody(layout).fill(0);
    for (let i = 0; i < layout.types; i++) m[i] = COLONY_MEAN * shares[i]!;
    let mobileDays = 0;
    for (let step = 0; step < Math.round(UNKNOWN_DAYS / dt); step++) {
      for (let i = 0; i < layout.types; i++) if (known.stages[layout.stageOf[i]!]!.mobile) mobileDays += m[i]! * dt;
      stepForward(rates, 1, m);
    }
    return -expm1(-perAnimalAt(pest, "place") * mobileDays);
  });
}
