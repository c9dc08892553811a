import { describe, expect, it } from "vitest";
import { fullLook, historyOf, treat } from "../clearance/tests/cases";
import { reckon } from "../clearance/reckon";
import { allScenarios } from "../clearance/scenarios";
import { pestIds, type PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import type { RemedyId, TechniqueId } from "../remedies/remedies";
import type { Approach } from "./approaches";
import { scorerOf } from "./score";
import { scored, searchSchedules, type SearchRequest } from "./search";

const LIGHT = 5.5;

function request(pest: PestId, found: number, meanC: number, form?: GrowthFormId, removed = false): SearchRequest {
  // The look of a usual round, with a lamp.
  const tool = pest === "rootMealybug" ? "unpotted" : "lamp";
  const history = historyOf(
    pest,
    meanC,
    [fullLook(pest, 0, found, { tool, removed, ...(form && { form }) })],
    form ? { form } : {},
  );
  return { scorer: scorerOf(reckon(history, 0, allScenarios)), fromDay: 0, worksOn: () => true, target: 0.9 };
}

const by = (remedy: RemedyId, technique: TechniqueId): Approach => ({ id: "t", then: { remedy, technique } });
const days = (every: number, times: number) => Array.from({ length: times }, (_, i) => i * every);

/** Facts of the trade that the model must reproduce. Each: common practice or literature from memory, as marked. */
describe("facts of the trade", () => {
  // Common practice, no source: one application never ends it.
  it.each(pestIds)("%s: one application of any contact remedy is not enough for a light infestation", (pest) => {
    const limit = ["spiderMite", "thrips", "mealybug"].includes(pest) ? 0.1 : 0.4;
    for (const remedy of ["alcohol", "soap", "oil", "neem"] as const) {
      expect(scored(by(remedy, "spray"), request(pest, LIGHT, 22), [0]).pOver).toBeLessThan(limit);
    }
  });

  // Common practice, no source: alcohol on days 0, 7 and 14.
  it("alcohol on days 0, 7 and 14, well done, usually ends a trace of mealybugs on an open plant, hardly ever a heavy case", () => {
    const well = by("alcohol", "sprayAndSwab");
    expect(scored(well, request("mealybug", 1.4, 22, "trailingVine", true), [0, 7, 14]).pOver).toBeGreaterThan(0.5);
    expect(scored(well, request("mealybug", 100, 22, "trailingVine"), [0, 7, 14]).pOver).toBeLessThan(0.25);
  });

  // Common practice, no source: eggs in the leaf and pupae in the mix escape every spray.
  it("thrips are usually not beaten with soap or neem alone", () => {
    for (const remedy of ["soap", "neem"] as const) {
      expect(searchSchedules(by(remedy, "spray"), request("thrips", LIGHT, 23))!.best.pOver).toBeLessThan(0.5);
    }
  });

  // Common practice, no source: alcohol never reaches the roots.
  it("alcohol does nothing against root mealybugs", () => {
    const best = searchSchedules(by("alcohol", "spray"), request("rootMealybug", LIGHT, 22))!.best;
    expect(best.pOver).toBeLessThan(0.05);
  });

  // Common practice, no source: every 2–3 days when heavy, weekly when light.
  it("heavy spider mites need repeats of 2–4 days; light ones do with weekly only when thorough and cool", () => {
    const heavy = request("spiderMite", 100, 24, "trailingVine");
    const dunk = by("soap", "dunk");
    const over = (every: number, times: number, r: SearchRequest, a = dunk) => scored(a, r, days(every, times)).pOver;
    expect(over(3, 12, heavy)).toBeGreaterThan(over(7, 12, heavy) + 0.2);
    const weekly = (meanC: number, technique: TechniqueId) =>
      over(7, 9, request("spiderMite", LIGHT, meanC, "trailingVine"), by("soap", technique));
    expect(weekly(16, "dunk")).toBeGreaterThan(0.75);
    expect(weekly(16, "hastySpray")).toBeLessThan(weekly(16, "dunk") - 0.3);
    expect(weekly(27, "dunk")).toBeLessThan(weekly(16, "dunk") - 0.2);
  });

  // Literature from memory: development quickens with warmth.
  it("warmer: a shorter interval is recommended, or more treatments are", () => {
    const found = (meanC: number) => searchSchedules(by("alcohol", "sprayAndSwab"), request("mealybug", LIGHT, meanC))!;
    const [cool, warm] = [found(18), found(28)];
    const ends = (s: typeof cool) => s.fewest!.days.at(-1)!;
    expect(warm.fewest!.intervalDays).toBeLessThanOrEqual(cool.fewest!.intervalDays);
    expect(ends(warm)).toBeLessThanOrEqual(ends(cool));
  });

  it("better reach: fewer repeats", () => {
    const count = (technique: TechniqueId) =>
      searchSchedules(by("alcohol", technique), request("mealybug", LIGHT, 22, "trailingVine"))!.fewest?.days.length ??
      Infinity;
    expect(count("sprayAndSwab")).toBeLessThan(count("dab"));
    expect(count("dab")).toBeLessThanOrEqual(count("spray"));
  });

  // Common practice, no source: washed-off mites are back; the outbreak returns when spraying stops too early.
  it("stopping early costs: each further repeat makes it surer", () => {
    const r = request("mealybug", LIGHT, 22);
    const chances = [1, 2, 3, 5, 8].map((times) => scored(by("soap", "sprayAndSwab"), r, days(4, times)).pOver);
    expect(chances).toEqual(chances.toSorted((a, b) => a - b));
    expect(chances[0]!).toBeLessThan(0.1);
    expect(chances.at(-1)!).toBeGreaterThan(0.8);
  });

  it("more clean looks: surer", () => {
    const treated = [
      fullLook("mealybug", 0, LIGHT),
      ...days(7, 2).flatMap((d) => treat("mealybug", d, "alcohol", "sprayAndSwab")),
    ];
    const sure = [0, 1, 2, 3].map((looks) => {
      const clean = days(6, looks).map((d) => fullLook("mealybug", 25 + d, 0));
      return reckon(historyOf("mealybug", 22, [...treated, ...clean]), 45, allScenarios).pClear;
    });
    expect(sure).toEqual(sure.toSorted((a, b) => a - b));
    expect(sure.at(-1)! - sure[0]!).toBeGreaterThan(0.2);
  });
});
