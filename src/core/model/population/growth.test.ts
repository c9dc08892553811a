import { EigenvalueDecomposition, Matrix } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { pestIds, pestOf, type LifeStage, type Pest } from "../../knowledge/pests/pests";
import { bySite, layoutOf, nobody } from "./layout";
import { wayOf } from "./passage";
import { sharesOf, type Sites } from "./sites";
import { stableGrowth } from "./stable";
import { goOf, ratesOf, stepBackward, stepFor, stepForward } from "./step";

const sites: Sites = { shelteredShare: 0.4, deepShare: 0.2, mixPerDay: 0.2 };

/** The step as a matrix: its columns are what becomes of one animal of each type. */
function matrixOf(pest: Pest, meanC: number, dt: number) {
  const layout = layoutOf(pest);
  const rates = ratesOf(layout, goOf(sites, dt), meanC, dt, []);
  const types = Array.from({ length: layout.types }, (_, i) => i);
  const matrix = Matrix.zeros(types.length, types.length);
  types.forEach((type, column) => {
    const m = new Float64Array(layout.length);
    m[type] = 1;
    stepForward(rates, 1, m);
    types.forEach((to, row) => matrix.set(row, column, m[to]!));
  });
  return { matrix, types };
}

describe("stable growth", () => {
  // Reference library: ml-matrix, eigenvalues of the same step written out as a matrix.
  it.each(pestIds)("%s: the growth factor is the matrix library's dominant eigenvalue, the shares its vector", (id) => {
    const pest = pestOf(id);
    const { matrix, types } = matrixOf(pest, 22, 0.25);
    const decomposed = new EigenvalueDecomposition(matrix);
    const real = decomposed.realEigenvalues.map((value, i) =>
      Math.abs(decomposed.imaginaryEigenvalues[i]!) < 1e-9 ? value : 0,
    );
    const greatest = Math.max(...real);
    const { perStep, shares } = stableGrowth(layoutOf(pest), sites, 22, 0.25);
    expect(perStep).toBeCloseTo(greatest, 8);
    const after = matrix.mmul(Matrix.columnVector(types.map((type) => shares[type]!))).to1DArray();
    types.forEach((type, i) => expect(after[i]!).toBeCloseTo(perStep * shares[type]!, 10));
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
  });

  // Source: Birch 1948, J. Anim. Ecol. 17, rice weevil at 29 °C, life table from memory: R₀ ≈ 113.6, r ≈ 0.76 a week.
  it("the rice weevil's rate of increase from its life table", () => {
    const table = [
      [0.87, 20],
      [0.83, 23],
      [0.81, 15],
      [0.8, 12.5],
      [0.79, 12.5],
      [0.77, 14],
      [0.74, 12.5],
      [0.66, 14.5],
      [0.59, 11],
      [0.52, 9.5],
      [0.45, 2.5],
      [0.36, 2.5],
      [0.29, 2.5],
      [0.25, 4],
      [0.19, 1],
    ] as const;
    const net = table.reduce((sum, [alive, daughters]) => sum + alive * daughters, 0);
    expect(net).toBeCloseTo(113.5, 0);

    // A week is a stage of exactly so many steps, so that ages are sharp; first laying in the middle of the fifth week.
    const weekly = 8;
    const stage = (id: string, weeks: number, survival: number, femaleEggs?: number): LifeStage => ({
      id,
      degreeDays: weeks,
      substages: weeks * weekly,
      dailyDeath: -Math.log(survival) / weeks,
      where: "foliage",
      ...(femaleEggs !== undefined && { femaleEggs }),
    });
    const laying = table.map(([alive, daughters], i) => {
      const before = i === 0 ? 0.87 : table[i - 1]![0];
      // The survivors of the middle of the week lay: half of its deaths have come before.
      return stage(`week${i}`, 1, alive / before, daughters * Math.sqrt(alive / before));
    });
    const weevil: Pest = { id: "weevil", lowerC: 0, upperC: 1, stages: [stage("young", 4, 0.87), ...laying] };
    const { perStep } = stableGrowth(layoutOf(weevil), sites, 1, 1 / weekly);
    expect(Math.log(perStep) * weekly).toBeCloseTo(0.76, 1);
  });

  it("splits over the sites as the plant does where nothing moves", () => {
    const still: Pest = {
      id: "still",
      lowerC: 0,
      upperC: 30,
      stages: [
        { id: "egg", degreeDays: 50, substages: 3, dailyDeath: 0.01, where: "foliage" },
        { id: "adult", degreeDays: 100, substages: 2, dailyDeath: 0.02, where: "foliage", femaleEggs: 20 },
      ],
    };
    const layout = layoutOf(still);
    const split = bySite(layout, stableGrowth(layout, sites, 20, 0.25).shares);
    sharesOf(sites).forEach((share, site) => expect(split[site]).toBeCloseTo(share, 12));
  });

  // In the limit of no exchange the split is the plant's own: a subtraction would lose all digits there.
  it.each(pestIds)("%s: the split is exact where the sites hardly exchange", (id) => {
    const layout = layoutOf(pestOf(id));
    const { shares } = stableGrowth(layout, { ...sites, mixPerDay: 1e-13 }, 22, 0.25);
    const split = bySite(layout, shares);
    sharesOf(sites).forEach((share, site) => expect(split[site]! / share).toBeCloseTo(1, 10));
  });

  it.each<[string, Partial<Sites>]>([
    ["nothing is sheltered", { shelteredShare: 0 }],
    ["everything is sheltered", { shelteredShare: 1 }],
    ["everything sits deep", { shelteredShare: 1, deepShare: 1 }],
    ["nothing sits deep", { deepShare: 0 }],
    ["all walk at once", { mixPerDay: 100 }],
  ])("%s: nobody sits where there is no place", (_why, other) => {
    const layout = layoutOf(pestOf("mealybug"));
    const there = { ...sites, ...other };
    const split = bySite(layout, stableGrowth(layout, there, 22, 0.25).shares);
    expect(split[0] + split[1] + split[2]).toBeCloseTo(1, 12);
    sharesOf(there).forEach((share, site) => share === 0 && expect(split[site]).toBe(0));
  });

  it("has no answer for a pest that lays nothing", () => {
    const barren: Pest = {
      id: "barren",
      lowerC: 0,
      upperC: 30,
      stages: [{ id: "adult", degreeDays: 50, substages: 3, dailyDeath: 0.01, where: "foliage" }],
    };
    expect(() => stableGrowth(layoutOf(barren), sites, 20, 0.25)).toThrow(RangeError);
  });
});

