import { describe, expect, it } from "vitest";
import { airOf, dayDeficitKPa, deficitKPa, saturationKPa } from "./vapour";

describe("the thirst of air", () => {
  // Source: FAO Irrigation and Drainage Paper 56, Allen et al. 1998, example 3 (saturation) and annex 2, table 2.3; from memory.
  it.each([
    [24.5, 3.075],
    [15, 1.705],
    [1, 0.657],
    [20, 2.338],
    [30, 4.243],
  ])("at %d °C air holds %d kPa", (celsius, kPa) => {
    expect(saturationKPa(celsius)).toBeCloseTo(kPa, 2);
  });

  // Source: FAO-56, examples 5 and 6: 18 °C at 82 %, 25 °C at 54 %; actual vapour pressure 1.70 kPa, deficit 0.91 kPa.
  it("of a day known by its extremes is that of the worked example", () => {
    const deficit = dayDeficitKPa({ minC: 18, maxC: 25, minHumidity: 54, maxHumidity: 82 });
    expect(deficit).toBeCloseTo(0.91, 2);
    expect((saturationKPa(18) + saturationKPa(25)) / 2 - deficit).toBeCloseTo(1.7, 2);
  });

  it("is none in air that is full, and all of it in air without water", () => {
    expect(deficitKPa(20, 100)).toBe(0);
    expect(deficitKPa(20, 0)).toBeCloseTo(saturationKPa(20), 12);
    expect([airOf(0.3), airOf(0.8), airOf(1.5)]).toEqual(["damp", "even", "dry"]);
  });

  it("refuses what no air has", () => {
    expect(() => deficitKPa(20, 101)).toThrow(RangeError);
    expect(() => saturationKPa(NaN)).toThrow(RangeError);
  });
});
