import { describe, expect, it } from "vitest";
import { pestIds, pestOf } from "../../knowledge/pests/pests";
import { growthFormIds, spotsOf } from "../../knowledge/plants/growthForms";
import { deepShare, shareOn, shelteredShare, spotWeights } from "../../knowledge/plants/spotWeights";
import { sampleOf, sampleOfMany } from "./sampleSize";
import { seeChances, visibilityOf } from "./see";
import { toolIds } from "./tools";
import { chanceToSeeOne, detectionProbability } from "./detectionProbability";

describe("where they sit", () => {
  it("weights sum to 1 on every form, for every pest", () => {
    for (const form of growthFormIds) {
      for (const pest of pestIds) {
        const there = spotWeights(form, pest);
        // On a plant without a pot what lives in the mix has no place.
        if (form === "airPlant" && there.length === 0) continue;
        expect(there.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12);
        const share = shelteredShare(form, pest);
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1);
      }
    }
  });

  // By hand from the weights: on a trailing vine mealybugs have axils .20, newest leaf .08, neck .08, roots .04, pot .05 sheltered,
  // underside .12, upper side .03, veins .05, flowers .08, stem .05, top of the mix .02 open.
  it("the sheltered share of mealybugs on a trailing vine", () => {
    expect(shelteredShare("trailingVine", "mealybug")).toBeCloseTo(0.45 / 0.8, 12);
    expect(shareOn("trailingVine", "mealybug", ["axil", "underside"])).toEqual([
      expect.closeTo(0.12 / 0.35, 12),
      // A tenth of the axils' animals sits deep; of all sheltered ones .02 + .016 + .016 + .02 + .015 = .087 does.
      expect.closeTo(0.18 / (0.45 - 0.087), 12),
      expect.closeTo(0.02 / 0.087, 12),
    ]);
    expect(deepShare("trailingVine", "mealybug")).toBeCloseTo(0.087 / 0.45, 12);
  });

  // Common practice, no source: tight tubercles are the classic trap.
  it("a globe of tight tubercles hides more than a vine", () => {
    expect(shelteredShare("tubercledCactus", "mealybug")).toBeGreaterThan(shelteredShare("trailingVine", "mealybug"));
  });
});

describe("the chance to see one", () => {
  it("by hand: a lamp on axils and undersides of a trailing vine, adult mealybugs", () => {
    const see = seeChances(pestOf("mealybug"), "mealybug", "trailingVine", {
      tool: "lamp",
      spots: ["axil", "underside"],
    });
    const [open, sheltered, deep] = [0.12 / 0.35, 0.18 / 0.363, 0.02 / 0.087];
    const chances = (of: readonly number[]) => of.map((chance) => expect.closeTo(chance, 12) as number);
    expect(see.at(-1)).toEqual(chances([open * 0.75, sheltered * 0.4, deep * 0.03]));
    // Crawlers are small.
    expect(see[1]).toEqual(chances([open * 0.2, sheltered * 0.08, deep * 0.03]));
  });

  it("eggs are unseen, but for the white sacs of mealybugs", () => {
    for (const pest of pestIds) {
      const unseen = visibilityOf(pest, { ...pestOf(pest).stages[0]!, id: "egg" }) === "unseen";
      expect(unseen).toBe(pest !== "mealybug" && pest !== "rootMealybug");
    }
  });

  it("paper under a tapped leaf shows only what moves, and no root", () => {
    const paper = (spots: Parameters<typeof seeChances>[3]["spots"]) =>
      seeChances(pestOf("softScale"), "softScale", "uprightShrub", { tool: "paper", spots });
    expect(paper(["underside"]).map(([open]) => open > 0)).toEqual([true, false, false, false]);
    expect(
      seeChances(pestOf("rootMealybug"), "rootMealybug", "fern", { tool: "paper", spots: ["roots"] }).flat(),
    ).toEqual(Array(15).fill(0));
  });

  it("never falls when a spot more is looked at, nor above 1", () => {
    for (const form of growthFormIds) {
      for (const tool of toolIds) {
        const chances = spotsOf(form).map((_, i) =>
          chanceToSeeOne("mealybug", form, 22, { tool, spots: spotsOf(form).slice(0, i + 1) }),
        );
        expect(chances).toEqual(chances.toSorted((a, b) => a - b));
        expect(chances.at(-1)).toBeLessThanOrEqual(1);
      }
    }
  });

  it("a light infestation would have shown: surely with a loupe, hardly to the naked eye where it is mites", () => {
    const spots = spotsOf("trailingVine");
    expect(detectionProbability("spiderMite", "trailingVine", 22, { tool: "loupe", spots }, 5.5)).toBeGreaterThan(0.8);
    expect(detectionProbability("spiderMite", "trailingVine", 22, { tool: "eye", spots }, 5.5)).toBeLessThan(0.4);
    expect(detectionProbability("mealybug", "trailingVine", 22, { tool: "eye", spots }, 0)).toBe(0);
    expect(() => detectionProbability("mealybug", "trailingVine", 22, { tool: "eye", spots }, -1)).toThrow(RangeError);
  });
});

