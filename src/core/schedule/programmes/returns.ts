import type { Case } from "../../record/cases/cases";
import { addDays, type Day } from "../../shared/days";
import type { PestId } from "../../knowledge/pests/pests";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type ProgrammeKind } from "./programme";

/** A pest that has come to a plant in the same part of more than one year. */
export interface Habit {
  readonly pest: PestId;
  /** The month it comes in, 1 to 12. */
  readonly month: number;
  readonly times: number;
}

const MONTHS = 12;
const between = (a: number, b: number) => Math.min((a - b + MONTHS) % MONTHS, (b - a + MONTHS) % MONTHS);

/**
 * The pests that have come back in the same month, or the one beside it, of at least two years, each with the month that most of
 * its cases began in. @example habitsOf([]) // []
 */
export function habitsOf(cases: readonly Pick<Case, "pest" | "openedOn">[]): readonly Habit[] {
  const pests = [...new Set(cases.map(({ pest }) => pest))];
  return pests.flatMap((pest): Habit[] => {
    const opened = cases
      .filter((one) => one.pest === pest)
      .map(({ openedOn }) => ({ month: Number(openedOn.slice(5, 7)), year: Number(openedOn.slice(0, 4)) }));
    const found = Array.from({ length: MONTHS }, (_, i) => i + 1)
      .map((month) => ({ month, near: opened.filter((one) => between(one.month, month) <= 1) }))
      // December and January are one winter: of years that are told apart there is one between.
      .filter(({ near }) => near.some((a) => near.some((b) => (b.year - a.year) * MONTHS + b.month - a.month > 6)))
      .toSorted((a, b) => b.near.length - a.near.length || exact(opened, b.month) - exact(opened, a.month))[0];
    return found ? [{ pest, month: found.month, times: found.near.length }] : [];
  });
}

const exact = (opened: readonly { month: number }[], month: number) =>
  opened.filter((one) => one.month === month).length;

/** The time around its month in which a habit is watched for: from a month before until a month after, next or now. */
export function watchedFor({ month }: Pick<Habit, "month">, today: Day): { readonly from: Day; readonly until: Day } {
  const monthAt = (year: number, m: number) => {
    const index = year * MONTHS + m - 1;
    return `${Math.floor(index / MONTHS)}-${String((index % MONTHS) + 1).padStart(2, "0")}-01` as Day;
  };
  const year = Number(today.slice(0, 4));
  const spans = [year - 1, year, year + 1].map((y) => ({
    from: monthAt(y, month - 1),
    until: addDays(monthAt(y, month + 2), -1),
  }));
  return spans.find(({ until }) => until >= today)!;
}

/** A pest that comes back in the same month of each year is looked for weekly from a month before. */
export const returns: ProgrammeKind<"returns"> = {
  kind: "returns",
  subject: "plant",
  due({ record }, today) {
    const last = lookDays(record).at(-1);
    return habitsOf(record.cases).map((habit) => {
      const { from } = watchedFor(habit, today);
      const next = last === undefined || last < from ? from : addDays(last, WATCHED_EVERY_DAYS);
      return lookDue("returns", next);
    });
  },
  verdict({ record }, today) {
    const now = habitsOf(record.cases)
      .map((habit) => watchedFor(habit, today))
      .filter(({ from }) => from <= today);
    const until = now
      .map((one) => one.until)
      .toSorted()
      .at(-1);
    return until ? { state: "clear", petals: 0, until } : notRunning;
  },
};
