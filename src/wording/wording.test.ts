import { describe, expect, it } from "vitest";
import { z } from "zod";
import { day } from "@/core/shared/days";
import { recordLook } from "@/core/record/facts/kinds/look";
import { movePlant } from "@/core/record/facts/kinds/placement";
import { adoptPlan } from "@/core/record/facts/kinds/programme";
import { decimal, moment, orNothing, requiredText, text, whole } from "@/core/shared/fields";
import { pestIds } from "@/core/knowledge/pests/pests";
import { pestOf } from "@/core/knowledge/pests/pests";
import { repeatBounds } from "@/core/advice/planning/bounds";
import { mL } from "@/core/units/volume";
import { inSpoons, measuredIn, ofUsualInWords, strengthInWords } from "./amounts";
import { rateIn, volumeIn, warmerBy, warmthIn, widthIn } from "./units";
import { hoursInWords } from "./dates";
import { clockAfter, waitsFor } from "./advice/evening";
import { offerInWords, ringsInWords, runsInWords } from "./record/timers";
import { notYetSentence } from "./advice/clearance/clearance";
import { dayAndYear, dayCount, dayInWords, fromToday } from "./dates";
import { stageNames } from "./names/names";
import { boundSentences } from "./advice/planning/planning";
import "./record/problems";
import { stateInWords } from "./names/states";

describe("amounts", () => {
  it.each([
    [353.535, "354 mL"],
    [0.25, "0.25 mL"],
    [1, "1 mL"],
    [1250, "1.25 L"],
    [0, "0 mL"],
  ])("%d as a syringe shows it: %s", (volume, expected) => {
    expect(volumeIn(volume, "metric")).toBe(expected);
  });

  it("is never off by more than a jug tells, and never says nothing for what is something", () => {
    for (let ml = 0.05; ml < 20_000; ml *= 1.07) {
      const [, number, unit] = /^([\d.]+) (mL|L)$/.exec(volumeIn(ml, "metric"))!;
      const told = Number(number) * (unit === "L" ? 1000 : 1);
      expect(Math.abs(told - ml)).toBeLessThanOrEqual(Math.max(0.005, ml * 0.051) + 1e-9);
      expect(told).toBeGreaterThan(0);
    }
  });

  it("names the spoon, so that a household spoon is never a guess", () => {
    expect(inSpoons(mL(7.5), "metric")).toBe("1½ metric teaspoons");
    expect(inSpoons(mL(15), "metric")).toBe("1 metric tablespoon");
    expect(inSpoons(mL(5), "us")).toBe("1 US teaspoon");
    expect(inSpoons(mL(6), "us")).toBe("about 1¼ US teaspoons, 3 % too much");
    expect(inSpoons(mL(0.25), "metric")).toBe("about 5 drops");
    expect(inSpoons(mL(400), "metric")).toBeNull();
    expect(inSpoons(mL(5), "syringe")).toBeNull();
  });

  it("puts millilitres beside what is measured out in fluid ounces", () => {
    expect(measuredIn(mL(473.176473), "us")).toBe("16 US fl oz (473 mL)");
    expect(measuredIn(mL(500), "metric")).toBe("500 mL");
  });

  // Source: NIST SP 811 (2008), appendix B.8 and B.9: inch, US fluid measures, degrees Fahrenheit.
  it("tells US keepers drops, spoons, ounces or quarts by the size, and never 0 for something", () => {
    expect([0.2, 1.3, 7.4, 60, 473.176473, 3785.41].map((ml) => volumeIn(ml, "us"))).toEqual([
      ...["4 drops", "¼ US tsp", "1½ US tsp", "2 US fl oz", "16 US fl oz", "4 US qt"],
    ]);
    for (let ml = 0.01; ml < 5000; ml *= 1.13) expect(volumeIn(ml, "us")).not.toMatch(/^0/);
    expect([rateIn(5, "metric"), rateIn(1000 / 192, "us")]).toEqual(["5 mL per litre", "1 US tsp per US quart"]);
    expect([warmthIn(21, "us"), warmthIn(-40, "us"), warmthIn(21.44, "metric")]).toEqual([
      "70 °F",
      "-40 °F",
      "21.4 °C",
    ]);
    expect([warmerBy(3, "us"), widthIn(12.7, "us"), widthIn(12, "metric")]).toEqual(["5 °F", "5 in", "12 cm"]);
  });
});

describe("days", () => {
  const today = day("2026-12-10");
  it.each([
    ["2026-12-10", "today"],
    ["2026-12-11", "tomorrow"],
    ["2026-12-09", "yesterday"],
    ["2026-12-12", "in 2 days"],
    ["2026-12-01", "9 days ago"],
  ])("%s is %s", (text, expected) => {
    expect(fromToday(day(text), today)).toBe(expected);
  });

  it("writes a day with its weekday", () => {
    // 12 December 2026 is a Saturday (Gregorian calendar).
    expect(dayInWords(day("2026-12-12"))).toBe("Sat 12 Dec");
    expect(dayAndYear(day("2026-12-12"))).toBe("Sat 12 Dec 2026");
    expect([dayCount(1), dayCount(9.67)]).toEqual(["1 day", "9.7 days"]);
  });
});

