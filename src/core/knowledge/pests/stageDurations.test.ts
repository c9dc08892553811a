import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { degreeDaysPerDay } from "../../climate/degreeDays";
import { pestIds, pestOf, pests } from "./pests";
import { eggToAdultDays, immatureStages, stageDays } from "./stageDurations";

describe("the pest table", () => {
  it.each(pestIds)("%s: the laying stage is last, the pre-laying adult before it", (id) => {
    const { stages, lowerC, upperC } = pestOf(id);
    expect(stages.at(-1)!.femaleEggs).toBeGreaterThan(1);
    expect(stages.slice(0, -1).every((stage) => stage.femaleEggs === undefined)).toBe(true);
    expect(stages.at(-2)!.id).toBe("youngAdult");
    expect(stages.every((s) => s.degreeDays > 0 && s.substages >= 1 && s.dailyDeath > 0 && s.dailyDeath < 1)).toBe(
      true,
    );
    expect(upperC).toBeGreaterThan(lowerC + 15);
  });
});

describe("egg to adult", () => {
  // Source: common practice, no source: 5–7 days hot and dry, up to 19 in a home.
  it("spider mites take at most 7 days at 33 °C and at most 20 at 18.5 °C", () => {
    expect(eggToAdultDays(pests.spiderMite, 33)).toBeLessThanOrEqual(7);
    expect(eggToAdultDays(pests.spiderMite, 18.5)).toBeLessThanOrEqual(20);
  });

  // Source: common practice (larva to adult about two weeks) and literature from memory.
  it.each([22, 23, 24, 25])("thrips take 12–17 days at %d °C", (meanC) => {
    expect(eggToAdultDays(pests.thrips, meanC)).toBeGreaterThanOrEqual(12);
    expect(eggToAdultDays(pests.thrips, meanC)).toBeLessThanOrEqual(17);
  });

  // Source: common practice; a university extension leaflet on fungus gnats, from memory.
  it("fungus gnats take 17 ± 2 days at 24 °C and hatch in about 3", () => {
    expect(Math.abs(eggToAdultDays(pests.fungusGnat, 24)! - 17)).toBeLessThanOrEqual(2);
    expect(stageDays(pests.fungusGnat, pests.fungusGnat.stages[0], 24)).toBeCloseTo(3, 1);
  });

  // Source: literature from memory: about a month a generation at room warmth.
  it("mealybugs take 28–32 days at 25 °C", () => {
    expect(eggToAdultDays(pests.mealybug, 25)).toBeGreaterThanOrEqual(28);
    expect(eggToAdultDays(pests.mealybug, 25)).toBeLessThanOrEqual(32);
  });

  // Source: literature from memory: scale 5–9 weeks a generation.
  it.each(["softScale", "armouredScale"] as const)("%s takes 5–9 weeks at 23 °C", (id) => {
    expect(eggToAdultDays(pestOf(id), 23)).toBeGreaterThanOrEqual(35);
    expect(eggToAdultDays(pestOf(id), 23)).toBeLessThanOrEqual(63);
  });

  it("leaves out the pre-laying and the laying adult", () => {
    expect(immatureStages(pests.mealybug).map((s) => s.id)).toEqual(["egg", "crawler", "nymph"]);
  });

  it("has no answer at or below the threshold, and stops quickening above the upper one", () => {
    for (const id of pestIds) {
      const pest = pestOf(id);
      expect(eggToAdultDays(pest, pest.lowerC)).toBeNull();
      expect(eggToAdultDays(pest, pest.upperC + 8)).toBe(eggToAdultDays(pest, pest.upperC));
    }
  });

  it("is never longer when it is warmer", () => {
    const warmth = fc.double({ min: 12, max: 40, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...pestIds), warmth, warmth, (id, a, b) => {
        const [cool, warm] = [Math.min(a, b), Math.max(a, b)];
        expect(eggToAdultDays(pestOf(id), warm)!).toBeLessThanOrEqual(eggToAdultDays(pestOf(id), cool)!);
      }),
    );
  });

  it("refuses a temperature that is no number", () => {
    expect(() => degreeDaysPerDay(pests.aphid, NaN)).toThrow(RangeError);
  });
});
