import { carriedReach } from "../clearance/scenarios";
import { standing, type ActDone, type Closing } from "../facts/facts";
import type { TechniqueId } from "../remedies/remedies";
import type { Case } from "./cases";

/** What a closed case has told of a keeper's hand. */
export type ShownReach = Pick<Closing, "at" | "recordedBy" | "recordedAccount" | "reach" | "voidReason">;

/** Whose hand it was: the account, on whatever device; the name and the device where nobody had one. */
const keeperOf = ({ recordedAccount, recordedBy }: Pick<Closing, "recordedAccount" | "recordedBy">) =>
  recordedAccount ?? recordedBy;

/** The technique a case was last treated with, and whose hand it was; null while it was not treated. */
export function handIn(
  { openedAt, closing }: Pick<Case, "openedAt" | "closing">,
  acts: readonly ActDone[],
): { readonly technique: TechniqueId; readonly keeper: string } | null {
  const own = standing(acts).filter(({ at }) => at >= openedAt && (closing === null || at <= closing.at));
  const last = own.findLast(({ act }) => act.kind === "contact");
  return last?.act.kind === "contact" ? { technique: last.act.technique, keeper: keeperOf(last) } : null;
}

/**
 * What is known of the hand that treats a case from the last case that the same keeper has closed before it began, treated with the
 * same technique; null where there is none. Each closing was reckoned from the one before, so that the last holds them all.
 */
export function reachBefore(
  found: Pick<Case, "openedAt" | "closing">,
  acts: readonly ActDone[],
  shown: readonly ShownReach[],
): [number, number, number] | null {
  const hand = handIn(found, acts);
  if (!hand) return null;
  const before = standing(shown)
    .filter(
      (one) => one.at < found.openedAt && keeperOf(one) === hand.keeper && one.reach?.technique === hand.technique,
    )
    .toSorted((a, b) => a.at.getTime() - b.at.getTime())
    .at(-1);
  return before?.reach ? carriedReach(before.reach.weights) : null;
}
