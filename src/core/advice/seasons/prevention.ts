import { addDays, type Day } from "../../shared/days";
import { groupBy } from "../../shared/groupBy";
import { exp, ln1p } from "../../shared/exponential";
import type { PestId } from "../../knowledge/pests/pests";
import { mixes, type MixId } from "../../knowledge/mixes/mixes";
import { potencyOf } from "../../knowledge/mixes/potency";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { TechniqueId } from "../../knowledge/remedies/remedies";
import { restsDry, type TreatedPlant } from "../tolerance/treatedPlant";
import { mixFor } from "../tolerance/mixFor";
import { objections } from "../tolerance/suitability";
import { leftAfter, onwardAt } from "./roundEffect";
import { gapAfter, type RoundRhythm } from "../../knowledge/routines/roundRhythms";

/** Why a plant is left out of a round. */
export type Spared = "flowers" | "notBorne" | "helpers" | "resting" | "inCase";

/** A plant as a round of prevention sees it. */
export interface RoundPlant {
  readonly plantId: string;
  readonly bearer: TreatedPlant;
  readonly prone: readonly PestId[];
  readonly inCase: boolean;
  /** What it may carry, pest by pest; what is not reckoned yet is left out. */
  readonly carries: readonly { readonly pest: PestId; readonly p: number }[];
  /** Where it stands: what it carries it gives to the others there. */
  readonly placeId: string;
  readonly meanC: number;
  readonly minutes: number;
  readonly volumeMl: number;
}

/** What rounds are usually made with (common practice). */
export const roundMixes = ["oil1", "oil2", "neemWeak", "neemUsual", "soapMild"] as const satisfies readonly MixId[];
export type RoundMixId = (typeof roundMixes)[number];

/** What a round puts on. */
export interface RoundMix {
  readonly mix: MixId;
  readonly technique: TechniqueId;
}

/**
 * The mix that a plant gets in a round: the round's own, or the milder one of the same remedy that it bears: thin leaves 1 %, thick
 * leaves 2 %, two cans in one round (common practice, no source). @example mixOn(hoya, "oil2") // "oil2"
 */
export function mixOn(bearer: TreatedPlant, mix: MixId): MixId {
  const borne = mixFor(mixes[mix].remedy, bearer);
  return potencyOf(borne) < potencyOf(mix) ? borne : mix;
}

/**
 * Why a plant is left out of a round; null where it has its turn. Spared are open flowers, what does not bear it, plants where
 * predators are at work, plants that rest dry, and those in a case, which have a plan of their own. Source: common practice.
 */
export function sparedFrom(
  { bearer, inCase }: Pick<RoundPlant, "bearer" | "inCase">,
  { mix, technique }: RoundMix,
): Spared | null {
  if (inCase) return "inCase";
  const { today, helpers } = bearer;
  if (today && helpers?.aliveUntil && today <= helpers.aliveUntil) return "helpers";
  if (restsDry(bearer)) return "resting";
  const refused = objections(bearer, mixOn(bearer, mix), technique).filter(({ level }) => level === "refuse");
  if (refused.some(({ code }) => code === "smotherFlowers") || bearer.inFlower) return "flowers";
  return refused.length > 0 ? "notBorne" : null;
}

/** Whether a plant's kind is prone to any pest. */
export const isProne = ({ prone }: Pick<RoundPlant, "prone">) => prone.length > 0;

/** What a round comes to. Expected numbers; HOUSE. */
export interface RoundWorth {
  readonly plants: number;
  /** By how many fewer plants are expected to be infested four weeks on, those included that would catch it from others there. */
  readonly saved: number;
  readonly minutes: number;
  readonly volumeMl: number;
  /** Plants that bear it with care only. */
  readonly withCare: number;
  readonly spared: Readonly<Partial<Record<Spared, number>>>;
}

/** What a plant hardly carries at all is not reckoned with. */
const COUNTS_FROM = 1e-4;

/** A pest at a place: by plant the chance that it carries it, 0 where that is next to nothing, and what it would then give to another. */
interface PestThere {
  readonly pest: PestId;
  readonly carries: Float64Array;
  readonly onward: Float64Array;
}

