import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addDays, day, type Day } from "../../shared/days";
import type { Dose } from "../planning/doses";
import {
  coursesTaught,
  ENDED_FOR_GOOD_DAYS,
  mainly,
  middleOne,
  plainlyBetter,
  speaks,
  type CourseCase,
} from "./courses";
import { countsOf, reliabilityOf } from "./reliability";
import type { NumbersId } from "../../model/learning/reach";
import { learnedSightOf, sightBefore } from "../../record/cases/keepersEye";
import { sightPairs, type SightLook } from "../../record/cases/sightPairs";
import { sightOf } from "./sight";
import { countedOf } from "./span";

const ON = day("2026-05-01");
/** Long after every guard. */
const LATER = addDays(ON, 400);
const oil: Dose = { remedy: "oil", technique: "spray" };
const soap: Dose = { remedy: "soap", technique: "spray" };
const on = (dose: Dose, ...days: number[]) => days.map((n) => ({ day: addDays(ON, n) as Day, dose }));
const aCase = (over: Partial<CourseCase> = {}): CourseCase => ({
  ...{ caseId: "c", pest: "spiderMite", openedOn: ON, closedOn: addDays(ON, 40), outcome: "clear", returned: false },
  lookedAgain: true,
  doses: on(oil, 0, 5, 10),
  ...over,
});

const beginning = (numbers: NumbersId) => ({ numbers, toldElsewhere: null });

describe("a share with its span", () => {
  // Newcombe 1998, table I, method 3 (score without continuity correction), 95 %; from memory.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])("%i of %i", (hits, of, low, high) => {
    const span = countedOf(hits, of, 1.959964);
    expect(span.low).toBeCloseTo(low, 4);
    expect(span.high).toBeCloseTo(high, 4);
  });

  it("spans everything where nothing was counted, and takes no half things", () => {
    expect(countedOf(0, 0)).toMatchObject({ low: 0, high: 1 });
    expect(() => countedOf(3, 2)).toThrow(RangeError);
    expect(() => countedOf(0.5, 2)).toThrow(RangeError);
  });
});

describe("what ended what", () => {
  it("counts a case under what it was mostly treated with; returned or given up it was not ended", () => {
    const cases = [
      aCase(),
      aCase({ doses: [...on(soap, 0), ...on(oil, 5, 10, 15, 20)], closedOn: addDays(ON, 60) }),
      aCase({ returned: true }),
      aCase({ outcome: "givenUp", doses: on(soap, 0, 3) }),
      aCase({ outcome: null, closedOn: null, doses: on(soap, 0) }),
      aCase({ doses: [] }),
    ];
    expect(coursesTaught(cases, LATER)).toMatchObject([
      { dose: oil, ended: { hits: 2, of: 3 }, returned: 1, open: 0, treatments: 3, days: 40 },
      { dose: soap, ended: { hits: 0, of: 1 }, returned: 0, open: 1, treatments: null, days: null },
    ]);
    // Called clear, and not yet watched to the end: nothing has ended.
    const [watched] = coursesTaught([aCase()], addDays(ON, 40 + ENDED_FOR_GOOD_DAYS - 1));
    expect(watched).toMatchObject({ ended: { of: 0 }, open: 1 });
    expect(coursesTaught([aCase()], addDays(ON, 40 + ENDED_FOR_GOOD_DAYS))[0]).toMatchObject({
      ended: { hits: 1, of: 1 },
    });
    // Nobody has looked since: what came back would not be known.
    expect(coursesTaught([aCase({ lookedAgain: false })], LATER)[0]).toMatchObject({ ended: { of: 0 }, open: 1 });
    // What was in a can with another is a way of its own.
    const both: Dose = { ...soap, mix: "soapAlcohol" };
    expect(coursesTaught([aCase({ doses: on(soap, 0) }), aCase({ doses: on(both, 0) })], LATER)).toHaveLength(2);
    expect(mainly([...on(soap, 0), ...on(oil, 3)])).toBe(mainly(on(soap, 0)) && soap);
    expect(mainly([])).toBeNull();
    expect([middleOne([4, 1, 2, 3]), middleOne([])]).toEqual([2, null]);
  });

  it("speaks from two cases on, and calls one way better only where their spans are apart", () => {
    const many = (dose: Dose, ended: number, of: number) =>
      coursesTaught(
        Array.from({ length: of }, (_, i) => aCase({ doses: on(dose, 0), outcome: i < ended ? "clear" : "givenUp" })),
        LATER,
      )[0]!;
    expect(speaks(many(oil, 1, 1))).toBe(false);
    expect(speaks(many(oil, 1, 2))).toBe(true);
    expect(plainlyBetter(many(oil, 4, 5), many(soap, 3, 5))).toBe(false);
    expect(plainlyBetter(many(oil, 9, 10), many(soap, 3, 10))).toBe(true);
  });
});

describe("what was told, and what came", () => {
  it("is cut where keepers close, told beside how often it came, and off only by more than chance", () => {
    const told = (p: number, came: number, of: number) => Array.from({ length: of }, (_, i) => ({ p, came: i < came }));
    const bins = reliabilityOf([...told(0.96, 9, 10), ...told(0.99, 3, 10), ...told(0.6, 10, 10), ...told(1, 1, 1)]);
    expect(bins.map(({ from, until, came, off }) => [from, until, came.hits, came.of, off])).toEqual([
      [0.5, 0.8, 10, 10, "tooCautious"],
      [0.95, 0.99, 9, 10, null],
      [0.99, 1, 4, 11, "tooSure"],
    ]);
    // Two of two at 99 % that came back are odd, and one at 18 % that did not is nothing: neither is a rule.
    expect(reliabilityOf([...told(0.995, 1, 2), ...told(0.18, 1, 1)]).map(({ off }) => off)).toEqual([
      "tooFew",
      "tooFew",
    ]);
    // Four in ten at 18 % are within chance, eight are not.
    expect(reliabilityOf(told(0.18, 4, 10))[0]!.off).toBe(null);
    expect(reliabilityOf(told(0.18, 8, 10))[0]!.off).toBe("tooCautious");
    expect(reliabilityOf([])).toEqual([]);
    expect(() => reliabilityOf([{ p: 1.2, came: true }])).toThrow(RangeError);
  });
});

