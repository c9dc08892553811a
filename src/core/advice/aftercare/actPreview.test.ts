import { describe, expect, it } from "vitest";
import type { Act } from "../../acts/acts";
import type { ActDone } from "../../record/facts/facts";
import { actPreviewOf } from "./actPreview";
import { on, spray, struck } from "../../record/cases/tests/facts";

const done = (day: number, act: Act): ActDone => ({ ...spray(day), act });
const mites: Act = { kind: "release", predator: "predatoryMites", sachets: 1 };
const systemic: Act = { kind: "systemic", remedy: "throughTheRoots", given: "" };
const unpot: Act = {
  ...{ kind: "mechanical", way: "unpot", tool: "unpotted", percent: null, spots: ["roots"] },
  roots: { leftPercent: 50, potCm: 9, dryDays: 7 },
};

// Two weeks without sprays, sachets renewed after four to six weeks, cacti dry for some days, uptake in ten to fourteen days:
// common practice, no source.
describe("what follows from what was done", () => {
  it("stands in the order of its days, and what is over is left out", () => {
    const acts = [done(0, unpot), done(0, systemic), spray(0)];
    expect(actPreviewOf(acts, on(0))).toEqual([
      { what: "water", on: on(7) },
      { what: "systemicActs", on: on(12) },
      { what: "freeForHelpers", on: on(14) },
      { what: "systemicEnds", on: on(47) },
    ]);
    expect(actPreviewOf(acts, on(13)).map(({ what }) => what)).toEqual(["freeForHelpers", "systemicEnds"]);
    expect(actPreviewOf(acts, on(50))).toEqual([]);
  });

  it("the last of a kind counts, in whatever order they arrive, and what is struck out does not", () => {
    const renew = actPreviewOf([done(10, mites), done(0, mites)], on(11)).find(({ what }) => what === "renewHelpers")!;
    expect(renew.on >= on(10 + 28) && renew.on <= on(10 + 42)).toBe(true);
    expect(actPreviewOf([struck(spray(5)), spray(0)], on(6))).toEqual([{ what: "freeForHelpers", on: on(14) }]);
  });
});
