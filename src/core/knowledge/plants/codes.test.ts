import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { byCode, nextCodes } from "./codes";

describe("codes proposed in sequence", () => {
  it("begin anew where there is none", () => {
    expect(nextCodes([], 3)).toEqual(["P01", "P02", "P03"]);
  });

  it("go on from the family that most plants share, with as many digits", () => {
    expect(nextCodes(["L001", "L007", "K3", "windowsill"], 2)).toEqual(["L008", "L009"]);
  });

  it("pass over what is taken, whatever the case of its letters", () => {
    expect(nextCodes(["A1", "A2", "a3", "A9"], 1)).toEqual(["A10"]);
  });

  it("refuse a count that is none", () => {
    expect(() => nextCodes([], -1)).toThrow(RangeError);
    expect(() => nextCodes([], 1.5)).toThrow(RangeError);
  });

  it("are all different and all free, for any codes there are", () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 8 })), fc.integer({ min: 0, max: 40 }), (taken, count) => {
        const proposed = nextCodes(taken, count).map((code) => code.toLowerCase());
        const known = taken.map((code) => code.toLowerCase());
        expect(new Set(proposed).size).toBe(count);
        expect(proposed.some((code) => known.includes(code))).toBe(false);
      }),
    );
  });

  it("sort as people count", () => {
    expect(["O10", "b2", "O2", "A1", "b10"].toSorted(byCode)).toEqual(["A1", "b2", "b10", "O2", "O10"]);
  });
});
