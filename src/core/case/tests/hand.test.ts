import { describe, expect, it } from "vitest";
import { allScenarios, byReach, scenariosWith } from "../../clearance/scenarios";
import type { ActDone } from "../../facts/facts";
import { handIn, reachBefore } from "../hand";
import { closing, spray } from "./facts";

const careless = { technique: "spray", weights: [0.8, 0.15, 0.05] } as const;
const shown = (offset: number, over = {}) => ({
  ...closing(offset, "earlier"),
  recordedBy: "Ada",
  reach: { ...careless, weights: [...careless.weights] },
  ...over,
});
const treated = (offset: number, over: Partial<ActDone> = {}) => ({ ...spray(offset), recordedBy: "Ada", ...over });
const found = { openedAt: treated(10).at, closing: null };

describe("what is known of a keeper's hand", () => {
  it("is whose hand treated last, and how", () => {
    expect(handIn(found, [treated(11)])).toEqual({ technique: "spray", keeper: "Ada" });
    expect(handIn(found, [treated(9)])).toBeNull();
    expect(handIn(found, [treated(11, { voidReason: "no" })])).toBeNull();
  });

  it("half of what their last closed case has shown with that technique, half of what is usual", () => {
    const prior = reachBefore(found, [treated(11)], [shown(2, { reach: null }), shown(5)]);
    expect(prior).toEqual([expect.closeTo(0.525), expect.closeTo(0.325), expect.closeTo(0.15)]);
    expect(prior!.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
  });

  it.each([
    ["another keeper's", shown(5, { recordedBy: "Ben" })],
    ["another technique's", shown(5, { reach: { technique: "dunk", weights: [1, 0, 0] } })],
    ["one closed after this began", shown(12)],
    ["one struck out", shown(5, { voidReason: "not so" })],
  ])("nothing from %s", (_why, one) => {
    expect(reachBefore(found, [treated(11)], [one])).toBeNull();
  });

  it("weighs the nine scenarios by it, whatever their eggs", () => {
    const scenarios = scenariosWith([0.5, 0.3, 0.2]);
    expect(byReach(scenarios.map(({ prior }) => prior))).toEqual(
      [0.5, 0.3, 0.2].map((p) => expect.closeTo(p) as number),
    );
    expect(scenariosWith(undefined)).toBe(allScenarios);
  });
});
