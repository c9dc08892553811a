import { pestOf, phaseOf, type LifeStage, type Pest, type PestId } from "../../knowledge/pests/pests";
import { stageDays } from "../../knowledge/pests/stageDurations";
import { killOf, remedyOf, type RemedyId } from "../../knowledge/remedies/remedies";

/** The two bounds on a repeat schedule that anyone can check by hand. */
export interface RepeatBounds {
  /** Repeat within this many days, or an animal can hatch, grow up and lay between two treatments. */
  readonly repeatWithinDays: number | null;
  /** Keep on for longer than this many days, or the last of an unreached stage outlives the treatments. */
  readonly keepOnDays: number | null;
  /** The stages the bounds were reckoned from, in the order of life. */
  readonly reachableStages: readonly string[];
  readonly unreachedStages: readonly string[];
}

/**
 * Whether a treatment can be counted on to kill a stage: the remedy acts where the stage lives, it is not an egg
 * (some eggs survive every household remedy: common practice), and the likely kill is at least a half (HOUSE).
 */
export function isReached(pest: PestId, remedy: RemedyId, stage: LifeStage): boolean {
  return (
    phaseOf(stage) !== "egg" &&
    remedyOf(remedy).actsIn.includes(stage.where) &&
    killOf(remedy, pest, stage).likely >= 0.5
  );
}

/**
 * Repeat within: the days from becoming reachable to first laying, or to passing out of reach before it: through the
 * last run of reachable stages before laying. Keep on: the days of the longest stage the remedy cannot reach.
 *
 * `repeatWithinDays` is null when no stage before laying is reachable (the remedy alone cannot end it) or when it is too cold
 * for development; `keepOnDays` is null when every stage is reachable or it is too cold.
 * Source: the reasoning of repeat-treatment intervals, common practice; stage lengths from the pest table.
 * @example repeatBounds("spiderMite", "soap", 22).repeatWithinDays // (96 + 20) / 12 = 9.67
 */
export function repeatBounds(pestId: PestId, remedy: RemedyId, meanC: number): RepeatBounds {
  const pest = pestOf(pestId);
  const beforeLaying = pest.stages.slice(0, -1);
  const unreached = pest.stages.filter((stage) => !isReached(pestId, remedy, stage));
  const end = beforeLaying.findLastIndex((stage) => !unreached.includes(stage)) + 1;
  const begin = beforeLaying.slice(0, end).findLastIndex((stage) => unreached.includes(stage)) + 1;
  const window = beforeLaying.slice(begin, end);
  const lengths = unreached.map((stage) => stageDays(pest, stage, meanC) ?? Infinity);
  const longest = lengths.length > 0 ? Math.max(...lengths) : Infinity;
  return {
    repeatWithinDays: window.length > 0 ? daysThrough(pest, window, meanC) : null,
    keepOnDays: Number.isFinite(longest) ? longest : null,
    reachableStages: window.map((stage) => stage.id),
    unreachedStages: unreached.map((stage) => stage.id),
  };
}

function daysThrough(pest: Pest, stages: readonly LifeStage[], meanC: number): number | null {
  let days = 0;
  for (const stage of stages) {
    const one = stageDays(pest, stage, meanC);
    if (one === null) return null;
    days += one;
  }
  return days;
}
