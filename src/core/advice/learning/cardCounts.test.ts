import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { cardsHeld } from "./cardCounts";

const count = (
  n: number,
  flies: number,
  told: readonly [low: number, high: number] | null = [4, 12],
  placeId = "sill",
) => ({
  ...{ what: "cards" as const, placeId, day: day(`2026-11-${String(n).padStart(2, "0")}`), count: flies },
  ...{ toldLow: told?.[0] ?? null, toldHigh: told?.[1] ?? null, toldWithin: told ? 0.84 : null },
});

describe("cards held against what was told of them", () => {
  it("lie within their span, both ends included, below it or above it", () => {
    const counts = [count(1, 4), count(8, 12), count(15, 3), count(22, 13), count(29, 14)];
    const { within, below, above } = cardsHeld(counts);
    expect(within!.came).toMatchObject({ hits: 2, of: 5 });
    expect(within!.told).toBeCloseTo(0.84, 12);
    expect([below, above]).toEqual([1, 2]);
    // By hand, binomial: at most 2 of 5 at 0.84 each: 0.16⁵ + 5 · 0.84 · 0.16⁴ + 10 · 0.84² · 0.16³ = 0.0318.
    expect(within!.off).toBe("tooSure");
  });

  it("tell nothing where nothing was told, of a slice, or of a day on which several were counted", () => {
    expect(cardsHeld([])).toEqual({ within: null, below: 0, above: 0 });
    expect(cardsHeld([count(1, 5, null)]).within).toBeNull();
    expect(cardsHeld([{ ...count(1, 5), what: "slice" }]).within).toBeNull();
    // One more card of the same day: the first count was of a part of what was told.
    expect(cardsHeld([count(1, 5), count(1, 2, null)]).within).toBeNull();
    expect(cardsHeld([count(1, 5), count(1, 2, null, "shelf")]).within!.came.of).toBe(1);
  });

  it("are the same in any order", () => {
    const counts = [count(1, 4), count(8, 20), count(15, 3)];
    expect(cardsHeld(counts.toReversed())).toEqual(cardsHeld(counts));
  });
});