/** Plants of one place, and what of each pest there is to be reckoned with: made once, whatever is done to them. */
interface PlaceOfPlants {
  readonly there: readonly RoundPlant[];
  readonly pests: readonly PestThere[];
}

function placeOf(there: readonly RoundPlant[]): PlaceOfPlants {
  const pests = new Map<PestId, PestThere>();
  for (const [i, { carries, bearer, meanC }] of there.entries())
    for (const { pest, p } of carries) {
      if (p < COUNTS_FROM) continue;
      const one = pests.get(pest) ?? {
        pest,
        carries: new Float64Array(there.length),
        onward: new Float64Array(there.length),
      };
      pests.set(pest, one);
      one.carries[i] = p;
      one.onward[i] = onwardAt(pest, bearer.form, meanC);
    }
  return { there, pests: [...pests.values()] };
}

/**
 * How many plants of one place are expected to be infested four weeks on: each by what it carries itself, or caught once from the
 * others there. `left` is the share of the k-th pest on the i-th plant that a treatment leaves; 1 where it had none.
 */
function infestedAmong({ there, pests }: PlaceOfPlants, left: (k: number, i: number) => number): number {
  // For each plant the chance that it has none of them.
  const free = new Float64Array(there.length).fill(1);
  const carriers = new Float64Array(there.length);
  const gives = new Float64Array(there.length);
  for (const [k, { carries, onward }] of pests.entries()) {
    let all = 0;
    for (let i = 0; i < there.length; i++) {
      carriers[i] = carries[i] === 0 ? 0 : carries[i]! * left(k, i);
      gives[i] = carriers[i] === 0 ? 0 : -ln1p(-carriers[i]! * onward[i]!);
      all += gives[i]!;
    }
    const fromAll = exp(-all);
    for (let i = 0; i < there.length; i++) {
      const fromOthers = gives[i] === 0 ? fromAll : exp(-Math.max(0, all - gives[i]!));
      free[i]! *= (1 - carriers[i]!) * fromOthers;
    }
  }
  return free.reduce((sum, one) => sum + 1 - one, 0);
}

/**
 * How many plants of one place are expected to be infested four weeks on if nothing is done. Never more than stand there. Source: the
 * chances of the model; the plants of a place are taken as independent (HOUSE). @example infestedAt([]) // 0
 */
export function infestedAt(plants: readonly RoundPlant[]): number {
  return infestedAmong(placeOf(plants), () => 1);
}

/** What a round would do to one plant, and to every other like it. */
interface Weighed {
  readonly why: Spared | null;
  readonly mix: MixId;
  /** Whether it bears it with care only. */
  readonly care: boolean;
}

function weigh(plant: RoundPlant, round: RoundMix): Weighed {
  const mix = mixOn(plant.bearer, round.mix);
  const why = sparedFrom(plant, round);
  return { why, mix, care: why === null && objections(plant.bearer, mix, round.technique).length > 0 };
}

/** What tells plants apart as rounds weigh them: of thousands many are alike. */
function likenessOf({ bearer, inCase }: RoundPlant): string {
  const { home: _everyone, ...own } = bearer;
  return JSON.stringify([own, inCase]);
}

/**
 * What a round among some plants is worth, and takes, when all of them have it, and when those of prone kinds alone do. The plants are
 * grouped once for as many rounds as are asked for; they are of one home. @example worthsAmong([])(soapSpray).all.saved // 0
 */
