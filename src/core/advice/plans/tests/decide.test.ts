import { describe, expect, it } from "vitest";
import { caseFile } from "../../../record/format/schema";
import type { FirstWay } from "../../decision/decision";
import { act as recordedAct } from "../../../acts/acts";
import { blitzActs } from "../../decision/blitz";
import { treatedPlantOf, type TreatedPlant } from "../../tolerance/treatedPlant";
import type { PestId } from "../../../knowledge/pests/pests";
import { decideFor, type DatedDecision as Decision, type DecisionQuestion } from "../ask";
import { coursesOn } from "../coursesOnRecord";
import { TRIAL_DAY, trialFile } from "../trial";

const hoya = { genus: "Hoya", growthForm: "trailingVine", potCm: 12, inBud: false, inFlower: false } as const;

function decided(pest: PestId, over: Partial<DecisionQuestion> = {}, found = 6): Decision {
  const bearer = treatedPlantOf(hoya, [], TRIAL_DAY, "north");
  const question: DecisionQuestion = {
    ...{ first: TRIAL_DAY, workDays: [1, 2, 3, 4, 5, 6, 7], target: 0.9, courses: coursesOn([], TRIAL_DAY) },
    ...{ on: { bearer, tool: "lamp", washes: [] }, worth: "dear" },
    ...{ neighbours: { touching: 2, place: 4, room: 10 }, warmOutside: true },
    ...over,
  };
  const run = decideFor(caseFile.parse(trialFile({ pest, form: "trailingVine", meanC: 22, found })), question);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
const of = ({ choices }: Decision, way: FirstWay) => choices.find((one) => one.way === way)!;

describe("the first decision", () => {
  const usual = decided("mealybug");

  it("shows every way, the one that costs least first, each with its four costs", () => {
    expect(usual.choices.map(({ way }) => way).toSorted()).toEqual([
      "blitz",
      "cutting",
      "giveUp",
      "outdoors",
      "programme",
      "squash",
      "unpot",
    ]);
    const costs = usual.choices.filter(({ way }) => way !== "giveUp").map(({ cost }) => cost);
    expect(costs).toEqual(costs.toSorted((a, b) => a - b));
    for (const { costs: each, cost } of usual.choices)
      expect(Object.values(each).reduce((a, b) => a + b)).toBeCloseTo(cost, 12);
  });

  it("in one day everything does more than anything alone, and costs the plant more (common practice, no source)", () => {
    const patch = decided("mealybug", {}, 23);
    for (const way of ["squash", "unpot"] as const) {
      expect(of(patch, "blitz").pClean).toBeGreaterThan(of(patch, way).pClean);
      expect(of(patch, "blitz").neighbours).toBeLessThan(of(patch, way).neighbours);
    }
    expect(of(patch, "blitz").harm).toBeGreaterThan(of(patch, "unpot").harm);
  });

  it("against root mealybugs unpotting ends it likelier than squashing, and a programme of it likelier still (common practice, no source)", () => {
    const roots = decided("rootMealybug");
    expect(of(roots, "unpot").pClean).toBeGreaterThan(of(roots, "squash").pClean);
    expect(of(roots, "programme").pClean).toBeGreaterThan(of(roots, "unpot").pClean);
  });

  it("given up it is over at once and nothing catches it; so it is for what stands outside", () => {
    expect(of(usual, "giveUp")).toMatchObject({ pClean: 1, neighbours: 0, harm: 1 });
    expect(of(usual, "outdoors").neighbours).toBe(0);
  });

  it("giving up is told last, and proposed only for a plant that can be replaced and is overrun or without a way", () => {
    const place = ({ choices }: Decision) => choices.findIndex(({ way }) => way === "giveUp");
    const last = ({ choices }: Decision) => choices.length - 1;
    const crowd = { touching: 2, place: 60, room: 200 };
    for (const worth of ["dear", "irreplaceable"] as const) {
      const decision = decided("mealybug", { worth, neighbours: crowd, warmOutside: false }, 300);
      expect(place(decision)).toBe(last(decision));
    }
    const light = decided("mealybug", { worth: "replaceable", neighbours: crowd });
    expect(place(light)).toBe(last(light));
    expect(place(decided("mealybug", { worth: "replaceable", neighbours: crowd, warmOutside: false }, 300))).toBe(0);
  });

  it("the more stand beside it, the more catch it; none once it is apart", () => {
    const crowded = decided("mealybug", { neighbours: { place: 60, room: 200 } });
    const apart = decided("mealybug", { neighbours: {} });
    for (const way of ["squash", "programme", "unpot"] as const) {
      expect(of(crowded, way).neighbours).toBeGreaterThan(of(usual, way).neighbours);
      expect(of(apart, way).neighbours).toBe(0);
    }
  });

  it("a clean cutting is likelier free of it than the plant after squashing, and of root mealybugs takes none (common practice, no source)", () => {
    expect(of(usual, "cutting").pClean).toBeGreaterThan(of(usual, "squash").pClean);
    expect(of(usual, "cutting").pClean).toBeLessThan(1);
    expect(of(decided("rootMealybug"), "cutting").pClean).toBe(1);
    const palm = treatedPlantOf({ ...hoya, genus: "Howea", growthForm: "palm" }, [], TRIAL_DAY, "north");
    const ofPalm = decided("mealybug", { on: { bearer: palm, tool: "lamp", washes: [] } });
    expect(ofPalm.closed).toContainEqual({ way: "cutting", why: "noCuttings" });
  });

  it("everything in one day is what is written down for it, and nothing that the plant does not bear", () => {
    const bearer = treatedPlantOf(hoya, [], TRIAL_DAY, "north");
    const ways = (one: TreatedPlant) =>
      blitzActs(one, "lamp").map((act) =>
        act.kind === "mechanical" ? act.way : act.kind === "contact" && act.technique,
      );
    expect(ways(bearer)).toEqual(["pickOff", "prune", "unpot", "shower", "sprayAndSwab", "spray"]);
    expect(ways({ ...bearer, sensitivities: ["waxBloom"] }).slice(4)).toEqual(["dab"]);
    expect(ways({ ...bearer, sensitivities: ["soapShy"] })).not.toContain("spray");
    expect(ways(treatedPlantOf({ ...hoya, growthForm: "palm", genus: "Howea" }, [], TRIAL_DAY, "north"))).not.toContain(
      "prune",
    );
    for (const act of blitzActs(bearer, "lamp")) expect(recordedAct.safeParse(act).success).toBe(true);
  });

  it("says why a way is closed", () => {
    const winter = decided("mealybug", { warmOutside: false });
    expect(winter.choices.map(({ way }) => way)).not.toContain("outdoors");
    expect(winter.closed).toEqual([{ way: "outdoors", why: "tooCold" }]);
    expect(winter.because).not.toBeNull();
  });
});
