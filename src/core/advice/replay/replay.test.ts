import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { daysOf, happeningsOf, sceneOn, type Replay, type ReplayPlant } from "./replay";

const plant = (id: string, over: Partial<ReplayPlant> = {}): ReplayPlant => ({
  ...{ id, code: id, name: "Vine", cases: [], treated: [] },
  stays: [{ placeId: "shelf", from: day("2026-01-01"), until: null }],
  ...over,
});
const source = plant("A", {
  cases: [{ caseId: "a", pest: "thrips", from: day("2026-02-01"), until: day("2026-03-01") }],
  stays: [
    { placeId: "shelf", from: day("2026-01-01"), until: day("2026-02-03") },
    { placeId: "tent", from: day("2026-02-03"), until: null },
  ],
  treated: [day("2026-02-03")],
});
const found = plant("B", {
  cases: [{ caseId: "b", pest: "thrips", from: day("2026-02-10"), until: null }],
});
const replay: Replay = {
  first: day("2026-01-15"),
  last: day("2026-03-15"),
  places: [
    { id: "shelf", name: "Shelf", apart: false },
    { id: "tent", name: "Tent", apart: true },
  ],
  plants: [
    source,
    found,
    plant("C", { stays: [{ placeId: "shelf", from: day("2026-02-05"), until: day("2026-02-20") }] }),
  ],
  ways: [
    { caseId: "b", plantId: "B", kind: "neighbour", fromId: "A", share: 0.7 },
    { caseId: "a", plantId: "A", kind: "background", fromId: null, share: 0.6 },
  ],
};
const told = (on: string) =>
  sceneOn(replay, day(on)).rows.map(({ placeId, plants }) => [
    placeId,
    plants.map(
      ({ plant: { id }, state, apart, treated }) =>
        `${id} ${state}${apart ? " apart" : ""}${treated ? " treated" : ""}`,
    ),
  ]);

describe("the shelves played back", () => {
  it("show where each plant stood on a day, what was infested, who stood beside it, and who was not there", () => {
    expect(told("2026-01-20")).toEqual([
      ["shelf", ["A clear", "B clear"]],
      ["tent", []],
    ]);
    expect(told("2026-02-02")).toEqual([
      ["shelf", ["A infested", "B atRisk"]],
      ["tent", []],
    ]);
    expect(told("2026-02-05")).toEqual([
      ["shelf", ["B clear", "C clear"]],
      ["tent", ["A infested apart treated"]],
    ]);
    expect(told("2026-02-12")).toEqual([
      ["shelf", ["B infested", "C atRisk"]],
      ["tent", ["A infested apart"]],
    ]);
    expect(told("2026-03-10")).toEqual([
      ["shelf", ["B infested"]],
      ["tent", ["A clear apart"]],
    ]);
  });

  it("draw the way of a find for two weeks, from a plant that is there", () => {
    const ways = (on: string) => sceneOn(replay, day(on)).ways.map(({ fromId, plantId }) => `${fromId} ${plantId}`);
    expect(ways("2026-02-09")).toEqual([]);
    expect(ways("2026-02-10")).toEqual(["A B"]);
    expect(ways("2026-02-23")).toEqual(["A B"]);
    expect(ways("2026-02-24")).toEqual([]);
  });

  it("tell what happened in its order, and have every day from the first to the last", () => {
    expect(happeningsOf(replay).map(({ day: on, what, plantId }) => `${on} ${what} ${plantId}`)).toEqual([
      "2026-02-01 found A",
      "2026-02-03 treated A",
      "2026-02-03 moved A",
      "2026-02-10 found B",
      "2026-03-01 ended A",
    ]);
    expect(daysOf(replay)).toHaveLength(60);
    expect(daysOf({ first: replay.last, last: replay.last })).toEqual([replay.last]);
  });
});
