import type { Act } from "../acts/acts";
import { workOf } from "../acts/works";
import { addDays, daysBetween, type Day } from "../climate/days";
import type { PestId } from "../pests/pests";
import { mixFor, refusals } from "../suitability/mixFor";
import type { Bearer } from "../suitability/bearer";
import { spotsFor, type TechniqueId } from "../remedies/remedies";
import { volumeFor } from "../mixing/sprayVolume";
import type { MixId } from "../mixing/mixes";

/** What is done to a plant before it comes in, in this order (common practice). */
export const winterStepIds = [
  "inspect",
  "prune",
  "rinse",
  "soak",
  "spray",
  "wait",
  "rinseOff",
  "sponge",
  "pot",
] as const;
export type WinterStepId = (typeof winterStepIds)[number];

/** A plant that is to come in for winter. */
export interface WinterPlant {
  readonly plantId: string;
  readonly bearer: Bearer;
  readonly prone: readonly PestId[];
  /** In a case, or badly off: it gets no soak. */
  readonly sickly: boolean;
}

/** From this width on a pot stays where it stands and is worked in place (HOUSE). */
const FLOOR_POT_CM = 30;
const isFloor = ({ bearer }: WinterPlant) => bearer.potCm >= FLOOR_POT_CM;

/**
 * What is done to a plant: inspected, pruned, rinsed hard, its pot soaked, sprayed, left for an hour or two and rinsed, its pot cleaned. Not
 * soaked: what is sickly, and succulents that rot when wet. What is too big to carry is worked in place with a sponge and the weaker
 * mix. Source: common practice, no source.
 */
export function winterSteps(plant: WinterPlant): readonly WinterStepId[] {
  if (isFloor(plant)) return ["inspect", "prune", "sponge", "pot"];
  const { sensitivities } = plant.bearer;
  const dry = plant.sickly || sensitivities.includes("winterDry") || sensitivities.includes("crownRot");
  return winterStepIds.filter((step) => step !== "sponge" && !(step === "soak" && dry));
}

/** Minutes of hands on one plant, the waiting left out (HOUSE). @example winterMinutes({ bearer: { potCm: 12 } }) // 17 */
export function winterMinutes({ bearer }: { readonly bearer: Pick<Bearer, "potCm"> }): number {
  return Math.round(8 + 0.75 * bearer.potCm);
}

/** Whether it needs a place to dry afterwards: what is worked in place dries there. */
export const driesInPlace = isFloor;

/**
 * With what a plant is sprayed or sponged: oil where its kind is prone to mites and bears it, soap otherwise, each in the mix that it
 * bears; null where it bears neither. On the floor the weakest soap. Source: common practice.
 */
export function winterMix(plant: WinterPlant): { readonly mix: MixId; readonly technique: TechniqueId } | null {
  const { bearer } = plant;
  const technique = isFloor(plant) ? "wipe" : "spray";
  const bears = (remedy: "oil" | "soap") => refusals(remedy, technique, bearer).length === 0;
  if (isFloor(plant)) return bears("soap") ? { mix: "soapMild", technique } : null;
  const remedy = plant.prone.includes("spiderMite") && bears("oil") ? "oil" : bears("soap") ? "soap" : null;
  return remedy && { mix: mixFor(remedy, bearer), technique };
}

/** What is written down when a plant is done as planned: the rinse and what was put on. Empty where it bears no mix: then it is rinsed only. */
export function winterActs(plant: WinterPlant): readonly Act[] {
  const { bearer } = plant;
  const chosen = winterMix(plant);
  const rinse = workOf("shower").act(bearer);
  const put: Act[] = chosen
    ? [
        {
          ...{ kind: "contact", mix: chosen.mix, technique: chosen.technique },
          volumeMl: volumeFor(chosen.technique, bearer.potCm),
          spots: spotsFor(chosen.technique, bearer.form),
        },
      ]
    : [];
  return isFloor(plant) ? put : [rinse, ...put];
}

/** Once inside a plant is sprayed weekly for a month, then every second week until so many days are over (common practice). */
const MONTH_DAYS = 28;
const WATCHED_DAYS = 84;

/**
 * When a plant that came in is to be sprayed next; null when it is over. `came` the day it came in, `sprayed` the days on which it was
 * sprayed since. @example nextInside("2026-10-01", []) // "2026-10-08"
 */
export function nextInside(came: Day, sprayed: readonly Day[]): Day | null {
  const last =
    sprayed
      .filter((day) => day >= came)
      .toSorted()
      .at(-1) ?? came;
  const next = addDays(last, daysBetween(came, last) < MONTH_DAYS ? 7 : 14);
  return daysBetween(came, next) > WATCHED_DAYS ? null : next;
}

/** The day on which a wintering begins: so many weeks before the move. @example winterBegin("2026-10-15", 6) // "2026-09-03" */
export function winterBegin(moveOn: Day, weeks: number): Day {
  return addDays(moveOn, -7 * weeks);
}

/** After so many days without a cold night the next one is autumn's, not a late frost of spring (HOUSE). */
const SUMMER_DAYS = 30;

/**
 * The day before the first autumn night colder than a plant may have, from the nights of the last year that are on record: the same
 * day of the year to come after `today`; null where no such night is on record. Of several cold spells the one after the summer counts.
 * @example moveBefore([], 10, today) // null
 */
export function moveBefore(
  nights: readonly { readonly day: Day; readonly minC: number }[],
  coldestC: number,
  today: Day,
): Day | null {
  const yearAgo = addDays(today, -365);
  const cold = nights
    .filter(({ day, minC }) => minC < coldestC && day >= yearAgo && day <= today)
    .map(({ day }) => day)
    .toSorted();
  const afterSummer = cold.filter((day, i) => i > 0 && daysBetween(cold[i - 1]!, day) > SUMMER_DAYS);
  const first = [...(afterSummer.length > 0 ? afterSummer : cold)].map((day) => addDays(day, 364));
  return first.find((day) => day > today) ?? null;
}
