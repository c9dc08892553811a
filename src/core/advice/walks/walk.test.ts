import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { priorsFor } from "../diagnosis/priors";
import { ONE_SIDE } from "../../model/inspection/see";
import { detectionProbability } from "../../model/inspection/detectionProbability";
import { growthFormIds, spotsOf } from "../../knowledge/plants/growthForms";
import { leafSample } from "./leaves";
import { LIGHT_ANIMALS, meterOf } from "./meter";
import { placesByRisk, placesOfRound } from "./places";
import { rounds } from "../../model/inspection/rounds";
import { walkOrder, type WalkPlant } from "./order";
import { progressOf, type WalkEvent } from "./progress";
import { secondsLeft } from "./timeLeft";

const priors = priorsFor({ form: "trailingVine", meanC: 22, season: "spring", nearby: {} });
const places = ["east", "west"];
const plant = (id: string, placeId: string, state: WalkPlant["state"] = "clear"): WalkPlant => ({
  id,
  code: id,
  state,
  placeId,
  apart: false,
});
const event = (id: string, plantId: string, kind: WalkEvent["kind"] = "clean"): WalkEvent => ({
  id,
  plantId,
  kind,
  atMs: Number(id) * 1000,
});

describe("where to look", () => {
  it("holds every place of the form once, roots last", () => {
    for (const form of growthFormIds) {
      const order = placesByRisk(form, priors);
      expect(order.toSorted()).toEqual([...spotsOf(form)].toSorted());
      if (form !== "airPlant") expect(order.at(-1)).toBe("roots");
    }
  });

  it("what the collection has now comes first (common practice, no source)", () => {
    const near = priorsFor({ form: "trailingVine", meanC: 22, season: "spring", nearby: { mealybug: "here" } });
    expect(placesByRisk("trailingVine", near).indexOf("axil")).toBeLessThan(2);
    const gnats = priorsFor({ form: "trailingVine", meanC: 22, season: "winter", nearby: { fungusGnat: "here" } });
    expect(placesByRisk("trailingVine", gnats).indexOf("mixTop")).toBeLessThan(3);
  });

  it("a round takes in the likely places, all but the roots, or none", () => {
    for (const form of growthFormIds) {
      const [likely, all, own] = rounds.map((round) => placesOfRound(form, priors, round)) as [[], [], []];
      expect(own).toEqual([]);
      expect(all).toEqual(expect.not.arrayContaining(["roots"]));
      expect(all).toHaveLength(spotsOf(form).filter((spot) => spot !== "roots").length);
      expect(likely.length).toBeGreaterThan(2);
      expect(likely.length).toBeLessThan(all.length);
      expect(all.slice(0, likely.length)).toEqual(likely);
    }
  });
});

describe("the meter", () => {
  const spots = spotsOf("trailingVine");

  it("is what a look of that effort would show of each pest, one side only being half of it", () => {
    const whole = meterOf("trailingVine", 22, priors, { tool: "lamp", spots }, 1);
    const search = { tool: "lamp", spots } as const;
    expect(whole.of.mealybug).toBeCloseTo(
      detectionProbability("mealybug", "trailingVine", 22, search, LIGHT_ANIMALS),
      12,
    );
    const half = meterOf("trailingVine", 22, priors, search, ONE_SIDE);
    // 1 − (1 − D/2)ⁿ, with D from the whole look.
    const seen = 1 - (1 - whole.of.mealybug) ** (1 / LIGHT_ANIMALS);
    expect(half.of.mealybug).toBeCloseTo(1 - (1 - seen / 2) ** LIGHT_ANIMALS, 10);
  });

  it("is nothing without a place looked at, and never falls with another one", () => {
    for (const form of growthFormIds) {
      let last = meterOf(form, 22, priors, { tool: "loupe", spots: [] }, 1).shown;
      expect(last).toBe(0);
      spotsOf(form).forEach((_, i) => {
        const now = meterOf(form, 22, priors, { tool: "loupe", spots: spotsOf(form).slice(0, i + 1) }, 1).shown;
        expect(now).toBeGreaterThanOrEqual(last - 1e-12);
        last = now;
      });
      expect(last).toBeLessThanOrEqual(1);
    }
    expect(() => meterOf("fern", 22, priors, { tool: "eye", spots: [] }, 0)).toThrow(RangeError);
  });
});

