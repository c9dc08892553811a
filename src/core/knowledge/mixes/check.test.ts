import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { remedyIds } from "../remedies/remedies";
import { measureMl } from "../../units/volume";
import { amountMeasures, checkedRemedies, checkMix, mayShareCan, perLitreOf, vesselMeasures } from "./check";
import { mixesOf, pour, type MixId } from "./mixes";
import { stockFor } from "./dilution";
import { strengthOf } from "./potency";
import { mL } from "../../units/volume";

const put = (over: Partial<Parameters<typeof checkMix>[0]>) =>
  checkMix({
    ...{ remedy: "neem", amount: 1, measure: "millilitre", into: 1, intoMeasure: "litre", bottle: null },
    ...over,
  } as Parameters<typeof checkMix>[0]);

describe("a mix from the side of what was put in", () => {
  it("two drops of neem in 750 mL are next to nothing (the contradiction practitioners do not notice, common practice)", () => {
    const told = put({ amount: 2, measure: "drop", into: 750, intoMeasure: "millilitre" });
    expect(told).toMatchObject({ code: "ok", verdict: "token" });
    // 0.1 mL in 750 mL against 7.5 mL in a litre: one in fifty-six, by hand.
    if (told.code === "ok") expect(1 / told.ofUsual).toBeCloseTo(56.25, 6);
  });

  it.each([
    ["a US teaspoon a US quart is the weak neem", { measure: "usTeaspoon", intoMeasure: "usQuart" }, "usual"],
    ["a tablespoon of neem a litre is strong, within the recipes", { measure: "metricTablespoon" }, "usual"],
    ["two tablespoons of neem a litre are above them", { measure: "metricTablespoon", amount: 2 }, "strong"],
    ["half a teaspoon of neem a litre is below them", { measure: "metricTeaspoon", amount: 0.5 }, "weak"],
    [
      "two tablespoons of oil a US quart are 3 %",
      { remedy: "oil", measure: "usTablespoon", amount: 2, intoMeasure: "usQuart" },
      "strong",
    ],
    ["a label's limit goes before the recipes", { amount: 10, labelMlPerLitre: 5 }, "aboveLabel"],
  ] as const)("%s", (_what, over, verdict) => {
    expect(put(over as never)).toMatchObject({ code: "ok", verdict });
  });

  it("alcohol from a bottle of unknown strength is not guessed; more of it than there is of the whole is told", () => {
    expect(put({ remedy: "alcohol", amount: 500, measure: "millilitre" })).toEqual({ code: "bottle_unknown" });
    expect(put({ amount: 2000, measure: "millilitre" })).toEqual({ code: "more_than_all" });
    expect(put({ remedy: "alcohol", amount: 500, bottle: 0.7 })).toMatchObject({ strength: 0.35, verdict: "usual" });
    expect(() => put({ amount: 0 })).toThrow(RangeError);
    expect(() => put({ remedy: "alcohol", bottle: 70 })).toThrow(RangeError);
  });

  it("a dropper's own drop counts where it is known", () => {
    const [pharmacy, large] = [
      put({ measure: "drop", amount: 20 }),
      put({ measure: "drop", amount: 20, dropMl: 0.08 }),
    ];
    expect(pharmacy).toMatchObject({ amountMl: 1 });
    expect(large).toMatchObject({ amountMl: 1.6 });
  });

  it("every recipe, poured and checked, is what it says it is (property)", () => {
    const any = fc.constantFrom(...checkedRemedies.flatMap((id) => mixesOf(id)));
    fc.assert(
      fc.property(any, fc.double({ min: 10, max: 20_000, noNaN: true }), (id: MixId, total) => {
        const poured = pour(id, mL(total), 0.99);
        if (poured.code !== "ok") throw new Error(poured.code);
        const remedy = checkedRemedies.find((one) => mixesOf(one).includes(id))!;
        const active = { alcohol: "alcoholBottle", soap: "soap", oil: "oil", neem: "neemOil" }[remedy];
        const amount = poured.amounts.find(({ ingredient }) => ingredient === active)!.volumeMl;
        const told = put({ remedy, amount, into: total, intoMeasure: "millilitre", bottle: 0.99 });
        expect(told).toMatchObject({ code: "ok", verdict: "usual" });
        if (told.code === "ok") expect(told.strength).toBeCloseTo(strengthOf(id), 9);
      }),
    );
  });
});

describe("rates as labels give them", () => {
  it("9 mL a US quart is 9.51 mL per litre, half a quart takes half (NIST Handbook 44: a US quart is 946.353 mL)", () => {
    expect(perLitreOf(9, "millilitre", 1, "usQuart")).toBeCloseTo(9.5102, 4);
    expect(perLitreOf(4.5, "millilitre", 0.5, "usQuart")).toBeCloseTo(perLitreOf(9, "millilitre", 1, "usQuart"), 9);
    expect(() => perLitreOf(0, "millilitre", 1, "litre")).toThrow(RangeError);
  });

  it("a nutrition label's teaspoon is 5 mL and its tablespoon 15 mL (21 CFR 101.9(b)(5)(viii)); a kitchen's US ones are less", () => {
    expect(measureMl.metricTeaspoon).toBe(5);
    expect(measureMl.metricTablespoon).toBe(15);
    expect(measureMl.usTeaspoon).toBeCloseTo(4.93, 2);
    for (const one of amountMeasures) expect(measureMl[one]).toBeGreaterThan(0);
    for (const one of vesselMeasures) expect(measureMl[one]).toBeGreaterThanOrEqual(1);
  });
});

describe("two things in one can", () => {
  it("only what is listed, either way round (common practice)", () => {
    expect(mayShareCan("neem", "soap")).toBe(true);
    expect(mayShareCan("soap", "neem")).toBe(true);
    for (const id of remedyIds) {
      expect(mayShareCan(id, id)).toBe(true);
      if (id !== "sulphur") expect(mayShareCan("sulphur", id)).toBe(false);
    }
    expect(mayShareCan("oil", "sulphur")).toBe(false);
    expect(mayShareCan("spinosad", "soap")).toBe(false);
  });
});

/** Of ethanol and water at 20 °C: grams a millilitre, by per cent of volume. Source: OIML R 22 alcoholometric tables, from memory. */
const density = { 0: 0.9982, 70: 0.88551, 95: 0.81138, 100: 0.78924 } as const;

describe("what C₁V₁ = C₂V₂ leaves out", () => {
  it("95 % cut to 70 % comes out a good point and a half stronger: water and alcohol shrink together", () => {
    const stock = stockFor(mL(1000), 0.7, 0.95);
    const water = 1000 - stock;
    const grams = stock * density[95] + water * density[0];
    const alcoholMl = (stock * 0.95 * density[100]) / density[100];
    // At 71.6 % the mixture weighs about 0.8816 g/mL: between the rows of the table, which falls by 0.0024 a per cent there.
    const volume = grams / (density[70] - 1.6 * 0.0024);
    const strength = alcoholMl / volume;
    expect(strength).toBeGreaterThan(0.712);
    expect(strength).toBeLessThan(0.722);
    // The table's own answer for 100 mL of 95 %: 39.1 mL of water, where the equation says 35.7.
    const toTable = (100 * 0.95 * density[70]) / 0.7 - 100 * density[95];
    expect(toTable / density[0]).toBeCloseTo(39.1, 1);
    expect(100 * (0.95 / 0.7 - 1)).toBeCloseTo(35.7, 1);
  });
});
