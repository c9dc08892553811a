import type { Application } from "../../../acts/contact";
import type { Dose } from "../../planning/doses";
import { describe, expect, it } from "vitest";
import { day } from "../../../shared/days";
import { reckon } from "../../../model/clearance/reckon";
import { allScenarios } from "../../../model/clearance/scenarios";
import { fullLook, historyOf } from "../../../model/clearance/tests/cases";
import { pestOf } from "../../../knowledge/pests/pests";
import { approachOf } from "../../planning/approaches";
import { approachOfSchool, schools } from "../../../knowledge/remedies/schools";
import { treatedPlantOf } from "../../tolerance/treatedPlant";
import { caseFile } from "../../../record/format/schema";
import { compareFor, type DatedComparison, type PlanQuestion } from "../ask";
import { coursesOn } from "../coursesOnRecord";
import { comparisonOn, refusedOn, requestOn, washesOn, type OnPlant } from "../onPlant";
import { TRIAL_DAY, trialFile } from "../trial";
import { on, spray, struck } from "../../../record/cases/tests/facts";

const onPlant = (genus: string, over: Partial<OnPlant> = {}): OnPlant => ({
  bearer: treatedPlantOf(
    {
      genus,
      growthForm: genus === "Stapelia" ? "stemSucculent" : "clumpingFoliage",
      potCm: 12,
      inBud: false,
      inFlower: false,
    },
    [],
    day("2026-07-01"),
    "north",
  ),
  tool: "lamp",
  washes: [],
  ...over,
});
const calendar = { of: () => 0 };

describe("a dose as it will be put on this plant", () => {
  const judged = reckon(historyOf("mealybug", 22, [fullLook("mealybug", 0, 5.5)]), 0, allScenarios);
  const { apply: applied, stress } = requestOn(judged, onPlant("Maranta"), calendar);
  const apply = (dose: Dose) => applied!(dose) as Application;

  it("in the mix proposed for it, where its technique goes, searched with what the keeper has", () => {
    const dab = apply({ remedy: "alcohol", technique: "dab" });
    expect(dab).toMatchObject({ potency: 0.25, tool: "lamp" });
    expect(dab.on!.spots).not.toContain("roots");
    expect(apply({ remedy: "soap", technique: "dunk" }).on!.spots).not.toContain("mixTop");
    expect(apply({ remedy: "alcohol", technique: "spray", mix: "alcoholFull" }).potency).toBe(1);
    expect(stress!.perMonth).toBe(8);
  });

  it("the same dose is always the same object: a scorer knows it again", () => {
    const dose = { remedy: "soap", technique: "spray" } as const;
    expect(apply(dose)).toBe(apply({ ...dose }));
  });

  it("nothing is known of a pest that hides nowhere in particular", () => {
    const weevil = { ...pestOf("mealybug"), id: "weevil" };
    const unknown = reckon(
      { ...historyOf("mealybug", 22, [fullLook("mealybug", 0, 5.5)]), pest: weevil },
      0,
      allScenarios,
    );
    const asked = requestOn(unknown, onPlant("Maranta"), calendar);
    expect(Object.keys(asked)).toEqual(["looks"]);
    // A look made like the last one sees what that one saw.
    expect(asked.looks.see[2]![0]).toBeGreaterThan(0);
    const { mayUse } = comparisonOn("weevil", onPlant("Maranta"), coursesOn([], TRIAL_DAY), 5.5);
    expect(mayUse(approachOf("oilSpray"))).toBe(true);
  });

  it("neat alcohol is a school of its own, for cacti and tough succulents only (common practice, no source)", () => {
    const neat = approachOfSchool(schools.find(({ id }) => id === "alcoholNeatWeekly")!);
    const may = (genus: string) => comparisonOn("mealybug", onPlant(genus), coursesOn([], TRIAL_DAY), 5.5).mayUse(neat);
    expect([may("Gasteria"), may("Maranta"), may("Nobody")]).toEqual([true, false, false]);
  });

  it("what was put on in the last month counts, as soap washes; what was struck out does not", () => {
    const today = on(40);
    const acts = [spray(5), spray(20), struck(spray(25)), spray(40)];
    expect(washesOn(acts, today)).toEqual([
      { on: on(20), washes: 1 },
      { on: on(40), washes: 1 },
    ]);
  });
});

describe("the comparison on a plant", () => {
  const question = (plant: OnPlant): PlanQuestion => ({
    first: TRIAL_DAY,
    workDays: [1, 2, 3, 4, 5, 6, 7],
    target: 0.9,
    courses: coursesOn([], TRIAL_DAY),
    on: plant,
  });
  const compared = (plant: OnPlant): DatedComparison => {
    const file = trialFile({ pest: "mealybug", form: plant.bearer.form, meanC: 22, found: 1.4 });
    const run = compareFor(caseFile.parse(file), question(plant));
    for (;;) {
      const next = run.next();
      if (next.done) return next.value;
    }
  };

  it("a prayer plant: oil and neem are refused and say why, and are not compared", () => {
    const { refused, plans } = compared(onPlant("Maranta"));
    expect(refused.find(({ id }) => id === "oilSpray")!.why).toEqual(["oilOnShy"]);
    expect(refused.map(({ id }) => id)).toContain("neemUntilClean");
    expect(plans.some(({ approach }) => refused.some(({ id }) => id === approach))).toBe(false);
    expect(refusedOn(approachOf("alcoholThenNeem"), onPlant("Maranta").bearer)).toContain("oilOnShy");
  });

  // Fact of the trade (common practice, no source).
  it("a leafless succulent: a dunk is never the gentlest", () => {
    const { gentlest } = compared(onPlant("Stapelia"));
    expect(gentlest).not.toBe("soapDunk");
    expect(gentlest).not.toBe("neemDunk");
  });

  it("each schedule says what is put on on each of its dates", () => {
    for (const { schedule } of compared(onPlant("Aspidistra")).plans)
      expect(schedule.doses).toHaveLength(schedule.dates.length);
  });
});
