import { describe, expect, it } from "vitest";
import { isCut, moved, packPlants, unpackRows, type Row, type ShelfPlant } from "./shelves";

const plant = (id: string, over: Partial<ShelfPlant> = {}): ShelfPlant => ({
  ...{ id, code: id.toUpperCase(), name: `Plant ${id}`, state: "clear", petals: 0, apart: false },
  ...{ form: "trailingVine", carries: 0.0123 },
  ...over,
});

const drawn = { kind: "shelf", photoId: null, summary: "", light: null, posted: false, dripsOn: null } as const;
const shelf = (id: string, plants: readonly ShelfPlant[]): Row => ({
  kind: "shelf",
  id,
  shelf: { ...drawn, id, name: id, plants, count: plants.length },
});

describe("plants on their way to the page", () => {
  it("come out as they went in; an empty shelf stays empty", () => {
    const plants = [
      plant("a"),
      plant("b", { state: "surer", petals: 3, apart: true, carries: null, name: 'An "old" one, 2' }),
      plant("c", { beside: "signsOpen", state: "atRisk" }),
    ];
    const rows = [{ kind: "room", id: "r", name: "Room" } as const, shelf("s", plants), shelf("t", [])];
    const packed = rows.map((row) =>
      row.kind === "room" ? row : { ...row, shelf: { ...row.shelf, plants: packPlants(row.shelf.plants) } },
    );
    expect(unpackRows(packed)).toEqual(rows);
    expect(isCut(packed)).toBe(false);
    // The same, come in two parts.
    const cut = packed.map((row) => (row.kind === "room" ? row : { ...row, shelf: { ...row.shelf, plants: "" } }));
    expect(isCut(cut)).toBe(true);
    expect(unpackRows(cut, { s: packPlants(plants), t: "" })).toEqual(rows);
  });

  it("a name with a tab or two lines stays one plant's", () => {
    const packed = packPlants([plant("a", { name: "two\tparts\nof it" })]);
    expect(
      unpackRows([
        {
          kind: "shelf",
          id: "s",
          shelf: { ...drawn, id: "s", name: "s", count: 1, plants: packed },
        },
      ]),
    ).toEqual([shelf("s", [plant("a", { name: "two parts of it" })])]);
  });
});

describe("moving along the shelves", () => {
  it("puts it behind another, at the front, on another shelf", () => {
    const rows = [shelf("s", [plant("a"), plant("b"), plant("c")]), shelf("t", [])];
    const ids = (all: readonly Row[]) =>
      all.map((row) => (row.kind === "shelf" ? row.shelf.plants.map(({ id }) => id).join("") : ""));
    expect(ids(moved(rows, "a", { shelfId: "s", after: "c" }))).toEqual(["bca", ""]);
    expect(ids(moved(rows, "c", { shelfId: "s", after: "first" }))).toEqual(["cab", ""]);
    expect(ids(moved(rows, "b", { shelfId: "t", after: "first" }))).toEqual(["ac", "b"]);
    expect(ids(moved(rows, "nobody", { shelfId: "t", after: "first" }))).toEqual(["abc", ""]);
  });
});
