import { describe, expect, it } from "vitest";
import { find, look, on, place, placement, record, spray } from "../../record/cases/tests/facts";
import { placesInRecord, recordOf, type PlantFacts } from "../../record/cases/record";
import type { ActDone } from "../../record/facts/facts";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { isArriving } from "../../schedule/programmes/arrival";
import { arrivalSteps } from "./steps";
import { washingOf } from "./washing";

const spots = spotsOf("trailingVine").filter((spot) => spot !== "roots");
const dayOf = (date: Date) => on(Math.floor((date.getTime() - Date.parse("2026-09-01T00:00:00Z")) / 86_400_000));
const around = placesInRecord([
  place("hall", "room"),
  place("shelf", "shelf", "hall"),
  place("terrace", "outdoors"),
  place("pantry", "isolation"),
  place("tray", "tray", "pantry"),
]);
const onRecord = (over: Partial<PlantFacts>) => ({ ...recordOf({ ...record(), ...over }, around), exposures: [] });
const steps = (over: Partial<PlantFacts>) => arrivalSteps({ ...onRecord(over), dayOf });
const here = [placement(3, "pantry")];
const washed = (offset: number, over: Partial<ActDone["act"]> = {}) =>
  spray(offset, {
    act: { kind: "mechanical", way: "shower", tool: null, percent: null, spots, ...over } as ActDone["act"],
  });

describe("a plant that arrives", () => {
  it.each<[string, readonly string[], boolean]>([
    ["bought, in an isolation place", ["pantry"], true],
    ["in a tray that stands in one", ["tray"], true],
    ["joined the others", ["pantry", "shelf"], false],
    ["set apart again later", ["pantry", "shelf", "pantry"], false],
    ["out for the summer", ["shelf", "terrace"], false],
    ["back from the summer", ["shelf", "terrace", "pantry"], true],
    ["back and joined", ["shelf", "terrace", "pantry", "shelf"], false],
  ])("%s", (_why, places, expected) => {
    const placements = places.map((id, i) => placement(i, id));
    expect(isArriving(onRecord({ placements }))).toBe(expected);
  });

  // Common practice, no source: inspected with everything, washed, two clean looks six days apart.
  it("goes from the door to the wash to its looks", () => {
    expect(steps({ placements: here })).toMatchObject({
      ...{ cameOn: on(3), inspectedOn: null, washedOn: null, cleanLooks: 0 },
    });
    const looks = [look(3, [], { spots }), look(5, [], { spots }), look(10, [], { spots })];
    expect(steps({ placements: here, looks, acts: [washed(4)] })).toMatchObject({
      ...{ inspectedOn: on(3), washedOn: on(4), cleanLooks: 2 },
    });
  });

  it("a glance is no inspection at the door, and a find is no clean look", () => {
    const glance = look(3, [], { spots: ["axil"] });
    const bareEye = look(3, [], { spots, tool: "eye" });
    const oneSide = look(3, [], { spots, turned: false });
    expect(steps({ placements: here, looks: [glance, bareEye, oneSide] }).inspectedOn).toBeNull();
    expect(steps({ placements: here, looks: [find(3)] }).cleanLooks).toBe(0);
  });

  it("what was done before it came back in does not count", () => {
    const placements = [placement(0, "shelf"), placement(2, "terrace"), placement(30, "pantry")];
    const before = { looks: [look(1, [], { spots })], acts: [washed(1)] };
    expect(steps({ placements, ...before })).toMatchObject({ cameOn: on(30), inspectedOn: null, washedOn: null });
    expect(() => steps({ placements: [placement(0, "shelf")] })).toThrow(RangeError);
  });

  it("a bared cactus dries before it is potted and watered", () => {
    const { dryDays, firstWaterDays } = washingOf.tubercledCactus;
    const cactus = { ...record().plant, growthForm: "tubercledCactus" as const };
    const told = steps({ plant: cactus, placements: here, acts: [washed(4, { way: "unpot" })] });
    expect(told).toMatchObject({ potOn: on(4 + dryDays), waterOn: on(4 + firstWaterDays) });
    expect(steps({ placements: here, acts: [washed(4)] })).toMatchObject({ potOn: null, waterOn: null });
  });
});
