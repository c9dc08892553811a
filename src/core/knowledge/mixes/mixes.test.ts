import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { mL } from "../../units/volume";
import { stockFor } from "./dilution";
import { mixes, mixesOf, mixesWith, mixIds, pour, remediesIn, type IngredientId, type MixId } from "./mixes";
import { mixVolume, volumeFor } from "./sprayVolume";

function amount(mix: MixId, total: number, ingredient: IngredientId, bottle = 0.96): number {
  const poured = pour(mix, mL(total), bottle);
  if (poured.code !== "ok") throw new Error(poured.code);
  return poured.amounts.find((a) => a.ingredient === ingredient)?.volumeMl ?? 0;
}

describe("dilution", () => {
  // C₁V₁ = C₂V₂ worked by hand: 500 · 0.70 / 0.99; 100 · 0.70 / 0.91; 250 · 0.70 / 0.70.
  it.each([
    [500, 0.7, 0.99, 353.5354],
    [100, 0.7, 0.91, 76.9231],
    [250, 0.7, 0.7, 250],
    [1000, 0.35, 0.7, 500],
  ])("%d mL at %d from %d takes %d mL of stock", (total, strength, stock, expected) => {
    expect(stockFor(mL(total), strength, stock)).toBeCloseTo(expected, 3);
  });

  it.each([
    [0, 0.7],
    [0.8, 0.7],
    [0.7, 1.2],
    [NaN, 0.7],
  ])("refuses %d from %d", (strength, stock) => {
    expect(() => stockFor(mL(100), strength, stock)).toThrow(RangeError);
  });

  it("keeps the alcohol: what goes in is what is in the mix", () => {
    const share = fc.double({ min: 0.7, max: 1, noNaN: true });
    const cuts = fc.constantFrom<MixId>("alcoholFull", "alcoholHalf", "alcoholQuarter");
    fc.assert(
      fc.property(cuts, fc.double({ min: 1, max: 20_000, noNaN: true }), share, (id, total, bottle) => {
        const mix = mixes[id];
        if (mix.kind !== "cut") return;
        expect(amount(id, total, "alcoholBottle", bottle) * bottle).toBeCloseTo(mix.strength * total, 6);
      }),
    );
  });

  it("pours a bottle of just the strength neat, whatever the volume: rounding never makes more of it than all", () => {
    for (let total = 1; total <= 3000; total += 0.5)
      expect(pour("alcoholFull", mL(total), 0.7)).toMatchObject({
        amounts: [{ ingredient: "alcoholBottle", volumeMl: total }],
      });
  });

  it("one part of 70 % and one of water is half of it, and 1 : 3 a quarter, by volume", () => {
    expect(amount("alcoholHalf", 400, "water", 0.7)).toBeCloseTo(200, 9);
    expect(amount("alcoholQuarter", 400, "water", 0.7)).toBeCloseTo(300, 9);
  });

  it("says that a bottle is too weak, and pours a bottle of the right strength neat", () => {
    expect(pour("alcoholFull", mL(100), 0.5)).toEqual({ code: "bottle_too_weak", strength: 0.7, bottle: 0.5 });
    expect(pour("alcoholFull", mL(100), 0.7)).toMatchObject({ code: "ok", amounts: [{ ingredient: "alcoholBottle" }] });
    expect(() => pour("alcoholFull", mL(100), 0)).toThrow(RangeError);
  });
});

