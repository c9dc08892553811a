import { applicationEvents } from "../../acts/contact";
import { reckonCarriage } from "../../model/carriage/carriage";
import { catching, colonyMovingDays } from "../../model/carriage/onward";
import { COLONY_MEAN } from "../../model/carriage/rates";
import { sitesOn } from "../../model/inspection/sitesOn";
import { mixes, type MixId } from "../../knowledge/mixes/mixes";
import { potencyOf } from "../../knowledge/mixes/potency";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { remember } from "../../shared/remember";
import { spotsFor, type TechniqueId } from "../../knowledge/remedies/remedies";

/** A colony has shown itself, or is gone, after so many days. */
const FOLLOWED_DAYS = 28;
const STEP_DAYS = 0.25;
const MOST_KEPT = 4000;
const kept = new Map<string, number>();
const onward = new Map<string, number>();

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

/**
 * The chance that a plant catches a pest of which nobody knows from one that carries it and stands at the same place, before it is
 * found; whole degrees are told apart. @example onwardAt("spiderMite", "trailingVine", 24) // 0.1
 */
export function onwardAt(pest: PestId, form: GrowthFormId, meanC: number): number {
  const whole = Math.round(meanC);
  return remember(onward, MOST_KEPT, `${pest} ${form} ${whole}`, () =>
    catching(pest, colonyMovingDays(pest, form, whole, UNKNOWN_DAYS), { place: 1 }),
  );
}
