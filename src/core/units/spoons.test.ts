import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { nearestPour } from "./spoons";
import { measureMl, mL } from "./volume";

describe("the nearest pour", () => {
  // Each row is one level spoon or an easy fraction of it, by the definition of the spoon.
  it.each([
    ["a level metric teaspoon", 5, "metric", "metricTeaspoon", 1],
    ["one and a half, the usual neem per litre", 7.5, "metric", "metricTeaspoon", 1.5],
    ["a tablespoon rather than three teaspoons", 15, "metric", "metricTablespoon", 1],
    ["a US teaspoon", 4.93, "us", "usTeaspoon", 1],
    ["a quarter of a US teaspoon", 1.23, "us", "usTeaspoon", 0.25],
    ["a US cup", 236.6, "us", "usCup", 1],
  ] as const)("%s", (_why, volume, spoons, measure, count) => {
    expect(nearestPour(mL(volume), spoons)).toMatchObject({ measure, count });
  });

  it.each([
    ["a syringe needs no spoons", 5, "syringe"],
    ["nothing needs no spoon", 0, "metric"],
    ["under an eighth of a teaspoon", 0.25, "metric"],
    ["nobody counts 24 tablespoons", 364.6, "metric"],
  ] as const)("has no answer: %s", (_why, volume, spoons) => {
    expect(nearestPour(mL(volume), spoons)).toBeNull();
  });

  it("a spoon that is far off gives way to a smaller one that is not: six tablespoons, not half a cup", () => {
    expect(nearestPour(mL(89), "us")).toMatchObject({ measure: "usTablespoon", count: 6 });
    expect(nearestPour(mL(120), "us")).toMatchObject({ measure: "usCup", count: 0.5 });
  });

  it("is off by no more than half a step, and says by how much", () => {
    fc.assert(
      fc.property(fc.double({ min: 2.5, max: 80, noNaN: true }), fc.constantFrom("metric", "us"), (volume, spoons) => {
        const pour = nearestPour(mL(volume), spoons);
        if (!pour) return;
        const poured = pour.count * measureMl[pour.measure];
        expect(pour.error).toBeCloseTo(poured / volume - 1, 9);
        expect(Math.abs(poured - volume)).toBeLessThanOrEqual(measureMl[pour.measure] / 4 + 1e-9);
      }),
    );
  });
});
