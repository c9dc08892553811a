import { describe, expect, it } from "vitest";
import { blamedFor, wrongWay, type Learnable } from "./blame";

const span = (low: number, mean: number, high: number) => ({ low, mean, high });
const hand = (low: number, mean: number, high: number) => ({
  technique: "spray" as const,
  learned: {
    low: [low, 0.3, 0.1] as const,
    mean: [mean, 0.5, 0.5 - mean] as const,
    high: [high, 0.6, 0.4] as const,
  },
});
const nothing: Learnable = { eyes: [], hands: [], passing: null };
const poorEye = { tool: "lamp" as const, learned: span(0.49, 0.59, 0.69) };

describe("which number is to blame", () => {
  it.each<[string, Parameters<typeof blamedFor>, readonly string[]]>([
    ["an eye that sees less: called over too surely", ["clean", "tooSure", { ...nothing, eyes: [poorEye] }], ["eye"]],
    ["an eye that sees less makes nobody too cautious", ["clean", "tooCautious", { ...nothing, eyes: [poorEye] }], []],
    [
      "a hand that misses more: called over too surely",
      ["clean", "tooSure", { ...nothing, hands: [hand(0.3, 0.38, 0.48)] }],
      ["hand"],
    ],
    [
      "a hand that misses less: too cautious",
      ["clean", "tooCautious", { ...nothing, hands: [hand(0.05, 0.12, 0.2)] }],
      ["hand"],
    ],
    [
      "a hand that may be as we suppose is not blamed",
      ["clean", "tooSure", { ...nothing, hands: [hand(0.2, 0.3, 0.4)] }],
      [],
    ],
    ["a hand finds nothing", ["find", "tooSure", { ...nothing, hands: [hand(0.3, 0.38, 0.48)] }], []],
    [
      "less passes: fewer finds than told",
      ["find", "tooSure", { ...nothing, passing: span(0.3, 0.5, 0.8) }],
      ["passing"],
    ],
    [
      "more passes: more finds than told",
      ["find", "tooCautious", { ...nothing, passing: span(1.2, 2, 3) }],
      ["passing"],
    ],
    ["too little known", ["clean", "tooSure", { ...nothing, eyes: [{ tool: "eye", learned: null }] }], []],
  ])("%s", (_what, asked, kinds) => {
    expect(blamedFor(...asked).map(({ kind }) => kind)).toEqual(kinds);
  });

  it("says by how much", () => {
    expect(blamedFor("clean", "tooSure", { ...nothing, eyes: [poorEye] })).toEqual([
      { kind: "eye", tool: "lamp", factor: 0.59 },
    ]);
    expect(blamedFor("clean", "tooSure", { ...nothing, hands: [hand(0.3, 0.5, 0.6)] })[0]!.factor).toBe(2);
  });

  it("is asked where all was wrong one way", () => {
    expect(wrongWay([{ off: null }, { off: "tooFew" }])).toBeNull();
    expect(wrongWay([{ off: null }, { off: "tooSure" }])).toBe("tooSure");
    expect(wrongWay([{ off: "tooCautious" }, { off: "tooSure" }])).toBeNull();
  });
});
