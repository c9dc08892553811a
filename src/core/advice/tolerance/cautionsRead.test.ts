import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cautionIds } from "../../knowledge/remedies/remedies";
import type { Objection } from "./suitability";
import { isOfHome, toldBefore, toldInOrder } from "./cautionsRead";

const ids = toldInOrder.map(([id]) => id);
const isCaution = (id: string) => cautionIds.some((one) => one === id);
const objections = ids.filter((id) => !isCaution(id) || id === "milkySap" || id === "spines") as Objection["code"][];

describe("what is told before an act", () => {
  it("knows each sentence once", () => {
    expect(new Set(ids).size).toBe(ids.length);
    expect(cautionIds.filter((id) => !ids.includes(id))).toEqual([]);
  });

  // Source: common practice of safety sheets, from memory: danger to people before danger to things.
  it("tells what hurts people before what hurts plants, and that before what wastes work", () => {
    const told = toldBefore(
      [{ level: "warn", code: "wetCrown" }],
      ["shake", "testLeaf", "flammable", "leftovers", "protectYourself"],
    );
    expect(told.map(({ id }) => id)).toEqual([
      "flammable",
      "protectYourself",
      "wetCrown",
      "testLeaf",
      "shake",
      "leftovers",
    ]);
  });

  it("tells the same only once, where it is most to the point", () => {
    const cats: Objection = { level: "refuse", code: "cats" };
    expect(toldBefore([cats], ["catsAndFish", "label"]).map(({ id }) => id)).toEqual(["cats", "label"]);
    expect(toldBefore([{ level: "warn", code: "milkySap" }], ["milkySap"])).toHaveLength(1);
    expect(isOfHome("cats")).toBe(true);
    expect(isOfHome("oilOnShy")).toBe(false);
  });

  it("tells everything that is raised once, what is refused first, whatever the order it comes in", () => {
    const against = fc.uniqueArray(
      fc.record({ level: fc.constantFrom("refuse" as const, "warn" as const), code: fc.constantFrom(...objections) }),
      { selector: ({ code }) => code, maxLength: 6 },
    );
    const cautions = fc.array(fc.constantFrom(...cautionIds), { maxLength: 8 });
    fc.assert(
      fc.property(against, cautions, (raised, with_) => {
        const told = toldBefore(raised, with_);
        expect(new Set(told.map(({ id }) => id)).size).toBe(told.length);
        expect(told.filter(({ level }) => level !== "caution")).toHaveLength(raised.length);
        expect(told.slice(0, raised.filter(({ level }) => level === "refuse").length)).toSatisfy((first: typeof told) =>
          first.every(({ level }) => level === "refuse"),
        );
        expect(toldBefore(raised.toReversed(), with_.toReversed())).toEqual(told);
      }),
    );
  });
});
