import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { SpotId } from "../../knowledge/plants/spots";
import type { PestId } from "../../knowledge/pests/pests";
import { chanceToSeeOne } from "../../model/inspection/detectionProbability";
import { MOST_SEEN } from "../../model/inspection/see";
import { severities } from "../../model/inspection/severity";
import type { ToolId } from "../../model/inspection/tools";

/** A look beside one that found something: which pest, on which kind of plant, at which places. */
export interface LookBeside {
  readonly pest: PestId;
  readonly growthForm: GrowthFormId;
  readonly spots: readonly SpotId[];
}

/** What another tool would do for the rhythm of looking. */
export interface BetterTool {
  readonly instead: ToolId;
  readonly tool: ToolId;
  /** How often each sees a light infestation of what was found. */
  readonly sees: number;
  readonly would: number;
  /** The rhythm there is, and the one in which the better tool finds as early, days. */
  readonly everyDays: number;
  readonly couldBe: number;
}

/** How warm it was hardly changes who is seen, °C. */
const USUAL_C = 22;
/** However well a tool sees, looks further apart than this come a generation late (HOUSE). */
const LONGEST_DAYS = 14;
/** Less of a gain is not worth telling (HOUSE). */
const WORTH_TELLING = 1.3;
const LIGHT = severities.find(({ id }) => id === "light")!.typical;

/**
 * In which rhythm looks with one of `tools` would find as early as those with `instead` do, for what was found beside its looks: until something is seen
 * it takes 1 ÷ chance looks in the mean, so that the days between looks may grow as the chance does. `sees` is how much of what our estimate sees an eye with a tool sees.
 * Null where no tool is clearly better, or nothing was found beside any look. @example betterTool("eye", ["loupe"], [], () => 1, 7) // null
 */
export function betterTool(
  instead: ToolId,
  tools: readonly ToolId[],
  beside: readonly LookBeside[],
  sees: (tool: ToolId) => number,
  everyDays: number,
): BetterTool | null {
  if (beside.length === 0) return null;
  const chanceWith = (tool: ToolId) =>
    beside.reduce((sum, { pest, growthForm, spots }) => {
      const one = chanceToSeeOne(pest, growthForm, USUAL_C, { tool, spots });
      return sum + 1 - (1 - Math.min(MOST_SEEN, sees(tool) * one)) ** LIGHT;
    }, 0) / beside.length;
  const now = chanceWith(instead);
  const best = tools
    .filter((tool) => tool !== instead)
    .map((tool) => ({ tool, would: chanceWith(tool) }))
    .reduce<{ tool: ToolId; would: number } | null>((a, b) => (a && a.would >= b.would ? a : b), null);
  if (!best || now === 0 || best.would / now < WORTH_TELLING) return null;
  const couldBe = Math.min(LONGEST_DAYS, Math.floor((everyDays * best.would) / now));
  return couldBe > everyDays ? { instead, ...best, sees: now, everyDays, couldBe } : null;
}
