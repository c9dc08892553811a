import { addDays, day, type Day } from "../../shared/days";
import { GUARD_DAYS } from "../../model/inspection/cleanLooks";
import { groupBy } from "../../shared/groupBy";
import type { PestId } from "../../knowledge/pests/pests";
import type { OutcomeId } from "../../record/facts/kinds/closing";
import { median } from "../../shared/median";
import { tally, type CaseCounted, type TallyBy, type TallyLine } from "./tally";

/** A case as the year counts it. */
export interface CaseOfYear extends CaseCounted {
  readonly closedOn: Day | null;
  readonly outcome: OutcomeId | null;
}

/** One pest over a year. */
export interface PestOfYear {
  readonly pest: PestId;
  /** Finds in each month, January first. */
  readonly byMonth: readonly number[];
  readonly finds: number;
}

/** When to look earlier for a pest that came in a rush. */
export interface EarlierNext {
  readonly pest: PestId;
  /** The first of the two months in which most of it was found, 1 to 12; how many finds those hold, of how many. */
  readonly month: number;
  readonly finds: number;
  readonly of: number;
  /** From when on to look for it next time: a month before. */
  readonly from: Day;
}

export interface YearReview {
  readonly year: number;
  /** Those with most finds first. */
  readonly pests: readonly PestOfYear[];
  readonly finds: number;
  readonly plants: number;
  /** The middle of the days from coming to being found; null where none is known. */
  readonly medianDays: number | null;
  readonly minutes: number;
  /** Cases closed within the year. */
  readonly ended: Readonly<Record<OutcomeId, number>>;
  /** Finds of a pest that had been called clear on the same plant, within the time that is watched. */
  readonly relapses: readonly CaseOfYear[];
  /** Where they came from, those with finds alone, most first. */
  readonly from: Readonly<Record<Exclude<TallyBy, "month">, readonly TallyLine[]>>;
  readonly earlier: readonly EarlierNext[];
}

/** So many finds make a rush, and two months beside each other that hold at least half of a year's (HOUSE). */
const RUSH = 3;
const WATCHED_DAYS = GUARD_DAYS.at(-1)!;
const MONTHS = 12;

/** The years in which something was found, the newest first. @example yearsOf([]) // [] */
export function yearsOf(cases: readonly Pick<CaseCounted, "foundOn">[]): number[] {
  return [...new Set(cases.map(({ foundOn }) => yearIn(foundOn)))].toSorted((a, b) => b - a);
}

const yearIn = (on: Day) => Number(on.slice(0, 4));

/** What was found, closed and spent in a year of the calendar. Cases count in the year in which they were found. @example yearOf([], 2026).finds // 0 */
export function yearOf(cases: readonly CaseOfYear[], year: number): YearReview {
  const own = cases.filter(({ foundOn }) => yearIn(foundOn) === year);
  const closed = cases.filter(({ closedOn }) => closedOn !== null && yearIn(closedOn) === year);
  const pests = [...groupBy(own, ({ pest }) => pest)]
    .map(([pest, some]): PestOfYear => {
      const byMonth = Array.from(
        { length: MONTHS },
        (_, i) => some.filter(({ foundOn }) => monthIn(foundOn) === i + 1).length,
      );
      return { pest, byMonth, finds: some.length };
    })
    .toSorted((a, b) => b.finds - a.finds);
  const ending = (outcome: OutcomeId) => closed.filter((one) => one.outcome === outcome).length;
  const by = (key: Exclude<TallyBy, "month">) => tally(key, [], own);
  return {
    year,
    pests,
    finds: own.length,
    plants: new Set(own.map(({ plantId }) => plantId)).size,
    medianDays: median(own.flatMap(({ daysUntilFound }) => daysUntilFound ?? [])),
    minutes: sum(own),
    ended: { clear: ending("clear"), givenUp: ending("givenUp"), lost: ending("lost") },
    relapses: own.filter((one) => cases.some((before) => isRelapseOf(before, one))),
    from: { seller: by("seller"), way: by("way"), place: by("place") },
    earlier: pests.flatMap((one) => earlierNext(one, year) ?? []),
  };
}

const monthIn = (on: Day) => Number(on.slice(5, 7));
const sum = (some: readonly CaseCounted[]) => some.reduce((all, { minutes }) => all + minutes, 0);

function isRelapseOf(before: CaseOfYear, { caseId, plantId, pest, foundOn }: CaseOfYear): boolean {
  if (before.caseId === caseId || before.plantId !== plantId || before.pest !== pest) return false;
  return (
    before.outcome === "clear" &&
    before.closedOn !== null &&
    foundOn >= before.closedOn &&
    foundOn <= addDays(before.closedOn, WATCHED_DAYS)
  );
}

/** Two months beside each other, over the turn of the year too, that hold at least half of the finds of a pest. */
function earlierNext({ pest, byMonth, finds }: PestOfYear, year: number): EarlierNext | null {
  if (finds < RUSH) return null;
  const both = byMonth.map((n, i) => n + byMonth[(i + 1) % MONTHS]!);
  const most = both.reduce((best, n, i) => (n > both[best]! ? i : best), 0);
  // The rush begins where its first find was.
  const at = byMonth[most] === 0 ? (most + 1) % MONTHS : most;
  if (both[most]! < RUSH || 2 * both[most]! < finds) return null;
  const next = new Date(Date.UTC(year + 1, at - 1, 1)).toISOString().slice(0, 10);
  return { pest, month: at + 1, finds: both[most]!, of: finds, from: day(next) };
}
