import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toCentimetres, toInches } from "./length";
import { inFahrenheitSteps, toCelsius, toFahrenheit } from "./temperature";

// Source: NIST SP 811 (2008), appendix B.8: the degree Fahrenheit and the inch, both exact.
describe("units that US keepers read", () => {
  it.each([
    [-40, -40],
    [0, 32],
    [20, 68],
    [37, 98.6],
    [100, 212],
  ])("%d °C is %d °F", (celsius, fahrenheit) => {
    expect(toFahrenheit(celsius)).toBeCloseTo(fahrenheit, 12);
    expect(toCelsius(fahrenheit)).toBeCloseTo(celsius, 12);
  });

  it("go there and back, and a step is a step anywhere", () => {
    fc.assert(
      fc.property(fc.double({ min: -50, max: 60, noNaN: true }), (value) => {
        expect(toCelsius(toFahrenheit(value))).toBeCloseTo(value, 9);
        expect(toInches(toCentimetres(value))).toBeCloseTo(value, 9);
        expect(toFahrenheit(value + 5) - toFahrenheit(value)).toBeCloseTo(inFahrenheitSteps(5), 9);
      }),
    );
    expect([toCentimetres(1), toCentimetres(6), toInches(2.54)]).toEqual([2.54, 15.24, 1]);
  });
});