export function worthsAmong(
  plants: readonly RoundPlant[],
): (round: RoundMix) => { readonly all: RoundWorth; readonly prone: RoundWorth } {
  const places = [...groupBy(plants, ({ placeId }) => placeId).values()].map((there) => {
    const place = placeOf(there);
    return { place, untouched: infestedAmong(place, () => 1) };
  });
  const likeness = new Map(plants.map((plant) => [plant, likenessOf(plant)]));
  return (round) => {
    const known = new Map<string, Weighed>();
    const weighed = new Map(
      plants.map((plant) => {
        const like = likeness.get(plant)!;
        const one = known.get(like) ?? weigh(plant, round);
        known.set(like, one);
        return [plant, one] as const;
      }),
    );
    // What is left of each pest on each plant that has its turn; 1 on those that are spared.
    const lefts = places.map(({ place: { there, pests } }) => {
      const turns = there.map((plant) => ({ form: plant.bearer.form, meanC: plant.meanC, ...weighed.get(plant)! }));
      return pests.map(({ pest, carries }) => {
        // Of hundreds on one shelf many are of one form.
        const same: Partial<Record<GrowthFormId, Partial<Record<MixId, number>>>> = {};
        return carries.map((p, i) => {
          const { form, meanC, why, mix } = turns[i]!;
          if (p === 0 || why !== null) return 1;
          return ((same[form] ??= {})[mix] ??= leftAfter({ pest, form, mix, technique: round.technique, meanC }));
        });
      });
    });
    const among = (taken: (plant: RoundPlant) => boolean): RoundWorth => {
      const asked = plants.filter(taken);
      const whyOf = (plant: RoundPlant) => weighed.get(plant)!.why;
      const spared: Partial<Record<Spared, number>> = {};
      for (const why of asked.map(whyOf)) if (why) spared[why] = (spared[why] ?? 0) + 1;
      const all = asked.filter((plant) => whyOf(plant) === null);
      const saved = places.map(({ place, untouched }, at) => {
        const has = place.there.map(taken);
        if (!has.includes(true)) return 0;
        return untouched - infestedAmong(place, (k, i) => (has[i] ? lefts[at]![k]![i]! : 1));
      });
      const sum = (of: (plant: RoundPlant) => number) => all.reduce((total, plant) => total + of(plant), 0);
      return {
        plants: all.length,
        saved: saved.reduce((total, one) => total + one, 0),
        minutes: sum(({ minutes }) => minutes),
        volumeMl: sum(({ volumeMl }) => volumeMl),
        withCare: all.filter((plant) => weighed.get(plant)!.care).length,
        spared,
      };
    };
    return { all: among(() => true), prone: among(isProne) };
  };
}

const monthOf = (day: Day) => Number(day.slice(5, 7));

/** Whether a month lies in a season from one to another, over the turn of the year too. @example inSeason(1, 10, 3) // true */
export function inSeason(month: number, from: number, until: number): boolean {
  return from <= until ? month >= from && month <= until : month >= from || month <= until;
}

/** What of a programme of rounds says when a plant has its turn. */
export interface RoundDates {
  readonly everyDays: number;
  readonly rhythm?: RoundRhythm | undefined;
  readonly pausedUntil?: Day | null | undefined;
  readonly fromMonth: number;
  readonly untilMonth: number;
}

/** What a plant has had of the remedy: when last, however that came about, and how often since the programme began. */
export interface HadOfIt {
  readonly last: Day | null;
  readonly times: number;
}

/**
 * When a plant's turn in a programme of rounds comes next: its gap after the last of that remedy, or on the day the programme began; not
 * before a pause is over; in the first month of the season where that day, or today for what is overdue, lies outside it.
 * @example nextRound(monthly, begunOn, { last: null, times: 0 }, begunOn) // begunOn
 */
export function nextRound(chosen: RoundDates, begunOn: Day, { last, times }: HadOfIt, today: Day): Day {
  const { fromMonth, untilMonth, pausedUntil } = chosen;
  const turn = last === null ? begunOn : addDays(last, gapAfter(times, chosen));
  const from = pausedUntil && pausedUntil > begunOn ? pausedUntil : begunOn;
  const wanted = turn < from ? from : turn;
  // What was not done in its season waits for the next one.
  const next = wanted < today && !inSeason(monthOf(today), fromMonth, untilMonth) ? today : wanted;
  if (inSeason(monthOf(next), fromMonth, untilMonth)) return next;
  const year = Number(next.slice(0, 4)) + (monthOf(next) < fromMonth ? 0 : 1);
  return `${year}-${String(fromMonth).padStart(2, "0")}-01` as Day;
}
