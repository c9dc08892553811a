import { describe, expect, it } from "vitest";
import { act } from "../../acts/acts";
import { growthFormIds } from "../plants/growthForms";
import { dryDaysFor, mediumOf, stepsFor } from "./unpotting";

// Common practice, no source.
describe("unpotting and washing", () => {
  it("orchids dry for some days with their cuts cleaned once, and go back into bark", () => {
    for (const form of ["fanOrchid", "pseudobulbOrchid"] as const) {
      expect(dryDaysFor(form, 0)).toBeGreaterThan(0);
      expect(stepsFor({ form, sensitivities: [] })).toContain("peroxide");
      expect(mediumOf(form)).toBe("bark");
    }
    expect(stepsFor({ form: "fern", sensitivities: [] })).not.toContain("peroxide");
  });

  it("whatever rests dry gets no water until spring", () => {
    for (const form of growthFormIds) {
      expect(dryDaysFor(form, 90)).toBe(90);
      expect(dryDaysFor(form, 1)).toBeGreaterThanOrEqual(dryDaysFor(form, 0));
    }
  });

  it("what it goes into is on record, and may be left out", () => {
    const unpot = { kind: "mechanical", way: "unpot", tool: null, percent: null, spots: ["roots"] };
    const roots = { leftPercent: 50, potCm: 12, dryDays: 91 };
    expect(act.safeParse({ ...unpot, roots }).success).toBe(true);
    expect(act.safeParse({ ...unpot, roots: { ...roots, medium: "bark" } }).success).toBe(true);
    expect(act.safeParse({ ...unpot, roots: { ...roots, medium: "gold" } }).success).toBe(false);
  });
});
