import { describe, expect, it } from "vitest";
import { lightIds } from "@/core/record/facts/commands";
import { plantStates } from "@/core/knowledge/plants/states";
import { lightNames, standsInWords } from "./places";

describe("places in words", () => {
  it("says how the plants of a shelf stand, what asks for most first", () => {
    const states = { clear: 3, infested: 1, atRisk: 2, surer: 1 };
    expect(standsInWords({ name: "Sill", count: 7, states })).toBe(
      "Sill: 1 getting surer, 1 infested, 2 at risk, 3 clear",
    );
    expect(standsInWords({ name: "Sill", count: 0, states: {} })).toBe("Sill: empty");
  });

  it("every state has words of its own, and every light can follow the name of a shelf", () => {
    const each = plantStates.map((state) => standsInWords({ name: "", count: 1, states: { [state]: 1 } }));
    expect(new Set(each).size).toBe(plantStates.length);
    expect(lightIds.map((id) => lightNames[id])).toEqual([
      "by a window",
      "under a lamp",
      "by a window and under a lamp",
    ]);
  });
});
