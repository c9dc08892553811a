import { addDays, type Day } from "../climate/days";
import type { PestId } from "../pests/pests";
import type { MixId } from "../mixing/mixes";
import type { TechniqueId } from "../remedies/remedies";
import type { Bearer } from "../suitability/bearer";
import { objections } from "../suitability/suitability";
import { leftAfter, onwardAt } from "./roundEffect";

/** Why a plant is left out of a round. */
export type Spared = "flowers" | "notBorne" | "helpers" | "resting" | "inCase";

/** A plant as a round of prevention sees it. */
export interface RoundPlant {
  readonly plantId: string;
  readonly bearer: Bearer;
  readonly prone: readonly PestId[];
  readonly inCase: boolean;
  /** What it may carry, pest by pest; what is not reckoned yet is left out. */
  readonly carries: readonly { readonly pest: PestId; readonly p: number }[];
  /** How many others stand at its place. */
  readonly neighbours: number;
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
  if (bearer.resting && bearer.sensitivities.includes("winterDry")) return "resting";
  const refused = objections(bearer, mix, technique).filter(({ level }) => level === "refuse");
  if (refused.some(({ code }) => code === "smotherFlowers") || bearer.inFlower) return "flowers";
  return refused.length > 0 ? "notBorne" : null;
}

/** Whether a plant's kind is prone to any pest. */
export const isProne = ({ prone }: Pick<RoundPlant, "prone">) => prone.length > 0;

/** What a round comes to. Expected numbers; HOUSE. */
export interface RoundWorth {
  readonly plants: number;
  /** Cases that it ends before they begin, on the plants themselves and on those beside them. */
  readonly saved: number;
  readonly minutes: number;
  readonly volumeMl: number;
  /** Plants that bear it with care only. */
  readonly withCare: number;
  readonly spared: Readonly<Partial<Record<Spared, number>>>;
}

/** Pests that one plant is most likely to carry are followed; the rest hardly counts. */
const FOLLOWED = 3;

/** What one plant's turn saves: what it may carry, ended, with what that would have gone on to. */
export function savedBy({ bearer, carries, neighbours, meanC }: RoundPlant, { mix, technique }: RoundMix): number {
  return carries
    .toSorted((a, b) => b.p - a.p)
    .slice(0, FOLLOWED)
    .reduce((sum, { pest, p }) => {
      if (p < 1e-4) return sum;
      const ended = 1 - leftAfter({ pest, form: bearer.form, mix, technique, meanC });
      return sum + p * ended * (1 + neighbours * onwardAt(pest, meanC));
    }, 0);
}

/** What a round over some plants is worth, and takes. @example worthOf([], soapSpray).saved // 0 */
export function worthOf(plants: readonly RoundPlant[], round: RoundMix): RoundWorth {
  const spared: Partial<Record<Spared, number>> = {};
  let [count, saved, minutes, volumeMl, withCare] = [0, 0, 0, 0, 0];
  for (const plant of plants) {
    const why = sparedFrom(plant, round);
    if (why) {
      spared[why] = (spared[why] ?? 0) + 1;
      continue;
    }
    count++;
    saved += savedBy(plant, round);
    minutes += plant.minutes;
    volumeMl += plant.volumeMl;
    if (objections(plant.bearer, round.mix, round.technique).length > 0) withCare++;
  }
  return { plants: count, saved, minutes, volumeMl, withCare, spared };
}

const monthOf = (day: Day) => Number(day.slice(5, 7));

/** Whether a month lies in a season from one to another, over the turn of the year too. @example inSeason(1, 10, 3) // true */
export function inSeason(month: number, from: number, until: number): boolean {
  return from <= until ? month >= from && month <= until : month >= from || month <= until;
}

/**
 * When a plant's turn in a programme of rounds comes next: so long after the last of that remedy, or on the day the programme began; in
 * the first month of the season where that day, or today for what is overdue, lies outside it. `last` the day of the last treatment with the same remedy, or null.
 */
export function nextRound(
  {
    everyDays,
    fromMonth,
    untilMonth,
  }: { readonly everyDays: number; readonly fromMonth: number; readonly untilMonth: number },
  begunOn: Day,
  last: Day | null,
  today: Day,
): Day {
  const wanted = last === null || addDays(last, everyDays) < begunOn ? begunOn : addDays(last, everyDays);
  // What was not done in its season waits for the next one.
  const next = wanted < today && !inSeason(monthOf(today), fromMonth, untilMonth) ? today : wanted;
  if (inSeason(monthOf(next), fromMonth, untilMonth)) return next;
  const year = Number(next.slice(0, 4)) + (monthOf(next) < fromMonth ? 0 : 1);
  return `${year}-${String(fromMonth).padStart(2, "0")}-01` as Day;
}
