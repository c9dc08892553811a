import { daysBetween, type Day } from "../../shared/days";

/** Days after a case was closed as clear on which the plant is looked at: weekly for a month, then every second week for two (common practice). */
export const GUARD_DAYS = [7, 14, 21, 28, 42, 56, 70, 84] as const;

/** Clean looks count as repeated only when they are at least this far apart (HOUSE: one missed hatch shows by then). */
export const CLEAN_LOOK_GAP_DAYS = 6;
export const CLEAN_LOOKS_NEEDED = 2;

/**
 * How many clean looks in `days` count when each must come at least {@link CLEAN_LOOK_GAP_DAYS} after the one counted
 * before it. `days` in ascending order; an empty list gives 0.
 * @example countedCleanLooks([day("2026-11-01"), day("2026-11-03"), day("2026-11-08")]) // 2
 */
export function countedCleanLooks(days: readonly Day[]): number {
  return counted(days).length;
}

/** The earliest day on which a further clean look would count; null when the next one always does. */
export function nextCountingDay(days: readonly Day[]): Day | null {
  return counted(days).at(-1) ?? null;
}

function counted(days: readonly Day[]): Day[] {
  const kept: Day[] = [];
  for (const d of days) {
    const last = kept.at(-1);
    if (last === undefined || daysBetween(last, d) >= CLEAN_LOOK_GAP_DAYS) kept.push(d);
  }
  return kept;
}
