import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { sizeOf } from "@/core/knowledge/pests/sizes";
import { countSpots, fitsSize, judgeSpot, laidOver, movedBetween, type Spot } from "./cardSpots";

const at = (xMm: number, yMm: number, rest: Partial<Spot> = {}): Spot => ({
  ...{ xMm, yMm, areaMm2: 3, lengthMm: 2.6, widthMm: 1.7, solidity: 0.85, contrast: 0.75 },
  ...rest,
});
const gnat = at(10, 10);
const thrips = at(20, 20, { areaMm2: 0.3, lengthMm: 1.2, widthMm: 0.35, solidity: 0.9, contrast: 0.6 });
const crumb = at(30, 30, { areaMm2: 0.3, lengthMm: 0.65, widthMm: 0.6, solidity: 0.96 });
const mite = (xMm: number, yMm: number) =>
  at(xMm, yMm, { areaMm2: 0.12, lengthMm: sizeOf("spiderMite", "adult"), widthMm: 0.3, solidity: 0.95 });
const smear = at(40, 40, { areaMm2: 6, lengthMm: 15, widthMm: 0.6, contrast: 0.35 });

describe("spots on a card", () => {
  it("are told by size, shape and darkness (sizes of the animals: handbooks of greenhouse pests, from memory)", () => {
    expect([gnat, thrips, crumb, smear].map(judgeSpot)).toEqual(["fly", "thrips", "other", "other"]);
  });

  it("of the length of a gnat and of a thrips lie within what is taken for them (sizesMm)", () => {
    const long = sizeOf("fungusGnat", "adult");
    expect(judgeSpot(at(0, 0, { lengthMm: long, widthMm: long * 0.6, areaMm2: 0.35 * long ** 2 }))).toBe("fly");
    const thin = sizeOf("thrips", "adult");
    expect(judgeSpot({ ...thrips, lengthMm: thin, widthMm: thin * 0.25, areaMm2: 0.2 * thin ** 2 })).toBe("thrips");
  });

  it("count as several where flies are glued on each other, by the card's own flies", () => {
    const single = Array.from({ length: 6 }, (_, i) => at(i * 6, 5, { areaMm2: 2.4 }));
    const pair = at(50, 50, { areaMm2: 4.9, lengthMm: 4 });
    const three = at(60, 60, { areaMm2: 7.2, lengthMm: 5.5, widthMm: 2.5 });
    expect(countSpots([...single, pair, three]).map(({ many }) => many)).toEqual([1, 1, 1, 1, 1, 1, 2, 3]);
  });

  it("are no flies where they are larger than four together: that is dirt", () => {
    expect(countSpots([at(0, 0, { areaMm2: 40, lengthMm: 8, widthMm: 7 })])).toEqual([]);
  });

  it("none give none, and grit alone none", () => {
    expect(countSpots([])).toEqual([]);
    expect(countSpots([crumb, smear])).toEqual([]);
  });

  it("never count less than the flies that lie alone, and dirt beside them changes nothing", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (flies, dirt) => {
        const alone = Array.from({ length: flies }, (_, i) => at(i, 0));
        const all = countSpots([...Array.from({ length: dirt }, () => crumb), ...alone]);
        return all.reduce((sum, { many }) => sum + many, 0) === flies;
      }),
    );
  });
});

describe("a card's size", () => {
  it("fits where its sides stand to each other as on the photo, a little aslant at most", () => {
    const small = { widthMm: 75, heightMm: 100 };
    expect([0.75, 0.7, 0.8].map((seen) => fitsSize(seen, small))).toEqual([true, true, true]);
    expect(fitsSize(0.75, { widthMm: 100, heightMm: 150 })).toBe(false);
    expect(fitsSize(0.4, { widthMm: 250, heightMm: 100 })).toBe(true);
  });
});

describe("two photos of one paper", () => {
  const paper = { widthMm: 105, heightMm: 148 };
  const lying = [mite(10, 20), mite(40, 90), mite(80, 30), mite(95, 140), mite(60, 60)];

  it("lie over each other once shifted as most spots agree, and turned by half where the phone was", () => {
    const off = lying.map((spot) => ({ ...spot, xMm: spot.xMm + 1.4, yMm: spot.yMm - 0.9 }));
    expect(movedBetween(laidOver(lying, off, paper), off)).toEqual([]);
    const turned = lying.map((spot) => ({ ...spot, xMm: 105 - spot.xMm, yMm: 148 - spot.yMm }));
    expect(movedBetween(laidOver(lying, turned, paper), turned)).toEqual([]);
  });

  it("what walked is told although the rest is shifted", () => {
    const off = [...lying.map((spot) => ({ ...spot, xMm: spot.xMm + 1.4 })), mite(30, 120)];
    expect(movedBetween(laidOver(lying, off, paper), off)).toEqual([off.at(-1)]);
  });

  it("stay as they are where too few agree", () => {
    const two = lying.slice(0, 2);
    expect(laidOver(two, [mite(11, 20)], paper)).toBe(two);
    expect(laidOver([], lying, paper)).toEqual([]);
  });
});

describe("what moved on a paper between two photos", () => {
  it("is what lies where nothing lay before; a photo laid over the other is off by a little (common practice, no source)", () => {
    const before = [mite(10, 10), mite(20, 20), mite(30, 30)];
    const after = [mite(10.2, 9.9), mite(24, 20), mite(30.1, 30.2)];
    expect(movedBetween(before, after)).toEqual([after[1]]);
  });

  it("is nothing on the same photo, and everything where the first was empty", () => {
    const spots = [mite(1, 1), mite(5, 5)];
    expect(movedBetween(spots, spots)).toEqual([]);
    expect(movedBetween([], spots)).toEqual(spots);
  });

  it("takes each spot of the first photo for one of the second: two that meet on one place are one that moved", () => {
    expect(movedBetween([mite(10, 10)], [mite(10, 10), mite(10.3, 10)])).toHaveLength(1);
  });

  it("is nothing larger than what walks there: a leaf that fell, a finger's shadow", () => {
    expect(movedBetween([], [at(1, 1), { ...mite(5, 5), lengthMm: 9 }])).toEqual([]);
  });
});
