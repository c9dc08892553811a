import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { degreeDaysPerDay } from "./degreeDays";
import { sineDegreeDays } from "./singleSine";

const range = { lowerC: 10, upperC: 32 };

/** The same by adding up the day in small pieces. */
function byPieces(minC: number, maxC: number): number {
  const pieces = 20_000;
  let sum = 0;
  for (let i = 0; i < pieces; i++) {
    const celsius = (minC + maxC) / 2 + ((maxC - minC) / 2) * Math.sin((2 * Math.PI * (i + 0.5)) / pieces);
    sum += degreeDaysPerDay(range, celsius);
  }
  return sum / pieces;
}

describe("degree-days by the single sine", () => {
  // Source: numerical integration of the curve that Baskerville and Emin 1969 integrate in closed form.
  it("are those of the curve added up in pieces, on 1000 days with their thresholds on any side", () => {
    const celsius = fc.double({ min: -5, max: 45, noNaN: true });
    fc.assert(
      fc.property(celsius, celsius, (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(sineDegreeDays(range, low, high)).toBeCloseTo(byPieces(low, high), 4);
      }),
      { numRuns: 1000 },
    );
  });

  it("are those of the mean where the day has one temperature, and more where only the noon is warm enough", () => {
    expect(sineDegreeDays(range, 22, 22)).toBe(degreeDaysPerDay(range, 22));
    expect(sineDegreeDays(range, 2, 16)).toBeGreaterThan(degreeDaysPerDay(range, 9));
    expect(sineDegreeDays(range, 35, 40)).toBe(22);
  });

  it("need a lowest and a highest temperature", () => {
    expect(() => sineDegreeDays(range, 20, 10)).toThrow(RangeError);
    expect(() => sineDegreeDays(range, NaN, 10)).toThrow(RangeError);
  });
});
