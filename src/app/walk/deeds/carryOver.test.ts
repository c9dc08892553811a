import { describe, expect, it } from "vitest";
import { SHAPE } from "@/core/record/facts/keptShape";
import { carriedOver, shapeIn } from "./carryOver";

const look = (at: unknown) => ({ kind: "look", input: { id: "1", at, note: "as it was" } });

describe("a command of an older page", () => {
  it("gets the offset of the collection's zone, summer and winter", () => {
    const carried = (at: string) => carriedOver(look(at), 1, "America/Los_Angeles");
    // The zone's offsets: IANA tz database, America/Los_Angeles.
    expect(carried("2026-11-24T18:00")).toEqual(look("2026-11-24T18:00:00-08:00"));
    expect(carried("2026-07-24T18:00")).toEqual(look("2026-07-24T18:00:00-07:00"));
  });

  it("of the shape of now, or of none, passes unchanged; what is no command is for its schema to refuse", () => {
    const now = look("2026-11-24T18:00:00+00:00");
    for (const shape of [1, SHAPE]) expect(carriedOver(now, shape, "Europe/Lisbon")).toEqual(now);
    for (const odd of [null, "look", [], { kind: "end", input: null }, look(7)])
      expect(carriedOver(odd, 1, "Europe/Lisbon")).toEqual(odd);
  });

  it("of a shape to come stays as it is", () => {
    const later = look("2026-11-24T18:00");
    expect(carriedOver(later, SHAPE + 1, "Europe/Lisbon")).toEqual(later);
  });

  it("says its shape as a number; whoever says none is older than numbers", () => {
    expect([null, "1", "2", "x", "", "-3", "1.5"].map(shapeIn)).toEqual([1, 1, 2, 1, 1, 1, 1]);
  });
});