describe("where a walk stands", () => {
  const all = [plant("a", "east"), plant("b", "east"), plant("c", "west"), plant("d", "west")];

  it("goes through the plants in order, and an event taken back brings its plant back", () => {
    const after = progressOf(all, places, [event("1", "a"), event("2", "b", "skipped")]);
    expect(after.done.map((one) => one.plant.id)).toEqual(["a", "b"]);
    expect(after.toGo.map((one) => one.id)).toEqual(["c", "d"]);
    expect(after.last?.id).toBe("b");
    expect(progressOf(all, places, [event("1", "a")]).toGo[0]?.id).toBe("b");
    expect(progressOf(all, places, []).last).toBeNull();
  });

  it("a find moves its neighbours behind the clean ones still to come; taken back, all is as before", () => {
    const found = [event("1", "a", "found")];
    expect(progressOf(all, places, found).toGo.map((one) => one.id)).toEqual(["c", "d", "b"]);
    expect(progressOf(all, places, []).toGo).toEqual(walkOrder(all, places));
  });

  it("is the same whatever the order in which events arrive, and loses or doubles no plant", () => {
    const someEvents = fc.array(
      fc.record({
        plant: fc.constantFrom("a", "b", "c", "d", "gone"),
        kind: fc.constantFrom<WalkEvent["kind"][]>("clean", "found", "skipped"),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(someEvents, (made) => {
        const events = made.map((one, i) => event(`${i}`, one.plant, one.kind));
        const now = progressOf(all, places, events);
        expect(progressOf(all, places, events.toReversed())).toEqual(now);
        const ids = [...now.done.map((one) => one.plant.id), ...now.toGo.map((one) => one.id)];
        expect(ids.toSorted()).toEqual(["a", "b", "c", "d"]);
      }),
    );
  });

  it("tells the time left by the walk's own pace once it is known, pauses left out", () => {
    expect(secondsLeft([], 10, "lamp")).toBe(400);
    expect(secondsLeft([event("0", "a")], 0, "lamp")).toBe(0);
    const atEach = [0, 10, 20, 30, 5000, 5010, 5020].map((s, i) => ({ ...event(`${i}`, "a"), atMs: s * 1000 }));
    expect(secondsLeft(atEach, 6, "loupe")).toBe(60);
    expect(() => secondsLeft([], -1, "eye")).toThrow(RangeError);
  });
});

describe("how many leaves of a big plant", () => {
  it("12 of about 60 for 95 %, one in five infested (hypergeometric, ISPM 31, reckoned by hand)", () => {
    // 1 − C(48, n) / C(60, n): n = 11 gives 0.943…, n = 12 gives 0.956….
    const missed = (n: number) => Array.from({ length: n }, (_, i) => (48 - i) / (60 - i)).reduce((p, x) => p * x, 1);
    expect(1 - missed(11)).toBeLessThan(0.95);
    expect(1 - missed(12)).toBeGreaterThan(0.95);
    // With a loupe three animals on a leaf are seen with 1 − .3³ = .973, so that one leaf more is turned.
    expect(leafSample("uprightShrub", 12, "loupe")).toEqual({ examine: 13, of: 60, withTool: null });
  });

  it("poorer eyes turn more leaves, or are told what would do", () => {
    const examined = (["loupe", "lamp", "eye"] as const).map((tool) => leafSample("uprightShrub", 12, tool)!.examine!);
    expect(examined).toEqual(examined.toSorted((a, b) => a - b));
    expect(examined[2]).toBeGreaterThan(2 * examined[0]!);
    // Of 25 leaves five are infested; by eye each is recognised with 1 − .9³ = .271: all five are missed with .206.
    expect(leafSample("softHerb", 8, "eye")).toEqual({ examine: null, of: 25, withTool: "lamp" });
  });

  it("small plants and cacti are looked at whole", () => {
    expect(leafSample("climbingAroid", 20, "eye")).toBeNull();
    expect(leafSample("tubercledCactus", 40, "eye")).toBeNull();
    expect(() => leafSample("fern", 0, "eye")).toThrow(RangeError);
  });
});
