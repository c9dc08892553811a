import { addDays, type Day } from "../climate/days";
import type { PestId } from "../pests/pests";
import { remedyOf, type RemedyId } from "../remedies/remedies";
import { repeatBounds, type RepeatBounds } from "./bounds";

/** Treatments on fixed days, reckoned by rule of thumb from the two bounds. */
export interface Proposal {
  readonly remedy: RemedyId;
  readonly bounds: RepeatBounds;
  readonly intervalDays: number;
  readonly dates: readonly Day[];
  /** Why the dates are not what the bounds alone ask for, if so. */
  readonly limits: readonly ("tooCold" | "remedyTooWeak" | "slowerThanBound" | "cutAtTwelve")[];
}

/** A week: nobody leaves a case alone for longer, however slow the pest (common practice). */
const LONGEST_INTERVAL_DAYS = 7;
const MOST_TREATMENTS = 12;
/** Fewer than three treatments end nothing (common practice). */
const FEWEST_TREATMENTS = 3;

/**
 * Treatment dates by rule of thumb: every `min(repeat-within, 7)` days, but not more often than the remedy bears, the
 * last one later than the keep-on bound, three at least and twelve at most.
 * `limits` says where the rule had to give way. Below the pest's development threshold the longest interval is used.
 * @example proposeDates("mealybug", "alcohol", 22, day("2026-11-01")).dates // 1, 8, 15 November
 */
export function proposeDates(pest: PestId, remedy: RemedyId, meanC: number, first: Day): Proposal {
  const bounds = repeatBounds(pest, remedy, meanC);
  const smallest = remedyOf(remedy).smallestIntervalDays;
  const limits: Proposal["limits"][number][] = [];

  const cold = bounds.repeatWithinDays === null && bounds.reachableStages.length > 0;
  if (cold) limits.push("tooCold");
  else if (bounds.repeatWithinDays === null) limits.push("remedyTooWeak");
  const wanted = Math.min(Math.floor(bounds.repeatWithinDays ?? LONGEST_INTERVAL_DAYS), LONGEST_INTERVAL_DAYS);
  const intervalDays = Math.max(smallest, wanted, 1);
  if (bounds.repeatWithinDays !== null && intervalDays > bounds.repeatWithinDays) limits.push("slowerThanBound");

  const needed = Math.floor((bounds.keepOnDays ?? 0) / intervalDays) + 2;
  const count = Math.min(MOST_TREATMENTS, Math.max(FEWEST_TREATMENTS, needed));
  if (needed > MOST_TREATMENTS) limits.push("cutAtTwelve");
  const dates = Array.from({ length: count }, (_, i) => addDays(first, i * intervalDays));
  return { remedy, bounds, intervalDays, dates, limits };
}
