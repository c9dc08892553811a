import { describe, expect, it } from "vitest";
import { growthFormIds } from "@/core/knowledge/plants/growthForms";
import { dryDaysFor, unpottingSteps as steps } from "@/core/knowledge/roots/unpotting";
import { drySentence, unpottingSteps } from "./roots";

describe("unpotting in words", () => {
  // Common practice, no source: washed roots of succulents close their wounds dry; what has thin leaves is watered in at once.
  it("tells what wilts to be watered in, and what rots to be kept dry, and never both", () => {
    for (const form of growthFormIds) {
      const days = dryDaysFor(form, 0);
      const said = drySentence(days);
      expect(/Let the roots dry/.test(said)).toBe(days > 0);
      expect(/water it in/.test(said)).toBe(days === 0);
    }
    expect(drySentence(dryDaysFor("fern", 0))).toContain("No drying");
    expect(drySentence(dryDaysFor("columnarCactus", 0))).toContain("No water for");
    expect(drySentence(dryDaysFor("columnarCactus", 90))).toContain("until it grows again");
  });

  it("has words for every step", () => {
    expect([...Object.keys(unpottingSteps), "dry"].toSorted()).toEqual(steps.map(({ id }) => id).toSorted());
    for (const said of Object.values(unpottingSteps)) expect(said).toMatch(/^[A-Z0-9].*\.$/);
  });
});
