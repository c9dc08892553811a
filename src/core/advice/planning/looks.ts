import { quickly, type AfterLooks, type Scorer } from "./score";
import type { ComingDose, ComingLook } from "./future";
import { secondsFor } from "../walks/timeLeft";
import { seeChances, seeShare } from "../../model/inspection/see";
import type { ToolId } from "../../model/inspection/tools";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import type { Reckoning } from "../../model/clearance/reckon";
import { CLEAN_LOOK_GAP_DAYS } from "../../model/inspection/cleanLooks";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { SITES, type PerSite } from "../../model/population/sites";

/** How the looks after a course are made: the rule of "clear" counts them. */
export interface LooksAfter {
  /** For each stage the chance that one animal is seen in a look. */
  readonly see: readonly PerSite[];
  /** What one takes, minutes. */
  readonly minutes: number;
  /** From so many days after the last treatment on, every so many. */
  readonly everyDays: number;
  /** The day of the next look where nothing is done before it, since day 0; the day after the first possible one where left out. */
  readonly nextDay?: number;
  /** Clean looks that count already, as long as nothing more is done; none where left out. */
  readonly have?: number;
}

/** Fewest and most looks after a course. */
export const FEWEST_LOOKS = 2;
export const MOST_LOOKS = 8;
const WEEK = 7;
/** Looks after a plan that cannot be scored: so many days after its last treatment (common practice). */
export const looksAfterUnscored = [WEEK, 2 * WEEK] as const;
/** What lives at the roots shows when the pot is off only, and nobody knocks one off every week. */
const ROOTS_EVERY_DAYS = 28;

/**
 * Looks with a tool at the whole plant, weekly; at what lives in the mix by knocking the pot off, every four weeks.
 * `sees` is how much of what our estimate sees with the tool this keeper does. @example looksOn("mealybug", "trailingVine", "lamp", 12).everyDays // 7
 */
export function looksOn(pest: PestId, form: GrowthFormId, tool: ToolId, potCm: number, sees = 1): LooksAfter {
  const atRoots = pestOf(pest).stages.every(({ where }) => where === "soil");
  const used = atRoots ? "unpotted" : tool;
  return {
    see: seeShare(seeChances(pestOf(pest), pest, form, { tool: used, spots: spotsOf(form) }), used === tool ? sees : 1),
    minutes: secondsFor(used, "all", potCm) / 60,
    everyDays: atRoots ? ROOTS_EVERY_DAYS : WEEK,
  };
}

/** What a look takes where nothing is known of the plant, minutes (HOUSE). */
const USUAL_MINUTES = 1;

/** Looks like the last that was made in a case, weekly. */
export function looksLikeLast({ timeline: { layout }, past }: Reckoning): LooksAfter {
  const last = past.findLast((event) => event.kind === "inspection");
  const see = layout.pest.stages.map((_, stage): PerSite => {
    const first = layout.firstOf[stage]!;
    return [last?.see[first] ?? 0, last?.see[first + 1] ?? 0, last?.see[first + SITES - 1] ?? 0];
  });
  return { see, minutes: USUAL_MINUTES, everyDays: WEEK };
}

/** How many clean looks of a case count: those since its last treatment and its last find, each six days after the one before. */
export function cleanLooksCounted({ timeline: { dt }, past }: Reckoning): number {
  let counted = 0;
  let lastDay = -Infinity;
  for (const event of past) {
    if (event.kind === "treatment" || event.found > 0) {
      counted = 0;
      lastDay = -Infinity;
    } else if (event.step * dt - lastDay >= CLEAN_LOOK_GAP_DAYS - 0.5) {
      counted++;
      lastDay = event.step * dt;
    }
  }
  return counted;
}

/** Whether the animals that were seen last are still where they were: neither taken off nor treated. */
export function leftSitting({ past, lastFind, timeline: { lasting } }: Reckoning): boolean {
  const find = past[lastFind]!;
  const treated = past.slice(lastFind).some(({ kind }) => kind === "treatment");
  // What roots take up and helpful animals go on killing without any treatment that strikes at once.
  const goesOn = lasting.some(({ from, effect }) => from >= find.step && effect.dailyHazard.some((rate) => rate > 0));
  return find.kind === "inspection" && !find.removed && !treated && !goesOn;
}

/** What looks after a course are reckoned from. */
export interface LookRequest {
  readonly scorer: Scorer;
  /** How sure clean looks must make it, 0–1. */
  readonly target: number;
  /** How the plant is looked at after the course. */
  readonly looks: LooksAfter;
}

/** The looks after a course, and what they come to. */
export interface Looked extends AfterLooks {
  readonly looks: readonly number[];
  /** Whether that is as sure as is wanted. */
  readonly reaches: boolean;
}

/**
 * As few looks as the rule of "clear" asks for after what is done up to day `last`: so many as reach the target and lie late enough,
 * eight where none do. `hint` is how many there may be; it only saves time.
 */
export function looksAfterCourse(
  coming: readonly ComingDose[],
  last: number,
  request: LookRequest,
  fewest = FEWEST_LOOKS,
  hint = fewest,
): Looked {
  const { scorer, target } = request;
  const ready = scorer.generationOver;
  const at = (count: number, by: Scorer): Looked => {
    const days = lookDays(last, count, request);
    const numbers = by.afterLooks(coming, looksOf(days, request));
    return { looks: days, ...numbers, reaches: ready !== null && numbers.sure >= target && numbers.pClean > 0 };
  };
  // Too cold to grow: no number of looks ends it.
  if (ready === null) return at(fewest, scorer);
  let least = fewest;
  while (least < MOST_LOOKS && lookDays(last, least, request).at(-1)! < ready - 1e-9) least++;
  // The more looks, the surer: the number is found with the quick scorer, and looked up again with the other.
  const quick = quickly(scorer);
  let count = Math.max(least, Math.min(hint, MOST_LOOKS));
  if (at(count, quick).reaches) while (count > least && at(count - 1, quick).reaches) count--;
  else if (count < MOST_LOOKS && at(MOST_LOOKS, quick).reaches) while (!at(++count, quick).reaches);
  else count = MOST_LOOKS;
  for (let exact = at(count, scorer); ; exact = at(++count, scorer))
    if (exact.reaches || count === MOST_LOOKS) return exact;
}

/** The days of so many looks after a course; the last of eight not before a generation has passed since the last live animal. */
function lookDays(last: number, count: number, { looks, scorer }: Pick<LookRequest, "looks" | "scorer">): number[] {
  const days = Array.from({ length: count }, (_, i) => last + looks.everyDays * (i + 1));
  const ready = Math.ceil((scorer.generationOver ?? days.at(-1)!) - 1e-9);
  if (count === MOST_LOOKS && days.at(-1)! < ready) days[count - 1] = ready;
  return days;
}

/** So many looks as the plant is looked at. */
export function looksOf(days: readonly number[], { looks }: Pick<LookRequest, "looks">): ComingLook[] {
  return days.map((atDays) => ({ atDays, see: looks.see }));
}
