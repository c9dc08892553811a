import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { eventsOfAct } from "../../../acts/acts";
import { pestIds, pests } from "../../../knowledge/pests/pests";
import { spotsOf } from "../../../knowledge/plants/growthForms";
import { logGamma, logNegativeBinomial } from "../gamma";
import { expectedByStage, NothingFound, reckon } from "../reckon";
import { allScenarios, byReach, likelyScenario } from "../scenarios";
import { CaseProblem } from "../caseProblem";
import { anyCase, fullLook, historyOf, treat, usualCase } from "./cases";

const pClear = (history: Parameters<typeof reckon>[0], asOf: number) => reckon(history, asOf, allScenarios).pClear;

describe("the judgement, whatever the case", () => {
  it("gives probabilities, weights that sum to 1, and numbers that are not negative", () => {
    fc.assert(
      fc.property(anyCase, ({ history, asOf }) => {
        const reckoning = reckon(history, asOf, allScenarios);
        for (const p of [reckoning.pClear, ...reckoning.scenarioPClear]) {
          expect(p).toBeGreaterThanOrEqual(0);
          expect(p).toBeLessThanOrEqual(1 + 1e-12);
        }
        expect(reckoning.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
        expect(byReach(reckoning.weights).reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
        for (const n of expectedByStage(reckoning)) expect(n).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60 },
    );
  });

  // Of a number of animals: the chance that it is not none is at most its mean (Markov's inequality).
  it("what is left and whether any is left are of one piece", () => {
    const holds = ({ history, asOf }: { history: Parameters<typeof reckon>[0]; asOf: number }) => {
      const reckoning = reckon(history, asOf, allScenarios);
      const left = expectedByStage(reckoning).reduce((sum, n) => sum + n, 0);
      expect(1 - reckoning.pClear).toBeLessThanOrEqual(left + 1e-9);
    };
    fc.assert(fc.property(anyCase, holds), { numRuns: 40 });
    const usual = usualCase.map(({ history, lastLook }) => ({ history, asOf: lastLook + 7 }));
    fc.assert(fc.property(usual, holds), { numRuns: 40 });
  });

  it("a clean look more, after the treatments, never makes it less sure", () => {
    fc.assert(
      fc.property(usualCase, fc.integer({ min: 1, max: 7 }), ({ pest, history, lastLook }, day) => {
        const more = { ...history, events: [...history.events, fullLook(pest, lastLook + day, 0, { tool: "lamp" })] };
        expect(pClear(more, lastLook + 7)).toBeGreaterThanOrEqual(pClear(history, lastLook + 7) - 1e-12);
      }),
      { numRuns: 60 },
    );
  });

  it("a treatment more, after the last look, never makes it less sure", () => {
    fc.assert(
      fc.property(anyCase, ({ pest, history, asOf }) => {
        const more = { ...history, events: [...history.events, ...treat(pest, 50.5, "soap")] };
        expect(pClear(more, asOf)).toBeGreaterThanOrEqual(pClear(history, asOf) - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  // Pests that live for weeks in steps of six hours. Those that change stage every few days, and heavy cases, are coarser.
  it.each([
    ["a slow pest, light", (found: number, fast: boolean) => found <= 5.5 && !fast, 0.02],
    ["any pest, any number", () => true, 0.06],
  ] as const)("half the time step changes it by little: %s", (_what, counts, limit) => {
    fc.assert(
      fc.property(usualCase, ({ pest, history, lastLook }) => {
        const [first] = history.events;
        const fast = ["spiderMite", "thrips", "fungusGnat"].includes(pest);
        fc.pre(first?.kind === "inspection" && counts(first.found, fast));
        const finer = { ...history, timeStepDays: history.timeStepDays / 2 };
        expect(Math.abs(pClear(finer, lastLook + 7) - pClear(history, lastLook + 7))).toBeLessThan(limit);
      }),
      { numRuns: 60 },
    );
  });
});

describe("what is news", () => {
  const events = (found: number) => [
    fullLook("mealybug", 0, 5),
    ...[0, 7, 14].flatMap((at) => treat("mealybug", at, "alcohol", "sprayAndSwab")),
    fullLook("mealybug", 20, found),
    fullLook("mealybug", 30, 0),
  ];

  it("a found animal makes it much less sure", () => {
    const clean = pClear(historyOf("mealybug", 22, events(0)), 45);
    const found = pClear(historyOf("mealybug", 22, events(2)), 45);
    expect(clean).toBeGreaterThan(0.8);
    expect(found).toBeLessThan(clean - 0.3);
  });

  it("finds after thorough treatment say that the hand misses more than thought", () => {
    const before = byReach(allScenarios.map((scenario) => scenario.prior));
    const after = byReach(reckon(historyOf("mealybug", 22, events(8)), 45, allScenarios).weights);
    expect(before).toEqual([0.25, 0.5, 0.25]);
    expect(after[0]!).toBeGreaterThan(0.9);
  });

  it("what was recorded before the first find is ignored, lasting effects apart", () => {
    const later = [fullLook("aphid", 5, 3), ...treat("aphid", 6, "soap"), fullLook("aphid", 12, 0)];
    const early = [fullLook("aphid", 0, 0), ...treat("aphid", 2, "oil"), ...later];
    expect(pClear(historyOf("aphid", 20, early), 15)).toBe(pClear(historyOf("aphid", 20, later), 15));
    const sand = {
      kind: "lasting",
      atDays: 0,
      untilDays: 30,
      effect: { dailyHazard: [0, 0, 0], layFactor: 0.1 },
    } as const;
    expect(pClear(historyOf("aphid", 20, [sand, ...later]), 15)).not.toBe(pClear(historyOf("aphid", 20, later), 15));
  });

  it("live animals left at the moment asked about: it is not over", () => {
    expect(pClear(historyOf("aphid", 20, [fullLook("aphid", 0, 3)]), 0)).toBe(0);
  });

  it("says that it has no case where nothing was found, and that a find could not have been made", () => {
    expect(() => reckon(historyOf("aphid", 20, [fullLook("aphid", 0, 0)]), 5, likelyScenario)).toThrow(NothingFound);
    expect(() => reckon(historyOf("aphid", 20, [fullLook("aphid", 3, 2)]), 1, likelyScenario)).toThrow(NothingFound);
    const blind = {
      ...fullLook("aphid", 0, 3),
      see: [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ] as const,
    };
    expect(() => reckon(historyOf("aphid", 20, [blind]), 5, likelyScenario)).toThrow(CaseProblem);
  });

  it("three hundred animals left alive and many clean looks leave no number behind", () => {
    const looks = Array.from({ length: 12 }, (_, i) => fullLook("mealybug", 30 + 4 * i, 0));
    const history = historyOf("mealybug", 22, [
      fullLook("mealybug", 0, 300),
      ...Array.from({ length: 8 }, (_, i) => treat("mealybug", 3 * i, "alcohol", "sprayAndSwab")).flat(),
      ...looks,
    ]);
    expect(pClear(history, 80)).toBeGreaterThan(0.9);
  });
});

describe("Γ and the negative binomial", () => {
  it("Γ of whole numbers is a factorial, Γ(½) is √π", () => {
    for (const [x, factorial] of [
      [1, 1],
      [2, 1],
      [5, 24],
      [11, 3628800],
    ] as const) {
      expect(logGamma(x)).toBeCloseTo(Math.log(factorial), 12);
    }
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.PI) / 2, 12);
    expect(logGamma(0.25)).toBeCloseTo(Math.log(3.625609908221908), 12);
    expect(() => logGamma(0)).toThrow(RangeError);
  });

  // By hand: shape 2, mean 3: (2/5)²; 2 · (2/5)² · (3/5); 3 · (2/5)² · (3/5)².
  it.each([
    [0, 0.16],
    [1, 0.192],
    [2, 0.1728],
  ])("the probability of %d is %d", (count, p) => {
    expect(Math.exp(logNegativeBinomial(count, 2, 3))).toBeCloseTo(p, 12);
  });

  it("sums to 1, and leaves no room for a find where none is expected", () => {
    let sum = 0;
    for (let n = 0; n < 400; n++) sum += Math.exp(logNegativeBinomial(n, 2, 5));
    expect(sum).toBeCloseTo(1, 9);
    expect(logNegativeBinomial(1, 2, 0)).toBe(-Infinity);
    expect(logNegativeBinomial(0, 2, 0)).toBe(0);
  });
});

describe("every pest", () => {
  it.each(pestIds)("%s: left alone it is hardly ever over", (pest) => {
    expect(
      pClear(historyOf(pest, 22, [fullLook(pest, 0, 5, { tool: pest === "rootMealybug" ? "unpotted" : "loupe" })]), 40),
    ).toBeLessThan(0.06);
  });
});

describe("a looser belief does not contradict itself", () => {
  // Found heavy at the neck of a globe cactus in a cold room, unpotted and washed: clean looks since then say most of it.
  it("found 100, washed, two clean looks: between .6 and .98", () => {
    const pest = pests.mealybug;
    const form = "tubercledCactus";
    const target = { pest, weights: "mealybug", form } as const;
    const spots = [...spotsOf(form)];
    const washed = eventsOfAct({ kind: "mechanical", way: "unpot", tool: "unpotted", percent: null, spots }, target, 1);
    const events = [
      fullLook("mealybug", 0, 100, { form }),
      ...washed,
      fullLook("mealybug", 8, 0, { form }),
      fullLook("mealybug", 15, 0, { form }),
    ];
    const reckoning = reckon(historyOf("mealybug", 12, events, { form }), 15, allScenarios);
    expect(reckoning.pClear).toBeGreaterThan(0.6);
    expect(reckoning.pClear).toBeLessThan(0.98);
  });
});
