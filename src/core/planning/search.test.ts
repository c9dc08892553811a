import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fullLook, historyOf, treat, usualCase } from "../clearance/tests/cases";
import { reckon } from "../clearance/reckon";
import { allScenarios } from "../clearance/scenarios";
import { seeChances } from "../inspection/see";
import { pestOf, type PestId } from "../pests/pests";
import { spotsOf } from "../plants/growthForms";
import { approaches, approachOf, doseAt, dosesOf, type Approach } from "./approaches";
import { courseOf, isWork, limitsOf } from "./doses";
import { compare, compareAll } from "./compare";
import { minutesFor } from "../acts/effort";
import { layOut, pGoneUnseen } from "./future";
import { looksUntilSure, pClearAfter } from "./lookWorth";
import { outlookOf } from "./mend";
import { pictureOf } from "./picture";
import { scorerOf } from "./score";
import { washesOf } from "./stress";
import { scored, searchSchedules, type SearchRequest } from "./search";

const found = (pest: PestId, count: number, meanC = 22) =>
  reckon(historyOf(pest, meanC, [fullLook(pest, 0, count, { tool: "lamp" })]), 0, allScenarios);

const asked = (pest: PestId, count: number, over: Partial<SearchRequest> = {}): SearchRequest => ({
  scorer: scorerOf(found(pest, count)),
  fromDay: 0,
  worksOn: () => true,
  target: 0.9,
  ...over,
});
const swabbed = { remedy: "alcohol", technique: "sprayAndSwab" } as const;
const swab: Approach = { id: "t", then: swabbed };
const put = approaches.filter((approach) => !dosesOf(approach).some(isWork));

describe("a future", () => {
  it("scored from now is the case judged later with the same treatments done", () => {
    fc.assert(
      fc.property(usualCase, fc.integer({ min: 1, max: 20 }), ({ pest, history, lastLook }, later) => {
        const dose = { remedy: "soap", technique: "spray" } as const;
        const now = reckon(history, lastLook, allScenarios);
        const asked = pGoneUnseen(now, layOut(now, lastLook + later, [{ atDays: lastLook + 0.5, dose }]));
        const done = { ...history, events: [...history.events, ...treat(pest, lastLook + 0.5, "soap", "spray")] };
        expect(asked).toBeCloseTo(reckon(done, lastLook + later, allScenarios).pClear, 9);
      }),
      { numRuns: 25 },
    );
  });

  it("a clean look to come, believed in, is the case judged after it", () => {
    const events = [
      fullLook("mealybug", 0, 4),
      ...[0, 6, 12].flatMap((at) => treat("mealybug", at, "alcohol", "sprayAndSwab")),
    ];
    const now = reckon(historyOf("mealybug", 22, events), 20, allScenarios);
    const { see } = fullLook("mealybug", 26, 0);
    const later = reckon(historyOf("mealybug", 22, [...events, fullLook("mealybug", 26, 0)]), 26, allScenarios);
    expect(pClearAfter(now, [{ atDays: 26, see }])).toBeCloseTo(later.pClear, 9);
  });

  it("refuses what lies in the past", () => {
    const now = reckon(historyOf("aphid", 20, [fullLook("aphid", 0, 3)]), 10, allScenarios);
    expect(() => layOut(now, 20, [{ atDays: 5, dose: swabbed }])).toThrow(RangeError);
  });
});

