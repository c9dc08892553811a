import { costsOfAct, workIn, type Act } from "../../acts/acts";
import { workOf } from "../../acts/works";
import { drenchVolume } from "../../acts/drench";
import { addDays, daysBetween, type Day } from "../../shared/days";
import { isCut, spotsOf } from "../../knowledge/plants/growthForms";
import type { PestId } from "../../knowledge/pests/pests";
import { minutesAt, type Paces } from "../sessions/pace";
import { mixFor, refusals } from "../tolerance/mixFor";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { spotsFor, type TechniqueId } from "../../knowledge/remedies/remedies";
import { volumeFor } from "../../knowledge/mixes/sprayVolume";
import type { MixId } from "../../knowledge/mixes/mixes";
import { leftAfter } from "./roundEffect";
import type { WinterRemedy } from "../../knowledge/routines/winterRemedies";

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
  "drench",
  "pot",
] as const;
export type WinterStepId = (typeof winterStepIds)[number];

/** A plant that is to come in for winter. */
export interface WinterPlant {
  readonly plantId: string;
  readonly bearer: TreatedPlant;
  readonly prone: readonly PestId[];
  /** In a case: it gets no soak. One that its keeper calls sickly gets none either. */
  readonly inCase: boolean;
  /** What its keeper sprays with; as its kind asks where left out. */
  readonly remedy?: WinterRemedy;
}

/** Why a pot is not soaked. */
export type NoSoak = "sickly" | "rotsWet";

/** From this width on a pot stays where it stands and is worked in place (HOUSE). */
const FLOOR_POT_CM = 30;
const isFloor = ({ bearer }: WinterPlant) => bearer.potCm >= FLOOR_POT_CM;
/** So much is cut off on the way in, per cent: what is dead, sick or too much (HOUSE; a third at most, common practice). */
const TRIMMED_PERCENT = 10;

/** Why a plant's pot is neither soaked nor watered with a mix; null where it is. Source: common practice. @example noSoak(sicklyHoya) // "sickly" */
export function noSoak({ bearer: { sensitivities }, inCase }: WinterPlant): NoSoak | null {
  if (inCase || sensitivities.includes("sickly")) return "sickly";
  return sensitivities.includes("winterDry") || sensitivities.includes("crownRot") ? "rotsWet" : null;
}

/**
 * What is done to a plant: inspected, pruned, rinsed hard, its pot soaked, sprayed, left for an hour or two and rinsed, its pot cleaned.
 * What is too big to carry is worked in place with a sponge and the weaker mix, its mix watered through with weak soap and flushed. Not
 * soaked: see {@link noSoak}. Source: common practice, no source.
 */
export function winterSteps(plant: WinterPlant): readonly WinterStepId[] {
  const { form } = plant.bearer;
  const not = new Set<WinterStepId>(
    isFloor(plant) ? ["rinse", "soak", "spray", "wait", "rinseOff"] : ["sponge", "drench"],
  );
  // What grows from few points keeps its leaves.
  if (!isCut(form)) not.add("prune");
  if (noSoak(plant)) for (const step of ["soak", "drench"] as const) not.add(step);
  if (!winterMix(plant)) for (const step of ["spray", "wait", "rinseOff", "sponge"] as const) not.add(step);
  return winterStepIds.filter((step) => !not.has(step));
}

/**
 * Minutes of hands on one plant, the waiting left out (HOUSE): shared out over its acts as they take alone, each at the keepers' own pace
 * where that is known. @example winterMinutes(winterWork(hoya), 12, {}) // 17
 */
export function winterMinutes(work: readonly WinterWork[], potCm: number, paces: Paces): number {
  const acts = work.flatMap(({ act }) => act ?? []);
  const ours = acts.reduce((sum, act) => sum + costsOfAct(act, potCm).minutes, 0);
  const own = acts.reduce((sum, act) => sum + minutesAt(paces, act, potCm), 0);
  return Math.round((8 + 0.75 * potCm) * (ours > 0 ? own / ours : 1));
}

/** Whether it needs a place to dry afterwards: what is worked in place dries there. */
export const driesInPlace = isFloor;

/**
 * With what a plant is sprayed or sponged: what its keeper chose for all, or oil where its kind is prone to mites and bears it, soap
 * otherwise, each in the mix that it bears, and the other one where it does not bear that; null where it bears neither. On the floor the
 * weakest soap. Source: common practice.
 */
