import { describe, expect, it } from "vitest";
import type { CountedSpot } from "@/core/model/inspection/cardSpots";
import { marksOf, pressAt, pressMark, totalOf } from "./marks";

const spot = (xMm: number, yMm: number, many = 1, kind: CountedSpot["kind"] = "fly"): CountedSpot => ({
  ...{ xMm, yMm, many, kind },
  ...{ areaMm2: 3, lengthMm: 2.6, widthMm: 1.7, solidity: 0.85, contrast: 0.75 },
});

describe("rings on a card", () => {
  const marks = marksOf([spot(30, 40), spot(10, 5, 2), spot(50, 20, 1, "thrips")]);

  it("stand from top to bottom, and count what lies in them; thrips are no flies", () => {
    expect(marks.map(({ yMm }) => yMm)).toEqual([5, 20, 40]);
    expect([totalOf(marks, "fly"), totalOf(marks, "thrips")]).toEqual([3, 1]);
  });

  it("are pressed away and back", () => {
    const away = pressMark(marks, 0);
    expect(totalOf(away, "fly")).toBe(1);
    expect(pressMark(away, 0)).toEqual(marks);
  });

  it("a press beside them adds a fly, and pressed again it is gone", () => {
    const more = pressAt(marks, 70, 70);
    expect(totalOf(more, "fly")).toBe(4);
    expect(pressAt(more, 70.5, 69)).toEqual(marks);
  });

  it("a press near to several means the nearest", () => {
    const two = marksOf([spot(10, 10), spot(13, 10)]);
    expect(pressAt(two, 12.4, 10).map(({ off }) => off)).toEqual([false, true]);
  });

  it("a press on a card without any adds the first", () => {
    expect(totalOf(pressAt([], 1, 1), "fly")).toBe(1);
  });
});
