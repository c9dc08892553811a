import { describe, expect, it } from "vitest";
import type { Blamed } from "../carries";
import { originOf, whoFirst, type AroundPlant } from "../around";

const route = (over: Partial<Blamed>): Blamed => ({
  ...{ kind: "neighbour", plantId: "sick", code: "S", nearness: "place", pest: "thrips", share: 0.5 },
  ...over,
});
const plant = (
  plantId: string,
  p: number,
  routes: readonly Blamed[],
  over: Partial<AroundPlant> = {},
): AroundPlant => ({
  ...{ plantId, sameSeller: false, sameTray: false, carries: { p, pests: [{ pest: "thrips", p }], routes } },
  ...over,
});

describe("who first after a find", () => {
  it("the likeliest, each with why; ways from other plants and other pests are none of it", () => {
    const told = whoFirst(
      "thrips",
      "sick",
      [
        plant("far", 0.02, [route({ nearness: "room" })]),
        plant("near", 0.4, [route({ nearness: "touching" }), route({ kind: "handled", nearness: null })]),
        plant("other", 0.9, [route({ plantId: "else" }), route({ pest: "aphid" })]),
      ],
      0.01,
    );
    expect(told.map(({ plantId, why }) => [plantId, why.map(({ kind }) => kind)])).toEqual([
      ["near", ["near", "handled"]],
      ["far", ["near"]],
    ]);
  });

  it("a plant on the same shelf always comes before one of another room, however likely", () => {
    const told = whoFirst(
      "thrips",
      "sick",
      [plant("next door", 0.9, [route({ nearness: "open" })]), plant("shelf", 0.02, [route({ nearness: "place" })])],
      0.01,
    );
    expect(told.map(({ plantId }) => plantId)).toEqual(["shelf", "next door"]);
  });

  it("who hardly carries it is left out, unless it came from the same hands or was handled after", () => {
    const hardly = [
      plant("room", 0.001, [route({ nearness: "room" })]),
      plant("mate", 0.001, [], { sameSeller: true, sameTray: true }),
      plant("seller", 0.0005, [], { sameSeller: true }),
      plant("unknown", 0, [], { carries: null, sameSeller: true }),
    ];
    expect(whoFirst("thrips", "sick", hardly, 0.003).map(({ plantId, why }) => [plantId, why[0]!.kind])).toEqual([
      ["mate", "tray"],
      ["seller", "seller"],
      ["unknown", "seller"],
    ]);
  });
});

describe("where a find came from", () => {
  it("is told where one way has half of it, and else cannot be", () => {
    const other = { plantId: "other", code: "O" };
    expect(originOf([route({ share: 0.6 }), route({ ...other, share: 0.4 })]).likeliest).toMatchObject({ share: 0.6 });
    expect(originOf([route({ share: 0.45 }), route({ ...other, share: 0.4 })]).likeliest).toBeNull();
    expect(originOf([])).toEqual({ routes: [], likeliest: null });
  });

  it("one plant by several ways is one source, under the likeliest of them", () => {
    const { routes, likeliest } = originOf([
      route({ kind: "background", plantId: null, code: null, nearness: null, share: 0.4 }),
      route({ kind: "handled", nearness: null, share: 0.25 }),
      route({ kind: "neighbour", share: 0.35 }),
    ]);
    expect(routes.map(({ kind, plantId }) => [kind, plantId])).toEqual([
      ["neighbour", "sick"],
      ["background", null],
    ]);
    expect(likeliest!.share).toBeCloseTo(0.6, 12);
    expect(routes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  });
});