export function winterMix(plant: WinterPlant): { readonly mix: MixId; readonly technique: TechniqueId } | null {
  const { bearer, remedy: chosen = "byKind" } = plant;
  const technique = isFloor(plant) ? "wipe" : "spray";
  const bears = (remedy: "oil" | "soap") => refusals(remedy, technique, bearer).length === 0;
  if (isFloor(plant)) return bears("soap") ? { mix: "soapMild", technique } : null;
  const first = chosen !== "byKind" ? chosen : plant.prone.includes("spiderMite") ? "oil" : "soap";
  const remedy = bears(first) ? first : first === "oil" && bears("soap") ? "soap" : null;
  return remedy && { mix: mixFor(remedy, bearer), technique };
}

/** What one step writes down of a plant: an act, or for the inspection a look at the whole plant that found nothing (null). */
export interface WinterWork {
  readonly step: WinterStepId;
  readonly act: Act | null;
}

/** What is written down when a plant is done as planned, step by step; the waiting writes nothing. */
export function winterWork(plant: WinterPlant): readonly WinterWork[] {
  const { bearer } = plant;
  const { form, potCm } = bearer;
  const chosen = winterMix(plant);
  const put = (): Act => ({
    ...{ kind: "contact", mix: chosen!.mix, technique: chosen!.technique },
    ...{ volumeMl: volumeFor(chosen!.technique, potCm), spots: spotsFor(chosen!.technique, form) },
  });
  const soap = (): Act => ({ kind: "drench", remedy: "soap", volumeMl: drenchVolume(potCm) });
  const shower = (): Act => workOf("shower").act(bearer);
  const acts: Readonly<Record<WinterStepId, () => Act | null>> = {
    inspect: () => null,
    prune: () => ({
      ...{ kind: "mechanical", way: "prune", tool: null, percent: TRIMMED_PERCENT },
      spots: spotsOf(form).filter((spot) => spot !== "roots" && spot !== "pot" && spot !== "mixTop"),
    }),
    rinse: shower,
    rinseOff: shower,
    soak: soap,
    drench: soap,
    spray: put,
    sponge: put,
    pot: () => ({ kind: "clean", what: "pot", with: "soapyWater" }),
    wait: () => null,
  };
  return winterSteps(plant)
    .filter((step) => step !== "wait")
    .map((step) => ({ step, act: acts[step]() }));
}

/** What is put on a plant on its way in; null where it bears no mix: then it is rinsed only. @example winterPut(winterWork(sundew)) // null */
export function winterPut(work: readonly WinterWork[]): Act | null {
  return work.find(({ step }) => step === "spray" || step === "sponge")?.act ?? null;
}

/** Nights so cold are offered as the coldest that plants may have outside, °C. */
export const coldestOffered = [5, 8, 10, 12, 15] as const;

/** Whether an act makes a plant ready to come in: whoever bears a mix is once it is on; the others are once they are rinsed. `put` as {@link winterPut} has it. @example makesReady(rinse, null) // true */
export function makesReady(act: Act, put: Act | null): boolean {
  return put ? sprays(act) : workIn(act) === "shower";
}

/** Whether an act puts a mix on a plant, before the move or after it. */
export const sprays = (act: Act): boolean => act.kind === "contact";

/** Washed and sprayed it carries what one spray leaves, less what the rinse takes and what is seen on the way (HOUSE). */
const RINSED_AND_SEEN = 0.6;
/** Warmth at which what a treatment leaves is reckoned, out of doors in autumn, °C (HOUSE). */
const AUTUMN_C = 16;

/** The share of its stowaways that a plant brings in once it is ready. @example leftWhenReady(bay) // .2 */
export function leftWhenReady(plant: WinterPlant): number {
  const mix = winterMix(plant);
  if (!mix) return RINSED_AND_SEEN;
  return (
    RINSED_AND_SEEN *
    leftAfter({ pest: plant.prone[0] ?? "mealybug", form: plant.bearer.form, ...mix, meanC: AUTUMN_C })
  );
}

/** Until the move what is ready is sprayed again every so many days: several sprays in the weeks before (common practice; the days HOUSE). */
const AGAIN_DAYS = 10;

/** When a plant that is ready is sprayed again before it comes in; null where it comes in before. @example nextOutside("2026-10-01", "2026-10-05") // null */
export function nextOutside(lastSprayed: Day, moveOn: Day): Day | null {
  const next = addDays(lastSprayed, AGAIN_DAYS);
  return next < moveOn ? next : null;
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