/** One stage that neither ages nor moves: births at rate β, deaths at rate δ. */
function birthDeath(birth: number, death: number): Pest {
  const forever = 1e9;
  const stage = { id: "adult", degreeDays: forever, substages: 1, dailyDeath: death, where: "foliage" as const };
  return { id: "line", lowerC: 0, upperC: 1, stages: [{ ...stage, femaleEggs: birth * forever }] };
}

/** Probability that the line of one newborn is gone after `days`. */
function gone(pest: Pest, days: number, dt: number): number {
  const layout = layoutOf(pest);
  const rates = ratesOf(layout, goOf({ shelteredShare: 0, deepShare: 0, mixPerDay: 0 }, dt), 1, dt, []);
  const v = nobody(layout);
  for (let step = 0; step < Math.round(days / dt); step++) stepBackward(rates, 1, v);
  return v[0]!;
}

describe("extinction", () => {
  // Closed form: Kendall 1948, Ann. Math. Stat. 19: δ(e^{(β−δ)t} − 1) / (β e^{(β−δ)t} − δ).
  it.each([
    [0.2, 0.1, 10],
    [0.1, 0.2, 10],
    [0.3, 0.25, 30],
  ])("a linear birth–death process with rates %d and %d by day %d", (birth, death, days) => {
    const growth = Math.exp((birth - death) * days);
    const exact = (death * (growth - 1)) / (birth * growth - death);
    const coarse = Math.abs(gone(birthDeath(birth, death), days, 0.05) - exact);
    const fine = Math.abs(gone(birthDeath(birth, death), days, 0.0125) - exact);
    expect(fine).toBeLessThan(2e-3);
    expect(fine).toBeLessThan(coarse / 3);
  });

  // Source: Lotka 1931, male lines in the white population of the United States: p₀ = .4825, p_k = .2126 · .5893^(k−1);
  // he finds that a line dies out with probability about .819.
  it("Lotka's male lines die out with probability .819", () => {
    // A geometric number of sons comes from a birth–death life; p₀ is higher, since some die before they can have any.
    const ratio = 0.5893;
    const grown = 0.2126 / ((1 - ratio) * ratio);
    expect(1 - grown + grown * (1 - ratio)).toBeCloseTo(0.4825, 3);
    const death = 0.1;
    const birth = (death * ratio) / (1 - ratio);
    const youth = 1;
    const line = birthDeath(birth, death).stages[0]!;
    const boy: LifeStage = { id: "boy", degreeDays: youth, substages: 1, dailyDeath: 0, where: "foliage" };
    // An exponential youth at rate 1 with deaths at rate μ is survived with probability 1 / (1 + μ).
    const lotka: Pest = { id: "lotka", lowerC: 0, upperC: 1, stages: [{ ...boy, dailyDeath: 1 / grown - 1 }, line] };
    expect(gone(lotka, 400, 0.01)).toBeCloseTo(0.819, 2);
  });
});