describe("household mixes", () => {
  // Common practice, no source: the amounts as practitioners tell them.
  it.each<[string, MixId, number, IngredientId, number]>([
    ["1 % oil: 5 mL in 500 mL", "oil1", 500, "oil", 5],
    ["2 % oil: 10 mL in 500 mL", "oil2", 500, "oil", 10],
    ["soap: a teaspoon a litre", "soapMild", 1000, "soap", 5],
    ["soap: a spoonful a litre", "soapStrong", 1000, "soap", 15],
    ["usual neem: 1½ teaspoons a litre", "neemUsual", 1000, "neemOil", 7.5],
    ["usual neem: 1 teaspoon of soap a litre", "neemUsual", 1000, "soap", 5],
    ["strong neem: 15 mL per litre", "neemStrong", 1000, "neemOil", 15],
    ["weak neem: 1 US teaspoon a US quart", "neemWeak", 946.352946, "neemOil", 4.92892159375],
    ["weak neem: ½ US teaspoon of soap a US quart", "neemWeak", 946.352946, "soap", 2.464460796875],
  ])("%s", (_rate, mix, total, ingredient, expected) => {
    expect(amount(mix, total, ingredient)).toBeCloseTo(expected, 6);
  });

  it("a can holds each of its parts as strong as it is alone; the soap of two goes in once", () => {
    // A litre at 17.5 % from 70 %: a quarter of it; soap 5 mL (worked by hand).
    expect(amount("soapAlcohol", 1000, "alcoholBottle", 0.7)).toBeCloseTo(250, 9);
    expect([amount("soapAlcohol", 1000, "soap"), amount("soapAlcohol", 1000, "water", 0.7)]).toEqual([5, 745]);
    expect([amount("soapNeem", 1000, "soap"), amount("soapNeem", 1000, "neemOil")]).toEqual([15, 7.5]);
    expect(amount("soapNeem", 1000, "warmWater")).toBeCloseTo(977.5, 9);
    expect(pour("soapAlcohol", mL(1000), 0.1)).toMatchObject({ code: "bottle_too_weak" });
    expect(remediesIn("soapNeemAlcohol")).toEqual(["neem", "soap", "alcohol"]);
    expect(mixesWith("alcohol")).toEqual([...mixesOf("alcohol"), "soapAlcohol", "soapNeemAlcohol"]);
  });

  it("every mix sums to its total and scales with it", () => {
    fc.assert(
      fc.property(fc.constantFrom(...mixIds), fc.double({ min: 1, max: 20_000, noNaN: true }), (id, total) => {
        const poured = pour(id, mL(total), 1);
        if (poured.code !== "ok") throw new Error(poured.code);
        expect(poured.amounts.reduce((sum, a) => sum + a.volumeMl, 0)).toBeCloseTo(total, 6);
      }),
    );
  });

  it("a label's rate goes before the recipe's, whatever it is, and the whole stays the whole (property)", () => {
    const rate = fc.double({ min: 0.001, max: 1000, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...mixIds),
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        rate,
        (id, total, perLitre) => {
          const poured = pour(id, mL(total), 1, perLitre);
          if (poured.code !== "ok") throw new Error(poured.code);
          expect(poured.amounts.reduce((sum, a) => sum + a.volumeMl, 0)).toBeCloseTo(total, 6);
          const { kind, remedy } = mixes[id];
          if (kind === "cut") return;
          const active =
            kind === "byLabel" ? "product" : { soap: "soap", oil: "oil", neem: "neemOil" }[remedy as "soap"];
          const amountOf = poured.amounts.find(({ ingredient }) => ingredient === active)!.volumeMl;
          expect(amountOf).toBeCloseTo((total * perLitre) / 1000, 6);
        },
      ),
    );
    expect(() => pour("soapMild", mL(100), 1, 0)).toThrow(RangeError);
    expect(() => pour("soapMild", mL(100), 1, 1001)).toThrow(RangeError);
  });

  it("adds soap before oil, and water first", () => {
    const poured = pour("oil1", mL(500), 1);
    expect(poured.code === "ok" && poured.amounts.map((a) => a.ingredient)).toEqual(["water", "soap", "oil"]);
  });

  it("every remedy has a mix", () => {
    expect(mixesOf("neem")).toEqual(["neemWeak", "neemUsual", "neemStrong"]);
  });
});

describe("the volume a plant takes", () => {
  it("is estimated from the pot and grows with it", () => {
    expect(volumeFor("spray", 12)).toBe(60);
    expect(volumeFor("dab", 12)).toBe(5);
    expect(volumeFor("spray", 30)).toBeGreaterThan(volumeFor("spray", 12));
    expect(() => volumeFor("spray", 0)).toThrow(RangeError);
  });

  // By hand: one bath for the pot of 12 cm (150 · 12), and 8 mL a centimetre carried off by both.
  it("a session of dunks takes one bath, and what is carried off", () => {
    expect(mixVolume([])).toBe(0);
    expect(mixVolume([10, 12].map((potCm) => ({ technique: "dunk", potCm })))).toBe(1980);
    const spray = { technique: "spray", potCm: 12 } as const;
    expect(mixVolume([spray, spray, { technique: "dunk", potCm: 10 }])).toBe(2 * 60 + 1500 + 80);
  });
});
