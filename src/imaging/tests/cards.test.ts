import { describe, expect, it } from "vitest";
import { findCard, level, type Corner, type Frame } from "../levelled";
import { drawPaper, PAPER, type At } from "./drawPaper";
import { drawCard, grades, SIZE } from "./drawCard";
import { scoreOf } from "./score";
import { movedOnPaper } from "../paper";
import { spotsOn, TooManySpots } from "../spots";

/** A plain picture with a card of one colour drawn by its corners' box. */
function plain(width: number, height: number, box: readonly [number, number, number, number]): Frame {
  const data = new Uint8ClampedArray(width * height * 4);
  const [left, top, right, bottom] = box;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = x >= left && x < right && y >= top && y < bottom;
      data.set(inside ? [242, 210, 27, 255] : [80, 70, 60, 255], 4 * (y * width + x));
    }
  return { data, width, height };
}

const farthest = (found: readonly Corner[], real: readonly Corner[]) =>
  Math.max(...found.map((one) => Math.min(...real.map(({ x, y }) => Math.hypot(one.x - x, one.y - y)))));

describe("a card on a photo", () => {
  it("is found by its colour, within a hundredth of the photo", async () => {
    for (const grade of grades) {
      const { frame, corners } = await drawCard(7, grade);
      const found = findCard(frame)!;
      expect(farthest(found, corners)).toBeLessThan(0.01 * Math.max(frame.width, frame.height));
    }
  });

  it("is not found where there is none, or nothing but it", () => {
    expect(findCard(plain(200, 200, [0, 0, 0, 0]))).toBeNull();
    expect(findCard(plain(200, 200, [0, 0, 200, 200]))).toBeNull();
  });

  it("stands upright at its scale, whichever way it lay", () => {
    const lying = plain(600, 300, [50, 50, 550, 250]);
    const card = level(lying, findCard(lying)!, { widthMm: 100, heightMm: 250 });
    expect(card.height).toBeGreaterThan(card.width);
    expect(card.width / card.pxPerMm).toBeCloseTo(100, 0);
    expect(card.height / card.pxPerMm).toBeCloseTo(250, 0);
    expect(spotsOn(card)).toEqual([]);
  });

  it("of a pattern, or taken in the dark, has too many spots, and says so before it measures each", () => {
    const frame = plain(500, 600, [0, 0, 500, 600]);
    for (let y = 0; y < 600; y++)
      for (let x = 0; x < 500; x++) if (x % 8 < 2 && y % 8 < 2) frame.data.set([0, 0, 0, 255], 4 * (y * 500 + x));
    expect(() => spotsOn({ ...frame, pxPerMm: 8 })).toThrow(TooManySpots);
  });

  it("needs four corners", () => {
    const frame = plain(100, 100, [10, 10, 90, 90]);
    expect(() => level(frame, [{ x: 0, y: 0 }], SIZE)).toThrow(RangeError);
    const point = { x: 5, y: 5 };
    expect(() => level(frame, [point, point, point, point], SIZE)).toThrow(RangeError);
  });

  it("a black bar of 10 × 2 mm measures so: the ellipse of an even bar is 2/√3 of it (moments of a rectangle, textbook)", () => {
    const frame = plain(500, 700, [50, 50, 450, 650]);
    for (let y = 300; y < 316; y++) for (let x = 200; x < 280; x++) frame.data.set([0, 0, 0, 255], 4 * (y * 500 + x));
    const card = level(
      frame,
      [
        { x: 50, y: 50 },
        { x: 450, y: 50 },
        { x: 450, y: 650 },
        { x: 50, y: 650 },
      ],
      {
        widthMm: 50,
        heightMm: 75,
      },
    );
    const [bar, ...others] = spotsOn(card);
    expect(others).toEqual([]);
    expect(bar!.areaMm2).toBeCloseTo(20, -1);
    expect(bar!.lengthMm / (10 * (2 / Math.sqrt(3)))).toBeCloseTo(1, 1);
    expect(bar!.xMm).toBeCloseTo((240 - 50) / 8, 0);
    expect(bar!.yMm).toBeCloseTo((308 - 50) / 8, 0);
  });
});

/** So many cards of each grade; three hundred in all are drawn by the benchmark. */
const CARDS = 4;

describe("flies on drawn cards (no photo of a real card was at hand)", () => {
  it.each([
    ["clean", 0.9],
    ["used", 0.9],
    ["hard", 0.75],
  ] as const)(
    "of %s ones at least %f of the flies are found, and as much of what is ringed is one",
    async (grade, least) => {
      const score = await scoreOf(grade, CARDS);
      expect(score.flies.recall).toBeGreaterThanOrEqual(least);
      expect(score.flies.precision).toBeGreaterThanOrEqual(least);
    },
  );
});

describe("mites on drawn papers (no photo of real ones was at hand)", () => {
  const moved = (before: Frame, after: Frame) => movedOnPaper(before, after, PAPER)!.moved;

  it.each([
    [1, false],
    [2, true],
    [3, false],
  ])("are told from grit by having walked (paper %i, turned %s)", async (seed, turned) => {
    const { before, after, walked } = await drawPaper(seed, 9, turned);
    const found = moved(before, after);
    const at = ({ xMm, yMm }: At) => (turned ? { xMm: PAPER.widthMm - xMm, yMm: PAPER.heightMm - yMm } : { xMm, yMm });
    const hits = walked.filter((one) =>
      found.some(({ xMm, yMm }) => Math.hypot(xMm - at(one).xMm, yMm - at(one).yMm) < 2),
    );
    expect(hits.length).toBeGreaterThanOrEqual(8);
    expect(found.length).toBeLessThanOrEqual(10);
  });

  it("none are told where only grit lies", async () => {
    const { before, after } = await drawPaper(4, 0);
    expect(moved(before, after)).toEqual([]);
    expect(movedOnPaper(before, plain(200, 200, [0, 0, 0, 0]), PAPER)).toBeNull();
  });
});
