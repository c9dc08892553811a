import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { tally, type CaseCounted } from "./tally";

const found = (plantId: string, on: string, over: Partial<CaseCounted> = {}): CaseCounted => ({
  ...{ caseId: `${plantId} ${on}`, plantId, pest: "thrips", foundOn: day(on), seller: "stall", placeId: "sill" },
  ...{ way: null, daysUntilFound: null, minutes: 10, ...over },
});
const plants = [
  { seller: "stall", placeId: "sill", plantIds: ["a"] },
  { seller: "stall", placeId: "desk", plantIds: ["b"] },
  { seller: "swap", placeId: "desk", plantIds: ["c"] },
];
const cases = [
  found("a", "2026-03-02", { daysUntilFound: 10, way: "arrival" }),
  found("b", "2026-03-20", { daysUntilFound: 30, minutes: 5, way: "neighbour" }),
  found("a", "2026-05-01", { daysUntilFound: 70 }),
];
const short = (by: Parameters<typeof tally>[0]) =>
  tally(by, plants, cases).map(({ key, plantIds, finds, medianDays, minutes }) => [
    ...[key, plantIds.length, finds.length],
    ...[medianDays, minutes],
  ]);

describe("finds counted", () => {
  it("by seller and by place: those without a find are there too", () => {
    expect(short("seller")).toEqual([
      ["stall", 2, 3, 30, 25],
      ["swap", 1, 0, null, 0],
    ]);
    expect(short("place")).toEqual([
      ["sill", 2, 3, 30, 25],
      ["desk", 2, 0, null, 0],
    ]);
  });

  it("by the way they came, and by month with the newest first", () => {
    expect(short("way").map(([key, , finds]) => [key, finds])).toEqual([
      ["", 1],
      ["arrival", 1],
      ["neighbour", 1],
    ]);
    expect(short("month")).toEqual([
      ["2026-05", 1, 1, 70, 10],
      ["2026-03", 2, 2, 20, 15],
    ]);
  });

  it("nothing makes no lines", () => {
    expect(tally("month", [], [])).toEqual([]);
  });
});
