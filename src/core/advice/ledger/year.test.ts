import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { yearOf, yearsOf, type CaseOfYear } from "./year";

let n = 0;
const aCase = (foundOn: string, over: Partial<CaseOfYear> = {}): CaseOfYear => ({
  ...{ caseId: `c${++n}`, plantId: `p${n}`, pest: "spiderMite", foundOn: day(foundOn), seller: "", placeId: null },
  ...{ way: null, daysUntilFound: null, minutes: 10, closedOn: null, outcome: null },
  ...over,
});

describe("a year in review", () => {
  it("counts finds by pest and month in the year they were found, endings in the year they were closed", () => {
    const cases = [
      aCase("2025-12-31", { closedOn: day("2026-01-20"), outcome: "clear" }),
      aCase("2026-01-01", { daysUntilFound: 4 }),
      aCase("2026-12-31", { pest: "mealybug", daysUntilFound: 20, closedOn: day("2027-02-01"), outcome: "lost" }),
      aCase("2026-12-01", { daysUntilFound: 10, closedOn: day("2026-12-30"), outcome: "givenUp" }),
    ];
    const { pests, finds, plants, medianDays, minutes, ended } = yearOf(cases, 2026);
    expect(pests.map(({ pest, byMonth }) => [pest, byMonth.join("")])).toEqual([
      ["spiderMite", "100000000001"],
      ["mealybug", "000000000001"],
    ]);
    expect([finds, plants, medianDays, minutes]).toEqual([3, 3, 10, 30]);
    expect(ended).toEqual({ clear: 1, givenUp: 1, lost: 0 });
    expect(yearsOf(cases)).toEqual([2026, 2025]);
    expect(yearOf([], 2026)).toMatchObject({ finds: 0, pests: [], medianDays: null, earlier: [] });
  });

  it("a relapse is the same pest on the same plant while it is still watched, of what was called clear", () => {
    const before = aCase("2026-02-01", { plantId: "a", closedOn: day("2026-04-01"), outcome: "clear" });
    const again = (foundOn: string, over = {}) => aCase(foundOn, { plantId: "a", ...over });
    const relapses = (one: CaseOfYear, first = before) => yearOf([first, one], 2026).relapses.length;
    expect(relapses(again("2026-05-01"))).toBe(1);
    expect(relapses(again("2026-06-24"))).toBe(1);
    expect(relapses(again("2026-06-25"))).toBe(0);
    expect(relapses(again("2026-05-01", { pest: "thrips" }))).toBe(0);
    expect(relapses(again("2026-05-01", { plantId: "b" }))).toBe(0);
    expect(relapses(again("2026-05-01"), { ...before, outcome: "givenUp" })).toBe(0);
  });

  // Common practice, no source: look before the time at which it came last year.
  it("says when to look earlier where most came in two months, over the turn of the year too", () => {
    const found = (...days: string[]) =>
      yearOf(
        days.map((on) => aCase(on)),
        2026,
      ).earlier;
    expect(found("2026-09-03", "2026-09-20", "2026-10-02", "2026-03-01")).toEqual([
      { pest: "spiderMite", month: 9, finds: 3, of: 4, from: "2027-08-01" },
    ]);
    expect(found("2026-12-03", "2026-12-20", "2026-01-02")).toMatchObject([
      { month: 12, finds: 3, from: "2027-11-01" },
    ]);
    expect(found("2026-01-03", "2026-01-20", "2026-01-22")).toMatchObject([{ month: 1, from: "2026-12-01" }]);
    // Two finds, or some all the year round, are no rush.
    expect(found("2026-09-03", "2026-09-20")).toEqual([]);
    expect(found("2026-01-03", "2026-03-20", "2026-05-03", "2026-07-03", "2026-09-03", "2026-11-03")).toEqual([]);
  });
});
