import { describe, expect, it } from "vitest";
import { priorsFor } from "../../diagnosis/priors";
import type { Look } from "../../facts/facts";
import { bearerOf } from "../../suitability/bearer";
import { againstAll, type AgainstAllAnswer, type AgainstAllQuestion } from "../againstAll";
import { coursesOn } from "../course";
import { TRIAL_DAY } from "../trial";
import { inQuestionOf, unnamedOn, type Unnamed } from "../unnamed";
import { find, look, on } from "./facts";

const signs = { present: ["stippling"], absent: ["webbing"], by: "signs", likeliest: "spiderMite" } as const;
const naming = { ...signs, present: [...signs.present], absent: [...signs.absent] };
const open = (day: number, over: Partial<Look> = {}) => look(day, [], { naming: { ...naming, open: true }, ...over });

describe("what is open without a name", () => {
  it("is the last look at which signs were left open, in whatever order looks arrive", () => {
    const looks = [open(3), look(5, []), open(0)];
    const expected = { since: on(3), observed: { stippling: "present", webbing: "absent" } };
    expect(unnamedOn(looks)).toEqual(expected);
    expect(unnamedOn(looks.toReversed())).toEqual(expected);
    expect(unnamedOn([])).toBeNull();
  });

  it("has a name once something is found, is none once that is said, and never was where it is struck out", () => {
    expect(unnamedOn([open(0), find(4, "thrips")])).toBeNull();
    expect(unnamedOn([open(0), look(4, [], { naming })])).toBeNull();
    expect(unnamedOn([open(0, { voidReason: "Another plant." })])).toBeNull();
    expect(unnamedOn([open(9), find(4, "thrips")])).not.toBeNull();
  });
});

describe("what it may be", () => {
  const priors = priorsFor({ form: "climbingAroid", meanC: 22, season: "winter", nearby: {}, prone: [] });
  const unnamed: Unnamed = { since: on(0), observed: { stippling: "present", silverStreaks: "present" } };
  const about = inQuestionOf(unnamed, priors, "climbingAroid", on(1));

  // Stippling and silver streaks: thrips or mites, and paper or loupe tell them apart (common practice, no source).
  it("mites or thrips or neither: they sum to 1, and each answer of the test says what it would be then", () => {
    expect(about.candidates.map(({ pest }) => pest)).toEqual(expect.arrayContaining(["spiderMite", "thrips"]));
    const sum = about.candidates.reduce((all, { p }) => all + p, about.none + about.unreckoned);
    expect(sum).toBeCloseTo(1, 9);
    expect(about.test).not.toBeNull();
    const slender = about.test!.answers.find(({ sign }) => sign === "runningSpecks" || sign === "loupeSlender");
    if (slender) expect(slender.likeliest).toBe("thrips");
    expect(about.decideOn >= on(7)).toBe(true);
  });

  it("a way is worth the mean over what it may be; soap once is a few better days", () => {
    const kind = { genus: "Monstera", growthForm: "climbingAroid", potCm: 12, inBud: false, inFlower: false } as const;
    const bearer = bearerOf(kind, [], TRIAL_DAY, "north");
    const question: AgainstAllQuestion = {
      ...{ candidates: about.candidates, none: about.none, form: "climbingAroid", meanC: 22, today: on(1) },
      ...{ workDays: [1, 2, 3, 4, 5, 6, 7], target: 0.9, courses: coursesOn([], TRIAL_DAY) },
      on: { bearer, tool: "lamp", washes: [] },
    };
    const { ways, soapOnce } = toItsEnd(againstAll(question));
    const total = about.none + about.candidates.reduce((all, { p }) => all + p, 0);
    for (const { each, pOver, dates } of ways) {
      const mean = about.candidates.reduce((all, { p }, i) => all + p * each[i]!, about.none) / total;
      expect(pOver).toBeCloseTo(mean, 12);
      expect(dates[0]! >= on(1)).toBe(true);
    }
    const chances = ways.map(({ pOver }) => pOver);
    expect(chances).toEqual(chances.toSorted((a, b) => b - a));
    expect(soapOnce.pOver).toBeLessThan(chances[0]!);
    // What was left breeds: within a month or so there are as many again.
    expect(soapOnce.asManyAfterDays).toBeGreaterThan(2);
    expect(soapOnce.asManyAfterDays).toBeLessThan(45);
  });
});

function toItsEnd(run: Generator<number, AgainstAllAnswer>): AgainstAllAnswer {
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
