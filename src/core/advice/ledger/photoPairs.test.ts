import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { photoPairs } from "./photoPairs";

const photo = (id: string, plantId: string, on: string) => ({ id, plantId, day: day(on) });

describe("then and now of a year", () => {
  it("is the first and the last of each plant, those furthest apart first; photos of a single day are no pair", () => {
    const pairs = photoPairs([
      photo("a1", "a", "2026-03-01"),
      photo("b1", "b", "2026-03-02"),
      photo("a2", "a", "2026-03-09"),
      photo("c1", "c", "2026-04-01"),
      photo("c2", "c", "2026-04-01"),
      photo("b2", "b", "2026-06-01"),
      photo("a3", "a", "2026-03-20"),
    ]);
    expect(pairs.map(({ plantId, then, now }) => [plantId, then.id, now.id])).toEqual([
      ["b", "b1", "b2"],
      ["a", "a1", "a3"],
    ]);
    expect(photoPairs([])).toEqual([]);
  });
});
