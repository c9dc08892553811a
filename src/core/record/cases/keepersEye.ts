import { sightElsewhere, type Beginning } from "../../model/learning/elsewhere";
import { sightFrom, sightWorth, type LearnedSight, type SightTold, type SightWorth } from "../../model/learning/sight";
import { chancesBeside, type ChancesBeside } from "../../model/inspection/detectionProbability";
import type { ToolId } from "../../model/inspection/tools";
import { groupBy } from "../../shared/groupBy";
import { remember } from "../../shared/remember";
import type { SightPair } from "./sightPairs";

/** An eye with a tool. */
export interface KeepersEye {
  readonly keeper: string;
  readonly tool: ToolId;
}

/** How warm it was hardly changes who is seen: ages are taken as where it is this warm, °C. */
const USUAL_C = 22;
const chances = new Map<string, ChancesBeside>();
const MOST_CHANCES = 5000;

/** What a pair tells of the eye; null where the look could not have seen what the other found. */
function toldBy({ look, pest, saw, animals, foundWith }: SightPair): SightTold | null {
  const search = { tool: look.tool, spots: look.spots };
  const key = JSON.stringify([pest, look.growthForm, search, foundWith]);
  const beside = remember(chances, MOST_CHANCES, key, () =>
    chancesBeside(pest, look.growthForm, USUAL_C, search, foundWith),
  );
  return beside.ofSeen > 0 ? { saw, animals: Math.max(1, animals), ...beside } : null;
}

const isOf = (eye: KeepersEye, { look }: SightPair) => look.keeper === eye.keeper && look.tool === eye.tool;

const told = (some: readonly SightPair[]) => some.flatMap((pair) => toldBy(pair) ?? []);

/**
 * What pairs of looks have told of an eye with a tool: its own, a little of every other, and what other keepers' records are worth. Null where
 * they are too few, or not asked for.
 */
export function learnedSightOf(
  eye: KeepersEye,
  pairs: readonly SightPair[],
  { numbers, toldElsewhere }: Beginning,
): LearnedSight | null {
  if (numbers === "ours") return null;
  return sightFrom(
    told(pairs.filter((pair) => isOf(eye, pair))),
    told(pairs.filter((pair) => !isOf(eye, pair))),
    numbers,
    sightElsewhere(toldElsewhere, eye.tool),
  );
}

/** What looks beside finds with each tool, by whichever keeper, are worth to keepers elsewhere. @example eyesWorth([]) // [] */
export function eyesWorth(
  pairs: readonly SightPair[],
): readonly ({ readonly tool: ToolId; readonly looks: number } & SightWorth)[] {
  return [...groupBy(pairs, ({ look }) => look.tool)].map(([tool, some]) => ({
    ...{ tool, looks: some.length },
    ...sightWorth(told(some)),
  }));
}

/** The eyes that looked beside finds, those of most looks first, each with the name it was last recorded under. */
export function eyesOf(
  pairs: readonly SightPair[],
): readonly (KeepersEye & { readonly name: string; readonly looks: number })[] {
  const eyes = new Map<string, KeepersEye & { name: string; looks: number }>();
  for (const { look } of pairs.toSorted((a, b) => a.look.at.getTime() - b.look.at.getTime())) {
    const key = `${look.tool} ${look.keeper}`;
    const { keeper, tool, name } = look;
    eyes.set(key, { keeper, tool, name, looks: (eyes.get(key)?.looks ?? 0) + 1 });
  }
  return [...eyes.values()].toSorted((a, b) => b.looks - a.looks);
}

/**
 * How much of what our estimate sees an eye with a tool was known to see before a case began: 1 where nothing was. What came to be known
 * in the case itself does not count twice.
 */
export function sightBefore(
  openedAt: Date,
  pairs: readonly SightPair[],
  beginning: Beginning,
): (eye: KeepersEye) => number {
  const before = pairs.filter(({ knownAt }) => knownAt < openedAt);
  const known = new Map<string, number>();
  return (eye) =>
    remember(known, 100, `${eye.tool} ${eye.keeper}`, () => learnedSightOf(eye, before, beginning)?.mean ?? 1);
}
