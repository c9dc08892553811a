import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { drenchVolume } from "../../acts/drench";
import { frustumMl, mixVolumeMl, potForRoots, potWidthsCm } from "./pots";

describe("what a pot holds", () => {
  it("a frustum against thin discs added up (geometry)", () => {
    const discs = 100_000;
    const [top, bottom, height] = [14, 10, 12];
    let sum = 0;
    for (let i = 0; i < discs; i++) {
      const width = bottom + ((top - bottom) * (i + 0.5)) / discs;
      sum += (Math.PI * width ** 2 * height) / 4 / discs;
    }
    expect(frustumMl(top, bottom, height)).toBeCloseTo(sum, 3);
    expect(frustumMl(10, 10, 10)).toBeCloseTo(250 * Math.PI, 9);
  });

  // What growers' pots of these widths are sold as, litres (the trade, from memory); makes differ by a quarter.
  it.each([
    [9, 0.4],
    [12, 0.9],
    [14, 1.3],
    [17, 2.2],
    [19, 3],
    [23, 5],
    [28, 10],
  ])("a pot %i cm wide holds about %d L", (widthCm, litres) => {
    expect(mixVolumeMl(widthCm) / 1000 / litres).toBeGreaterThan(0.75);
    expect(mixVolumeMl(widthCm) / 1000 / litres).toBeLessThan(1.3);
  });

  it("a drench is a share of it", () => {
    expect(drenchVolume(12)).toBe(260);
    expect(() => drenchVolume(0)).toThrow(RangeError);
  });
});

describe("the pot for what is left of the roots", () => {
  // "Often a size smaller, to fit what roots are left" (common practice, no source).
  it.each([
    [14, 1, 14],
    [14, 0.5, 12],
    [14, 0.25, 10],
    [8, 0.1, 4],
  ])("of a pot of %i cm with %d of the roots: %i cm", (potCm, left, expected) => {
    expect(potForRoots(potCm, left)).toBe(expected);
  });

  it("is never wider than before, never too narrow for the roots, and one width less would be tight", () => {
    fc.assert(
      fc.property(fc.constantFrom(...potWidthsCm), fc.double({ min: 0.02, max: 1, noNaN: true }), (potCm, left) => {
        const pot = potForRoots(potCm, left);
        expect(pot).toBeLessThanOrEqual(potCm);
        expect(mixVolumeMl(pot)).toBeGreaterThanOrEqual(left * mixVolumeMl(potCm) * (1 - 1e-9));
        const narrower = potWidthsCm.findLast((width) => width < pot);
        if (narrower) expect(mixVolumeMl(narrower)).toBeLessThan(1.25 * left * mixVolumeMl(potCm));
      }),
    );
    expect(() => potForRoots(12, 0)).toThrow(RangeError);
  });
});
