import type { FactorWorth } from "../../model/learning/grid";
import { sightElsewhere, type Beginning } from "../../model/learning/elsewhere";
import { sightFrom, sightWorth, type LearnedSight, type SightTold } from "../../model/learning/sight";
import { MOST_SEEN } from "../../model/inspection/see";
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
const MOST_EYES = 100;

/** Looking the closer, the further to the right. */
const closer: readonly ToolId[] = ["eye", "lamp", "loupe"];
const isCloser = (one: ToolId, other: ToolId) => closer.includes(other) && closer.indexOf(one) > closer.indexOf(other);

/** How much of what our estimate sees an eye with a tool is known to see; 1 where nothing is. */
type Sees = (eye: KeepersEye) => number;
const asSupposed: Sees = () => 1;

/**
 * What a pair tells of the eye; null where the look could not have seen what the other found. The closer look is the measure of the other:
 * it is taken to see what we suppose, and the other what has been learned of it, or each would be told by the other once more.
 */
function toldBy({ look, pest, saw, animals, foundWith, foundBy }: SightPair, sees: Sees): SightTold | null {
  const search = { tool: look.tool, spots: look.spots };
  const key = JSON.stringify([pest, look.growthForm, search, foundWith]);
  const beside = remember(chances, MOST_CHANCES, key, () =>
    chancesBeside(pest, look.growthForm, USUAL_C, search, foundWith),
  );
  const known = isCloser(look.tool, foundWith.tool) ? sees({ keeper: foundBy, tool: foundWith.tool }) : 1;
  const otherSees = Math.min(MOST_SEEN, known * beside.otherSees);
  return beside.ofSeen > 0 ? { saw, animals: Math.max(1, animals), ...beside, otherSees } : null;
}

const isOf = (eye: KeepersEye, { look }: SightPair) => look.keeper === eye.keeper && look.tool === eye.tool;

const evidenceOf = (some: readonly SightPair[], sees: Sees) => some.flatMap((pair) => toldBy(pair, sees) ?? []);

/** What each eye is known to see, each reckoned when it is first asked for: a tool's from those that look less close. */
function eyesKnown(pairs: readonly SightPair[], beginning: Beginning) {
  const known = new Map<string, LearnedSight | null>();
  const learned = (eye: KeepersEye): LearnedSight | null =>
    remember(known, MOST_EYES, `${eye.tool} ${eye.keeper}`, () => sightOf(eye, pairs, beginning, sees));
  const sees: Sees = (eye) => learned(eye)?.mean ?? 1;
  return { learned, sees };
}

function sightOf(
  eye: KeepersEye,
  pairs: readonly SightPair[],
  { numbers, toldElsewhere }: Beginning,
  sees: Sees,
): LearnedSight | null {
  if (numbers === "ours") return null;
  const own = pairs.filter((pair) => isOf(eye, pair));
  // Others are told as supposed: among them are the closer looks that this eye itself is the other of.
  const others = pairs.filter((pair) => !isOf(eye, pair));
  return sightFrom(
    evidenceOf(own, sees),
    evidenceOf(others, asSupposed),
    numbers,
    sightElsewhere(toldElsewhere, eye.tool),
  );
}

/**
 * What pairs of looks have told of an eye with a tool: its own, a little of every other, and what other keepers' records are worth. Null where
 * they are too few, or not asked for.
 */
export function learnedSightOf(
  eye: KeepersEye,
  pairs: readonly SightPair[],
  beginning: Beginning,
): LearnedSight | null {
  return eyesKnown(pairs, beginning).learned(eye);
}

/** What looks beside finds with each tool, by whichever keeper, are worth to keepers elsewhere. @example eyesWorth([]) // [] */
export function eyesWorth(
  pairs: readonly SightPair[],
): readonly ({ readonly tool: ToolId; readonly looks: number } & FactorWorth)[] {
  const { sees } = eyesKnown(pairs, { numbers: "mixed", toldElsewhere: null });
  return [...groupBy(pairs, ({ look }) => look.tool)].map(([tool, some]) => ({
    ...{ tool, looks: some.length },
    ...sightWorth(evidenceOf(some, sees)),
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
  return eyesKnown(
    pairs.filter(({ knownAt }) => knownAt < openedAt),
    beginning,
  ).sees;
}
