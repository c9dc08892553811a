import { reachElsewhere, type Beginning } from "../../model/learning/elsewhere";
import { likelihoodOf, reachOf, worthOf, type LearnedReach, type ReachWeights } from "../../model/learning/reach";
import { standing, type ActDone, type Closing } from "../facts/facts";
import { groupBy } from "../../shared/groupBy";
import type { TechniqueId } from "../../knowledge/remedies/remedies";
import type { Case } from "./cases";

/** What a closed case has told of a keeper's hand. */
export type ShownReach = Pick<Closing, "at" | "recordedBy" | "recordedAccount" | "reach" | "voidReason">;

/** Whose hand it was: the account, on whatever device; the name and the device where nobody had one. */
export const keeperOf = ({ recordedAccount, recordedBy }: Pick<Closing, "recordedAccount" | "recordedBy">) =>
  recordedAccount ?? recordedBy;

/** A technique in the hand of a keeper. */
export interface TechniqueHand {
  readonly technique: TechniqueId;
  readonly keeper: string;
}

/** The technique a case was last treated with, and whose hand it was; null while it was not treated. */
export function handIn(
  { openedAt, closing }: Pick<Case, "openedAt" | "closing">,
  acts: readonly ActDone[],
): TechniqueHand | null {
  const own = standing(acts).filter(({ at }) => at >= openedAt && (closing === null || at <= closing.at));
  const last = own.findLast(({ act }) => act.kind === "contact");
  return last?.act.kind === "contact" ? { technique: last.act.technique, keeper: keeperOf(last) } : null;
}

/** What each closed case has told of the hand it was closed with. */
function toldBy(
  shown: readonly ShownReach[],
): readonly (TechniqueHand & { readonly name: string; readonly likelihood: ReachWeights })[] {
  return standing(shown).flatMap((one) => {
    if (!one.reach) return [];
    const { technique, weights, prior } = one.reach;
    return [{ technique, keeper: keeperOf(one), name: one.recordedBy, likelihood: likelihoodOf(weights, prior) }];
  });
}

/**
 * What closed cases have told of a hand: its own, a little of every other, and what other keepers' records are worth. Null where they are
 * too few, or not asked for.
 */
export function learnedOf(
  hand: TechniqueHand,
  shown: readonly ShownReach[],
  { numbers, toldElsewhere }: Beginning,
): LearnedReach | null {
  const evidence = toldBy(shown);
  const isOwn = (one: TechniqueHand) => one.keeper === hand.keeper && one.technique === hand.technique;
  const likelihoods = (some: typeof evidence) => some.map(({ likelihood }) => likelihood);
  return reachOf(
    likelihoods(evidence.filter(isOwn)),
    likelihoods(evidence.filter((one) => !isOwn(one))),
    numbers,
    reachElsewhere(toldElsewhere, hand.technique),
  );
}

/** What the cases closed with each technique, in whichever keeper's hand, are worth to keepers elsewhere. @example handsWorth([]) // [] */
export function handsWorth(
  shown: readonly ShownReach[],
): readonly { readonly technique: TechniqueId; readonly cases: number; readonly worth: ReachWeights }[] {
  return [...groupBy(toldBy(shown), ({ technique }) => technique)].map(([technique, some]) => ({
    technique,
    cases: some.length,
    worth: worthOf(some.map(({ likelihood }) => likelihood)),
  }));
}

/** The hands that cases have been closed with, those of most cases first, each with the name it was last recorded under. */
export function handsOf(
  shown: readonly ShownReach[],
): readonly (TechniqueHand & { readonly name: string; readonly cases: number })[] {
  const hands = new Map<string, TechniqueHand & { name: string; cases: number }>();
  for (const { technique, keeper, name } of toldBy(shown.toSorted((a, b) => a.at.getTime() - b.at.getTime()))) {
    const key = `${technique} ${keeper}`;
    hands.set(key, { technique, keeper, name, cases: (hands.get(key)?.cases ?? 0) + 1 });
  }
  return [...hands.values()].toSorted((a, b) => b.cases - a.cases);
}

/**
 * What is known of the hand that treats a case before anything is seen of it: from the cases that were closed before it began, here and on other keepers' records. Null
 * where our estimate is all there is.
 */
export function reachBefore(
  found: Pick<Case, "openedAt" | "closing">,
  acts: readonly ActDone[],
  shown: readonly ShownReach[],
  beginning: Beginning,
): [number, number, number] | null {
  const hand = handIn(found, acts);
  if (!hand) return null;
  const before = shown.filter(({ at }) => at < found.openedAt);
  const learned = learnedOf(hand, before, beginning);
  return learned && [...learned.mean];
}
