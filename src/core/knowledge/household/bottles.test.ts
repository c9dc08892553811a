import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { coursesOn } from "../../advice/plans/coursesOnRecord";
import { coursesIn } from "../../advice/clearance/judge";
import { comparisonOn, requestOn } from "../../advice/plans/onPlant";
import { spray } from "../../record/cases/tests/facts";
import { TRIAL_DAY } from "../../advice/plans/trial";
import { reckon } from "../../model/clearance/reckon";
import { allScenarios } from "../../model/clearance/scenarios";
import { fullLook, historyOf } from "../../model/clearance/tests/cases";
import { addDays } from "../../shared/days";
import type { PestId } from "../pests/pests";
import { approaches, approachOf } from "../../advice/planning/approaches";
import type { CompareRequest } from "../../advice/planning/compare";
import { gapBetween, limitsOf } from "../../advice/planning/doses";
import { labelObjections } from "../../advice/labels/label";
import { ownLimits } from "../../advice/labels/ownLabels";
import { scorerOf } from "../../advice/planning/score";
import { searchSchedules } from "../../advice/planning/search";
import { treatedPlantOf, type TreatedPlant } from "../../advice/tolerance/treatedPlant";
import { refusals } from "../../advice/tolerance/mixFor";
import { keepBottle, type Bottle } from "./bottles";
import { homeObjections, isKeptOut, systemicIn, type Home } from "./household";
import { activeIds } from "./products";

const bottle = (active: Bottle["active"], over: Partial<Bottle> = {}): Bottle => ({
  ...{ id: "0190f000-0000-7000-8000-000000000001", name: "the brown one", active, percent: null, unit: "mL" },
  ...{ perLitre: null, everyDays: null, mostTimes: null, allowed: ["indoors", "outdoors"] },
  ...{ size: null, openedOn: null, bestBefore: null, emptiedOn: null, price: null },
  ...over,
});
const homeWith = (...bottles: Bottle[]): Home => ({ household: [], notAllowed: [], bottles });
const anywhere = { sensitivities: [] };
const codes = (...asked: Parameters<typeof homeObjections>) => homeObjections(...asked).map(({ code }) => code);
const fern = (home: Home, over: Partial<TreatedPlant> = {}): TreatedPlant => ({
  ...treatedPlantOf(
    { genus: "Monstera", growthForm: "climbingAroid", potCm: 15, inBud: false, inFlower: false },
    [],
    TRIAL_DAY,
    "north",
    home,
  ),
  ...over,
});
const mayUse = (home: Home, pest = "spiderMite") =>
  comparisonOn(pest, { bearer: fern(home), tool: "lamp", washes: [] }, coursesOn([], TRIAL_DAY, home.bottles), 5.5)
    .mayUse;

describe("the label on a keeper's own bottle", () => {
  it("is read as it was typed; what cannot be is told at its field", () => {
    const typed = { ...bottle("neem"), perLitre: "2,5", everyDays: "7", mostTimes: "", percent: "" };
    expect(keepBottle.parse(typed)).toMatchObject({ perLitre: 2.5, everyDays: 7, mostTimes: null, percent: null });
    const wrong = keepBottle.safeParse({ ...typed, name: "  ", everyDays: "0", allowed: ["indoors", "nowhere"] });
    expect(wrong.error!.issues.map(({ path }) => path[0])).toEqual(["name", "everyDays", "allowed"]);
  });

  it("goes before the tables: its interval, and how often a season; of two bottles the strictest", () => {
    expect(ownLimits([], "soap")).toEqual({ smallestIntervalDays: null, mostTimes: null });
    const two = [bottle("soap", { everyDays: 5 }), bottle("soap", { everyDays: 9, mostTimes: 4 })];
    expect(ownLimits(two, "soap")).toEqual({ smallestIntervalDays: 9, mostTimes: 4 });
    expect(ownLimits(two, "oil").mostTimes).toBeNull();
    expect(coursesOn([], TRIAL_DAY, two).soap.limits).toEqual({ smallestIntervalDays: 9, mostTimes: 4 });
    expect(limitsOf("oil")).toMatchObject(coursesOn([], TRIAL_DAY, two).oil.limits);
    // What is watered in of the same bottle is bound by the same label, and any systemic by its own.
    expect(ownLimits([bottle("neem", { everyDays: 14 })], "drenchNeem").smallestIntervalDays).toBe(14);
    expect(ownLimits([bottle("dinotefuran", { mostTimes: 1 })], "systemic").mostTimes).toBe(1);
    expect(ownLimits([bottle("neem", { everyDays: 14 })], "unpot").smallestIntervalDays).toBeNull();
  });

  it("counts a season from a year back, where the tables would have begun a new course", () => {
    const label = [bottle("soap", { mostTimes: 2 })];
    const sprays = [spray(-200), spray(-100)];
    const today = addDays(spray(0).day, 1);
    expect(coursesOn(sprays, today).soap.times).toBe(0);
    expect(coursesOn(sprays, today, label).soap.times).toBe(2);
    const again = [{ day: today, dose: { remedy: "soap", technique: "spray" } as const }];
    expect(labelObjections(again, coursesOn(sprays, today, label))).toMatchObject([
      { code: "too_often", remedy: "soap", most: 2, times: 3 },
    ]);
    expect(labelObjections(again, coursesOn(sprays, today))).toEqual([]);
  });

  it("says where: indoors, outdoors, on what is eaten", () => {
    const outside = homeWith(bottle("permethrin", { allowed: ["outdoors"] }));
    expect(codes("permethrin", outside, anywhere)).toEqual(["labelNotIndoors"]);
    expect(codes("permethrin", outside, { ...anywhere, outdoors: true })).toEqual([]);
    expect(codes("permethrin", outside, { sensitivities: ["eaten"], outdoors: true })).toEqual(["eaten"]);
    const onFood = homeWith(bottle("permethrin", { allowed: ["outdoors", "food"] }));
    expect(codes("permethrin", onFood, { sensitivities: ["eaten"], outdoors: true })).toEqual([]);
    // One that allows it is enough.
    const both = homeWith(bottle("soap", { allowed: ["outdoors"] }), bottle("soap"));
    expect(codes("soap", both, anywhere)).toEqual([]);
    expect(codes("permethrin", { ...onFood, household: ["cats"] }, { ...anywhere, outdoors: true })).toEqual(["cats"]);
  });

  it("what comes in bottles of its own is proposed only from one, and with the name of what is in it", () => {
    expect(mayUse(homeWith())(approachOf("bifenazateThenSoap"))).toBe(false);
    expect(mayUse(homeWith(bottle("bifenazate")))(approachOf("bifenazateThenSoap"))).toBe(true);
    expect(mayUse(homeWith(bottle("bifenazate", { allowed: ["outdoors"] })))(approachOf("bifenazateThenSoap"))).toBe(
      false,
    );
    expect(mayUse(homeWith(bottle("bifenazate")), "aphid")(approachOf("bifenazateThenSoap"))).toBe(false);
    expect(systemicIn(homeWith(), anywhere)).toBeUndefined();
    expect(systemicIn(homeWith(bottle("dinotefuran")), anywhere)).toBe("dinotefuran");
    expect(systemicIn({ ...homeWith(bottle("dinotefuran")), household: ["bees"] }, anywhere)).toBeUndefined();
    for (const active of activeIds) expect(isKeptOut(active, homeWith(bottle(active)), anywhere)).toBe(false);
  });
});

