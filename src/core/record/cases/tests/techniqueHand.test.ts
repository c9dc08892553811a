import { describe, expect, it } from "vitest";
import { allScenarios, byReach, scenariosWith } from "../../../model/clearance/scenarios";
import type { ActDone } from "../../facts/facts";
import { likelihoodOf, reachOf, type NumbersId } from "../../../model/learning/reach";
import { handIn, handsOf, reachBefore } from "../techniqueHand";
import { closing, spray } from "./facts";

const careless = { technique: "spray", weights: [0.8, 0.15, 0.05] } as const;
const shown = (offset: number, over = {}) => ({
  ...closing(offset, "earlier"),
  recordedBy: "Ada",
  reach: { ...careless, weights: [...careless.weights] as [number, number, number] },
  ...over,
});
const treated = (offset: number, over: Partial<ActDone> = {}) => ({ ...spray(offset), recordedBy: "Ada", ...over });
const found = { openedAt: treated(10).at, closing: null };

const beginning = (numbers: NumbersId) => ({ numbers, toldElsewhere: null });

describe("what is known of a keeper's hand", () => {
  it("is whose hand treated last, and how", () => {
    expect(handIn(found, [treated(11)])).toEqual({ technique: "spray", keeper: "Ada" });
    expect(handIn(found, [treated(9)])).toBeNull();
    expect(handIn(found, [treated(11, { voidReason: "no" })])).toBeNull();
  });

  it("is learned from the cases they have closed with that technique before, as much as the keeper wants", () => {
    const before = [shown(2, { reach: null }), shown(3), shown(5), shown(7)];
    const told = [3, 5, 7].map(() => likelihoodOf([0.8, 0.15, 0.05]));
    const prior = reachBefore(found, [treated(11)], before, beginning("mixed"));
    expect(prior).toEqual(reachOf(told, [], "mixed")!.mean);
    expect(prior![0]).toBeGreaterThan(0.3);
    expect(reachBefore(found, [treated(11)], before, beginning("mine"))![0]).toBeGreaterThan(prior![0]);
    expect(reachBefore(found, [treated(11)], before, beginning("ours"))).toBeNull();
  });

  it("is theirs on every device, once they have an account", () => {
    const on = (recordedBy: string) => ({ recordedBy, recordedAccount: "ada" });
    const before = [3, 5, 7].map((offset) => shown(offset, on(`Phone ${offset}`)));
    expect(reachBefore(found, [treated(11, on("Laptop"))], before, beginning("mixed"))![0]).toBeGreaterThan(0.3);
    expect(handsOf(before)).toEqual([{ technique: "spray", keeper: "ada", name: "Phone 7", cases: 3 }]);
  });

  it("counts what a case began with only once", () => {
    const prior: [number, number, number] = [0.4, 0.4, 0.2];
    const same = [3, 5, 7].map((offset) => shown(offset, { reach: { technique: "spray", weights: prior, prior } }));
    expect(reachBefore(found, [treated(11)], same, beginning("mixed"))![0]).toBeCloseTo(0.25, 2);
  });

  it.each([
    ["another keeper's", shown(5, { recordedBy: "Ben" })],
    ["another technique's", shown(5, { reach: { technique: "dunk", weights: [1, 0, 0] } })],
    ["one closed after this began", shown(12)],
    ["one struck out", shown(5, { voidReason: "not so" })],
  ])("nothing from %s", (_why, one) => {
    const some = [one, one, one];
    expect(reachBefore(found, [treated(11)], some, beginning("mixed"))).toBeNull();
  });

  it("weighs the nine scenarios by it, whatever their eggs", () => {
    const scenarios = scenariosWith([0.5, 0.3, 0.2]);
    expect(byReach(scenarios.map(({ prior }) => prior))).toEqual(
      [0.5, 0.3, 0.2].map((p) => expect.closeTo(p) as number),
    );
    expect(scenariosWith(undefined)).toBe(allScenarios);
  });
});
