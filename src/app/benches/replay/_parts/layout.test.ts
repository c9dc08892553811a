import { describe, expect, it } from "vitest";
import { day } from "@/core/shared/days";
import { sceneOn, type Replay } from "@/core/advice/replay/replay";
import { layOut, TILE } from "./layout";

const plants = Array.from({ length: 20 }, (_, i) => ({
  ...{ id: `p${String(i).padStart(2, "0")}`, code: `P${i}`, name: "Vine", cases: [], treated: [] },
  stays: [
    { placeId: "a", from: day("2026-01-01"), until: i < 5 ? day("2026-02-01") : null },
    ...(i < 5 ? [{ placeId: "b", from: day("2026-02-01"), until: null }] : []),
  ],
}));
const replay: Replay = {
  ...{ first: day("2026-01-01"), last: day("2026-03-01"), plants, ways: [] },
  places: ["a", "b"].map((id) => ({ id, name: id, apart: false })),
};
const laid = (on: string, width: number) => layOut(replay, sceneOn(replay, day(on)), width);

describe("the stage of a replay", () => {
  it("keeps every plant within it, none on another, in an order that never changes", () => {
    for (const [on, width] of [
      ["2026-01-10", 360],
      ["2026-02-10", 360],
      ["2026-02-10", 1000],
    ] as const) {
      const { tiles, height } = laid(on, width);
      expect(tiles).toHaveLength(20);
      expect(new Set(tiles.map(({ x, y }) => `${x} ${y}`)).size).toBe(20);
      for (const { x, y } of tiles) {
        expect(x + TILE.width).toBeLessThanOrEqual(width);
        expect(y + TILE.height).toBeLessThanOrEqual(height);
      }
      expect(tiles.map(({ on: { plant } }) => plant.id)).toEqual(plants.map(({ id }) => id));
    }
  });

  it("keeps the height of a shelf while plants come and go, and stands in two columns where there is room", () => {
    const heights = (on: string) => laid(on, 360).rows.map(({ height }) => height);
    expect(heights("2026-02-10")).toEqual(heights("2026-01-10"));
    expect(new Set(laid("2026-02-10", 360).rows.map(({ left }) => left)).size).toBe(1);
    expect(new Set(laid("2026-02-10", 1000).rows.map(({ left }) => left)).size).toBe(2);
  });
});
