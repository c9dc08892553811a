import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FLOOR_PLAN_COLUMNS } from "./floorPlanSize";
import { arranged, floorPlanOf } from "./floorPlan";
import { placeOrder } from "./placeOrder";

const cell = fc.option(fc.record({ column: fc.nat(FLOOR_PLAN_COLUMNS - 1), row: fc.nat(5) }));
const rooms = fc.uniqueArray(fc.record({ id: fc.string({ minLength: 1 }), cell }), { selector: ({ id }) => id });
const asPlaces = (all: readonly { id: string; cell: { column: number; row: number } | null }[]) =>
  all.map((one) => ({ id: one.id, planColumn: one.cell?.column ?? null, planRow: one.cell?.row ?? null }));
const cellsOf = (plan: ReturnType<typeof floorPlanOf>) => plan.map(({ column, row }) => `${column} ${row}`);

describe("the plan of the rooms", () => {
  it("has every room once, each in a place of its own, whatever was said of them", () => {
    fc.assert(
      fc.property(rooms, (all) => {
        const plan = floorPlanOf(asPlaces(all));
        expect(plan.map(({ id }) => id)).toEqual(all.map(({ id }) => id));
        expect(new Set(cellsOf(plan)).size).toBe(all.length);
        expect(plan.every(({ column }) => column >= 0 && column < FLOOR_PLAN_COLUMNS)).toBe(true);
      }),
    );
  });

  it("leaves rooms where they were put, and fills the gaps with the others", () => {
    const plan = floorPlanOf([
      { id: "hall", planColumn: null, planRow: null },
      { id: "bath", planColumn: 0, planRow: 0 },
      { id: "shed", planColumn: 0, planRow: 0 },
    ]);
    expect(plan).toEqual([
      { id: "hall", column: 1, row: 0 },
      { id: "bath", column: 0, row: 0 },
      { id: "shed", column: 2, row: 0 },
    ]);
  });

  it("put where another stands, the two change places; it stays a plan, and put back it is as before", () => {
    fc.assert(
      fc.property(rooms, fc.nat(), fc.nat(FLOOR_PLAN_COLUMNS - 1), fc.nat(5), (all, at, column, row) => {
        fc.pre(all.length > 0);
        const plan = floorPlanOf(asPlaces(all));
        const room = plan[at % plan.length]!;
        const after = arranged(plan, room.id, { column, row });
        expect(new Set(cellsOf(after)).size).toBe(all.length);
        expect(after.find(({ id }) => id === room.id)).toEqual({ id: room.id, column, row });
        expect(arranged(after, room.id, room)).toEqual(plan);
      }),
    );
    expect(arranged([], "none", { column: 0, row: 0 })).toEqual([]);
  });
});

it("boards stand from the top down, those of unknown height last, as they were added", () => {
  const shelf = (id: string, heightCm: number | null) => ({ id, parentId: "room", heightCm });
  const all = [
    { id: "room", parentId: null },
    shelf("low", 40),
    shelf("new", null),
    shelf("top", 160),
    shelf("old", null),
  ];
  expect(
    placeOrder(all)
      .within("room")
      .map(({ id }) => id),
  ).toEqual(["room", "top", "low", "new", "old"]);
});
