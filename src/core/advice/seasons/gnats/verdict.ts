import { daysBetween, type Day } from "../../../shared/days";
import { daysFor } from "../../../climate/degreeDays";
import { pests } from "../../../knowledge/pests/pests";
import type { RoomCount } from "./fromRecord";
import type { GnatJudgement } from "./judge";

/** How a room of gnats stands. */
export type GnatVerdict =
  | { readonly code: "not_counted" }
  | { readonly code: "none_caught"; readonly times: number }
  | { readonly code: "nearly_over" }
  | { readonly code: "leave"; readonly perCardWeek: number }
  | { readonly code: "early"; readonly untilDays: number }
  | { readonly code: "working" }
  | { readonly code: "cannot_tell" }
  | { readonly code: "not_working"; readonly pots: readonly number[] }
  | { readonly code: "quiet"; readonly days: number }
  | { readonly code: "over" };

/** Fewer flies than this on a card in a week do grown plants no harm (HOUSE). */
const FEW_A_WEEK = 2;
/** From this chance on that numbers fall it works; up to the other it does not (HOUSE). */
const WORKS = 0.75;
const FAILS = 0.35;
/** Flies down to this share of the most that was counted are fewer (HOUSE). */
const FELL = 0.5;
/** What is done shows in the flies when those that were pupae are gone: not sooner (HOUSE). */
const SHOWS_DAYS = 14;
/** Pots that hold so much of the larvae together are named, no more than so many of them. */
const NAMED_SHARE = 0.6;
const NAMED_POTS = 3;
const EMPTY_COUNTS = 2;
/** No fly at so many counts running is news where cards hang (common practice). */
const NONE_CAUGHT = 3;
/** Two counts running of next to nothing, after so many at the most, are nearly its end (HOUSE). */
const MANY = 8;

/** Days from an egg to a fly at a warmth; null where they stand still. @example gnatLifeDays(24) // 17 */
export function gnatLifeDays(meanC: number): number | null {
  const { stages } = pests.fungusGnat;
  const grown = stages.findIndex(({ id }) => id === "youngAdult");
  return daysFor(
    pests.fungusGnat,
    stages.slice(0, grown).reduce((sum, { degreeDays }) => sum + degreeDays, 0),
    meanC,
  );
}

export interface GnatStanding {
  readonly judged: GnatJudgement | null;
  readonly counts: readonly RoomCount[];
  readonly cards: number;
  readonly begunOn: Day;
  /** The chance from which on a keeper calls it over, 0–1. */
  readonly clearFrom: number;
  /** Whether seedlings or soft herbs stand there. */
  readonly tender: boolean;
  readonly meanC: number;
}

/**
 * What is to be said of a room on a day. Over asks for the keeper's chance, two empty counts running and a life of a gnat since the last
 * fly; few flies at every count on grown plants are left alone; before what was done can show nothing is said for it or against it.
 */
export function gnatVerdict(standing: GnatStanding, today: Day): GnatVerdict {
  const { judged, counts, cards, begunOn, clearFrom, tender, meanC } = standing;
  const onCards = counts.filter(({ what }) => what === "cards").toSorted((a, b) => (a.day < b.day ? -1 : 1));
  if (!judged)
    return onCards.length >= NONE_CAUGHT ? { code: "none_caught", times: onCards.length } : { code: "not_counted" };
  const flown = counts.filter(({ what, count }) => what !== "window" && count > 0).map(({ day }) => day);
  const lastFly = flown.reduce<Day>(later, flown[0] ?? begunOn);
  const empty = onCards.length - 1 - onCards.findLastIndex(({ count }) => count > 0);
  const life = gnatLifeDays(meanC) ?? Infinity;
  if (judged.pOver >= clearFrom && empty >= EMPTY_COUNTS && daysBetween(lastFly, today) >= life)
    return { code: "over" };
  if (empty >= EMPTY_COUNTS) return { code: "quiet", days: daysBetween(lastFly, today) };
  if (onCards.length === 0) return { code: "cannot_tell" };
  const perCard = onCards.map(({ count, days }) => (7 * count) / days / Math.max(1, cards));
  const perCardWeek = Math.max(...perCard);
  const ending = perCard.length > 2 && perCard.slice(-2).every((n) => n <= FEW_A_WEEK / 2);
  if (ending && perCardWeek >= MANY) return { code: "nearly_over" };
  if (!tender && perCardWeek <= FEW_A_WEEK) return { code: "leave", perCardWeek };
  const since = daysBetween(begunOn, today);
  if (since < SHOWS_DAYS) return { code: "early", untilDays: SHOWS_DAYS - since };
  // What was counted goes before what was to be expected.
  if (judged.pFalling >= WORKS || hasFallen(onCards)) return { code: "working" };
  return judged.pFalling <= FAILS ? { code: "not_working", pots: worstPots(judged.inPots) } : { code: "cannot_tell" };
}

const later = (a: Day, b: Day): Day => (a > b ? a : b);

/** Whether flies have come down to half of the most that was counted, and not up again at the last count. */
function hasFallen(onCards: readonly RoomCount[]): boolean {
  const weekly = onCards.map(({ count, days }) => count / days);
  const [last, before] = [weekly.at(-1), weekly.at(-2)];
  if (last === undefined || before === undefined) return false;
  return last <= before && last <= FELL * Math.max(...weekly);
}

/** The few pots that hold most of what is in the mix, the fullest first. @example worstPots([1, 9, 2]) // [1, 2] */
export function worstPots(inPots: readonly number[]): readonly number[] {
  const total = inPots.reduce((sum, n) => sum + n, 0);
  const order = inPots.map((_, pot) => pot).toSorted((a, b) => inPots[b]! - inPots[a]!);
  let share = 0;
  const named: number[] = [];
  for (const pot of order) {
    if (share >= NAMED_SHARE || named.length === NAMED_POTS || inPots[pot] === 0) break;
    named.push(pot);
    share += inPots[pot]! / total;
  }
  return named;
}
