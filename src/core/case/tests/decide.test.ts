import { describe, expect, it } from "vitest";
import { caseFile } from "../../format/schema";
import type { Decision, FirstWay } from "../../planning/decision";
import { bearerOf } from "../../suitability/bearer";
import type { PestId } from "../../pests/pests";
import { decideFor, type DecisionQuestion } from "../ask";
import { coursesOn } from "../course";
import { TRIAL_DAY, trialFile } from "../trial";

const hoya = { genus: "Hoya", growthForm: "trailingVine", potCm: 12, inBud: false, inFlower: false } as const;

function decided(pest: PestId, over: Partial<DecisionQuestion> = {}): Decision {
  const bearer = bearerOf(hoya, [], TRIAL_DAY, "north");
  const question: DecisionQuestion = {
    ...{ first: TRIAL_DAY, workDays: [1, 2, 3, 4, 5, 6, 7], target: 0.9, courses: coursesOn([], TRIAL_DAY) },
    ...{ on: { bearer, tool: "lamp", washes: [] }, potCm: 12, worth: "dear" },
    ...{ neighbours: { touching: 2, place: 4, room: 10 }, warmOutside: true },
    ...over,
  };
  const run = decideFor(caseFile.parse(trialFile({ pest, form: "trailingVine", meanC: 22, found: 6 })), question);
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
      "cutting",
      "giveUp",
      "outdoors",
      "programme",
      "squash",
      "unpot",
    ]);
    const costs = usual.choices.map(({ cost }) => cost);
    expect(costs).toEqual(costs.toSorted((a, b) => a - b));
    for (const { costs: each, cost } of usual.choices)
      expect(Object.values(each).reduce((a, b) => a + b)).toBeCloseTo(cost, 12);
  });

  it("the whole programme ends it likelier than squashing what shows (common practice, no source)", () => {
    expect(of(usual, "programme").pOver).toBeGreaterThan(of(usual, "squash").pOver);
    expect(of(usual, "programme").neighbours).toBeLessThan(of(usual, "squash").neighbours);
  });

  it("against root mealybugs unpotting ends it likelier than squashing, and a programme of it likelier still (common practice, no source)", () => {
    const roots = decided("rootMealybug");
    expect(of(roots, "unpot").pOver).toBeGreaterThan(of(roots, "squash").pOver);
    expect(of(roots, "programme").pOver).toBeGreaterThan(of(roots, "unpot").pOver);
  });

  it("given up it is over at once and nothing catches it; so it is for what stands outside", () => {
    expect(of(usual, "giveUp")).toMatchObject({ pOver: 1, neighbours: 0, harm: 1 });
    expect(of(usual, "outdoors").neighbours).toBe(0);
  });

  it("the less a plant is worth and the more stand beside it, the sooner it is given up", () => {
    const place = (decision: Decision) => decision.choices.findIndex(({ way }) => way === "giveUp");
    const crowd = { touching: 2, place: 60, room: 200 };
    const cheap = decided("mealybug", { worth: "replaceable", neighbours: crowd, warmOutside: false });
    const loved = decided("mealybug", { worth: "irreplaceable", neighbours: crowd });
    expect(place(cheap)).toBeLessThanOrEqual(place(usual));
    expect(place(cheap)).toBe(0);
    expect(place(loved)).toBeGreaterThan(0);
    for (const way of ["squash", "programme", "unpot"] as const)
      expect(of(cheap, way).neighbours).toBeGreaterThan(of(usual, way).neighbours);
  });

  it("a clean cutting is likelier free of it than the plant after squashing, and of root mealybugs takes none (common practice, no source)", () => {
    expect(of(usual, "cutting").pOver).toBeGreaterThan(of(usual, "squash").pOver);
    expect(of(usual, "cutting").pOver).toBeLessThan(1);
    expect(of(decided("rootMealybug"), "cutting").pOver).toBe(1);
    const palm = bearerOf({ ...hoya, genus: "Howea", growthForm: "palm" }, [], TRIAL_DAY, "north");
    const ofPalm = decided("mealybug", { on: { bearer: palm, tool: "lamp", washes: [] } });
    expect(ofPalm.closed).toContainEqual({ way: "cutting", why: "noCuttings" });
  });

  it("says why a way is closed", () => {
    const winter = decided("mealybug", { warmOutside: false });
    expect(winter.choices.map(({ way }) => way)).not.toContain("outdoors");
    expect(winter.closed).toEqual([{ way: "outdoors", why: "tooCold" }]);
    expect(winter.because).not.toBeNull();
  });
});
