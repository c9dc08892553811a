import { describe, expect, it } from "vitest";
import { reckon } from "../clearance/reckon";
import { allScenarios, byReach } from "../clearance/scenarios";
import { fullLook, historyOf, treat } from "../clearance/tests/cases";
import { diceFrom, type Dice } from "../clearance/tests/dice";
import { FEWEST_CASES, learnedReach, likelihoodOf, reachOf, worthOf, type ReachWeights } from "./reach";

const usual: ReachWeights = [0.25, 0.5, 0.25];
const sure = (i: number): ReachWeights => [Number(i === 0), Number(i === 1), Number(i === 2)];
const times = (n: number, one: ReachWeights) => Array.from({ length: n }, () => one);

describe("the shares of reach behind some cases", () => {
  // Dirichlet and multinomial are conjugate: the posterior mean is (weight · prior + count) / (weight + all). Source: any textbook of
  // Bayesian statistics; from memory.
  it.each([
    ["no case", [0, 0, 0]],
    ["one case", [1, 0, 0]],
    ["a careless hand", [7, 2, 0]],
    ["a hundred cases", [10, 60, 30]],
  ])("%s: as conjugacy has it, to 0.002", (_what, counts) => {
    const cases = counts.flatMap((n, i) => times(n, sure(i)));
    for (const weigh of [4, 12]) {
      const { mean } = learnedReach(cases, weigh);
      for (const i of [0, 1, 2] as const)
        expect(Math.abs(mean[i] - (weigh * usual[i] + counts[i]!) / (weigh + cases.length))).toBeLessThan(0.002);
      expect(mean.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
    }
  });

  // The margin of Dirichlet(1, 2, 1) is Beta(1, 3), whose quantile is 1 − (1 − q)^(1/3): closed form.
  it("bounds hold eight in ten, as the quantiles of a beta distribution do, to the width of a cell", () => {
    const { low, high } = learnedReach([], 4);
    expect(Math.abs(low[0] - (1 - 0.9 ** (1 / 3)))).toBeLessThan(1 / 48);
    expect(Math.abs(high[0] - (1 - 0.1 ** (1 / 3)))).toBeLessThan(1 / 48);
  });

  it("cases that fit every hand as well, or none, tell nothing", () => {
    const before = learnedReach([], 12);
    for (const one of [
      [3, 3, 3],
      [0, 0, 0],
    ] as const)
      for (const i of [0, 1, 2] as const)
        expect(learnedReach(times(20, one), 12).mean[i]).toBeCloseTo(before.mean[i], 9);
  });

  it("are not asked for with next to no weight beforehand", () => {
    expect(() => learnedReach([], 3.9)).toThrow(RangeError);
  });

  it("hold the true ones four times in five, whoever is at work", () => {
    const dice = diceFrom(7);
    const runs = 500;
    let held = 0;
    for (let run = 0; run < runs; run++) {
      const truth = dirichlet(dice, [3, 6, 3]);
      // What is seen of each case points to its hand, but not surely.
      const cases = Array.from({ length: 12 }, (): ReachWeights => {
        const [hand, seen] = [drawn(dice, truth), dice.uniform() < 0.5 ? null : Math.floor(3 * dice.uniform())];
        const points = seen ?? hand;
        return [0, 1, 2].map((i) => 0.5 * Number(i === points) + 0.5 / 3) as unknown as ReachWeights;
      });
      const { low, high } = learnedReach(cases, 12);
      held += Number(truth[0]! >= low[0] && truth[0]! <= high[0]);
    }
    // Binomial, four standard errors and the width of a cell.
    expect(Math.abs(held / runs - 0.8)).toBeLessThan(4 * Math.sqrt((0.8 * 0.2) / runs) + 0.03);
  });
});

describe("what cases are worth to another keeper", () => {
  it("sure ones are worth what they are, unsure ones less, and those that tell nothing nothing", () => {
    const counts = worthOf([...times(7, sure(0)), ...times(2, sure(1)), sure(2)]);
    for (const [i, n] of [7, 2, 1].entries()) expect(Math.abs(counts[i]! - n)).toBeLessThan(0.1);
    const unsure = worthOf(times(10, [0.6, 0.3, 0.1]));
    expect(unsure.reduce((sum, one) => sum + one, 0)).toBeLessThan(8);
    for (const none of [worthOf([]), worthOf(times(9, [3, 3, 3]))])
      expect(none.reduce((sum, one) => sum + one, 0)).toBeLessThan(0.1);
  });

  it("leaves the next keeper where the cases themselves would, to 0.01", () => {
    const dice = diceFrom(11);
    let furthest = 0;
    for (let run = 0; run < 40; run++) {
      const truth = dirichlet(dice, [3, 6, 3]);
      const cases = Array.from({ length: 4 + Math.floor(30 * dice.uniform()) }, (): ReachWeights => {
        const points = dice.uniform() < 0.4 ? Math.floor(3 * dice.uniform()) : drawn(dice, truth);
        return [0, 1, 2].map((i) => 0.6 * Number(i === points) + 0.4 / 3) as unknown as ReachWeights;
      });
      const own = times(3, cases[0]!);
      const [given, worth] = [learnedReach(own, 12, cases).mean, learnedReach(own, 12, [], worthOf(cases)).mean];
      for (const i of [0, 1, 2] as const) furthest = Math.max(furthest, Math.abs(given[i] - worth[i]));
    }
    expect(furthest).toBeLessThan(0.01);
  });

  it("begins a keeper who has closed nothing, and never outweighs our estimate", () => {
    expect(reachOf([], [], "mixed", [2, 2, 2])).toBeNull();
    // Twelve sure ones of 10,000 beside our twelve, as conjugacy has it: (3 + 12) / 24.
    expect(reachOf([], [], "mixed", [10_000, 0, 0])!.mean[0]).toBeCloseTo(0.625, 2);
    expect(reachOf([], [], "mixed", [12, 0, 0])!.mean[0]).toBeCloseTo((3 + 3) / 15, 2);
    expect(reachOf([], [], "ours", [10_000, 0, 0])).toBeNull();
  });
});

describe("what the engine's own cases tell", () => {
  const weightsOf = (events: Parameters<typeof historyOf>[2], before?: ReachWeights) =>
    byReach(reckon(historyOf("mealybug", 24, events), 30, before ? withPrior(before) : allScenarios).weights);
  const foundAgain = [
    fullLook("mealybug", 0, 4),
    ...[0.2, 7, 14].flatMap((at) => treat("mealybug", at, "soap")),
    fullLook("mealybug", 6, 4),
    fullLook("mealybug", 13, 4),
    fullLook("mealybug", 20, 4),
  ];
  const clean = [
    fullLook("mealybug", 0, 4),
    ...[0.2, 7, 14].flatMap((at) => treat("mealybug", at, "soap")),
    ...[6, 13, 20, 27].map((at) => fullLook("mealybug", at, 0)),
  ];

  it("a hand under which they are found again and again misses more, one that leaves none less", () => {
    const careless = reachOf(times(4, likelihoodOf(weightsOf(foundAgain))), [], "mixed")!;
    const careful = reachOf(times(4, likelihoodOf(weightsOf(clean))), [], "mixed")!;
    expect(careless.mean[0]).toBeGreaterThan(0.27);
    expect(careful.mean[0]).toBeLessThan(0.25);
    expect(careful.mean[2]).toBeGreaterThan(careless.mean[2]);
    expect(reachOf(times(4, likelihoodOf(weightsOf(foundAgain))), [], "mine")!.mean[0]).toBeGreaterThan(
      careless.mean[0],
    );
  });

  it("is the same whatever the case began with: what was known before is not counted twice", () => {
    const before: ReachWeights = [0.6, 0.3, 0.1];
    const [a, b] = [likelihoodOf(weightsOf(foundAgain)), likelihoodOf(weightsOf(foundAgain, before), before)];
    const scale = a[1] / b[1];
    for (const i of [0, 1, 2] as const) expect(b[i] * scale).toBeCloseTo(a[i], 9);
  });

  it("others' cases weigh less than a hand's own, and too few weigh nothing", () => {
    const told = times(5, [0.8, 0.15, 0.05] as const);
    const many = times(12, told[0]!);
    const [own, others] = [reachOf(many, [], "mixed")!, reachOf([], many, "mixed")!];
    expect(own.mean[0]).toBeGreaterThan(others.mean[0] + 0.05);
    expect(others.mean[0]).toBeGreaterThan(0.27);
    // However many others there are, they never outweigh our estimate.
    const crowd = reachOf([], times(400, sure(0)), "mixed")!;
    // Twelve cases beside our twelve: (12 · ¼ + 12) / 24, by conjugacy.
    expect(crowd.mean[0]).toBeCloseTo(0.625, 2);
    expect(reachOf([], many.slice(1), "mixed")).toBeNull();
    expect(reachOf(told, [], "ours")).toBeNull();
    expect(reachOf(told.slice(0, FEWEST_CASES - 1), [], "mine")).toBeNull();
  });
});

const withPrior = (before: ReachWeights) =>
  allScenarios.map((one, k) => ({
    ...one,
    prior: (one.prior / usual[Math.floor(k / 3)]!) * before[Math.floor(k / 3)]!,
  }));

function drawn(dice: Dice, shares: readonly number[]): number {
  const u = dice.uniform();
  return u < shares[0]! ? 0 : u < shares[0]! + shares[1]! ? 1 : 2;
}

/** Whole powers: a gamma variate is a sum of exponential ones. */
function dirichlet(dice: Dice, powers: readonly number[]): number[] {
  const gammas = powers.map((n) =>
    Array.from({ length: n }, () => -Math.log(1 - dice.uniform())).reduce((sum, one) => sum + one, 0),
  );
  const all = gammas.reduce((sum, one) => sum + one, 0);
  return gammas.map((one) => one / all);
}
