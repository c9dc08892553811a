import { describe, expect, it } from "vitest";
import { rowsFrom, unknownIn } from "./rows";

const usual = { placeId: "sill", potCm: "12" };
const places = [{ id: "sill", name: "South sill" }];

// Names as they are written in chats and on labels; common practice, no source.
const COMMON = [
  ...[
    "pothos",
    "moth orchid",
    "jade plant",
    "snake plant",
    "Boston fern",
    "Christmas cactus",
    "Bird of paradise",
    "Basil",
  ],
  ...[
    "Tomato seedling",
    "Cattleya hybrid",
    "spider plant",
    "peace lily",
    "ZZ plant",
    "rubber plant",
    "aloe vera",
    "english ivy",
  ],
];

describe("a pasted list of plants", () => {
  it("of the commonest names none is left to be asked", () => {
    const { rows } = rowsFrom(COMMON.join("\n"), [], usual, places);
    expect(unknownIn(rows)).toEqual([]);
    expect(rows.filter(({ growthForm }) => growthForm === "uprightShrub").map(({ name }) => name)).toEqual([
      "rubber plant",
    ]);
  });

  it("what nobody knows is asked once for all rows alike, the most first, and never guessed", () => {
    const { rows } = rowsFrom(["the tall one", "Gran’s", "The tall one ", "pothos"].join("\n"), [], usual, places);
    expect(unknownIn(rows)).toEqual([
      { name: "the tall one", at: [0, 2] },
      { name: "Gran’s", at: [1] },
    ]);
  });

  it("places that are not there are told by the rows that name them", () => {
    const text = "name,place\nHoya,South sill\nAloe,Attic\nBasil,";
    const { rows, placesMeant } = rowsFrom(text, [], usual, places);
    expect(rows.map(({ placeId }) => placeId)).toEqual(["sill", "", "sill"]);
    expect([...placesMeant]).toEqual([[rows[1]!.id, "Attic"]]);
  });
});
