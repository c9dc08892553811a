import { addDays, daysBetween, type Day } from "../../shared/days";
import { degreeDaysPerDay } from "../../climate/degreeDays";
import { CLEAN_LOOK_GAP_DAYS, CLEAN_LOOKS_NEEDED, countedCleanLooks, nextCountingDay } from "../inspection/cleanLooks";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { eggToAdultDegreeDays } from "../../knowledge/pests/stageDurations";

/** What a case has on record, as days; two things on one day are told apart by `at` (ms since 1970). */
export interface CaseRecord {
  readonly pest: PestId;
  /** The mean temperature of each day from one to another, both included, °C, where the plant stood. */
  readonly warmth: (from: Day, to: Day) => readonly number[];
  /** In ascending order of `at`. `live` is how many live animals of this pest were seen. */
  readonly looks: readonly { readonly at: number; readonly day: Day; readonly live: number }[];
  readonly treatments: readonly { readonly at: number; readonly day: Day }[];
}

/** Why a plant is not clear yet; each can be turned into a sentence. */
export type NotYet =
  | { readonly code: "live_at_last_look"; readonly lastLive: Day }
  | {
      readonly code: "clean_looks_missing";
      readonly have: number;
      readonly need: number;
      readonly nextFrom: Day | null;
    }
  | { readonly code: "generation_not_over"; readonly lastLive: Day; readonly days: number; readonly until: Day }
  | { readonly code: "too_cold"; readonly meanC: number }
  | { readonly code: "not_sure_enough"; readonly pClear: number; readonly target: number };

/** Sums of degree-days are exact to this, °C · days. */
const ROUNDING = 1e-6;

/** How sure one may be, and how sure the keeper wants to be; both 0–1. */
export interface Sureness {
  readonly pClear: number;
  readonly target: number;
}

export interface Clearance {
  readonly met: boolean;
  readonly notYet: readonly NotYet[];
}

/**
 * Whether "clear" may be proposed: the reckoned probability reaches the keeper's mark; at least two clean looks
 * {@link CLEAN_LOOK_GAP_DAYS} days apart since the last treatment and the last live animal; and one egg-to-adult time since the
 * last live animal, summed day by day over the warmth it has had. Without a reckoning (null) the rule speaks alone.
 *
 * A case without any look that found something starts its clock at its first look or treatment. Where the sum is not reached
 * and the pest does not develop at today's temperature, nobody can say when it will be, and `too_cold` says so.
 * Source: common practice, no source.
 */
export function clearanceRule(record: CaseRecord, today: Day, sureness: Sureness | null = null): Clearance {
  const lastLook = record.looks.at(-1);
  const lastLive = record.looks.findLast((look) => look.live > 0);
  const since = Math.max(lastLive?.at ?? 0, ...record.treatments.map((t) => t.at));
  const cleanDays = record.looks.filter((look) => look.live === 0 && look.at > since).map((look) => look.day);
  const have = countedCleanLooks(cleanDays);
  const notYet: NotYet[] = [];

  if (lastLive && lastLook === lastLive) notYet.push({ code: "live_at_last_look", lastLive: lastLive.day });
  if (have < CLEAN_LOOKS_NEEDED) {
    const previous = nextCountingDay(cleanDays);
    const nextFrom = previous === null ? null : addDays(previous, CLEAN_LOOK_GAP_DAYS);
    notYet.push({ code: "clean_looks_missing", have, need: CLEAN_LOOKS_NEEDED, nextFrom });
  }

  const clock = lastLive?.day ?? record.looks[0]?.day ?? record.treatments[0]?.day ?? today;
  const left = generationLeft(record, clock, today);
  if (left?.days === null) notYet.push({ code: "too_cold", meanC: left.meanC });
  else if (left) {
    const days = daysBetween(clock, today) + left.days;
    notYet.push({ code: "generation_not_over", lastLive: clock, days, until: addDays(today, Math.ceil(left.days)) });
  }

  if (sureness && sureness.pClear < sureness.target) notYet.push({ code: "not_sure_enough", ...sureness });
  return { met: notYet.length === 0, notYet };
}

/**
 * What is missing of one egg-to-adult time since `clock`, in days at today's warmth (null where it is too cold for
 * development); null when nothing is missing. A day counts when it is over.
 */
function generationLeft(
  { pest: id, warmth }: CaseRecord,
  clock: Day,
  today: Day,
): { readonly days: number | null; readonly meanC: number } | null {
  const pest = pestOf(id);
  const means = warmth(clock, today);
  const meanC = means.at(-1) ?? pest.lowerC;
  const gathered = means.slice(0, -1).reduce((sum, mean) => sum + degreeDaysPerDay(pest, mean), 0);
  const missing = eggToAdultDegreeDays(pest) - gathered;
  if (missing <= ROUNDING) return null;
  const perDay = degreeDaysPerDay(pest, meanC);
  return { days: perDay > 0 ? missing / perDay : null, meanC };
}