describe("a step", () => {
  it("is halved until nobody passes two substages in it", () => {
    const layout = layoutOf(pestOf("aphid"));
    expect(stepFor(layout, 20, 0.25)).toBe(0.25);
    // Young adult aphids at 30 °C pass 2 · 25 / 12 = 4.17 substages a day: an eighth of a day it is.
    expect(stepFor(layout, 30, 0.25)).toBe(0.125);
    expect(() => stepFor(layout, 20, 0)).toThrow(RangeError);
  });

  it("keeps all animals when none dies, lays or is old enough to go", () => {
    const pest: Pest = {
      id: "still",
      lowerC: 0,
      upperC: 30,
      stages: [
        { id: "a", degreeDays: 100, substages: 5, dailyDeath: 0, where: "foliage", mobile: true },
        { id: "b", degreeDays: 1e9, substages: 1, dailyDeath: 0, where: "foliage", femaleEggs: 0 },
      ],
    };
    const layout = layoutOf(pest);
    const rates = ratesOf(layout, goOf(sites, 0.25), 20, 0.25, []);
    const m = new Float64Array(layout.length);
    m[0] = 3;
    m[7] = 5;
    m[11] = 2;
    for (let i = 0; i < 400; i++) stepForward(rates, 1, m);
    expect(m.reduce((sum, n) => sum + n, 0)).toBeCloseTo(10, 3);
  });

  it("does not develop below the threshold, but for deaths", () => {
    const layout = layoutOf(pestOf("mealybug"));
    const rates = ratesOf(layout, goOf(sites, 0.25), 8, 0.25, []);
    expect([...rates.advance]).toEqual([0, 0, 0, 0, 0]);
    expect(rates.lay.every((mean) => mean === 0)).toBe(true);
  });
});

describe("what is renewed", () => {
  const layout = layoutOf(pestOf("mealybug"));
  const surroundings = { layout, sites, dailyMeanC: [22], dt: 0.25 };
  const effect = (layFactor: number, renews?: string) => ({
    dailyHazard: layout.pest.stages.map(() => 0),
    layFactor,
    ...(renews && { renews }),
  });
  const layAt = (effects: Parameters<typeof wayOf>[1], step: number) =>
    wayOf(surroundings, effects, 0, 80).rates[step]!.lay.at(-1)!;
  const usual = layAt([], 0);

  it("counts once, as it was put on last; other effects multiply", () => {
    const neem = [
      { from: 0, until: 32, effect: effect(0.5, "neem") },
      { from: 12, until: 44, effect: effect(0.8, "neem") },
    ];
    expect(layAt(neem, 4) / usual).toBeCloseTo(0.5, 12);
    expect(layAt(neem, 20) / usual).toBeCloseTo(0.8, 12);
    expect(layAt(neem, 40) / usual).toBeCloseTo(0.8, 12);
    expect(layAt(neem, 44) / usual).toBe(1);
    expect(layAt([...neem, { from: 0, until: 80, effect: effect(0.2) }], 20) / usual).toBeCloseTo(0.16, 12);
  });

  it("steps of one warmth and one set of effects share their rates", () => {
    const { rates } = wayOf(surroundings, [{ from: 8, until: 16, effect: effect(0.5) }], 0, 24);
    expect(new Set(rates).size).toBe(2);
    expect(rates[0]).toBe(rates[20]);
  });

  it("asks for a temperature", () => {
    expect(() => wayOf({ ...surroundings, dailyMeanC: [] }, [], 0, 4)).toThrow(RangeError);
  });
});
