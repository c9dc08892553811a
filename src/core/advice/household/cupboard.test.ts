import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Act } from "../../acts/acts";
import { addDays, day } from "../../shared/days";
import { mixIds, pour } from "../../knowledge/mixes/mixes";
import { mixVolume, volumeFor } from "../../knowledge/mixes/sprayVolume";
import { techniqueIds } from "../../knowledge/remedies/remedies";
import { mL } from "../../units/volume";
import type { Bottle } from "../../knowledge/household/bottles";
import { costOf, datesOf, drawsOf, fromBottles, lastingOf, levelsOf, type Use } from "./cupboard";

const first = day("2026-11-01");
const on = (n: number) => addDays(first, n);
const sprayed = (
  mix: Extract<Act, { kind: "contact" }>["mix"],
  volumeMl: number,
  offset = 0,
  technique = "spray",
): Use => ({
  day: on(offset),
  act: { kind: "contact", mix, technique, volumeMl, spots: ["axil"] } as Act,
  caseId: "a",
});
const bottle = (over: Partial<Bottle>): Bottle => ({
  ...{ id: "b", name: "b", active: "soap", percent: null, unit: "mL", perLitre: null, everyDays: null },
  ...{ mostTimes: null, allowed: ["indoors"], size: 100, openedOn: first, bestBefore: null, emptiedOn: null },
  ...{ price: null, ...over },
});
const plain = { bottles: [], alcoholPercent: 70 };
const drawn = (uses: readonly Use[], drawing = plain as Parameters<typeof drawsOf>[1]) =>
  drawsOf(uses, drawing).map(({ active, ml }) => [active, Number(ml.toFixed(6))]);

