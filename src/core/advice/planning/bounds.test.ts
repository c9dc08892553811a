import { describe, expect, it } from "vitest";
import { pests } from "../../knowledge/pests/pests";
import { remedyIds, remedyOf } from "../../knowledge/remedies/remedies";
import { schools, schoolsFor } from "../../knowledge/remedies/schools";
import { isReached, repeatBounds } from "./bounds";

describe("the two bounds", () => {
  // By hand from the pest table: degree-days over degrees above the threshold.
  it.each([
    [
      "mites, soap, 22 °C: (96 + 20)/12 and adults 200/12 reached, eggs 64/12",
      "spiderMite",
      "soap",
      22,
      116 / 12,
      64 / 12,
    ],
    [
      "mites, neem, 22 °C: only the young are reached, 96/12; adults are the longest unreached",
      "spiderMite",
      "neem",
      22,
      96 / 12,
      200 / 12,
    ],
    ["mealybugs, alcohol, 22 °C: (90 + 265 + 120)/12, eggs 95/12", "mealybug", "alcohol", 22, 475 / 12, 95 / 12],
    [
      "thrips, soap, 22 °C: only the young adult after the pupa in the mix; pupa 58/12.5",
      "thrips",
      "soap",
      22,
      25 / 12.5,
      58 / 12.5,
    ],
    [
      "armoured scale, alcohol, 21 °C: only the crawler, 30/10; all else sits under a shell, nymphs 480/10",
      "armouredScale",
      "alcohol",
      21,
      3,
      48,
    ],
  ] as const)("%s", (_why, pest, remedy, meanC, within, keepOn) => {
    const bounds = repeatBounds(pest, remedy, meanC);
    expect(bounds.repeatWithinDays).toBeCloseTo(within, 9);
    expect(bounds.keepOnDays).toBeCloseTo(keepOn, 9);
  });

  it("soft scale bears live young: no stage escapes alcohol", () => {
    expect(repeatBounds("softScale", "alcohol", 22)).toMatchObject({ keepOnDays: null, unreachedStages: [] });
  });

  // Fact of the trade (common practice, no source): a foliar spray reaches no root mealybug.
  it("a spray on the leaves reaches nothing in the soil", () => {
    for (const remedy of remedyIds) expect(repeatBounds("rootMealybug", remedy, 22).repeatWithinDays).toBeNull();
  });

  it("counts no egg as reached, whatever the remedy", () => {
    for (const remedy of remedyIds) expect(isReached("mealybug", remedy, pests.mealybug.stages[0])).toBe(false);
  });

  it("has no answer where it is too cold for development", () => {
    expect(repeatBounds("spiderMite", "soap", 9)).toMatchObject({ repeatWithinDays: null, keepOnDays: null });
  });
});

describe("the schools", () => {
  // Common practice, no source: the days as practitioners tell them.
  it("start on day 0, go forward, and leave no remedy of the kitchen without one", () => {
    for (const { days } of schools) {
      expect(days[0]).toBe(0);
      expect(days.every((d, i) => i === 0 || days[i - 1]! < d)).toBe(true);
    }
    for (const remedy of remedyIds.filter((id) => remedyOf(id).group === null && !remedyOf(id).only))
      expect(schoolsFor(remedy).length).toBeGreaterThan(0);
    expect(schoolsFor("alcohol")[0]!.days).toEqual([0, 6, 13]);
  });
});