describe("plans with what is in the cupboard", () => {
  const request = (pest: PestId, home: Home): CompareRequest => {
    const on = { bearer: fern(home), tool: "lamp", washes: [] } as const;
    const judged = reckon(historyOf(pest, 22, [fullLook(pest, 0, 5.5)]), 0, allScenarios);
    const scorer = scorerOf(judged);
    const courses = coursesOn([], TRIAL_DAY, home.bottles);
    const days = { fromDay: 0, worksOn: () => true, target: 0.9, ...coursesIn({ of: () => 0 }, courses) };
    return { scorer, ...days, ...requestOn(judged, on, { of: () => 0 }), ...comparisonOn(pest, on, courses, 5.5) };
  };

  it("keep every label, whatever it says, and what does not go together apart", () => {
    const label = fc.record({
      active: fc.constantFrom(...activeIds),
      everyDays: fc.option(fc.integer({ min: 1, max: 30 })),
      mostTimes: fc.option(fc.integer({ min: 1, max: 4 })),
    });
    const cupboard = fc.array(label, { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(cupboard, fc.constantFrom<PestId>("spiderMite", "aphid", "mealybug"), (labels, pest) => {
        const home = homeWith(...labels.map(({ active, ...says }) => bottle(active, says)));
        const asked = request(pest, home);
        const bottled = approaches.filter((one) => asked.mayUse(one) && /[a-z]ThenSoap|sulphur|Systemic/.test(one.id));
        for (const approach of bottled) {
          const found = searchSchedules(approach, asked);
          if (!found) continue;
          const { days, doses } = found.best;
          const planned = days.map((day, i) => ({ day: addDays(TRIAL_DAY, day), dose: doses[i]! }));
          expect([approach.id, labelObjections(planned, coursesOn([], TRIAL_DAY, home.bottles))]).toEqual([
            approach.id,
            [],
          ]);
        }
      }),
      { numRuns: 12 },
    );
  });
});

describe("oil, sulphur and burnt leaves", () => {
  it("oil and sulphur keep two weeks from each other, either way (labels, from memory)", () => {
    for (const oily of ["oil", "neem"] as const) {
      expect(gapBetween("sulphur", { remedy: oily, technique: "spray" })).toBe(14);
      expect(gapBetween(oily, { remedy: "sulphur", technique: "spray" })).toBe(14);
    }
    expect(gapBetween("soap", { remedy: "sulphur", technique: "spray" })).toBeLessThan(14);
  });

  it("leaves that were scorched get no oil until they have healed; anything milder they may", () => {
    const day = addDays(TRIAL_DAY, -3);
    const scorched = (on: typeof day) =>
      fern(homeWith(), {
        today: TRIAL_DAY,
        reactions: [{ mix: "soapStrong", technique: "spray", what: "scorch", day: on }],
      });
    const why = (remedy: "oil" | "neem" | "alcohol", plant: TreatedPlant) =>
      refusals(remedy, "spray", plant).map(({ code }) => code);
    expect(why("oil", scorched(day))).toContain("burntLately");
    expect(why("neem", scorched(day))).toContain("burntLately");
    expect(why("alcohol", scorched(day))).toEqual([]);
    expect(why("oil", scorched(addDays(TRIAL_DAY, -14)))).toEqual([]);
    // A burn that was seen later than the day asked about says nothing of that day.
    expect(why("oil", scorched(addDays(TRIAL_DAY, 1)))).toEqual([]);
  });
});
