import { standing, type Placement } from "../facts/facts";

/** A plant stood at a place from a moment (included) until another (excluded); null while it still does. */
export interface Stay {
  readonly placeId: string;
  readonly from: Date;
  readonly until: Date | null;
}

/** A stay at one spot in the row of a place; null where nobody has said which. */
export interface Stand extends Stay {
  readonly slot: number | null;
}

/**
 * Where one plant stood, in which spot of the row, and when; oldest first. `placements` in the order in which they happened;
 * those struck out count nothing. `goneAt` is when the plant left the collection, null while it is there.
 */
export function standsOf(placements: readonly Placement[], goneAt: Date | null): Stand[] {
  const stood = standing(placements);
  return stood.flatMap(({ placeId, slot, at }, i) => {
    const next = stood[i + 1]?.at ?? goneAt;
    const until = next !== null && goneAt !== null && goneAt < next ? goneAt : next;
    return until !== null && until <= at ? [] : [{ placeId, slot, from: at, until }];
  });
}

/** Where one plant stood and when: as {@link standsOf}, but shifting it along its row is no move. */
export function staysOf(placements: readonly Placement[], goneAt: Date | null): Stay[] {
  const stays: Stay[] = [];
  for (const { placeId, from, until } of standsOf(placements, goneAt)) {
    const last = stays.at(-1);
    if (last?.placeId === placeId && last.until?.getTime() === from.getTime())
      stays[stays.length - 1] = { ...last, until };
    else stays.push({ placeId, from, until });
  }
  return stays;
}

/** The stay during which a moment falls; null where it stood nowhere yet, or no longer. */
export function stayAt(stays: readonly Stay[], at: Date): Stay | null {
  return stays.find(({ from, until }) => from <= at && (until === null || at < until)) ?? null;
}
