import { describe, expect, it } from "vitest";
import type { Judgement } from "@/core/advice/clearance/judge";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { day } from "@/core/shared/days";
import { expectedCount, inTen, percent } from "../chances";
import { outlookSentences, reachSentence, surenessSentence } from "./judgement";

/** As it is read: the space before the sign does not break. */
const read = (text: string | null) => text?.replaceAll("\u00a0", " ");

const judgement = (over: Partial<Judgement> & { reach?: [number, number, number] } = {}): Judgement => ({
  assessment: {
    pClear: 0.83,
    pUnseen: 0.6,
    expected: {},
    weights: [],
    scenarioPClear: [],
    ...(over.reach && { reach: over.reach }),
  },
  sureAfter: null,
  outlook: null,
  ...over,
});

describe("chances", () => {
  it.each([
    [0, "0 %"],
    [0.001, "under 1 %"],
    [0.834, "83 %"],
    [0.9949, "99 %"],
    [0.998, "over 99 %"],
    [1, "100 %"],
  ])("%d is read as %s", (p, expected) => {
    expect(read(percent(p))).toBe(expected);
  });

  it.each([
    [0, "0"],
    [0.004, "under 0.01"],
    [0.034, "0.03"],
    [0.26, "0.3"],
    [3.14, "3.1"],
    [42.4, "about 42"],
    [12_345, "about 12300"],
  ])("%d animals are told as %s", (n, expected) => {
    expect(expectedCount(n)).toBe(expected);
  });
});

describe("chances as a keeper says them", () => {
  it.each([
    [0, "0 %"],
    [0.01, "1 %"],
    [0.04, "1 in 25"],
    [0.31, "3 in 10"],
    [0.58, "6 in 10"],
    [0.97, "97 %"],
  ])("%d is told as %s", (p, expected) => {
    expect(read(inTen(p))).toBe(expected);
  });
});

describe("how sure", () => {
  it("says what clean looks would make of it, and when the next is", () => {
    const sureAfter = { looks: 2, next: day("2026-12-12"), pClean: 0.72, sure: 0.96 };
    expect(read(surenessSentence(judgement({ sureAfter })))).toBe(
      "83 % likely over; two clean looks a week apart, the next on Sat 12 Dec, would make it 96 %: 7 in 10 that they are clean.",
    );
    expect(read(surenessSentence(judgement({ sureAfter: { ...sureAfter, looks: 1 } })))).toBe(
      "83 % likely over; a clean look, on Sat 12 Dec, would make it 96 %: 7 in 10 that it is clean.",
    );
    expect(read(surenessSentence(judgement()))).toBe("83 % likely over.");
  });

  it("tells what the finds say of the keeper's hand only when they say something", () => {
    expect(reachSentence(judgement({ reach: [0.8, 0.2, 0] }))).toContain("miss about twice as much");
    expect(reachSentence(judgement({ reach: [0.05, 0.25, 0.7] }))).toContain("reach more than most");
    expect(reachSentence(judgement({ reach: [0.25, 0.5, 0.25] }))).toBeNull();
    expect(reachSentence(judgement())).toBeNull();
  });

  it("says what a plan comes to now, what it promised, and why they differ", () => {
    const asItStands: DatedSchedule = {
      ...{ dates: [day("2026-12-18")], doses: [{ remedy: "soap", technique: "spray" }] },
      ...{ looks: [day("2026-12-25"), day("2027-01-03")], pClean: 0.58, sure: 0.98, reaches: true },
      ...{ pOver: 0.6, by: day("2027-01-10"), intervalDays: 4 },
    };
    const outlook = { asItStands, behind: false, lateDays: 4, mended: null };
    const changed = { lateDays: 4, foundOn: day("2026-12-01"), warmerByC: 3 };
    expect(outlookSentences(outlook, { pClean: 0.9, sure: 0.98 }, changed, "thrips").map(read)).toEqual([
      "If you keep to it from today: 6 in 10 that the looks after it are clean, and then it is 98 % sure, on Sun 3 Jan.",
      "When you adopted it: 9 in 10 that they are clean.",
      "A step is 4 days late.",
      "Thrips were found again on Tue 1 Dec.",
      "It is 3 °C warmer here than then, so the pest is faster.",
    ]);
    const behind = { ...outlook, behind: true, asItStands: { ...asItStands, sure: 0.8, reaches: false } };
    expect(read(outlookSentences(behind, null, changed, "thrips")[0]!)).toContain(
      "even clean looks afterwards would not",
    );
    const calm = { lateDays: 0, foundOn: null, warmerByC: 0 };
    expect(outlookSentences(outlook, null, calm, "thrips")).toHaveLength(1);
  });
});
