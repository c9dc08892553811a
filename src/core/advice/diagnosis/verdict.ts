import { suspectIds, type SuspectId } from "../../knowledge/signs/suspects";
import type { TestWorth } from "./expectedInformation";
import type { Posterior } from "./posterior";

/** From which probability on a pest counts as named, and as worth keeping in mind (HOUSE). */
export const NAMED_FROM = 0.8;
const IN_QUESTION_FROM = 0.2;
/** Two pests are alike when neither is this many times as likely as the other (HOUSE). */
const ALIKE_WITHIN = 3;
/** A test that tells less than this many bits settles nothing and is not proposed (HOUSE). */
export const SETTLES_FROM_BITS = 0.1;

export type Verdict =
  /** Nothing was looked for yet. */
  | { readonly code: "nothing_yet" }
  | { readonly code: "named"; readonly pests: readonly SuspectId[] }
  | { readonly code: "none"; readonly p: number }
  /** Two pests that the signs do not tell apart; `test` may still do it. */
  | { readonly code: "alike"; readonly pests: readonly [SuspectId, SuspectId]; readonly test: TestWorth | null }
  | { readonly code: "unsure"; readonly likeliest: SuspectId; readonly p: number; readonly test: TestWorth | null };

/** The pests, likeliest first; equals in the order of the application. */
export function byChance({ of }: Posterior): SuspectId[] {
  return [...suspectIds].toSorted((a, b) => of[b] - of[a]);
}

/**
 * What the signs amount to: named pests, none, two that cannot be told apart ("treat as both"), or not sure yet. `about` are the
 * pests in question: one that is likely only because it often is there is not called. `worth` are the tests left, best first,
 * `looked` the number of signs looked for. @example verdictOf(posterior, suspectIds, [], 3).code // "named"
 */
export function verdictOf(
  posterior: Posterior,
  about: readonly SuspectId[],
  worth: readonly TestWorth[],
  looked: number,
): Verdict {
  if (looked === 0) return { code: "nothing_yet" };
  const order = byChance(posterior).filter((pest) => about.includes(pest));
  const sure = order.filter((pest) => posterior.of[pest] >= NAMED_FROM);
  if (sure.length > 0) return { code: "named", pests: sure };
  if (posterior.none >= NAMED_FROM) return { code: "none", p: posterior.none };
  const best = worth[0];
  const test = best && best.bits >= SETTLES_FROM_BITS ? best : null;
  const [first, second] = order;
  if (!first) throw new RangeError("no pest is in question");
  const alike =
    second !== undefined &&
    posterior.of[second] >= IN_QUESTION_FROM &&
    posterior.of[first] < ALIKE_WITHIN * posterior.of[second];
  if (alike) return { code: "alike", pests: [first, second], test };
  return { code: "unsure", likeliest: first, p: posterior.of[first], test };
}
