import { describe, expect, it } from "vitest";
import { factsFromRows, type Cells, type FactTable, type Meaning } from "../csvFacts";

const here: Meaning = {
  plantId: (code) => (code === "L04" ? "plant-4" : null),
  placeId: (name) => (name === "Shelf" ? "place-1" : null),
  moment: (cell) => (/^\d{4}-\d{2}-\d{2}/.test(cell) ? `${cell}!` : null),
  idOf: (words) => `id of ${words}`,
  tool: "lamp",
};
const read = (tables: Partial<Record<FactTable, readonly Cells[]>>) =>
  factsFromRows({ looks: [], finds: [], acts: [], ...tables }, here);

describe("facts from tables", () => {
  it("a find by itself makes a look; two at one plant and moment make one", () => {
    const rows = [
      { plant: "L04", at: "2026-11-20", pest: "Mealybug", count: "3" },
      { plant: "L04", at: "2026-11-20", pest: "spiderMite", severity: "patch", spots: "underside newLeaf" },
    ];
    const { looks, problems } = read({ finds: rows });
    expect(problems).toEqual([]);
    expect(looks).toMatchObject([
      {
        ...{ plantId: "plant-4", at: "2026-11-20!", tool: "lamp", turned: true, spots: [] },
        finds: [
          { pest: "mealybug", count: 3, severity: "light" },
          { pest: "spiderMite", count: null, severity: "patch", spots: ["underside", "newLeaf"] },
        ],
      },
    ]);
  });

  it("a find belongs to the look that it names, whatever stands first; a row twice is once", () => {
    const id = "0198c0de-0000-7000-8000-000000000001";
    const look = { id, plant: "L04", at: "2026-11-20", tool: "loupe", spots: "axil", note: "'=1+1" };
    const find = { look: id, plant: "L04", at: "2026-11-20", pest: "mealybug", count: "6" };
    const { looks } = read({ looks: [look, look], finds: [find, find] });
    expect(looks).toHaveLength(1);
    expect(looks[0]).toMatchObject({ id, tool: "loupe", note: "=1+1", finds: [{ pest: "mealybug" }] });
  });

  it("acts of any kind: numbers, lists, and what a kind asks for and no cell says", () => {
    const dabbed = {
      ...{ plant: "L04", at: "2026-11-20", kind: "mechanical", way: "squash", tool: "eye", spots: "axil" },
      ...{ volumeMl: "", note: "twelve", recordedBy: "somebody" },
    };
    const watered = { place: "Shelf", at: "2026-11-20", kind: "culture", way: "dryOut", days: "14" };
    const { acts, problems } = read({ acts: [dabbed, watered] });
    expect(problems.filter(({ row }) => row === 1)).toEqual([]);
    expect(acts[0]).toMatchObject({
      ...{ plantId: "plant-4", placeId: null, note: "twelve" },
      act: { kind: "mechanical", way: "squash", percent: null, spots: ["axil"] },
    });
  });

  it("tells everything that is wrong, by row and column, and leaves out what was struck out", () => {
    const { looks, acts, problems, struckOut } = read({
      looks: [
        { plant: "X01", at: "yesterday", tool: "telescope" },
        { plant: "L04", at: "2026-11-20", struckOut: "the plant beside it" },
        {},
      ],
      finds: [{ plant: "L04", at: "2026-11-20", pest: "greenfly", count: "2.5" }],
      acts: [{ plant: "L04", at: "2026-11-20", kind: "singing" }],
    });
    expect([looks, acts, struckOut]).toEqual([[], [], 1]);
    expect(problems.map(({ table, row, column, code }) => `${table} ${row} ${column} ${code}`)).toEqual([
      "looks 1 plant unknown_code",
      "looks 1 at not_a_moment",
      "looks 1 tool not_one_of",
      "looks 3 plant required",
      "looks 3 at required",
      "finds 1 pest not_one_of",
      "finds 1 count not_understood",
      "finds 1 severity required",
      "acts 1 kind not_understood",
    ]);
  });
});
