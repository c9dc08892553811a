import { describe, expect, it } from "vitest";
import { checkCaseFile } from "../../format/read";
import type { CaseFileInput } from "../../format/schema";
import { day } from "../../climate/days";
import { assessFile } from "../assess";
import { mobileOn, numbersOf } from "../numbers";

const file = (over: Partial<CaseFileInput> = {}) => {
  const read = checkCaseFile({
    ...{
      format: "wary-petal.case",
      version: 1,
      pest: "mealybug",
      plant: { growthForm: "trailingVine" },
      temperature: 22,
    },
    ...{ timeStepDays: 0.25, scenarios: "all", asOf: "2026-03-11" },
    events: [
      {
        ...{ type: "inspection", at: "2026-03-01T18:00:00Z", found: 5, removed: false },
        look: { with: "lamp", spots: ["axil", "underside"] },
      },
    ],
    ...over,
  } as CaseFileInput);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.file;
};

describe("how many animals a case has for its neighbours", () => {
  it("are the mobile ones of its picture, at the end of each day from the first find to the last known", () => {
    const numbers = numbersOf(file())!;
    expect([numbers.from, numbers.daily.length]).toEqual([day("2026-03-01"), 10]);
    const assessed = assessFile(file());
    const { egg, ...mobile } = assessed.ok ? assessed.assessment.expected : {};
    expect(egg).toBeGreaterThan(0);
    expect(numbers.daily.at(-1)).toBeCloseTo(
      Object.values(mobile).reduce((sum, n) => sum + n, 0),
      9,
    );
  });

  it("before the first find they were fewer, for one generation and no longer", () => {
    const numbers = numbersOf(file())!;
    const { daily, growthPerDay, generationDays } = numbers;
    expect(growthPerDay).toBeGreaterThan(0);
    // From the table: egg to the end of the youngAdult stage, 95 + 90 + 265 + 120 degree-days above 10 °C.
    expect(generationDays).toBeCloseTo(570 / 12, 12);
    expect(mobileOn(numbers, -10)).toBeCloseTo(daily[0]! * Math.exp(-10 * growthPerDay), 12);
    expect(mobileOn(numbers, -Math.floor(generationDays))).toBeGreaterThan(0);
    expect(mobileOn(numbers, -Math.ceil(generationDays))).toBe(0);
    expect(mobileOn(numbers, daily.length)).toBe(0);
  });

  it("a treatment takes them down the day it was put on", () => {
    const treated = file({
      events: [
        ...file().events,
        { type: "treatment", at: "2026-03-06T18:00:00Z", remedy: "alcohol70", technique: "sprayAndSwab" },
      ] as CaseFileInput["events"],
    });
    const [before, after] = [numbersOf(file())!, numbersOf(treated)!];
    expect(after.daily.slice(0, 5)).toEqual(before.daily.slice(0, 5));
    expect(after.daily[5]).toBeLessThan(0.6 * before.daily[5]!);
  });
});
