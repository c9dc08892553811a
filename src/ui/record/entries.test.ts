import { describe, expect, it } from "vitest";
import { closing, find, look, nextId, placement, plan, spray, struck } from "@/core/record/cases/tests/facts";
import { factKindIds, factKinds } from "@/core/record/facts/facts";
import { tell } from "@/wording/record/record";
import { recordEntries } from "./entries";

const around = { places: [{ id: "s", name: "Sill" }], units: "metric" as const };

describe("a record as lines", () => {
  it("the newest first, and of one minute the one written down last", () => {
    const looks = [look(2), look(4)];
    const late = { ...look(2), recordedAt: new Date(looks[0]!.recordedAt.getTime() + 1000) };
    const entries = recordEntries(
      "plant",
      { placement: [placement(1, "s")], look: [looks[0]!, late, looks[1]!], act: [spray(3)] },
      around,
    );
    expect(entries.map((entry) => entry.what)).toEqual([
      "Looked: nothing found",
      "Treated: Soap wash, mild (5 mL per litre)",
      "Looked: nothing found",
      "Looked: nothing found",
      "Placed: Sill",
    ]);
    expect(entries[2]!.id).toBe(late.id);
  });

  it("a page shows the kinds that stand on it, and nothing else", () => {
    const facts = { placement: [placement(1, "s")], look: [look(2)] };
    expect(recordEntries("case", facts, around).map((entry) => entry.kind)).toEqual(["look"]);
    expect(recordEntries("place", facts, around)).toEqual([]);
  });

  it("tells what was found, how many, and whether they were killed on the spot", () => {
    const found = find(1);
    const finds = [
      { ...found.finds[0]!, count: 4, removed: true },
      { ...found.finds[0]!, id: nextId(), pest: "thrips" as const, count: null },
    ];
    const [entry] = recordEntries("plant", { look: [{ ...found, finds, spots: ["axil", "newLeaf"] }] }, around);
    expect(entry).toMatchObject({
      what: "Found: Mealybugs, 4 live, killed on the spot; Thrips, light: 3–10",
      details: ["Lamp: leaf axils, stem joints; newest leaf"],
    });
  });

  it("tells where and which stages, which side was not seen, the signs, and who wrote it down", () => {
    const found = find(1);
    const told = {
      ...found,
      recordedBy: "Kitchen phone",
      turned: false,
      finds: [{ ...found.finds[0]!, spots: ["axil" as const], stages: ["egg", "adult"] }],
      naming: {
        present: ["cottonTufts" as const],
        absent: ["ants" as const],
        by: "keeper" as const,
        likeliest: "rootMealybug" as const,
      },
    };
    const [entry] = recordEntries("plant", { look: [told] }, around);
    expect(entry).toMatchObject({
      by: "Kitchen phone",
      what: "Found: Mealybugs, 5 live, eggs, adults, on leaf axils, stem joints",
      details: [
        "Lamp: leaf axils, stem joints; one side only",
        "Named by you; the signs pointed to root mealybugs. Present: White cottony tufts in joints or on the underside. Not present: Ants attending",
      ],
    });
  });

  it("a name given without looking for signs is the keeper's own, and nothing spoke for anything", () => {
    const own = look(1, [], { naming: { present: [], absent: [], by: "keeper", likeliest: null } });
    expect(recordEntries("plant", { look: [own] }, around)[0]!.details).toContain("Named by you");
  });

  it("keeps what was struck out, with the reason, and leaves out empty notes", () => {
    const act = [spray(3, { note: "Dripped a little." })];
    const [first, second] = recordEntries("plant", { look: [struck(look(1))], act }, around);
    expect(first).toMatchObject({ kind: "act", details: ["Spray to run-off, 50 mL", "Dripped a little."] });
    expect(second).toMatchObject({ what: "Looked: nothing found", voidReason: "not so" });
    expect(second!.details).toHaveLength(1);
  });

  it("plans name their remedies in the order of their steps, closings their outcome, and acts on a place the place", () => {
    const A = nextId();
    const chosen = plan(1, A, [
      ["treat", 2],
      ["treat", 9],
      ["look", 16],
    ]);
    const hung = spray(4, { plantId: null, placeId: "s", act: { kind: "trap", cards: 1, days: 28 } });
    const told = recordEntries("plant", { programme: [chosen], closing: [closing(20, A)], act: [hung] }, around);
    expect(told.map((entry) => entry.what)).toEqual([
      "Case closed: mealybugs, clear",
      "Hung: 1 card, at Sill",
      "Plan against mealybugs: Soap wash, mild (5 mL per litre), 2 times",
    ]);
  });

  it("has words for every kind of fact, and all but photos, cleanings and days of a climate have a page to stand on", () => {
    expect(Object.keys(tell).toSorted()).toEqual([...factKindIds].toSorted());
    expect(factKindIds.filter((kind) => factKinds[kind].shownOn.length === 0)).toEqual([
      "photo",
      "cleaning",
      "climateDay",
    ]);
  });
});
