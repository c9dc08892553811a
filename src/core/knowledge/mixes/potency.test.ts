import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { remedyIds } from "../remedies/remedies";
import { mixIds } from "./mixes";
import { potencyAt, potencyOf, strengthOf, TOKEN_POTENCY } from "./potency";

describe("what a strength does", () => {
  // Our own estimates (HOUSE): the rows of the table.
  it.each([
    ["alcohol", 0.6, 1],
    ["alcohol", 0.99, 1],
    ["alcohol", 0.35, 0.55],
    ["alcohol", 0.175, 0.25],
    ["soap", 5, 0.7],
    ["soap", 15, 1],
    ["oil", 1, 0.75],
    ["oil", 2, 1],
    ["oil", 3, 1.15],
    ["neem", 3, 0.75],
    ["neem", 5, 0.75],
    ["neem", 7.5, 1],
    ["neem", 15, 1.15],
  ] as const)("%s at %d: %d", (remedy, strength, potency) => {
    expect(potencyAt(remedy, strength)).toBeCloseTo(potency, 12);
  });

  it("between two rows it is linear, below the first in proportion", () => {
    expect(potencyAt("soap", 10)).toBeCloseTo(0.85, 12);
    expect(potencyAt("alcohol", 0.0875)).toBeCloseTo(0.125, 12);
    expect(potencyAt("neem", 0.2)).toBeLessThan(TOKEN_POTENCY);
    expect(() => potencyAt("oil", 0)).toThrow(RangeError);
    expect(() => potencyAt("oil", Number.NaN)).toThrow(RangeError);
  });

  it("never falls with the strength", () => {
    const strengths = fc.tuple(
      fc.constantFrom(...remedyIds),
      fc.double({ min: 0.001, max: 30, noNaN: true }),
      fc.double({ min: 1, max: 3, noNaN: true }),
    );
    fc.assert(
      fc.property(strengths, ([remedy, strength, more]) => {
        expect(potencyAt(remedy, strength * more)).toBeGreaterThanOrEqual(potencyAt(remedy, strength));
      }),
    );
  });

  it("every mix has a strength in its remedy's own measure, and does something", () => {
    expect(strengthOf("oil2")).toBe(2);
    expect(strengthOf("alcoholHalf")).toBe(0.35);
    // A US teaspoon in a US quart, by exact definitions: 4.92892159375 · 1000 / 946.352946.
    expect(strengthOf("neemWeak")).toBeCloseTo(5.2083333, 6);
    for (const mix of mixIds) expect(potencyOf(mix)).toBeGreaterThan(TOKEN_POTENCY);
  });
});
