import { describe, expect, it } from "vitest";
import { ARRIVALS_PRIOR, arrivalShare } from "../carriage/arrivalShare";
import { arrivalsBefore, reachElsewhere, sightElsewhere, type ToldElsewhere } from "./elsewhere";

const told: ToldElsewhere = {
  keepers: 2,
  hands: [
    { technique: "spray", cases: 8, worth: [4, 2, 2] },
    { technique: "dunk", cases: 4, worth: [0, 4, 0] },
  ],
  eyes: [
    { tool: "eye", looks: 9, precision: 8, pull: -4 },
    { tool: "lamp", looks: 9, precision: 4, pull: 0 },
  ],
  arrivals: { plants: 20, showed: 10 },
  passing: { looks: 90, precision: 2, pull: 0.5 },
};

describe("what other keepers' records tell at the beginning", () => {
  it("counts in full with the same technique and tool, and a quarter with another", () => {
    expect(reachElsewhere(told, "spray")).toEqual([4, 3, 2]);
    expect(reachElsewhere(told, "wipe")).toEqual([1, 1.5, 0.5]);
    expect(sightElsewhere(told, "eye")).toEqual({ precision: 9, pull: -4 });
    expect(sightElsewhere(told, "loupe")).toEqual({ precision: 3, pull: -1 });
    expect(reachElsewhere(null, "spray")).toEqual([0, 0, 0]);
    expect(sightElsewhere(null, "eye")).toEqual({ precision: 0, pull: 0 });
  });

  it("moves what an unknown seller's plants bring, by a quarter of a plant each and never more than ours weighs", () => {
    const mixed = (arrivals: ToldElsewhere["arrivals"]) =>
      arrivalsBefore({ numbers: "mixed", toldElsewhere: { ...told, arrivals } });
    // Beta and binomial are conjugate: (1 + ¼ · 10) / (10 + ¼ · 20).
    expect(mixed(told.arrivals)).toEqual({ share: 3.5 / 15, weigh: 15 });
    const crowd = mixed({ plants: 10_000, showed: 5_000 });
    expect(crowd.weigh).toBeCloseTo(20, 12);
    expect(crowd.share).toBeCloseTo(0.3, 12);
    expect(mixed({ plants: 0, showed: 0 })).toEqual(ARRIVALS_PRIOR);
    expect(arrivalsBefore({ numbers: "ours", toldElsewhere: told })).toEqual(ARRIVALS_PRIOR);
    const none = { plants: 0, showed: 0 };
    expect(arrivalShare(none, none, mixed(told.arrivals))).toBeCloseTo(3.5 / 15, 12);
  });
});
