import type { OutcomeId } from "../../record/facts/kinds/closing";
import type { ToldAndTrue } from "./reliability";

/** A plan that was adopted for a case, with what it promised. */
export interface Promised {
  readonly adoptedAt: Date;
  /** The chance, told when it was adopted, that the looks after it are clean; null where it could not be reckoned. */
  readonly pClean: number | null;
  /** Its treatments, each with when it was carried out; null for one that was not. */
  readonly treatments: readonly (Date | null)[];
}

/** What became of the case: when its pest was found, and how it ended. */
export interface CaseCourse {
  readonly finds: readonly Date[];
  readonly closedAt: Date | null;
  readonly outcome: OutcomeId | null;
}

/**
 * What came of each plan of a case, in the order of `plans`, the oldest first: whether the looks after its last treatment were clean until the case was called clear. Left out where nobody
 * knows: a treatment was not carried out, another plan came before the end, the plant was lost, or it still runs.
 * @example promisesKept([], { finds: [], closedAt: null, outcome: null }) // []
 */
export function promisesKept(plans: readonly Promised[], { finds, closedAt, outcome }: CaseCourse): ToldAndTrue[] {
  return plans.flatMap(({ pClean, treatments }, i): ToldAndTrue[] => {
    const done = treatments.filter((at) => at !== null);
    if (pClean === null || done.length === 0 || done.length < treatments.length) return [];
    const last = Math.max(...done.map((at) => at.getTime()));
    const next = plans[i + 1]?.adoptedAt.getTime() ?? Infinity;
    // Whoever finds some plans anew: the find is the answer to the plan before.
    if (finds.some((at) => at.getTime() > last && at.getTime() <= next)) return [{ p: pClean, came: false }];
    const clear = outcome === "clear" && closedAt !== null && closedAt.getTime() >= last && next === Infinity;
    return clear ? [{ p: pClean, came: true }] : [];
  });
}
