import type { ToolId } from "../../model/inspection/tools";
import type { Round } from "../../model/inspection/rounds";
import type { WalkEvent } from "./progress";

/** Seconds a plant takes, as long as this walk has not shown otherwise (HOUSE). */
const usualSeconds: Record<ToolId, number> = { eye: 20, lamp: 40, loupe: 90, paper: 150, unpotted: 900 };

/** Every place takes so much longer than the likeliest (HOUSE). */
const ALL_PLACES = 1.6;

/** On a pot of the usual width a look takes the usual time; on others in proportion, within these bounds (HOUSE). */
export const potFactor = { usualCm: 12, least: 0.5, most: 3 } as const;

/**
 * Seconds a look takes with this tool on a plant in a pot `potCm` wide: in proportion to the pot, from half to three times of what a
 * 12 cm pot takes (HOUSE). Throws RangeError unless the pot is wider than 0 cm. @example secondsFor("lamp", "likely", 12) // 40
 */
export function secondsFor(tool: ToolId, round: Round, potCm: number): number {
  if (!(potCm > 0)) throw new RangeError(`a pot is wider than 0 cm, got ${potCm}`);
  const { usualCm, least, most } = potFactor;
  return usualSeconds[tool] * Math.min(most, Math.max(least, potCm / usualCm)) * (round === "all" ? ALL_PLACES : 1);
}

/** A longer gap is a pause, not a look. */
const PAUSE_MS = 10 * 60_000;
/** From so many gaps on the walk's own pace counts. */
const ENOUGH = 5;

/**
 * Seconds until a walk is over: the plants to go times the median gap between those done, pauses left out; with fewer than five
 * gaps the usual time with this tool. 0 when none is to go. Throws RangeError for a negative number of plants.
 * @example secondsLeft([], 10, "lamp") // 400
 */
export function secondsLeft(events: readonly WalkEvent[], toGo: number, tool: ToolId): number {
  if (!(toGo >= 0)) throw new RangeError(`plants to go: ${toGo}`);
  const times = events.map((event) => event.atMs).toSorted((a, b) => a - b);
  const gaps = times
    .slice(1)
    .map((at, i) => at - times[i]!)
    .filter((gap) => gap < PAUSE_MS)
    .toSorted((a, b) => a - b);
  const each = gaps.length < ENOUGH ? usualSeconds[tool] : gaps[Math.floor(gaps.length / 2)]! / 1000;
  return toGo * each;
}