describe("problems, in the words a keeper reads", () => {
  const said = (schema: z.ZodType, input: unknown) => {
    const read = schema.safeParse(input);
    return read.success ? null : read.error.issues.map((issue) => issue.message);
  };
  it.each<[string, z.ZodType, unknown, string]>([
    ["nothing where text belongs", requiredText(10), "  ", "Fill this in."],
    ["too much text", text(10), "x".repeat(11), "Too long: 10 characters at most."],
    [
      "a character that cannot be shown",
      text(10),
      "a\u0000b",
      "This contains characters that cannot be shown. Type it again.",
    ],
    ["nothing where a number belongs", decimal(1, 5), "", "Fill this in."],
    ["text where a number belongs", decimal(1, 5), "a few", "Enter a number, such as 250 or 0.5."],
    ["a number written with a comma is one", decimal(1, 5), "2,5", ""],
    ["too little", decimal(1, 5), "0", "It must be 1 or more."],
    ["too much", decimal(1, 5), "1e9", "It must be 5 or less."],
    ["endless", decimal(1, 5), "Infinity", "Enter a number, such as 250 or 0.5."],
    ["a part where a whole belongs", whole(1, 5), "2.5", "Enter a whole number."],
    ["a field that may be empty, filled wrongly", orNothing(whole(1, 5)), "9", "It must be 5 or less."],
    ["no time", moment, "2026-02-30T10:00+00:00", "Enter a date and time."],
    ["a time without its offset", moment, "2026-02-28T10:00", "Enter a date and time."],
    ["a pest that is none", recordLook.shape.tool, "telescope", "Choose one from the list."],
    ["an id that is none", movePlant.shape.placeId, "shelf", "Choose one from the list."],
    ["something missing", movePlant.shape.at, undefined, "Fill this in."],
    ["nothing chosen", recordLook.shape.spots, [], "Choose at least one."],
    ["too many", adoptPlan.shape.dates, Array.from({ length: 25 }, (_, i) => `2026-01-${i + 1}`), "Choose at most 24."],
    ["dates that go back", adoptPlan.shape.dates, ["2026-01-02", "2026-01-01"], "Put dates in order, each only once."],
  ])("%s", (_why, schema, input, expected) => {
    const messages = said(schema, input);
    if (expected === "") expect(messages).toBeNull();
    else expect(messages).toContain(expected);
  });
});

describe("sentences", () => {
  it("every life stage has a name", () => {
    for (const pest of pestIds) for (const stage of pestOf(pest).stages) expect(stageNames[stage.id]).toBeDefined();
  });

  it("a state in words, with its petals and the jar", () => {
    expect(stateInWords("surer", 3, true)).toBe("3 of 5 petals open, set apart");
    expect(stateInWords("atRisk", 0, false)).toBe("at risk");
    expect(stateInWords("clear", 0, false, { lastLookOn: null })).toBe("not yet looked at");
    expect(stateInWords("atRisk", 0, false, { lastLookOn: null, lookDueFor: "unnamed" })).toBe("signs open");
  });

  it("why not yet, each reason with its day", () => {
    expect(notYetSentence({ code: "clean_looks_missing", have: 1, need: 2, nextFrom: day("2026-12-12") })).toBe(
      "1 of 2 clean looks since the last treatment; the next one counts from Sat 12 Dec.",
    );
    expect(notYetSentence({ code: "too_cold", meanC: 9 })).toContain("At 9 °C the pest does not develop");
    expect(
      notYetSentence({ code: "generation_not_over", lastLive: day("2026-11-01"), days: 30, until: day("2026-12-01") }),
    ).toBe("A generation takes 30 days at this temperature: not before Tue 1 Dec.");
  });

  it("the two bounds name the stages they were reckoned from", () => {
    expect(boundSentences(repeatBounds("spiderMite", "soap", 22))).toEqual([
      "Repeat within 9.7 days: from within reach (young mites, young adults) to first eggs or young.",
      "Keep on for longer than 5.3 days: the longest stage it does not reach (eggs).",
    ]);
  });
});

describe("times of an evening", () => {
  it("tells lengths, and clocks that go past midnight", () => {
    expect([clockAfter("19:05", 25), clockAfter("23:30", 60)]).toEqual(["19:30", "tomorrow 00:30"]);
    expect([hoursInWords(95), hoursInWords(60), hoursInWords(0)]).toEqual(["1 h 35 min", "1 h", "0 min"]);
    expect(waitsFor([{ why: "time" }, { why: "drying" }, { why: "drying" }])).toBe(
      "Another evening: one plant for lack of time, 2 plants for lack of drying space.",
    );
    expect(runsInWords("dark", "L04", "2026-11-25T19:05", "2026-11-24T19:05")).toBe(
      "L04: in the dark until tomorrow 19:05",
    );
    expect(ringsInWords("fan", ["L04", null])).toContain("L04, The session: dry");
    expect(offerInWords({ what: "rinse", minutes: 60 })).toBe("Rinse it off after 1 h");
  });

  it("tells strengths against the usual", () => {
    expect([ofUsualInWords(1), ofUsualInWords(2), ofUsualInWords(0.5), ofUsualInWords(1 / 56)]).toEqual([
      ...["the usual strength", "2 times the usual strength", "half of the usual", "one part in 56 of the usual"],
    ]);
    expect(strengthInWords("alcohol", 0.35)).toBe("35 % alcohol");
  });
});
