import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { diceFrom } from "../clearance/tests/dice";
import { factorFrom, simpsonMean } from "./tests/checks";
import { expectedOf, learnedPassing, passingFrom, passingWorth, PASSING_SPREAD, type Expected } from "./passing";

/** Looks at plants some of which stood beside a case, as a keeper with this factor makes them. */
function looksOf(dice: () => number, factor: number, n: number) {
  const found: Expected[] = [];
  let [quiet, expected] = [0, 0];
  for (let i = 0; i < n; i++) {
    const look = { passed: dice() < 0.4 ? 0.002 + 0.15 * dice() : 0, other: 0.03 * dice() };
    expected += look.passed;
    if (dice() < 1 - Math.exp(-(factor * look.passed + look.other))) found.push(look);
    else quiet += look.passed;
  }
  return { looks: n, expected, quiet, found };
}

describe("how much passes from plant to plant", () => {
  it("is our estimate while nothing is told, falls with quiet looks and rises with finds that only passing explains", () => {
    expect(learnedPassing({ quiet: 0, found: [] }, 0.7).mean).toBeCloseTo(1, 1);
    expect(() => learnedPassing({ quiet: 0, found: [] }, 0)).toThrow(RangeError);
    const found = fc.array(
      fc.record({ passed: fc.double({ min: 0.001, max: 1, noNaN: true }), other: fc.constant(0) }),
      {
        maxLength: 8,
      },
    );
    fc.assert(
      fc.property(found, fc.double({ min: 0, max: 10, noNaN: true }), (finds, quiet) => {
        const { mean } = learnedPassing({ quiet, found: finds }, 0.7);
        expect(learnedPassing({ quiet: quiet + 1, found: finds }, 0.7).mean).toBeLessThan(mean);
        const more = learnedPassing({ quiet, found: [...finds, { passed: 0.01, other: 0 }] }, 0.7).mean;
        expect(more).toBeGreaterThan(mean);
        expect(learnedPassing({ quiet, found: finds.toReversed() }, 0.7).mean).toBeCloseTo(mean, 9);
      }),
      { numRuns: 50 },
    );
  });

  it("finds that come of themselves as easily tell next to nothing", () => {
    const often = learnedPassing(
      { quiet: 0, found: Array.from({ length: 20 }, () => ({ passed: 1e-6, other: 0.2 })) },
      0.7,
    );
    expect(often.mean).toBeCloseTo(learnedPassing({ quiet: 0, found: [] }, 0.7).mean, 3);
  });

  it("has the mean that Simpson's rule gives on a grid eight times as fine (textbook)", () => {
    const [quiet, found, spread] = [
      2.5,
      [
        { passed: 0.1, other: 0.02 },
        { passed: 0.05, other: 0 },
      ],
      1.2,
    ] as const;
    const density = (log: number) =>
      found.reduce(
        (product, { passed, other }) => product * (1 - Math.exp(-(Math.exp(log) * passed + other))),
        Math.exp(-((log + spread ** 2 / 2) ** 2) / (2 * spread ** 2) - Math.exp(log) * quiet),
      );
    expect(learnedPassing({ quiet, found }, spread).mean).toBeCloseTo(simpsonMean(density, 0.05, 20), 3);
  });

  it("holds the true factor in its span four times in five, for 500 keepers (simulation-based calibration, Talts et al. 2018, from memory)", () => {
    const dice = diceFrom(20261202).uniform;
    const keepers = 500;
    let [inside, below] = [0, 0];
    for (let i = 0; i < keepers; i++) {
      const factor = factorFrom(dice, PASSING_SPREAD.mixed);
      const { low, high, mean } = learnedPassing(looksOf(dice, factor, 400), PASSING_SPREAD.mixed);
      if (factor >= low && factor <= high) inside++;
      if (factor < mean) below++;
    }
    // Three standard errors of a share of 500.
    expect(Math.abs(inside / keepers - 0.8)).toBeLessThan(0.054);
    expect(below / keepers).toBeGreaterThan(0.45);
    expect(below / keepers).toBeLessThan(0.7);
  });

  it("a shelf on which three times as much passes is found: nine in ten such keepers are told more than 1.5 after 400 looks", () => {
    const dice = diceFrom(3).uniform;
    const found = Array.from({ length: 100 }, () => passingFrom(looksOf(dice, 3, 400), "mixed")!.mean);
    expect(found.filter((mean) => mean > 1.5).length).toBeGreaterThanOrEqual(90);
  });

  it("is worth to a next keeper what the looks themselves are: off by less than 2 %", () => {
    const dice = diceFrom(27).uniform;
    const nothing = { looks: 0, expected: 0, quiet: 0, found: [] };
    let furthest = 0;
    for (const factor of [0.2, 0.6, 1, 2, 4])
      for (const n of [40, 150, 400]) {
        const one = looksOf(dice, factor, n);
        // Others' looks count a quarter each: four times the same are worth these once.
        const four = {
          ...{ looks: 4 * n, expected: 4 * one.expected, quiet: 4 * one.quiet },
          found: Array.from({ length: 4 }, () => one.found).flat(),
        };
        const { spread, worth } = { spread: PASSING_SPREAD.mixed, worth: passingWorth(four) };
        // All that others tell counts no more than our own estimate: only what stays below that can be compared.
        if (worth.precision / 4 > 1 / spread ** 2) continue;
        const given = learnedPassing(one, spread).mean;
        furthest = Math.max(furthest, Math.abs(learnedPassing(nothing, spread, worth).mean / given - 1));
      }
    expect(furthest).toBeGreaterThan(0);
    expect(furthest).toBeLessThan(0.02);
    expect(passingWorth(nothing)).toEqual({ precision: 0, pull: 0 });
    const many = passingWorth({ ...nothing, looks: 90, expected: 9, quiet: 9 });
    expect(passingFrom(nothing, "mixed", many)!.mean).toBeLessThan(0.8);
    expect(passingFrom(nothing, "ours", many)).toBeNull();
  });

  it("takes what was told apart: what passed at our own estimate, whatever was taken to pass then", () => {
    const told = { pFind: 0.3, pPassed: 0.5, passes: 2 };
    const { passed, other } = expectedOf(told);
    expect(1 - Math.exp(-(2 * passed + other))).toBeCloseTo(0.3, 12);
    expect(passed).toBeCloseTo(other / 2, 12);
  });

  it("a find where none was told of is a wonder and no end of the reckoning", () => {
    const found = [expectedOf({ pFind: 0, pPassed: 0, passes: 1 }), expectedOf({ pFind: 0, pPassed: 1, passes: 1 })];
    const { mean } = passingFrom({ looks: 9, expected: 3, quiet: 3, found }, "mixed")!;
    expect(mean).toBeGreaterThan(0.5);
    expect(mean).toBeLessThan(2);
  });

  it("is nothing from next to nothing, or where ours alone are wanted", () => {
    const some = { looks: 90, expected: 3, quiet: 3, found: [] };
    expect(passingFrom({ ...some, expected: 1, quiet: 1 }, "mixed")).toBeNull();
    expect(passingFrom(some, "ours")).toBeNull();
    expect(passingFrom(some, "mixed")!.mean).toBeLessThan(0.9);
    expect(passingFrom(some, "mine")!.mean).toBeLessThan(passingFrom(some, "mixed")!.mean);
  });
});
