import { likelihoodOf, reachOf, type LearnedReach, type NumbersId } from "../../model/learning/reach";
import { standing, type ActDone, type Closing } from "../facts/facts";
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

/** What closed cases have told of a hand: its own, and a little of every other. Null where they are too few, or not asked for. */
export function learnedOf(hand: TechniqueHand, shown: readonly ShownReach[], numbers: NumbersId): LearnedReach | null {
  const told = standing(shown).flatMap((one) => (one.reach ? [{ ...one, reach: one.reach }] : []));
  const isOwn = (one: (typeof told)[number]) => keeperOf(one) === hand.keeper && one.reach.technique === hand.technique;
  const likelihoods = (some: typeof told) => some.map(({ reach }) => likelihoodOf(reach.weights, reach.prior));
  return reachOf(likelihoods(told.filter(isOwn)), likelihoods(told.filter((one) => !isOwn(one))), numbers);
}

/** The hands that cases have been closed with, those of most cases first, each with the name it was last recorded under. */
export function handsOf(
  shown: readonly ShownReach[],
): readonly (TechniqueHand & { readonly name: string; readonly cases: number })[] {
  const hands = new Map<string, TechniqueHand & { name: string; cases: number }>();
  for (const one of standing(shown).toSorted((a, b) => a.at.getTime() - b.at.getTime())) {
    if (!one.reach) continue;
    const hand = { technique: one.reach.technique, keeper: keeperOf(one) };
    const key = `${hand.technique} ${hand.keeper}`;
    hands.set(key, { ...hand, name: one.recordedBy, cases: (hands.get(key)?.cases ?? 0) + 1 });
  }
  return [...hands.values()].toSorted((a, b) => b.cases - a.cases);
}

/**
 * What is known of the hand that treats a case before anything is seen of it: from the cases that were closed before it began. Null
 * where our estimate is all there is.
 */
export function reachBefore(
  found: Pick<Case, "openedAt" | "closing">,
  acts: readonly ActDone[],
  shown: readonly ShownReach[],
  numbers: NumbersId,
): [number, number, number] | null {
  const hand = handIn(found, acts);
  if (!hand) return null;
  const before = shown.filter(({ at }) => at < found.openedAt);
  const learned = learnedOf(hand, before, numbers);
  return learned && [...learned.mean];
}
