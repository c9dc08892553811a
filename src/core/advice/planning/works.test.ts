import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { workIn } from "../../acts/acts";
import { workIds } from "../../acts/workIds";
import { workOf } from "../../acts/works";
import { coursesOn } from "../plans/coursesOnRecord";
import { comparisonOn, requestOn } from "../plans/onPlant";
import { TRIAL_DAY } from "../plans/trial";
import { reckon } from "../../model/clearance/reckon";
import { allScenarios } from "../../model/clearance/scenarios";
import { fullLook, historyOf } from "../../model/clearance/tests/cases";
import { addDays, day, type Day } from "../../shared/days";
import type { ActDone } from "../../record/facts/facts";
import { spray } from "../../record/cases/tests/facts";
import { pestIds, type PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { predators } from "../../knowledge/remedies/lasting";
import { actObjections } from "../tolerance/actObjections";
import { treatedPlantOf, type TreatedPlant } from "../tolerance/treatedPlant";
import { SPRAY_FREE_DAYS } from "../../knowledge/remedies/naturalEnemies";
import { compareAll, type Comparison } from "./compare";
import { courseOf, gapBetween, isWork, limitsOf, type Dose } from "./doses";
import { labelObjections } from "../labels/label";
import { scorerOf } from "./score";
import { searchSchedules, type SearchRequest } from "./search";

const none = coursesOn([], TRIAL_DAY);
const bearer = (genus: string, growthForm: GrowthFormId, over: Partial<TreatedPlant> = {}): TreatedPlant => ({
  ...treatedPlantOf({ genus, growthForm, potCm: 12, inBud: false, inFlower: false }, [], TRIAL_DAY, "north"),
  ...over,
});
const leafy = bearer("Monstera", "climbingAroid");
const rosette = bearer("Haworthia", "rosetteSucculent");

const calendar = { of: () => 0 };

function requestFor(pest: PestId, count: number, plant: TreatedPlant): SearchRequest {
  const tool = pest === "rootMealybug" ? "unpotted" : "lamp";
  const judged = reckon(historyOf(pest, 22, [fullLook(pest, 0, count, { tool })]), 0, allScenarios);
  const on = { bearer: plant, tool: "lamp", washes: [] } as const;
  const asked = requestOn(judged, on, calendar);
  return { scorer: scorerOf(judged), fromDay: 0, worksOn: () => true, target: 0.9, ...asked };
}
function compared(pest: PestId, count: number, plant: TreatedPlant): Comparison {
  const on = { bearer: plant, tool: "lamp", washes: [] } as const;
  return compareAll({ ...requestFor(pest, count, plant), ...comparisonOn(pest, on, none, count) });
}
const chance = (comparison: Comparison, id: string) =>
  comparison.plans.find(({ approach }) => approach === id)!.schedule.pClean;

describe("works in plans", () => {
  // "The only sure way for root pests" (common practice, no source).
  it("root mealybugs have a plan, and what is least work begins with unpotting", () => {
    for (const count of [5.5, 23]) {
      const { plans, leastWork } = compared("rootMealybug", count, rosette);
      expect(plans.find(({ approach }) => approach === leastWork)!.schedule.doses[0]).toEqual({ work: "unpot" });
    }
  });

  // Predators: slow, keep working; light cases, not heavy ones; against mealybugs none in a home (common practice, no source).
  it("predatory mites hold a light case of spider mites better than a heavy one, and are not proposed against mealybugs", () => {
    const light = chance(compared("spiderMite", 1.4, leafy), "predatoryMites");
    expect(light).toBeGreaterThan(chance(compared("spiderMite", 40, leafy), "predatoryMites"));
    // In a heavy one they follow a spray.
    const heavy = compared("spiderMite", 100, leafy).plans.map(({ approach }) => approach);
    expect(heavy).not.toContain("predatoryMites");
    expect(heavy).toContain("soapThenPredators");
    const released = ({ schedule }: Comparison["plans"][number]) =>
      schedule.doses.some((dose) => isWork(dose) && dose.work in predators);
    expect(compared("mealybug", 1.4, leafy).plans.some(released)).toBe(false);
    expect(compared("mealybug", 1.4, { ...leafy, enclosed: true }).plans.some(released)).toBe(true);
  });

  // Suppliers' leaflets, from memory: flower bugs take grown thrips too, predatory mites the young larvae alone.
  it("pirate bugs do more against thrips than predatory mites, follow a spray in a heavy case, and hunt no mealybugs", () => {
    const summer = { ...leafy, resting: false };
    const light = compared("thrips", 1.4, summer);
    expect(chance(light, "pirateBugs")).toBeGreaterThan(chance(light, "predatoryMites"));
    const heavy = compared("thrips", 100, summer).plans.map(({ approach }) => approach);
    expect(heavy).not.toContain("pirateBugs");
    expect(heavy).toContain("soapThenPirateBugs");
    for (const none of [compared("mealybug", 1.4, summer), compared("thrips", 1.4, { ...leafy, resting: true })])
      expect(none.plans.map(({ approach }) => approach)).not.toContain("pirateBugs");
  });

  it("none of what roots take up is proposed against mites (common practice, no source)", () => {
    const given = compared("spiderMite", 5.5, leafy).plans.flatMap(({ schedule }) => schedule.doses);
    expect(given).not.toContainEqual({ work: "systemic" });
  });

  it("no two doses of any schedule stand nearer than they bear each other, nor more often than they may", () => {
    const request = { pest: fc.constantFrom(...pestIds), first: fc.integer({ min: 0, max: 6 }) };
    fc.assert(
      fc.property(fc.record(request), fc.constantFrom(leafy, rosette), ({ pest, first }, plant) => {
        const { mayUse } = comparisonOn(pest, { bearer: plant, tool: "lamp", washes: [] }, none, 5.5);
        const asked = { ...requestFor(pest, 5.5, plant), fromDay: first };
        for (const dose of workIds.map((work): Dose => ({ work }))) {
          const approach = { id: "t", first: { remedy: "soap", technique: "spray" } as const, then: dose };
          if (!mayUse(approach)) continue;
          const found = searchSchedules(approach, asked);
          const schedules = found ? [found.leastWork, found.soonest, found.best] : [];
          for (const { days, doses } of schedules.filter((one) => one !== null)) {
            expect(days[0]).toBeGreaterThanOrEqual(first);
            days.forEach((later, i) =>
              days.slice(0, i).forEach((earlier, k) => {
                expect(later - earlier).toBeGreaterThanOrEqual(gapBetween(courseOf(doses[k]!), doses[i]!));
              }),
            );
            for (const course of new Set(doses.map(courseOf)))
              expect(doses.filter((one) => courseOf(one) === course).length).toBeLessThanOrEqual(
                limitsOf(course).mostTimes,
              );
          }
        }
      }),
      { numRuns: 12 },
    );
  });

  it("an act is a work of its own kind, and what a work comes to carries it out", () => {
    for (const work of workIds) expect(workIn(workOf(work).act(leafy))).toBe(work);
    expect(workIn({ kind: "trap", cards: 1, days: 7 })).toBeNull();
  });
});

describe("what goes with what", () => {
  const soap = { remedy: "soap", technique: "spray" } as const;
  const mites = { work: "predatoryMites" } as const;
  const on = (n: number): Day => addDays(day("2026-12-01"), n);

  it("sprays come two weeks before helpful animals or after they are gone (common practice, no source)", () => {
    const against = (...doses: [number, Dose][]) =>
      labelObjections(
        doses.map(([n, dose]) => ({ day: on(n), dose })),
        none,
      ).map(({ code }) => code);
    expect(against([0, soap], [SPRAY_FREE_DAYS - 1, mites])).toEqual(["not_together"]);
    expect(against([0, soap], [SPRAY_FREE_DAYS, mites])).toEqual([]);
    expect(against([0, mites], [7, soap])).toEqual(["not_together"]);
    expect(against([0, mites], [predators.predatoryMites.untilDay, soap])).toEqual([]);
    expect(against([0, mites], [7, { work: "shower" }])).toEqual([]);
    // What is dabbed on the spot leaves the rest of the plant, and the animals on it, as they are.
    expect(against([0, mites], [7, { remedy: "alcohol", technique: "dab" }])).toEqual([]);
    // What was put on before counts as well.
    const sprayed = { ...none, soap: { ...none.soap, times: 1, last: on(-3) } };
    expect(labelObjections([{ day: on(0), dose: mites }], sprayed)).toMatchObject([
      { code: "not_together", remedy: "predatoryMites", other: "soap", days: SPRAY_FREE_DAYS },
    ]);
  });

  it("peroxide is poured on twice within a year, however far apart (common practice, no source)", () => {
    const act = workOf("drenchPeroxide").act(leafy);
    const poured = (n: number): ActDone => ({ ...spray(0), day: on(n), act });
    const courses = coursesOn([poured(-300), poured(-100)], on(0));
    expect(courses.drenchPeroxide).toMatchObject({ times: 2, last: on(-100) });
    const third = { day: on(0), dose: { work: "drenchPeroxide" } } as const;
    expect(labelObjections([third], courses)).toMatchObject([{ code: "too_often", most: 2, times: 3 }]);
    expect(coursesOn([poured(-400), poured(-100)], on(0)).drenchPeroxide.times).toBe(1);
  });

  it("roots bear no alcohol, and a wet mix or one that rests dry no water (common practice, no source)", () => {
    const codes = (...of: Parameters<typeof actObjections>) => actObjections(...of).map(({ code }) => code);
    const dab = { kind: "contact", mix: "alcoholFull", technique: "dab", volumeMl: 5 } as const;
    expect(codes({ ...dab, spots: ["roots"] }, rosette)).toContain("alcoholOnRoots");
    expect(codes({ ...dab, spots: ["crown"] }, rosette)).not.toContain("alcoholOnRoots");
    const neem = { kind: "drench", remedy: "neem", volumeMl: 200 } as const;
    expect(codes({ ...neem, before: "sodden" }, leafy)).toContain("wetAlready");
    expect(codes({ ...neem, before: "moist" }, leafy)).toEqual([]);
    const resting = { ...rosette, resting: true, sensitivities: ["winterDry" as const] };
    expect(codes(neem, resting)).toContain("dryRest");
  });
});