describe("the search", () => {
  it("finds the fewest treatments: one fewer at any interval does not reach the target", () => {
    const request = asked("mealybug", 5.5);
    const { fewest } = searchSchedules(swab, request)!;
    expect(fewest!.pOver).toBeGreaterThanOrEqual(0.9);
    const times = fewest!.days.length - 1;
    for (let interval = 3; interval <= 14; interval++) {
      const days = Array.from({ length: times }, (_, i) => i * interval);
      expect(scored(swab, request, days).pOver).toBeLessThan(0.9);
    }
  });

  it("the soonest ends no later than the fewest, and both reach the target; the best is never beaten", () => {
    for (const approach of put) {
      const { fewest, soonest, best } = searchSchedules(approach, asked("softScale", 5.5))!;
      if (!fewest || !soonest) {
        expect([fewest, soonest]).toEqual([null, null]);
        expect(best.pOver).toBeLessThan(0.9);
        continue;
      }
      expect(soonest.overByDay).toBeLessThanOrEqual(fewest.overByDay);
      expect(Math.min(fewest.pOver, soonest.pOver)).toBeGreaterThanOrEqual(0.9);
      expect(best.pOver).toBeGreaterThanOrEqual(fewest.pOver - 1e-12);
    }
  });

  it("keeps to the remedy's smallest interval and to as many as it bears", () => {
    for (const approach of put) {
      const { best } = searchSchedules(approach, asked("thrips", 5.5))!;
      const { smallestIntervalDays, mostTimes } = limitsOf(courseOf(approach.then));
      expect(best.days.length).toBeLessThanOrEqual(mostTimes);
      for (let i = 1; i < best.days.length; i++) {
        expect(best.days[i]! - best.days[i - 1]!).toBeGreaterThanOrEqual(smallestIntervalDays);
      }
    }
  });

  it("treats only on days on which the keeper works", () => {
    const weekends = (day: number) => day % 7 === 5 || day % 7 === 6;
    const { fewest } = searchSchedules(swab, asked("mealybug", 1.4, { worksOn: weekends }))!;
    expect(fewest!.days.every(weekends)).toBe(true);
    expect(new Set(fewest!.days).size).toBe(fewest!.days.length);
    expect(() => searchSchedules(swab, asked("mealybug", 1.4, { worksOn: () => false }))).toThrow(RangeError);
  });

  it("counts what has been put on in the course that runs, and keeps its interval", () => {
    const course = (times: number, lastDay: number | null) => ({ courses: { alcohol: { times, lastDay } } });
    const fresh = searchSchedules(swab, asked("thrips", 5.5))!.best;
    expect(fresh.days.length).toBe(12);
    const later = searchSchedules(swab, asked("thrips", 5.5, course(5, -1)))!.best;
    expect(later.days.length).toBe(7);
    // Three days between two applications of alcohol: the last was a day before day 0.
    expect(later.days[0]).toBe(2);
    expect(searchSchedules(swab, asked("thrips", 5.5, course(12, -1)))).toBeNull();
    // A knock-down that is left, and nothing of what follows it.
    const knock = approachOf("alcoholThenSoap");
    const soapSpent = { courses: { soap: { times: 12, lastDay: -1 } } };
    expect(searchSchedules(knock, asked("thrips", 5.5, soapSpent))!.best.days).toHaveLength(1);
    expect(searchSchedules(knock, asked("thrips", 5.5, course(12, -1)))).toBeNull();
    const spent = compareAll({ ...asked("mealybug", 5.5, course(12, -1)), mayUse: () => true });
    expect(spent.spent).toEqual([
      "alcoholDab",
      "alcoholWipe",
      "alcoholSwab",
      "alcoholSpray",
      "alcoholThenSoap",
      "alcoholThenNeem",
    ]);
  });

  it("reaching fewer spots asks for more", () => {
    const spots = spotsOf("clumpingFoliage").filter((spot) => spot !== "crown");
    const on = { form: "clumpingFoliage", weights: "mealybug", spots } as const;
    const dose = { ...swabbed, on };
    const whole = scored(swab, asked("mealybug", 5.5), [0, 6, 12]).pOver;
    expect(scored(swab, asked("mealybug", 5.5, { apply: () => dose }), [0, 6, 12]).pOver).toBeLessThan(whole);
  });
});

describe("the comparison", () => {
  const request = { ...asked("mealybug", 5.5), mayUse: () => true };
  const comparison = compareAll(request);

  it("tells its progress up to the end", () => {
    const shares = [...compare(request)];
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    expect(shares).toHaveLength(put.length);
    expect(shares.at(-1)!).toBeLessThan(1);
  });

  it("names the fewest, the soonest and the gentlest of those that reach the target", () => {
    const of = (id: string | null) => comparison.plans.find((plan) => plan.approach === id)!;
    const good = comparison.plans.filter((plan) => plan.reaches);
    expect(good.length).toBeGreaterThan(2);
    for (const plan of good) {
      expect(of(comparison.fewest).schedule.days.length).toBeLessThanOrEqual(plan.schedule.days.length);
      expect(of(comparison.gentlest).burden).toBeLessThanOrEqual(plan.burden);
      const end = (p: typeof plan) => (p.soonest ?? p.schedule).overByDay;
      expect(end(of(comparison.soonest))).toBeLessThanOrEqual(end(plan));
    }
  });

  it("says what waiting comes to, scores every school, and leaves out what the plant does not bear", () => {
    expect(comparison.without.pOver).toBeLessThan(0.01);
    expect(comparison.schools.map((school) => school.school)).toContain("alcoholThreeTimes");
    const mayUse = (approach: Approach) => courseOf(approach.then) !== "oil";
    const without = compareAll({ ...request, mayUse });
    expect(without.plans.some((plan) => plan.approach.startsWith("oil"))).toBe(false);
    expect(without.schools.some((school) => school.school.startsWith("oil"))).toBe(false);
  });

  it("a knock-down counts as what it is", () => {
    // Alcohol on the whole plant is as hard as two soap washes (our own estimate), then two washes.
    const knock = approachOf("alcoholThenSoap");
    expect([0, 1, 2].reduce((sum, n) => sum + washesOf(doseAt(knock, n)), 0)).toBe(4);
    expect(minutesFor("sprayAndSwab", 24)).toBe(30);
    expect(() => minutesFor("dab", 0)).toThrow(RangeError);
  });
});

