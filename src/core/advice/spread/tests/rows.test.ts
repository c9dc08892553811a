import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contactsOf, foundersByDay } from "../contacts";
import { place } from "../../../record/cases/tests/facts";
import { placeTree } from "../places";
import { sideBySide, type InRow } from "../rows";
import { placeBehind, type Slotted } from "../slots";

const inRow = (plantId: string, slot: number, from = 0, until = Infinity): InRow => ({ plantId, slot, from, until });

describe("who stands next to whom", () => {
  it("are those with nothing between them, as long as it is so", () => {
    const row = [inRow("a", 1), inRow("b", 2, 3, 8), inRow("c", 3, 0, 10)];
    expect(sideBySide(row)).toEqual([
      { plants: ["a", "c"], from: 0, until: 3 },
      { plants: ["a", "b"], from: 3, until: 8 },
      { plants: ["b", "c"], from: 3, until: 8 },
      { plants: ["a", "c"], from: 8, until: 10 },
    ]);
  });

  it("at every moment a row of n has n − 1 pairs", () => {
    const stays = fc.array(
      fc.record({ slot: fc.integer({ min: 0, max: 9 }), from: fc.nat(20), days: fc.integer({ min: 1, max: 20 }) }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(stays, fc.nat(40), (all, half) => {
        const row = all.map(({ slot, from, days }, i) => inRow(`p${i}`, slot, from, from + days));
        const at = half + 0.5;
        const there = (one: { from: number; until: number }) => one.from <= at && at < one.until;
        expect(sideBySide(row).filter(there)).toHaveLength(Math.max(0, row.filter(there).length - 1));
      }),
    );
  });
});

describe("coming to stand behind another", () => {
  const row = (...slots: (number | null)[]): Slotted[] => slots.map((slot, i) => ({ plantId: "abcdef"[i]!, slot }));

  it("takes the middle of the gap, or the end", () => {
    expect(placeBehind(row(1, 2), "x", "a")).toEqual([{ plantId: "x", slot: 1.5 }]);
    expect(placeBehind(row(1, 2), "x", "b")).toEqual([{ plantId: "x", slot: 3 }]);
    expect(placeBehind(row(1, 2), "x", "first")).toEqual([{ plantId: "x", slot: 0 }]);
    expect(placeBehind([], "x", "first")).toEqual([{ plantId: "x", slot: 1 }]);
    expect(() => placeBehind(row(1), "x", "z")).toThrow(RangeError);
  });

  it("gives everybody a slot where some have none", () => {
    expect(placeBehind(row(1, null, null), "x", "a")).toEqual([
      { plantId: "x", slot: 2 },
      { plantId: "b", slot: 3 },
      { plantId: "c", slot: 4 },
    ]);
  });

  it("whatever is moved how often, the row comes out as it was wished", () => {
    const moves = fc.array(fc.record({ who: fc.nat(5), after: fc.integer({ min: -1, max: 5 }) }), { maxLength: 80 });
    fc.assert(
      fc.property(moves, (all) => {
        let shown: Slotted[] = row(null, null, null, null, null, null);
        let wished = shown.map(({ plantId }) => plantId);
        for (const { who, after } of all) {
          const plantId = "abcdef"[who]!;
          const behind = after < 0 ? "first" : "abcdef"[after]!;
          if (behind === plantId) continue;
          const changed = new Map(placeBehind(shown, plantId, behind).map((one) => [one.plantId, one.slot]));
          shown = shown
            .map((one) => ({ ...one, slot: changed.get(one.plantId) ?? one.slot }))
            .toSorted((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity));
          const rest = wished.filter((id) => id !== plantId);
          rest.splice(behind === "first" ? 0 : rest.indexOf(behind) + 1, 0, plantId);
          wished = rest;
          expect(shown.map((one) => one.plantId)).toEqual(wished);
        }
      }),
    );
  });
});

const always = (animals: number) => ({ animalsOn: () => animals, from: -Infinity, until: Infinity });

describe("what a source gives day by day", () => {
  const tree = placeTree([place("sill", "shelf"), place("desk", "shelf")]);
  const stood = (placeId: string, from: number, until = Infinity) => ({ placeId, from, until });

  it("is its animals times the rate, and more while they touch", () => {
    const touching = [{ plants: ["a", "b"] as const, from: 2, until: 4 }];
    const contacts = contactsOf([stood("sill", 0)], [stood("sill", 1, 6)], touching, tree);
    expect(contacts.map(({ nearness, from, until }) => [nearness, from, until])).toEqual([
      ["place", 1, 2],
      ["touching", 2, 4],
      ["place", 4, 6],
    ]);
    const { perDay, nearest, total } = foundersByDay("mealybug", contacts, always(10), 0, 8, false);
    expect([...perDay]).toEqual([0, 3e-3, 2e-2, 2e-2, 3e-3, 3e-3, 0, 0].map((n) => expect.closeTo(n, 12) as number));
    expect(nearest).toBe("touching");
    expect(total).toBeCloseTo(0.049, 12);
  });

  it("counts part of a day as that part", () => {
    const contacts = contactsOf([stood("sill", 0.25, 1)], [stood("sill", 0)], [], tree);
    expect(foundersByDay("mealybug", contacts, always(1), 0, 2, false).total).toBeCloseTo(0.75 * 3e-4, 15);
  });

  it("root mealybugs pass where pots that touch share a tray", () => {
    const contacts = [{ nearness: "touching" as const, passes: 1, from: 0, until: 1 }];
    expect(foundersByDay("rootMealybug", contacts, always(1), 0, 1, false).total).toBe(0);
    expect(foundersByDay("rootMealybug", contacts, always(1), 0, 1, true).total).toBe(1e-3);
  });
});
