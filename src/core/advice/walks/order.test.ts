import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { plantStates, type PlantState } from "../../knowledge/plants/states";
import { groupOf, isBorder, walkGroups, walkOrder, type FoundOnWalk, type WalkPlant } from "./order";

const places = ["east", "west", "top", "middle", "pantry"];
const plant = (code: string, state: PlantState, placeId: string, apart = false): WalkPlant => ({
  id: code,
  code,
  state,
  placeId,
  apart,
});

const somePlants = fc
  .array(
    fc.record({
      state: fc.constantFrom(...plantStates),
      apart: fc.boolean(),
      placeId: fc.constantFrom(...places, "a bag nobody listed"),
    }),
    { maxLength: 60 },
  )
  .map((all) => all.map((one, i): WalkPlant => ({ ...one, id: `${i}`, code: `P${i}` })));
const someFound = fc
  .record({ plants: fc.array(fc.nat(60)), places: fc.subarray(places) })
  .map((f): FoundOnWalk => ({ plantIds: new Set(f.plants.map(String)), placeIds: new Set(f.places) }));

describe("the order of a walk", () => {
  it("goes from clean to isolated, along the places, and turns round where a group ended", () => {
    const all = [
      plant("B2", "infested", "east", true),
      plant("A10", "clear", "west"),
      plant("A9", "overdue", "west"),
      plant("A1", "clear", "east"),
      plant("N1", "new", "pantry", true),
      plant("R1", "atRisk", "east"),
      plant("R2", "atRisk", "west"),
      plant("I1", "surer", "top"),
    ];
    // The clean ones end in the west, so those at risk begin there; numbers in codes count as numbers.
    expect(walkOrder(all, places).map((p) => p.code)).toEqual(["A1", "A9", "A10", "R2", "R1", "N1", "I1", "B2"]);
  });

  it("never puts an isolated plant before a clean one, nor any group before an earlier one", () => {
    fc.assert(
      fc.property(somePlants, someFound, fc.constantFrom(null, ...places), (all, found, from) => {
        const ranks = walkOrder(all, places, found, from).map((p) => walkGroups.indexOf(groupOf(p, found)));
        expect(ranks).toEqual(ranks.toSorted((a, b) => a - b));
      }),
    );
  });

  it("enters each place at most once per group", () => {
    fc.assert(
      fc.property(somePlants, someFound, (all, found) => {
        const entered = walkOrder(all, places, found)
          .map((p) => `${groupOf(p, found)} ${p.placeId}`)
          .filter((here, i, list) => here !== list[i - 1]);
        expect(new Set(entered).size).toBe(entered.length);
      }),
    );
  });

  it("holds every plant once, and does not depend on the order they are given in", () => {
    fc.assert(
      fc.property(somePlants, someFound, (all, found) => {
        const order = walkOrder(all, places, found);
        expect(order.map((p) => p.id).toSorted()).toEqual(all.map((p) => p.id).toSorted());
        expect(walkOrder(all.toReversed(), places, found)).toEqual(order);
      }),
    );
  });

  it("a find moves the clean neighbours behind the clean ones still to come", () => {
    const rest = [plant("A2", "clear", "east"), plant("A3", "clear", "west"), plant("N1", "new", "east", true)];
    const found = { plantIds: new Set(["A1"]), placeIds: new Set(["east"]) };
    expect(walkOrder(rest, places, found, "east").map((p) => p.code)).toEqual(["A3", "A2", "N1"]);
  });

  it("asks for clean hands where a group ends and after a find", () => {
    const [a1, a2, r] = [plant("A1", "clear", "east"), plant("A2", "clear", "west"), plant("R", "atRisk", "east")];
    const found = { plantIds: new Set(["A1"]), placeIds: new Set(["east"]) };
    expect(isBorder(null, a1)).toBe(false);
    expect(isBorder(a1, a2)).toBe(false);
    expect(isBorder(a2, r)).toBe(true);
    expect(isBorder(a1, a2, found)).toBe(true);
  });
});
