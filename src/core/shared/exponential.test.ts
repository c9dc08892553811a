import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { exp, expm1, ln, ln1p } from "./exponential";

function close(a: number, b: number): void {
  expect(Math.abs(a - b)).toBeLessThanOrEqual(4e-16 * Math.abs(b));
}

/** Reference: the engine's own functions, which are right to about one unit in the last place. */
describe("exponential and logarithms", () => {
  it("agree with the engine's to the last place or so", () => {
    fc.assert(fc.property(fc.double({ min: -700, max: 700, noNaN: true }), (x) => close(exp(x), Math.exp(x))));
    fc.assert(fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (x) => close(exp(x), Math.exp(x))));
    fc.assert(fc.property(fc.double({ min: 1e-300, max: 1e300, noNaN: true }), (x) => close(ln(x), Math.log(x))));
    fc.assert(fc.property(fc.double({ min: 0.5, max: 2, noNaN: true }), (x) => close(ln(x), Math.log(x))));
    fc.assert(fc.property(fc.double({ min: -0.999, max: 1e6, noNaN: true }), (x) => close(ln1p(x), Math.log1p(x))));
    fc.assert(fc.property(fc.double({ min: -0.34, max: 0.34, noNaN: true }), (x) => close(expm1(x), Math.expm1(x))));
  });

  it.each([
    ["exp 0", exp(0), 1],
    ["exp 1", exp(1), Math.E],
    ["ln 1", ln(1), 0],
    ["ln 2", ln(2), Math.LN2],
    ["ln 10", ln(10), Math.LN10],
    ["e^x − 1 of next to nothing", expm1(-1e-20), -1e-20],
    ["e^x − 1 of 2", expm1(2), Math.expm1(2)],
    ["ln 1p of next to nothing", ln1p(1e-20), 1e-20],
  ])("%s", (_what, value, expected) => {
    close(value, expected);
  });

  it("know their edges", () => {
    expect([exp(-Infinity), exp(-800), exp(800), exp(Infinity), exp(NaN)]).toEqual([0, 0, Infinity, Infinity, NaN]);
    expect([ln(0), ln(-1), ln(Infinity), ln(NaN)]).toEqual([-Infinity, NaN, Infinity, NaN]);
    expect([ln1p(-1), ln1p(-2), ln1p(0)]).toEqual([-Infinity, NaN, 0]);
    // Numbers so small that they have lost digits.
    expect(exp(-740) / Math.exp(-740)).toBeCloseTo(1, 1);
    close(ln(5e-320), Math.log(5e-320));
    close(exp(709.7), Math.exp(709.7));
  });

  it("there and back", () => {
    fc.assert(
      fc.property(fc.double({ min: -500, max: 500, noNaN: true }), (x) => {
        expect(Math.abs(ln(exp(x)) - x)).toBeLessThan(1e-13 * Math.max(1, Math.abs(x)));
      }),
    );
  });
});
