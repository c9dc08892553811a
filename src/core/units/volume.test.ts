import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  fromMillilitres,
  fromTeaspoonsAQuart,
  measureMl,
  mL,
  toMillilitres,
  toTeaspoonsAQuart,
  type Measure,
} from "./volume";

describe("volumes", () => {
  // Source: NIST SP 811 (2008), appendix B.8, and NIST Handbook 44 (2023), appendix C: exact values in mL.
  it.each<[Measure, number]>([
    ["usGallon", 3785.411784],
    ["usQuart", 946.352946],
    ["usPint", 473.176473],
    ["usCup", 236.5882365],
    ["usFluidOunce", 29.5735295625],
    ["usTablespoon", 14.78676478125],
    ["usTeaspoon", 4.92892159375],
  ])("one %s is %d mL exactly", (measure, ml) => {
    expect(measureMl[measure]).toBeCloseTo(ml, 9);
  });

  // Source: 21 CFR 101.9(b)(5)(viii): for nutrition labelling 1 tsp means 5 mL, 1 tbsp 15 mL, 1 fl oz 30 mL, 1 cup 240 mL.
  it.each<[Measure, number]>([
    ["usTeaspoon", 5],
    ["usTablespoon", 15],
    ["usFluidOunce", 30],
    ["usCup", 240],
  ])("a household %s lies within 1.5 %% of the %d mL used on food labels", (measure, label) => {
    expect(Math.abs(measureMl[measure] / label - 1)).toBeLessThan(0.015);
  });

  it("metric spoons are the household measures of 21 CFR 101.9 exactly", () => {
    expect([measureMl.metricTeaspoon, measureMl.metricTablespoon]).toEqual([5, 15]);
  });

  it("goes there and back", () => {
    const measures = Object.keys(measureMl) as Measure[];
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), fc.constantFrom(...measures), (amount, measure) => {
        expect(fromMillilitres(toMillilitres(amount, measure), measure)).toBeCloseTo(amount, 6);
      }),
    );
  });

  // NIST Handbook 44: a US quart is 192 US teaspoons, so that one of them is 1000 / 192 mL in a litre, whatever a teaspoon is.
  it("a teaspoon a quart is 5.208 mL per litre, there and back", () => {
    expect(fromTeaspoonsAQuart(1)).toBeCloseTo(1000 / 192, 12);
    expect(toTeaspoonsAQuart(fromTeaspoonsAQuart(2.5))).toBeCloseTo(2.5, 12);
    expect(toTeaspoonsAQuart(0)).toBe(0);
  });

  it.each([-1, NaN, Infinity])("refuses %d mL and names it", (value) => {
    expect(() => mL(value)).toThrow(new RangeError(`a volume must be 0 mL or more, got ${value}`));
  });
});
