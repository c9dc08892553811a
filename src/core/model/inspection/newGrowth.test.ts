import { describe, expect, it } from "vitest";
import { pestIds, pestOf, pests } from "../../knowledge/pests/pests";
import { marksNewLeaves, unmarked } from "./newGrowth";

describe("new growth as a look", () => {
  // By hand: 1 − .92³ = .221312, for those that feed, at all sites alike (HOUSE).
  it("three leaves without a mark", () => {
    const [egg, ...feeding] = unmarked(pests.spiderMite, 3);
    expect(egg).toEqual([0, 0, 0]);
    for (const stage of feeding) for (const chance of stage) expect(chance).toBeCloseTo(0.221312, 12);
  });

  it("what does not feed on leaves marks none: eggs, pupae in the mix, gnats in the air", () => {
    expect(unmarked(pests.thrips, 5).map(([open]) => open > 0)).toEqual([false, true, false, true, true]);
    expect(
      unmarked(pests.fungusGnat, 5)
        .flat()
        .every((chance) => chance === 0),
    ).toBe(true);
  });

  it("says something of the four pests that mark new leaves", () => {
    expect(pestIds.filter(marksNewLeaves).toSorted()).toEqual(["aphid", "mealybug", "spiderMite", "thrips"]);
    expect(pestOf("softScale").stages.length).toBeGreaterThan(0);
    expect(marksNewLeaves("softScale")).toBe(false);
  });
});