describe("how many to examine", () => {
  // Source: ISPM 31 (FAO 2008), appendix 2, tables 1 and 2, from memory: at 95 % confidence, efficacy 1.
  it.each([
    [100, 1, 95],
    [200, 2, 155],
    [300, 3, 189],
    [400, 4, 211],
    [500, 5, 225],
    [1000, 10, 258],
    [200, 10, 51],
    [100, 5, 45],
  ])("of %d with %d infested: %d", (lot, infested, expected) => {
    expect(sampleOf(lot, infested, 0.95)).toBe(expected);
  });

  // Source: ISPM 31 (FAO 2008), appendix 3, binomial sampling, from memory: 95 % confidence: 1 % → 299, 5 % → 59, 10 % → 29.
  it.each([
    [0.01, 299],
    [0.02, 149],
    [0.05, 59],
    [0.1, 29],
  ])("of very many with a share of %d infested: %d", (share, expected) => {
    expect(sampleOfMany(share, 0.95)).toBe(expected);
  });

  it("agrees with counting every draw of a small lot", () => {
    // Brute force: all ways to draw n of 8 with 3 carriers, each recognised with probability .7.
    const efficacy = 0.7;
    const detect = (n: number) => {
      let total = 0;
      let missed = 0;
      for (let draw = 0; draw < 256; draw++) {
        const drawn = [...draw.toString(2).padStart(8, "0")];
        if (drawn.filter((bit) => bit === "1").length !== n) continue;
        total++;
        missed += (1 - efficacy) ** drawn.slice(0, 3).filter((bit) => bit === "1").length;
      }
      return 1 - missed / total;
    };
    for (const confidence of [0.3, 0.5, 0.7, 0.9]) {
      const expected = [1, 2, 3, 4, 5, 6, 7, 8].find((n) => detect(n) >= confidence) ?? 8;
      expect(sampleOf(8, 3, confidence, efficacy)).toBe(expected);
    }
  });

  it("a large lot comes to the same as very many, and poor eyes ask for more", () => {
    expect(Math.abs(sampleOf(100_000, 1000, 0.95) - sampleOfMany(0.01, 0.95))).toBeLessThanOrEqual(1);
    expect(sampleOfMany(0.05, 0.95, 0.5)).toBeGreaterThan(sampleOfMany(0.05, 0.95));
    expect(sampleOf(50, 1, 0.99, 0.5)).toBe(50);
  });

  it.each([
    [10, 0, 0.95],
    [10, 11, 0.95],
    [10.5, 1, 0.95],
    [10, 1, 0],
    [10, 1, 1.1],
  ])("refuses %d, %d, %d", (lot, infested, confidence) => {
    expect(() => sampleOf(lot, infested, confidence)).toThrow(RangeError);
  });
});
