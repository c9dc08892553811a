import { describe, expect, it } from "vitest";
import { betterTool, type LookBeside } from "./rhythm";

const mites: LookBeside = { pest: "spiderMite", growthForm: "trailingVine", spots: ["underside", "axil"] };
const asSupposed = () => 1;

// Facts of the trade, from memory: mites are told by a loupe and hardly by the eye; whoever sees half as much has to look twice as often.
describe("what another tool would do for the rhythm", () => {
  it("mites are found by the loupe where the eye passes them: looks with it may be further apart, up to two weeks", () => {
    const told = betterTool("eye", ["lamp", "loupe"], [mites], asSupposed, 7)!;
    expect(told.tool).toBe("loupe");
    expect(told.would).toBeGreaterThan(1.5 * told.sees);
    expect(told.couldBe).toBeGreaterThan(7);
    expect(told.couldBe).toBeLessThanOrEqual(14);
    expect(betterTool("eye", ["loupe"], [mites], asSupposed, 12)!.couldBe).toBe(14);
  });

  it("an eye that sees less has more to gain, and no more days are told than its chance grows", () => {
    const poor = betterTool("eye", ["loupe"], [mites], (tool) => (tool === "eye" ? 0.5 : 1), 5)!;
    const usual = betterTool("eye", ["loupe"], [mites], asSupposed, 5)!;
    expect(poor.sees).toBeLessThan(usual.sees);
    expect(poor.couldBe).toBeGreaterThanOrEqual(usual.couldBe);
    for (const one of [poor, usual]) expect(one.couldBe).toBeLessThanOrEqual((5 * one.would) / one.sees);
  });

  it("nothing is told where nothing was found beside a look, nothing else is there, or it would do no more", () => {
    expect(betterTool("eye", ["loupe"], [], asSupposed, 7)).toBeNull();
    expect(betterTool("loupe", ["loupe"], [mites], asSupposed, 7)).toBeNull();
    expect(betterTool("loupe", ["eye"], [mites], asSupposed, 7)).toBeNull();
    expect(betterTool("eye", ["loupe"], [mites], asSupposed, 14)).toBeNull();
  });
});