describe("mending", () => {
  const events = (last: number) => [
    fullLook("mealybug", 0, 5.5),
    ...[0, 3, last].flatMap((at) => treat("mealybug", at, "alcohol", "sprayAndSwab")),
  ];
  const judged = (asOf: number, last = 6) => reckon(historyOf("mealybug", 22, events(last)), asOf, allScenarios);
  const request = (asOf: number): SearchRequest => ({
    scorer: scorerOf(judged(asOf)),
    fromDay: asOf,
    worksOn: () => true,
    target: 0.9,
  });

  const swabs = (...days: number[]) => days.map((atDays) => ({ atDays, dose: swab.then }));

  it("a plan kept needs no mending", () => {
    expect(outlookOf(swabs(9, 13, 17, 21), swab, request(8))).toMatchObject({ mended: null });
  });

  it("late by weeks: the steps that are left, done today, no longer reach it, and more of the same would", () => {
    const late = outlookOf(swabs(9, 12), swab, request(38));
    // Two late steps fall on the same day and are one.
    expect(late.asItStands!.days).toEqual([38]);
    expect(late.pOver).toBeLessThan(0.9);
    expect(late.mended!.pOver).toBeGreaterThan(late.pOver);
    expect(late.mended!.days[0]).toBe(38);
  });

  it("a knock-down still to come stays one: what is left is scored with its own doses, and going on begins with it", () => {
    const knock: Approach = { id: "k", first: swab.then, then: { remedy: "soap", technique: "hastySpray" } };
    const left = [8, 14].map((atDays, i) => ({ atDays, dose: i === 0 ? knock.first! : knock.then }));
    const kept = outlookOf(left, knock, request(8));
    const all = outlookOf(
      left.map(({ atDays }) => ({ atDays, dose: knock.then })),
      knock,
      request(8),
    );
    expect(kept.pOver).toBeGreaterThan(all.pOver + 0.05);
    // Late by a day, the knock-down is what is done first, not the wash that was to follow it.
    expect(outlookOf(left, knock, request(15)).asItStands!.pOver).toBeCloseTo(
      scored({ id: "x", then: knock.first! }, request(15), [15]).pOver,
      12,
    );
  });

  it("no step left: what is to be expected of waiting, and what more would do", () => {
    const over = outlookOf([], swab, request(10));
    expect(over.asItStands).toBeNull();
    expect(over.pOver).toBeLessThan(0.9);
    expect(over.mended!.days[0]).toBe(10);
  });
});

describe("what a look is worth", () => {
  const events = [
    fullLook("mealybug", 0, 4),
    ...[0, 5, 10, 15].flatMap((at) => treat("mealybug", at, "alcohol", "sprayAndSwab")),
  ];
  const now = reckon(historyOf("mealybug", 22, events), 16, allScenarios);
  const see = (tool: "eye" | "loupe") =>
    seeChances(pestOf("mealybug"), "mealybug", "clumpingFoliage", { tool, spots: spotsOf("clumpingFoliage") });

  it("a thorough look is worth more than a glance", () => {
    const worth = (tool: "eye" | "loupe") => pClearAfter(now, [{ atDays: 30, see: see(tool) }]);
    expect(worth("loupe")).toBeGreaterThan(worth("eye"));
    expect(worth("eye")).toBeGreaterThan(pGoneUnseen(now, layOut(now, 30, [])));
  });

  it("says how many clean looks it takes, or that four are not enough", () => {
    const plan = { firstDay: 23, everyDays: 7, target: 0.95 };
    const enough = looksUntilSure(now, see("loupe"), plan);
    expect(enough!.pClear).toBeGreaterThanOrEqual(0.95);
    expect(enough!.day).toBe(23 + (enough!.looks - 1) * 7);
    expect(looksUntilSure(found("thrips", 100), see("eye").slice(0, 5), { ...plan, firstDay: 1 })).toBeNull();
  });
});

describe("the picture", () => {
  const events = [fullLook("spiderMite", 0, 5.5), ...[0, 3, 6].flatMap((at) => treat("spiderMite", at, "soap"))];
  const now = reckon(historyOf("spiderMite", 22, events), 8, allScenarios);
  const coming = [9, 12, 15].map((atDays) => ({
    atDays,
    dose: { remedy: "soap", technique: "sprayAndSwab" } as const,
  }));
  const picture = pictureOf(now, coming, 20);

  it("has a point a day from the find on, the band round the mean, and certainty between 0 and 1", () => {
    expect(picture.days.map((d) => d.day)).toEqual(Array.from({ length: 21 }, (_, i) => i));
    expect(picture.days.map((d) => d.coming)).toEqual(picture.days.map((d) => d.day > 8));
    for (const { expected, low, high, pClear } of picture.days) {
      const total = expected.reduce((sum, n) => sum + n, 0);
      expect(total).toBeGreaterThanOrEqual(low - 1e-9);
      expect(total).toBeLessThanOrEqual(high + 1e-9);
      if (pClear !== null) expect(Math.min(pClear, 1 - pClear)).toBeGreaterThanOrEqual(-1e-12);
    }
  });

  it("today's certainty is the judgement's, and the last day's the future's", () => {
    expect(picture.days[8]!.pClear).toBe(now.pClear);
    expect(picture.days[20]!.pClear).toBeCloseTo(pGoneUnseen(now, layOut(now, 20, coming)), 12);
  });

  it("drops where a treatment was, and goes on where the past ends", () => {
    const total = picture.days.map((d) => d.expected.reduce((sum, n) => sum + n, 0));
    for (const day of [9, 12, 15]) expect(total[day]!).toBeLessThan(total[day - 1]! * 0.8);
  });
});
