import { isKnownPest, pestIds, type PestId } from "../pests/pests";

/**
 * Pests that are told by their signs only: nothing reliable is known of their lives on house plants, so that no dates are
 * reckoned against them.
 */
export const signOnlyIds = ["whitefly", "flatMite", "rootAphid"] as const;
export type SignOnlyId = (typeof signOnlyIds)[number];

/** Everything that signs may speak for. */
export type SuspectId = PestId | SignOnlyId;
export const suspectIds = [...pestIds, ...signOnlyIds] as [SuspectId, ...SuspectId[]];

/** Whether a case can be opened and reckoned for it. @example isReckoned("whitefly") // false */
export function isReckoned(suspect: SuspectId): suspect is PestId {
  return isKnownPest(suspect);
}
