import { describe, expect, it } from "vitest";
import { MODEL_VERSION } from "@/core/advice/clearance/model";
import { methodParts, trialModel, trials } from "./method";

describe("how it is reckoned, in words", () => {
  it("tells trials of the model that is in use, and of no other", () => {
    expect(trialModel).toBe(MODEL_VERSION);
  });

  it("the rule was right as often as is asked of it: 95 % in each world, 88 % in the one where all is wrong at once", () => {
    for (const { followed, stopped } of trials.slice(0, -1)) {
      expect(Math.min(followed, stopped)).toBeGreaterThanOrEqual(95);
      expect(Math.max(followed, stopped)).toBeLessThanOrEqual(100);
    }
    expect(Math.min(trials.at(-1)!.followed, trials.at(-1)!.stopped)).toBeGreaterThanOrEqual(88);
  });

  it("says what is from where", () => {
    expect(methodParts.map(({ title }) => title)).toEqual(
      expect.arrayContaining(["From the literature", "Our own estimates", "From practice", "From your own record"]),
    );
  });
});
