import { costsOfAct, type Act } from "../../acts/acts";
import { groupBy } from "../../shared/groupBy";

/** An act on a plant that was written down on the spot. */
export interface TimedAct {
  readonly plantId: string;
  readonly act: Act;
  /** The moment of the press. */
  readonly at: Date;
  readonly potCm: number;
  /** Whose hands it was. */
  readonly by: string;
}

/** How long the keepers' own hands take, against what is reckoned without them. */
export interface Pace {
  /** 1: as long as reckoned; 2: twice as long. */
  readonly factor: number;
  /** From how many plants that is known. */
  readonly plants: number;
}

/** Own paces by what the hands do, as {@link handsOf} names it; what was never timed has none. */
export type Paces = Readonly<Record<string, Pace>>;

/** Two presses closer than that were pressed together afterwards, and time nothing; further apart than that there was a pause (HOUSE). */
const TOGETHER_SECONDS = 20;
const PAUSE_MINUTES = 20;
/** Our own minutes count as much as that many plants (HOUSE). */
const PRIOR_PLANTS = 5;
/** A single plant that took longer than so many times what is reckoned was a talk, and counts as that (HOUSE). */
const MOST = 4;

/**
 * What the hands do in an act, as far as it bears on their pace: how it is put on, or the work; null for what is not timed plant by plant.
 * @example handsOf({ kind: "trap", cards: 1, days: 14 }) // null
 */
export function handsOf(act: Act): string | null {
  if (act.kind === "contact") return act.technique;
  return act.kind === "mechanical" || act.kind === "drench"
    ? `${act.kind} ${"way" in act ? act.way : ""}`.trim()
    : null;
}

/**
 * The pace of one's own hands, from acts on one plant after the other: from one press to the next is what the later one took, with the way
 * to it. Presses at once, several acts at one plant, and pauses time nothing. Each kind of work stands for itself, our
 * own minutes weighing as much as five plants. Gives {} for nothing.
 * @example pacesFrom([])["spray"] // undefined
 */
export function pacesFrom(done: readonly TimedAct[]): Paces {
  const ratios = new Map<string, number[]>();
  const pressed = done.toSorted((a, b) => a.at.getTime() - b.at.getTime());
  for (const own of groupBy(pressed, ({ by }) => by).values())
    own.forEach((one, i) => {
      const [before, after] = [own[i - 1], own[i + 1]];
      const hands = handsOf(one.act);
      // Of several things done at one plant nobody knows which took how long.
      if (!before || !hands || before.plantId === one.plantId || after?.plantId === one.plantId) return;
      const minutes = (one.at.getTime() - before.at.getTime()) / 60_000;
      if (minutes * 60 < TOGETHER_SECONDS || minutes > PAUSE_MINUTES) return;
      const ours = costsOfAct(one.act, one.potCm).minutes;
      if (ours > 0) ratios.set(hands, [...(ratios.get(hands) ?? []), Math.min(MOST, minutes / ours)]);
    });
  return Object.fromEntries(
    [...ratios].map(([hands, some]): [string, Pace] => {
      const sum = some.reduce((a, b) => a + b, 0);
      return [hands, { factor: (PRIOR_PLANTS + sum) / (PRIOR_PLANTS + some.length), plants: some.length }];
    }),
  );
}

/** Minutes of an act at one's own pace, where that is known. Throws as {@link costsOfAct} does. @example minutesAt({}, spray, 12) // 4 */
export function minutesAt(paces: Paces, act: Act, potCm: number): number {
  const hands = handsOf(act);
  return costsOfAct(act, potCm).minutes * ((hands !== null && paces[hands]?.factor) || 1);
}
