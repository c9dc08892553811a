import { secondsFor } from "../walk/timeLeft";
import { seeChances } from "../inspection/see";
import type { ToolId } from "../inspection/tools";
import { pestOf, type PestId } from "../pests/pests";
import type { Reckoning } from "../clearance/reckon";
import { CLEAN_LOOK_GAP_DAYS } from "../inspection/cleanLooks";
import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import { SITES, type PerSite } from "../population/sites";

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
/** What lives at the roots shows when the pot is off only, and nobody knocks one off every week. */
const ROOTS_EVERY_DAYS = 28;

/**
 * Looks with a tool at the whole plant, weekly; at what lives in the mix by knocking the pot off, every four weeks.
 * @example looksOn("mealybug", "trailingVine", "lamp", 12).everyDays // 7
 */
export function looksOn(pest: PestId, form: GrowthFormId, tool: ToolId, potCm: number): LooksAfter {
  const atRoots = pestOf(pest).stages.every(({ where }) => where === "soil");
  const used = atRoots ? "unpotted" : tool;
  return {
    see: seeChances(pestOf(pest), pest, form, { tool: used, spots: spotsOf(form) }),
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
export function leftSitting({ past, lastFind }: Reckoning): boolean {
  const find = past[lastFind]!;
  return find.kind === "inspection" && !find.removed && !past.slice(lastFind).some(({ kind }) => kind === "treatment");
}
