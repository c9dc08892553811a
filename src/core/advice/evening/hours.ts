import { LONGEST_MINUTES } from "./choose";

const DAY_MINUTES = 24 * 60;
/** Until this hour an evening that goes on past midnight is still that evening (HOUSE). */
const NIGHT_ENDS = "04:00";

/** Minutes since midnight of a time as a clock shows it, `HH:MM`. @example minutesIn("01:30") // 90 */
export function minutesIn(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(":").map(Number);
  return 60 * hours + minutes;
}

/**
 * Whole minutes of work from one time of a clock to another: no more than {@link LONGEST_MINUTES}. An end that is earlier in the day lies
 * past midnight; one that is further away than that has gone by, and leaves 0.
 * @example eveningMinutes("19:00", "21:30") // 150
 */
export function eveningMinutes(from: string, until: string): number {
  const between = minutesIn(until) - minutesIn(from);
  if (between >= 0) return Math.min(LONGEST_MINUTES, between);
  return between + DAY_MINUTES > LONGEST_MINUTES ? 0 : between + DAY_MINUTES;
}

/** Whether an evening may usually begin then: whoever begins once in the night or in the morning does not tomorrow. @example isUsual("01:30") // false */
export function isUsual(clock: string): boolean {
  return minutesIn(clock) >= DAY_MINUTES / 2;
}

/** The hours that a keeper usually has. */
interface Hours {
  readonly usual: string;
  readonly until: string;
}

/** Whether the usual evening has ended by now, before midnight. @example isOver("22:40", { usual: "18:00", until: "22:00" }) // true */
export function isOver(now: string, { usual, until }: Hours): boolean {
  return minutesIn(usual) < minutesIn(until) && minutesIn(until) <= minutesIn(now);
}

/**
 * When an evening begins that is planned at `now`: at its usual hour while that is to come, and now once it has come, up to four in the
 * morning; whoever plans after its end plans the next one. @example eveningBegins("08:10", { usual: "18:00", until: "22:00" }) // "18:00"
 */
export function eveningBegins(now: string, hours: Hours): string {
  const { usual } = hours;
  const before = minutesIn(now) >= minutesIn(NIGHT_ENDS) && minutesIn(now) < minutesIn(usual);
  return before || isOver(now, hours) ? usual : now;
}
