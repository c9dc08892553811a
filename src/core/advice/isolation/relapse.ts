import type { Case } from "../../record/cases/cases";
import type { Day } from "../../shared/days";
import type { Blamed } from "../spread/carries";

/** A case of a pest that was called clear on this plant before. */
export interface Relapse {
  readonly clearedOn: Day;
  /** The chance that it is the same line, which had not ended, and not one that came anew; null while that is not reckoned. */
  readonly sameLine: number | null;
}

/**
 * Whether a case is a return, and with what odds: the last case of that pest before it was closed as clear. The odds are the shares
 * of the ways by which it may have come: what remained of an earlier case against everything else. Null where it is none.
 * @example returnedFrom(first, [first], null) // null
 */
export function relapseFrom(
  found: Pick<Case, "id" | "pest" | "openedAt">,
  cases: readonly Case[],
  origin: readonly Blamed[] | null,
): Relapse | null {
  const before = cases
    .filter(({ id, pest, openedAt }) => id !== found.id && pest === found.pest && openedAt < found.openedAt)
    .toSorted((a, b) => a.openedAt.getTime() - b.openedAt.getTime())
    .at(-1);
  if (before?.closing?.outcome !== "clear") return null;
  const shares = origin?.filter(({ pest }) => pest === found.pest) ?? [];
  const all = shares.reduce((sum, { share }) => sum + share, 0);
  const remained = shares.reduce((sum, { kind, share }) => sum + (kind === "remained" ? share : 0), 0);
  return { clearedOn: before.closing.day, sameLine: all > 0 ? remained / all : null };
}