describe("how many of several chances come true", () => {
  it("is the binomial where they are all alike", () => {
    // Ten throws of a coin: Pascal's triangle over 2^10.
    const row = [1, 10, 45, 120, 210, 252, 210, 120, 45, 10, 1];
    countsOf(Array.from({ length: 10 }, () => 0.5)).forEach((p, n) => expect(p).toBeCloseTo(row[n]! / 1024, 12));
  });

  it("sums to 1, with the mean and the variance of its parts, in whatever order", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 30 }), (chances) => {
        const counts = countsOf(chances);
        const mean = counts.reduce((sum, p, n) => sum + p * n, 0);
        expect(counts.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
        expect(mean).toBeCloseTo(
          chances.reduce((sum, p) => sum + p, 0),
          9,
        );
        expect(counts.reduce((sum, p, n) => sum + p * (n - mean) ** 2, 0)).toBeCloseTo(
          chances.reduce((sum, p) => sum + p * (1 - p), 0),
          9,
        );
        countsOf(chances.toReversed()).forEach((p, n) => expect(p).toBeCloseTo(counts[n]!, 9));
      }),
    );
  });
});

describe("what the eye passes", () => {
  const look = (ago: number, tool: SightLook["tool"], found: boolean): SightLook => ({
    ...{ plantId: "p", day: addDays(ON, ago) as Day, at: new Date(Date.UTC(2026, 4, 1 + ago, 12)), tool },
    ...{ spots: ["underside", "newLeaf"], growthForm: "trailingVine", keeper: "a", name: "Ada" },
    finds: found ? [{ pest: "thrips", spots: ["newLeaf"], animals: 3, removed: false }] : [],
  });

  it("is not told by a look that went nowhere near", () => {
    const roots: SightLook = {
      ...look(1, "unpotted", false),
      spots: ["roots"],
      finds: [{ pest: "rootMealybug", spots: [], animals: 3, removed: false }],
    };
    expect(sightOf(sightPairs([look(0, "eye", false), roots], () => []))).toEqual([]);
  });

  it("is told by looks within two days of a find, unless something was done between", () => {
    const looks = [look(0, "eye", false), look(1, "lamp", true), look(2, "eye", true), look(9, "eye", false)];
    const none = () => [];
    const told = (treated: () => Date[]) =>
      sightOf(sightPairs(looks, treated))
        .map(({ tool, saw }) => [tool, saw.hits, saw.of])
        .toSorted();
    expect(told(none)).toEqual([
      ["eye", 1, 2],
      ["lamp", 1, 1],
    ]);
    const sprayed = () => [new Date(Date.UTC(2026, 4, 1, 18))];
    expect(told(sprayed)).toEqual([
      ["eye", 1, 1],
      ["lamp", 1, 1],
    ]);
    expect(sightOf(sightPairs([look(0, "eye", false)], none))).toEqual([]);
  });

  it("is not told by one look that was written down in pieces: two pests of one day, as rows of a table", () => {
    const thrips = look(0, "lamp", true);
    const mites: SightLook = {
      ...{ ...thrips, at: new Date(thrips.at.getTime() + 60_000) },
      finds: [{ pest: "spiderMite", spots: [], animals: 9, removed: false }],
    };
    expect(sightPairs([thrips, mites], () => [])).toEqual([]);
    const other = { ...mites, keeper: "b" };
    expect(sightPairs([thrips, other], () => []).map(({ saw }) => saw)).toEqual([false, false]);
  });

  it("is not told by who looks after all that was seen had been killed on the spot; who looked before could have seen it", () => {
    const killed = look(1, "lamp", true);
    const picked: SightLook = { ...killed, finds: killed.finds.map((find) => ({ ...find, removed: true })) };
    const pairs = sightPairs([look(0, "eye", false), picked, look(2, "eye", false)], () => []);
    expect(pairs.map(({ look: one, saw }) => [one.day, saw])).toEqual([[ON, false]]);
  });

  it("counts in a case from before it began alone, and for this eye with this tool more than for another", () => {
    const looks = [0, 5, 10, 15].flatMap((ago) => [look(ago, "eye", false), look(ago + 1, "lamp", true)]);
    const pairs = sightPairs(looks, () => []);
    const [eye, lamp] = (["eye", "lamp"] as const).map((tool) => ({ keeper: "a", tool }));
    const late = sightBefore(new Date(Date.UTC(2026, 6, 1)), pairs, beginning("mixed"));
    expect(late(eye!)).toBeLessThan(0.95);
    expect(late(eye!)).toBeLessThan(late(lamp!));
    // The last pair is known a day after its first look: not before the case that its find began.
    expect(sightBefore(looks.at(-1)!.at, pairs, beginning("mixed"))(eye!)).toBeGreaterThan(late(eye!));
    expect(sightBefore(looks[1]!.at, pairs, beginning("mixed"))(eye!)).toBe(1);
    expect(sightBefore(new Date(Date.UTC(2026, 6, 1)), pairs, beginning("ours"))(eye!)).toBe(1);
    expect(learnedSightOf({ keeper: "b", tool: "eye" }, pairs.slice(0, 2), beginning("mixed"))).toBeNull();
  });
});
