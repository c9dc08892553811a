import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addDays, day, daysBetween, type Day } from "../../shared/days";
import { countedCleanLooks, nextCountingDay } from "../inspection/cleanLooks";
import { petalsFor } from "./petals";
import { clearanceRule, type CaseRecord } from "./rule";

const start = day("2026-09-01");
const on = (offset: number, live?: number) => ({
  at: Date.parse(`${addDays(start, offset)}T18:00:00Z`),
  day: addDays(start, offset),
  live: live ?? 0,
});

/** Mealybugs at 25 °C: a generation is exactly 30 days. */
const record = (looks: CaseRecord["looks"], treatments: number[] = [], meanC = 25): CaseRecord => ({
  pest: "mealybug",
  warmth: (from, to) => Array.from({ length: daysBetween(from, to) + 1 }, () => meanC),
  looks,
  treatments: treatments.map((offset) => on(offset)),
});

const codes = (r: CaseRecord, offset: number) =>
  clearanceRule(r, addDays(start, offset)).notYet.map((reason) => reason.code);

describe("the rule of clearance", () => {
  it.each<[string, CaseRecord, number, string[]]>([
    [
      "live animals at the last look",
      record([on(0, 5)]),
      1,
      ["live_at_last_look", "clean_looks_missing", "generation_not_over"],
    ],
    ["one clean look is not two", record([on(0, 5), on(20)], [0, 7, 14]), 40, ["clean_looks_missing"]],
    [
      "two looks five days apart count as one",
      record([on(0, 5), on(20), on(25)], [0, 7, 14]),
      40,
      ["clean_looks_missing"],
    ],
    [
      "looks before the last treatment do not count",
      record([on(0, 5), on(8), on(15)], [0, 20]),
      40,
      ["clean_looks_missing"],
    ],
    ["the generation is not over", record([on(0, 5), on(15), on(22)], [0, 7, 14]), 29, ["generation_not_over"]],
    [
      "a late find starts the clock again",
      record([on(0, 5), on(20, 1), on(27), on(34)], [0]),
      40,
      ["generation_not_over"],
    ],
    ["too cold to tell", record([on(0, 5), on(20), on(40)], [0], 9), 200, ["too_cold"]],
    ["all is met on the thirtieth day", record([on(0, 5), on(15), on(22)], [0, 7, 14]), 30, []],
  ])("%s", (_why, r, offset, expected) => {
    expect(codes(r, offset)).toEqual(expected);
  });

  it("a look on the day of the last treatment counts only when it came after it", () => {
    const treated = on(14);
    const before = { ...on(14), at: treated.at - 60_000 };
    const after = { ...on(14), at: treated.at + 60_000 };
    expect(codes(record([on(0, 5), before, on(20)], [14]), 40)).toContain("clean_looks_missing");
    expect(codes(record([on(0, 5), after, on(20)], [14]), 40)).toEqual([]);
  });

  it("says from which day the next look counts", () => {
    const { notYet } = clearanceRule(record([on(0, 5), on(20)], [14]), addDays(start, 21));
    expect(notYet[0]).toMatchObject({ code: "clean_looks_missing", have: 1, nextFrom: addDays(start, 26) });
  });

  it("sums the warmth it has had day by day, whatever it is today", () => {
    // 450 degree-days from egg to adult above 10 °C: ten days at 30 °C and twenty-five at 20 °C.
    const warmFirst = (offset: number) => (offset < 10 ? 30 : 20);
    const at = (offset: number) => {
      const { notYet } = clearanceRule(
        {
          ...record([on(0, 5), on(15), on(22)], [0]),
          warmth: (from, to) =>
            Array.from({ length: daysBetween(from, to) + 1 }, (_, i) => warmFirst(daysBetween(start, from) + i)),
        },
        addDays(start, offset),
      );
      return notYet.map((reason) =>
        "until" in reason ? [reason.code, daysBetween(start, reason.until)] : reason.code,
      );
    };
    expect(at(34)).toEqual([["generation_not_over", 35]]);
    expect(at(35)).toEqual([]);
  });

  it("asks for the keeper's own mark of certainty on top", () => {
    const ripe = record([on(0, 5), on(15), on(22)], [0, 7, 14]);
    const judged = (pClear: number) => clearanceRule(ripe, addDays(start, 30), { pClear, target: 0.95 });
    expect(judged(0.96)).toEqual({ met: true, notYet: [] });
    expect(judged(0.94)).toEqual({ met: false, notYet: [{ code: "not_sure_enough", pClear: 0.94, target: 0.95 }] });
  });

  it("is never further away while only clean looks and days are added", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { maxLength: 8 }),
        fc.integer({ min: 61, max: 90 }),
        (offsets, ask) => {
          const clean = offsets.toSorted((a, b) => a - b).map((offset) => on(offset));
          const fewer = clearanceRule(record([on(0, 5), ...clean.slice(0, -1)]), addDays(start, ask));
          const more = clearanceRule(record([on(0, 5), ...clean]), addDays(start, ask));
          expect(more.notYet.length).toBeLessThanOrEqual(fewer.notYet.length);
        },
      ),
    );
  });
});

describe("petals", () => {
  it.each([
    [0, 1],
    [0.39, 1],
    [0.4, 2],
    [0.6, 3],
    [0.8, 4],
    [0.94, 4],
    [0.95, 5],
    [1, 5],
  ])("%d: %d of five", (p, petals) => {
    expect(petalsFor(p)).toBe(petals);
  });

  it("refuses what is no probability", () => {
    expect(() => petalsFor(1.2)).toThrow(RangeError);
    expect(() => petalsFor(NaN)).toThrow(RangeError);
  });
});

describe("clean looks that count", () => {
  it("are at least six days apart", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 80 }), { maxLength: 12 }), (offsets) => {
        const days = offsets.toSorted((a, b) => a - b).map((offset) => addDays(start, offset));
        const n = countedCleanLooks(days);
        expect(n).toBeLessThanOrEqual(days.length);
        if (days.length > 0) expect(n).toBeLessThanOrEqual(1 + Math.floor(daysBetween(days[0]!, days.at(-1)!) / 6));
      }),
    );
    expect(nextCountingDay([] as Day[])).toBeNull();
  });
});
