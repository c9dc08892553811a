import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { priorsFor } from "../diagnosis/priors";
import { lookPlanner, waysToLook, type LookCandidate } from "./tonight";

const candidate = (plantId: string, ...ways: [minutes: number, pFind: number][]): LookCandidate<number> => ({
  plantId,
  ways: ways.map(([minutes, pFind], way) => ({ way, minutes, pFind })),
});

/** The most that any choice of at most one way each finds in that time: every choice is tried. */
function best(all: readonly LookCandidate<number>[], minutes: number): number {
  const [first, ...rest] = all;
  if (!first) return 0;
  const taken = first.ways
    .filter((way) => way.minutes <= minutes)
    .map((way) => way.pFind + best(rest, minutes - way.minutes));
  return Math.max(best(rest, minutes), ...taken);
}

describe("the looks that find most", () => {
  it("are those that find most per minute, and the better way where it pays", () => {
    const all = [candidate("a", [1, 0.2], [3, 0.4]), candidate("b", [1, 0.08]), candidate("c", [1, 0.01])];
    const plan = lookPlanner(all, 0.61)(4);
    expect(plan.chosen.map(({ plantId, way }) => [plantId, way])).toEqual([
      ["a", 1],
      ["b", 0],
    ]);
    expect(plan.finds).toBeCloseTo(0.48, 12);
    expect(plan.leaves).toBeCloseTo(0.13, 12);
    expect(lookPlanner(all, 0.61)(0)).toMatchObject({ chosen: [], minutes: 0, finds: 0 });
    expect(() => lookPlanner(all, 0.61)(-1)).toThrow(RangeError);
  });

  it("never take longer than there is, never choose a plant twice, and are within one look of the best", () => {
    const way = fc.record({
      minutes: fc.integer({ min: 1, max: 9 }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    const some = fc.array(
      fc.record({ p: fc.double({ min: 0, max: 1, noNaN: true }), ways: fc.array(way, { minLength: 1, maxLength: 2 }) }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 0, max: 25 }), (all, minutes) => {
        const candidates = all.map(({ p, ways }, i) =>
          candidate(`p${i}`, ...ways.map(({ minutes: m, share }): [number, number] => [m, p * share])),
        );
        const carry = all.reduce((sum, { p }) => sum + p, 0);
        const plan = lookPlanner(candidates, carry)(minutes);
        expect(plan.minutes).toBeLessThanOrEqual(minutes + 1e-9);
        expect(new Set(plan.chosen.map(({ plantId }) => plantId)).size).toBe(plan.chosen.length);
        const largest = Math.max(0, ...candidates.flatMap(({ ways }) => ways.map(({ pFind }) => pFind)));
        expect(plan.finds).toBeGreaterThanOrEqual(best(candidates, minutes) - largest - 1e-9);
        // More time never leaves more.
        expect(lookPlanner(candidates, carry)(minutes + 40).leaves).toBeLessThanOrEqual(plan.leaves + 1e-9);
      }),
    );
  });

  it("weighs the usual look against the best there is, the roots in neither", () => {
    const circumstances = { form: "trailingVine", meanC: 22, season: "autumn", nearby: {} } as const;
    const [usual, thorough] = waysToLook(["lamp", "loupe"], "trailingVine", priorsFor(circumstances));
    expect([usual?.tool, thorough?.tool]).toEqual(["lamp", "loupe"]);
    expect(thorough!.search.spots.length).toBeGreaterThan(usual!.search.spots.length);
    expect([...usual!.search.spots, ...thorough!.search.spots]).not.toContain("roots");
    expect(waysToLook([], "fern", priorsFor({ ...circumstances, form: "fern" })).map(({ tool }) => tool)).toEqual([
      "eye",
      "eye",
    ]);
  });
});
