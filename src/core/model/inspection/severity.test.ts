import { describe, expect, it } from "vitest";
import { animalsIn, severities, severityOf } from "./severity";

describe("severity", () => {
  // Bounds: our own estimates; ideas common practice, no source.
  it.each([
    [1, "trace"],
    [2, "trace"],
    [3, "light"],
    [10, "light"],
    [11, "patch"],
    [50, "patch"],
    [51, "heavy"],
    [500, "overrun"],
  ])("%d animals are %s", (count, expected) => {
    expect(severityOf(count)).toBe(expected);
  });

  it("leaves no count without a class and puts each class's typical number inside it", () => {
    for (let i = 1; i < severities.length; i++) expect(severities[i]!.from).toBe(severities[i - 1]!.to + 1);
    for (const s of severities) expect(severityOf(Math.round(s.typical))).toBe(s.id);
  });

  // The geometric middle of the class bounds, by its definition √(from · to).
  it.each([
    ["trace", Math.sqrt(1 * 2)],
    ["light", Math.sqrt(3 * 10)],
    ["patch", Math.sqrt(11 * 50)],
    ["heavy", Math.sqrt(51 * 200)],
  ] as const)("the typical number of %s is its geometric middle", (severity, middle) => {
    expect(animalsIn({ severity, count: null }) / middle).toBeCloseTo(1, 1);
  });

  it("prefers a count", () => {
    expect(animalsIn({ severity: "light", count: 4 })).toBe(4);
    expect(() => severityOf(0)).toThrow(RangeError);
  });
});