describe("what is taken out of the cupboard", () => {
  it("is what the recipe says: 15 mL of soap for a litre, soap and oil for an oil, alcohol by its bottle (worked by hand)", () => {
    expect(drawn([sprayed("soapStrong", 1000)])).toEqual([["soap", 15]]);
    expect(drawn([sprayed("oil2", 500)])).toEqual([
      ["soap", 0.25],
      ["oil", 10],
    ]);
    // 35 % from 70 %: half of it; from a bottle of 99 %: 500 · 0.35 / 0.99.
    expect(drawn([sprayed("alcoholHalf", 500)])).toEqual([["alcohol", 250]]);
    const strong = { ...plain, bottles: [bottle({ active: "alcohol", percent: 99 })] };
    expect(drawn([sprayed("alcoholHalf", 500)], strong)).toEqual([["alcohol", 176.767677]]);
  });

  it("goes by the label where there is one; of what nobody knows the rate of, nothing is drawn", () => {
    const label = { ...plain, bottles: [bottle({ active: "spinosad", perLitre: 4 })] };
    expect(drawn([sprayed("spinosadLabel", 250)], label)).toEqual([["spinosad", 1]]);
    expect(drawn([sprayed("spinosadLabel", 250)])).toEqual([]);
    expect(drawn([{ day: first, caseId: null, act: { kind: "drench", remedy: "peroxide", volumeMl: 300 } }])).toEqual([
      ["peroxide", 150],
    ]);
    expect(drawn([{ day: first, caseId: null, act: { kind: "dust", dryDays: 3 } }])).toEqual([]);
  });

  it("goes by the strength that was written down, where that was not the recipe's", () => {
    const strong = (mix: string, strength: number) => {
      const use = sprayed(mix as "soapMild", 500);
      return { ...use, act: { ...use.act, strength } as Act };
    };
    expect(drawn([strong("soapMild", 20)])).toEqual([["soap", 10]]);
    expect(drawn([strong("oil1", 3)])).toContainEqual(["oil", 15]);
    expect(drawn([strong("alcoholHalf", 70)])).toEqual([["alcohol", 500]]);
    expect(drawn([strong("alcoholHalf", 7)])).toEqual([["alcohol", 50]]);
  });

  it("a bath is drawn once for all that are dunked in it, as a session reckons it", () => {
    const pots = [10, 12, 15];
    const uses = pots.map((potCm) => sprayed("soapStrong", volumeFor("dunk", potCm), 0, "dunk"));
    const total = drawsOf(uses, plain).reduce((sum, { ml }) => sum + ml, 0);
    const once = mixVolume(pots.map((potCm) => ({ technique: "dunk", potCm })));
    expect(total).toBeCloseTo((once * 15) / 1000, 0);
    // On another day it is another bath.
    const other = sprayed("soapStrong", volumeFor("dunk", 10), 1, "dunk");
    expect(drawsOf([...uses, other], plain).at(-1)!.ml).toBeGreaterThan(20);
  });

  it("no millilitre is made or lost: what is drawn is what was poured, bottle by bottle (property)", () => {
    const use = fc
      .tuple(
        fc.constantFrom(...mixIds),
        fc.constantFrom(...techniqueIds),
        fc.integer({ min: 1, max: 2000 }),
        fc.nat(40),
      )
      .filter(([, technique]) => technique !== "dunk")
      .map(([mix, technique, volumeMl, offset]) => sprayed(mix, volumeMl, offset, technique));
    const bottles = [bottle({ id: "one", size: 30 }), bottle({ id: "two", openedOn: on(10) })];
    fc.assert(
      fc.property(fc.array(use, { maxLength: 20 }), (uses) => {
        const draws = drawsOf(uses, { bottles, alcoholPercent: 99 });
        const soap = draws.filter(({ active }) => active === "soap").reduce((sum, { ml }) => sum + ml, 0);
        const inMixes = uses.reduce((sum, { act }) => {
          if (act.kind !== "contact") return sum;
          const poured = pour(act.mix, mL(act.volumeMl), 0.99);
          const amounts = poured.code === "ok" ? poured.amounts : [];
          return sum + (amounts.find(({ ingredient }) => ingredient === "soap")?.volumeMl ?? 0);
        }, 0);
        expect(soap).toBeCloseTo(inMixes, 6);
        const levels = levelsOf(fromBottles(draws, bottles), bottles, on(50));
        expect(levels.reduce((sum, { usedMl }) => sum + usedMl, 0)).toBeCloseTo(soap, 6);
        for (const { leftMl } of levels) expect(leftMl).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe("which bottle it came out of", () => {
  it("the one opened first that is not used up; nothing came out before it was opened or after it was empty", () => {
    const bottles = [bottle({ id: "new", openedOn: on(2) }), bottle({ id: "old", size: 20 })];
    const draws = drawsOf(
      [0, 1, 3, 4].map((offset) => sprayed("soapStrong", 1000, offset)),
      plain,
    );
    expect(fromBottles(draws, bottles).map(({ bottleId }) => bottleId)).toEqual(["old", "old", "new", "new"]);
    expect(fromBottles(draws, [bottle({ openedOn: on(9) })])).toEqual([]);
    expect(fromBottles(draws, [bottle({ openedOn: null })])).toEqual([]);
    expect(fromBottles(draws, [bottle({ emptiedOn: on(1) })])).toHaveLength(2);
    expect(fromBottles(draws.toReversed(), bottles).map(({ bottleId }) => bottleId)).toEqual([
      "old",
      "old",
      "new",
      "new",
    ]);
  });

  it("costs its share of the bottle's price", () => {
    const bottles = [bottle({ price: 8, size: 400 })];
    const from = fromBottles(drawsOf([sprayed("soapStrong", 2000)], plain), bottles);
    expect(costOf(from, bottles)).toBeCloseTo(0.6, 9);
    expect(costOf(from, [bottle({})])).toBe(0);
  });
});

describe("whether it lasts", () => {
  it("says on which day the plan runs short, and by how much; expired and empty bottles do not count", () => {
    const planned = drawsOf(
      [2, 5, 9].map((offset) => sprayed("soapStrong", 1000, offset)),
      plain,
    );
    const told = (...bottles: Bottle[]) => lastingOf(planned, levelsOf([], bottles, on(0)))[0]!;
    expect(told(bottle({ size: 40 }))).toMatchObject({ neededMl: 45, leftMl: 40, shortOn: on(9), missingMl: 5 });
    expect(told(bottle({ size: 45 }))).toMatchObject({ shortOn: null, missingMl: 0 });
    expect(told()).toMatchObject({ leftMl: 0, shortOn: on(2), missingMl: 45 });
    expect(told(bottle({ bestBefore: on(-1) }))).toMatchObject({ leftMl: 0 });
    expect(told(bottle({ emptiedOn: on(-1) }))).toMatchObject({ leftMl: 0 });
    // Of a bottle of unknown size nothing is said.
    expect(told(bottle({ size: null }))).toMatchObject({ leftMl: null, shortOn: null, missingMl: 0 });
    expect(lastingOf([], [])).toEqual([]);
  });

  it("tells a date that is over from one that comes near", () => {
    expect(datesOf(bottle({ bestBefore: on(-1) }), on(0))).toBe("over");
    expect(datesOf(bottle({ bestBefore: on(0) }), on(0))).toBe("soon");
    expect(datesOf(bottle({ bestBefore: on(31) }), on(0))).toBeNull();
    expect(datesOf(bottle({}), on(0))).toBeNull();
  });
});
