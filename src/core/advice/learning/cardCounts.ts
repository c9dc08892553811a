import { groupBy } from "../../shared/groupBy";
import type { TrapCount } from "../../record/facts/facts";
import { reliabilityOf, type ToldBetween } from "./reliability";

/** Counts on cards, of which a span had been told before. */
export interface CardsHeld {
  /** How often counts lay within their span, beside how often they should have; null while none was held. */
  readonly within: ToldBetween | null;
  /** Counts that lay below their span, and above it. */
  readonly below: number;
  readonly above: number;
}

/**
 * What cards counted, held against the spans that had been told of them. What was counted at a place twice on one day is of several cards,
 * of which one count alone says nothing. `counts` are those that stand. @example cardsHeld([]) // { within: null, below: 0, above: 0 }
 */
export function cardsHeld(
  counts: readonly Pick<TrapCount, "what" | "placeId" | "day" | "count" | "toldLow" | "toldHigh" | "toldWithin">[],
): CardsHeld {
  const onCards = counts.filter(({ what }) => what === "cards");
  const held = [...groupBy(onCards, ({ placeId, day }) => `${placeId} ${day}`).values()].flatMap((ofDay) => {
    const [one] = ofDay;
    if (ofDay.length > 1 || !one || one.toldLow === null || one.toldHigh === null || one.toldWithin === null) return [];
    return [{ p: one.toldWithin, below: one.count < one.toldLow, above: one.count > one.toldHigh }];
  });
  const [within = null] = reliabilityOf(
    held.map(({ p, below, above }) => ({ p, came: !below && !above })),
    [0, 1],
  );
  return {
    within,
    below: held.filter(({ below }) => below).length,
    above: held.filter(({ above }) => above).length,
  };
}
