import { describe, expect, it } from "vitest";
import { checkCaseFile } from "../../../record/format/read";
import type { CaseFileInput } from "../../../record/format/schema";
import { day } from "../../../shared/days";
import { sitesOn } from "../../../model/inspection/sitesOn";
import { sharesOf } from "../../../model/population/sites";
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
    const numbers = numbersOf(file(), false)!;
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
    const numbers = numbersOf(file(), false)!;
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
    const [before, after] = [numbersOf(file(), false)!, numbersOf(treated, false)!];
    expect(after.daily.slice(0, 5)).toEqual(before.daily.slice(0, 5));
    expect(after.daily[5]).toBeLessThan(0.6 * before.daily[5]!);
  });

  it("what is left at its end is what the judgement leaves: likeliest where nothing could be seen, and of one piece with it", () => {
    const over = file({
      asOf: "2026-04-20",
      events: [
        ...file().events,
        ...["2026-03-01", "2026-03-08", "2026-03-15"].map((at) => ({
          ...{ type: "treatment", at, remedy: "alcohol70", technique: "sprayAndSwab" },
        })),
        ...["2026-03-24", "2026-04-02", "2026-04-12"].map((at) => ({
          ...{ type: "inspection", at, found: 0, removed: false, look: { with: "lamp", spots: ["axil", "underside"] } },
        })),
      ] as CaseFileInput["events"],
    });
    const left = numbersOf(over, true)!.left!;
    const assessed = assessFile(over);
    const { pClear, expected } = assessed.ok ? assessed.assessment : { pClear: NaN, expected: {} };
    expect(left.pAny).toBe(1 - pClear);
    expect(left.expected).toBeCloseTo(
      Object.values(expected).reduce((sum, n) => sum + n, 0),
      9,
    );
    expect(left.expected).toBeGreaterThanOrEqual(left.pAny);
    expect(left.types.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 2);
    // What no spray gets at makes a greater part of them than of those that were there.
    const deep = left.types.filter((_, i) => i % 3 === 2).reduce((sum, one) => sum + one, 0);
    expect(deep).toBeGreaterThan(sharesOf(sitesOn("trailingVine", "mealybug"))[2]);
  });
});
