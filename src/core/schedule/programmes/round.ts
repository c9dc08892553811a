import { addDays } from "../../shared/days";
import { lookDays, lookDue, WATCHED_EVERY_DAYS, type ProgrammeKind, type Risk } from "./programme";

/** From this share of the limit on a plant is looked at twice as often; below this one it may be stretched (HOUSE). */
const NEARLY = 0.5;
const HARDLY = 0.2;
/** No plant is left alone for longer than this, days. */
const LONGEST_DAYS = 60;

/**
 * Days between two looks of a plant that is not at risk: the keeper's rhythm; half of it, but not below a week, where the chance
 * that it carries something has come halfway to the limit; twice of it where that is a fifth of the limit and the keeper wants it so.
 * Throws RangeError unless the rhythm is a day or more. @example everyDays(14, { p: 0.03, current: true, from: 0.05, stretch: false }) // 7
 */
export function everyDays(lookEveryDays: number, { p, from, stretch }: Risk): number {
  if (!(lookEveryDays >= 1)) throw new RangeError(`the looking rhythm is a day or more, got ${lookEveryDays}`);
  if (p === null) return lookEveryDays;
  if (p >= NEARLY * from) return Math.max(Math.min(WATCHED_EVERY_DAYS, lookEveryDays), Math.ceil(lookEveryDays / 2));
  return stretch && p < HARDLY * from
    ? Math.max(lookEveryDays, Math.min(LONGEST_DAYS, 2 * lookEveryDays))
    : lookEveryDays;
}

/** The keeper's own rhythm, which every plant is looked at in: at once when it came, then every so many days. */
export const round: ProgrammeKind<"round"> = {
  kind: "round",
  subject: "plant",
  due({ record, lookEveryDays, risk }) {
    const every = everyDays(lookEveryDays, risk);
    const last = lookDays(record).at(-1);
    return [lookDue("round", last === undefined ? record.plant.addedOn : addDays(last, every))];
  },
  verdict: () => ({ state: "clear", petals: 0, until: null }),
};
