import { describe, expect, it } from "vitest";
import { day } from "@/core/shared/days";
import type { Happening, ReplayWay } from "@/core/advice/replay/replay";
import { happeningSentence } from "./replay";

const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");
const happened = (what: Happening["what"], over: Partial<Happening> = {}): Happening => ({
  ...{ day: day("2026-11-20"), what, plantId: "p", pest: "thrips", caseId: "c", placeId: null },
  ...over,
});
const way = (kind: ReplayWay["kind"], fromId: string | null): ReplayWay => ({
  ...{ caseId: "c", plantId: "p", kind, fromId, share: 0.62 },
});
const told = (happening: Happening, one: ReplayWay | null = null, place: string | null = null) =>
  plain(
    happeningSentence(happening, {
      ...{ code: "L03", place, way: one },
      codeOf: (id) => (id === "q" ? "L06" : null),
    }),
  );

describe("what happened on the shelves, in words", () => {
  it("a find names its likeliest way, with the plant where one is meant", () => {
    expect(told(happened("found"))).toBe("L03: thrips found");
    expect(told(happened("found"), way("neighbour", "q"))).toBe("L03: thrips found; most likely from L06, 62 %");
    expect(told(happened("found"), way("handled", "q"))).toBe(
      "L03: thrips found; most likely on hands, from L06, 62 %",
    );
    expect(told(happened("found"), way("background", null))).toContain("from outside, by window or clothes, 62 %");
    expect(told(happened("found"), way("arrival", null))).toContain("it came with it");
    // A plant that is not shown has no code here.
    expect(told(happened("found"), way("neighbour", "gone"))).toContain("from a neighbour");
  });

  it("everything else is said plainly", () => {
    expect(told(happened("ended"))).toBe("L03: thrips ended");
    expect(told(happened("treated", { pest: null, caseId: null }))).toBe("L03 treated");
    expect(told(happened("moved", { pest: null }), null, "Tent")).toBe("L03 moved to Tent");
    expect(told(happened("moved", { pest: null }))).toBe("L03 moved to another place");
  });
});
