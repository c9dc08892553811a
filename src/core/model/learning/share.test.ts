import fc from "fast-check";
// @ts-expect-error the library comes without types
import jstat from "jstat";
import { describe, expect, it } from "vitest";
import { diceFrom } from "../clearance/tests/dice";
import { learnedShare } from "./share";

/** As far as it is used here. */
const { beta } = jstat as {
  readonly beta: { mean: (a: number, b: number) => number; inv: (p: number, a: number, b: number) => number };
};
const prior = { share: 0.1, weigh: 10 };

describe("a share, learned from counts", () => {
  // Reference: the beta distribution of the statistics library `jstat`; beta-binomial is conjugate.
  it.each([
    [0, 0],
    [0, 14],
    [4, 13],
    [13, 13],
    [1, 200],
    [90, 400],
    [0, 5000],
  ])("%i of %i: mean and bounds as a statistics library has them", (hits, of) => {
    const [a, b] = [1 + hits, 9 + of - hits];
    const { mean, low, high } = learnedShare(hits, of, prior);
    expect(mean).toBeCloseTo(beta.mean(a, b), 12);
    expect(Math.abs(low - beta.inv(0.1, a, b))).toBeLessThan(0.0005);
    expect(Math.abs(high - beta.inv(0.9, a, b))).toBeLessThan(0.0005);
  });

  it("more of them raise it, more counts narrow it, and the true share is within its bounds four times in five", () => {
    const at = (hits: number, of: number) => learnedShare(hits, of, prior);
    expect(at(5, 10).mean).toBeGreaterThan(at(4, 10).mean);
    expect(at(40, 100).high - at(40, 100).low).toBeLessThan(at(4, 10).high - at(4, 10).low);
    // Calibrated by simulation: shares drawn from the prior, then counted (Talts et al. 2018, from memory; ranks below and above a bound).
    const seen = calibrated(4000);
    expect(seen.within).toBeGreaterThan(0.78);
    expect(seen.within).toBeLessThan(0.82);
    expect(Math.abs(seen.below - seen.above)).toBeLessThan(0.03);
  });

  it("is between 0 and 1 whatever was counted, and takes no half-counted things", () => {
    fc.assert(
      fc.property(fc.nat(3000), fc.nat(3000), (hits, missed) => {
        const { mean, low, high } = learnedShare(hits, hits + missed, prior);
        expect(low).toBeGreaterThanOrEqual(0);
        expect(high).toBeLessThanOrEqual(1);
        expect(low).toBeLessThan(high);
        expect(mean).toBeGreaterThan(0);
      }),
      { numRuns: 30 },
    );
    expect(() => learnedShare(3, 2, prior)).toThrow(RangeError);
  });
});

/** How often a share drawn from the prior lies within, below and above the bounds that 13 counts of it lead to. */
function calibrated(keepers: number): { within: number; below: number; above: number } {
  const { uniform } = diceFrom(20261201);
  const known = Array.from({ length: 14 }, (_, hits) => learnedShare(hits, 13, prior));
  const counts = { within: 0, below: 0, above: 0 };
  for (let n = 0; n < keepers; n++) {
    // The least of nine even draws is beta with 1 and 9.
    const share = Math.min(...Array.from({ length: 9 }, uniform));
    const { low, high } = known[Array.from({ length: 13 }, uniform).filter((one) => one < share).length]!;
    counts[share < low ? "below" : share > high ? "above" : "within"] += 1 / keepers;
  }
  return counts;
}
