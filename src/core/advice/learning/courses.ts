import { addDays, daysBetween, type Day } from "../../shared/days";
import type { OutcomeId } from "../../record/facts/kinds/closing";
import { groupBy } from "../../shared/groupBy";
import type { PestId } from "../../knowledge/pests/pests";
import { courseOf, eachOf, isWork, type Dose } from "../planning/doses";
import { GUARD_DAYS } from "../../model/inspection/cleanLooks";
import { countedOf, type Counted } from "./span";

/** What was called clear and was not found again for so long, though somebody looked, has ended for good: as long as a plant is guarded. */
export const ENDED_FOR_GOOD_DAYS = GUARD_DAYS.at(-1)!;
/** Whether nothing came back is known of a plant that was looked at so many days after its case was closed, or later (HOUSE). */
export const LOOKED_AGAIN_DAYS = 28;

/** A case that was treated, as far as it tells what its course was worth. */
export interface CourseCase {
  readonly caseId: string;
  readonly pest: PestId;
  readonly openedOn: Day;
  /** When and how it was closed; null while it is open. */
  readonly closedOn: Day | null;
  readonly outcome: OutcomeId | null;
  /** Whether the same pest was found on the same plant within the guard after it was called clear. */
  readonly returned: boolean;
  /** Whether the plant was looked at {@link LOOKED_AGAIN_DAYS} after it was closed, or later: what nobody looks for does not return. */
  readonly lookedAgain: boolean;
  /** What it was treated with, in order. */
  readonly doses: readonly { readonly day: Day; readonly dose: Dose }[];
}

/** What a way has ended, among the cases that were mostly treated in it. */
export interface CourseTaught {
  readonly pest: PestId;
  readonly dose: Dose;
  /** Cases called clear that did not return within the guard, of all of which that is known. */
  readonly ended: Counted;
  readonly returned: number;
  /** Cases that still run, and those called clear that may still return, or that nobody has looked for since. */
  readonly open: number;
  /** The middle one of the treatments, and of the days from the first of them to the closing, of those that ended; null for none. */
  readonly treatments: number | null;
  readonly days: number | null;
}

/** The middle one of some numbers, the lower one of two; null for none. @example middleOne([3, 1, 2]) // 2 */
export function middleOne(of: readonly number[]): number | null {
  return of.toSorted((a, b) => a - b)[Math.floor((of.length - 1) / 2)] ?? null;
}

/** By what a way is told from others: a work, or the remedies that were in the can and how they were put on. */
const keyOf = (dose: Dose) => JSON.stringify(isWork(dose) ? [dose.work] : [eachOf(dose).map(courseOf), dose.technique]);

/** In what a case was mostly treated: the way used most often, of several the one used first; null where it was not treated. */
export function mainly(doses: CourseCase["doses"]): Dose | null {
  const ways = [...groupBy(doses, ({ dose }) => keyOf(dose)).values()];
  return (
    ways.reduce<(typeof ways)[number] | null>(
      (most, one) => (most && most.length >= one.length ? most : one),
      null,
    )?.[0]?.dose ?? null
  );
}

/**
 * What each way has ended against each pest, those with the most closed cases first. Cases that were never treated, or given up, tell
 * nothing of a way but that it was given up: those count as not ended. What was called clear has ended once its guard is over, as of `today`, and
 * the plant was looked at again; not before. @example coursesTaught([], today) // []
 */
export function coursesTaught(cases: readonly CourseCase[], today: Day): readonly CourseTaught[] {
  const each = cases.flatMap((one) => {
    const dose = mainly(one.doses);
    return dose ? [{ ...one, dose }] : [];
  });
  return [...groupBy(each, ({ pest, dose }) => `${pest} ${keyOf(dose)}`).values()]
    .map((some): CourseTaught => {
      const closed = some.filter((one) => isDecided(one, today));
      const ended = closed.filter(({ outcome, returned }) => outcome === "clear" && !returned);
      return {
        ...{ pest: some[0]!.pest, dose: some[0]!.dose },
        ended: countedOf(ended.length, closed.length),
        returned: closed.filter(({ returned }) => returned).length,
        open: some.length - closed.length,
        treatments: middleOne(ended.map(({ doses }) => doses.length)),
        days: middleOne(ended.map(({ doses, closedOn }) => daysBetween(doses[0]!.day, closedOn!))),
      };
    })
    .toSorted((a, b) => b.ended.of - a.ended.of || b.ended.hits - a.ended.hits);
}

/** Whether it is known how a case ended: what was called clear returned, or has not though somebody looked and its guard is over. */
export function isDecided({ outcome, returned, lookedAgain, closedOn }: CourseCase, today: Day): boolean {
  if (outcome === null || closedOn === null) return false;
  return outcome !== "clear" || returned || (lookedAgain && addDays(closedOn, ENDED_FOR_GOOD_DAYS) <= today);
}

/** From so many closed cases a way speaks: never from one. */
const SPEAKS_FROM = 2;

/** Two ways against a pest of which one ended more, as far as the record can tell: their spans do not meet. */
export function plainlyBetter(a: CourseTaught, b: CourseTaught): boolean {
  return a.pest === b.pest && Math.min(a.ended.of, b.ended.of) >= SPEAKS_FROM && a.ended.low > b.ended.high;
}

/** Whether a way has ended, or failed to end, often enough to be told beside what is reckoned. */
export const speaks = ({ ended }: CourseTaught) => ended.of >= SPEAKS_FROM;
