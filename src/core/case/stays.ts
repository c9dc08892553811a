import { standing, type Placement } from "../facts/facts";

/** A plant stood at a place from a moment (included) until another (excluded); null while it still does. */
export interface Stay {
  readonly placeId: string;
  readonly from: Date;
  readonly until: Date | null;
}

/**
 * Where one plant stood and when, oldest first. `placements` in the order in which they happened; those struck out count
 * nothing. `goneAt` is when the plant left the collection, null while it is there.
 */
export function staysOf(placements: readonly Placement[], goneAt: Date | null): Stay[] {
  const stood = standing(placements);
  return stood.flatMap(({ placeId, at }, i) => {
    const next = stood[i + 1]?.at ?? goneAt;
    const until = next !== null && goneAt !== null && goneAt < next ? goneAt : next;
    return until !== null && until <= at ? [] : [{ placeId, from: at, until }];
  });
}

/** The stay during which a moment falls; null where it stood nowhere yet, or no longer. */
export function stayAt(stays: readonly Stay[], at: Date): Stay | null {
  return stays.find(({ from, until }) => from <= at && (until === null || at < until)) ?? null;
}
