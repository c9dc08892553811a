import { describe, expect, it } from "vitest";
import { diceFrom, poisson, type Dice } from "../../../model/clearance/tests/dice";
import { pests } from "../../../knowledge/pests/pests";
import { judgeGnats } from "./judge";
import { gnatWeight } from "./pots";
import type { GnatRoom } from "./room";
import { gnatScenarios } from "./scenarios";
import { AIR, backward, forward, ratesBetween, SOIL, stepsOf } from "./step";

const base: GnatRoom = {
  weights: [4, 1, 1],
  dailyMeanC: [23],
  effects: [],
  treatments: [],
  traps: [{ fromDay: 0, untilDay: 200, perDay: 0.08, counted: true }],
  cards: [],
  slices: [],
};
const measures: Partial<GnatRoom> = {
  effects: [
    { fromDay: 3, untilDay: 30, pots: [0], dailyHazard: [0.1, 0.1, 0], layFactor: 0.3 },
    { fromDay: 8, untilDay: 20, pots: [1, 2], dailyHazard: [0, 0.3, 0], layFactor: 1 },
  ],
  treatments: [
    { atDay: 5, pots: [0, 1, 2], kill: [0, 0.7, 0] },
    { atDay: 12, pots: [0], kill: [0, 0.7, 0] },
  ],
};

interface Animal {
  pot: number;
  stage: number;
  part: number;
}
const { stages } = pests.fungusGnat;

/** The room played out animal by animal from the tables; nothing is shared with the recursions. */
function play(
  dice: Dice,
  room: GnatRoom,
  start: readonly Animal[],
  days: number,
  dt: number,
  bite: number,
  eggs: number,
) {
  let alive = start.map((one) => ({ ...one }));
  const caught = new Array<number>(days).fill(0);
  const total = room.weights.reduce((sum, weight) => sum + weight, 0);
  for (let step = 0; step < Math.round(days / dt); step++) {
    const t = step * dt;
    const inForce = <T extends { fromDay: number; untilDay: number }>(all: readonly T[]) =>
      all.filter(({ fromDay, untilDay }) => t >= fromDay && t < untilDay);
    const meanC = room.dailyMeanC[Math.min(Math.floor(t), room.dailyMeanC.length - 1)]!;
    const warmth = Math.max(0, Math.min(meanC, 30) - 8);
    const trap = inForce(room.traps).reduce((sum, { perDay }) => sum + perDay, 0);
    const next: Animal[] = [];
    for (const animal of alive) {
      const stage = stages[animal.stage]!;
      if (stage.id === "adult") {
        const laid = poisson(dice, (10 / 70) * warmth * dt * eggs);
        for (let i = 0; i < laid; i++) {
          let pick = dice.uniform() * total;
          const pot = room.weights.findIndex((weight) => (pick -= weight) < 0);
          const factor = inForce(room.effects)
            .filter(({ pots }) => pots.includes(pot))
            .reduce((product, { layFactor }) => product * (1 - bite * (1 - layFactor)), 1);
          if (dice.uniform() < factor) next.push({ pot, stage: 0, part: 0 });
        }
      }
      const flies = stage.where === "air";
      if (flies && dice.uniform() < 1 - Math.exp(-trap * dt)) {
        caught[Math.floor(t + 1e-9)]!++;
        continue;
      }
      const added = flies
        ? 0
        : inForce(room.effects)
            .filter(({ pots }) => pots.includes(animal.pot))
            .reduce((sum, { dailyHazard }) => sum + bite * dailyHazard[animal.stage as 0 | 1 | 2], 0);
      if (dice.uniform() >= Math.exp(-(stage.dailyDeath + added) * dt)) continue;
      if (dice.uniform() < (stage.substages * warmth * dt) / stage.degreeDays) {
        animal.part++;
        if (animal.part === stage.substages) {
          animal.part = 0;
          animal.stage++;
        }
      }
      if (animal.stage < stages.length) next.push(animal);
    }
    alive = next.filter(
      ({ pot, stage }) =>
        stage > 2 ||
        room.treatments.every(
          ({ atDay, pots, kill }) =>
            Math.round(atDay / dt) !== step + 1 ||
            !pots.includes(pot) ||
            dice.uniform() >= bite * kill[stage as 0 | 1 | 2],
        ),
    );
  }
  return { alive, caught };
}

/** The same by the recursion: flies caught day by day, and the chances at the end for one animal of each kind. */
function reckon(room: GnatRoom, start: readonly Animal[], days: number, bite: number, eggs: number) {
  const steps = stepsOf(room);
  const last = steps.at(days);
  const rates = ratesBetween(room, steps, 0, last, bite);
  const first = stages.map((_, stage) => stages.slice(0, stage).reduce((sum, { substages }) => sum + substages, 0));
  const place = ({ pot, stage, part }: Animal) =>
    stage > 2 ? steps.pots * SOIL + first[stage]! - SOIL + part : pot * SOIL + first[stage]! + part;
  const m = new Float64Array(steps.pots * SOIL + AIR);
  for (const animal of start) m[place(animal)]! += 1;
  const kill = (step: number, each: (index: number, share: number) => void) => {
    for (const { atDay, pots, kill: shares } of room.treatments)
      if (steps.at(atDay) === step)
        for (const pot of pots)
          for (let i = 0; i < SOIL; i++) each(pot * SOIL + i, bite * shares[i < 8 ? 0 : i < 18 ? 1 : 2]!);
  };
  const caught = new Array<number>(days).fill(0);
  for (let step = 1; step <= last; step++) {
    caught[Math.floor((step - 1) * steps.dt + 1e-9)]! += forward(rates[step - 1]!, eggs, steps.pots, m);
    kill(step, (i, share) => (m[i]! *= 1 - share));
  }
  const back = (caughtIs: number, end: number) => {
    const v = new Float64Array(m.length).fill(end);
    for (let step = last; step > 0; step--) {
      kill(step, (i, share) => (v[i] = share + (1 - share) * v[i]!));
      backward(rates[step - 1]!, eggs, steps.pots, caughtIs, v);
    }
    return start.reduce((product, animal) => product * v[place(animal)]!, 1);
  };
  return { caught, gone: back(1, 0), goneUncaught: back(0, 0), uncaught: back(0, 1), dt: steps.dt };
}

const brood = (count: number, stage: number): Animal[] =>
  Array.from({ length: count }, (_, i) => ({ pot: i % 3, stage, part: 0 }));

describe("a room of gnats", () => {
  // Source: the same rules played out animal by animal; four standard errors.
  it.each([
    ["left alone", base, [...brood(6, 1), ...brood(2, 3)], 1, 1],
    ["under measures that bite as the tables say", { ...base, ...measures }, [...brood(9, 1), ...brood(3, 4)], 1, 1],
    [
      "under measures that hardly bite, in a cooling room",
      { ...base, ...measures, dailyMeanC: [24, 22, 20, 17] },
      brood(9, 0),
      0.25,
      1.3,
    ],
  ])("%s: what cards catch and whether it ends are those of single animals", (_why, room, start, bite, eggs) => {
    const days = 28;
    const runs = 1500;
    const told = reckon(room, start, days, bite, eggs);
    const dice = diceFrom(7);
    const weekly = [0, 1, 2, 3].map(() => ({ sum: 0, squares: 0 }));
    const over = { gone: 0, goneUncaught: 0, uncaught: 0 };
    for (let i = 0; i < runs; i++) {
      const { alive, caught } = play(dice, room, start, days, told.dt, bite, eggs);
      for (const [week, sums] of weekly.entries()) {
        const count = caught.slice(7 * week, 7 * week + 7).reduce((sum, n) => sum + n, 0);
        sums.sum += count;
        sums.squares += count * count;
      }
      const none = caught.every((n) => n === 0);
      if (alive.length === 0) over.gone++;
      if (alive.length === 0 && none) over.goneUncaught++;
      if (none) over.uncaught++;
    }
    for (const [week, { sum, squares }] of weekly.entries()) {
      const mean = sum / runs;
      const error = Math.sqrt(Math.max(squares / runs - mean * mean, 1e-6) / runs);
      const expected = told.caught.slice(7 * week, 7 * week + 7).reduce((all, n) => all + n, 0);
      expect(Math.abs(mean - expected), `week ${week}: ${mean} for ${expected}`).toBeLessThan(4 * error + 1e-3);
    }
    for (const what of ["gone", "goneUncaught", "uncaught"] as const) {
      const p = told[what];
      expect(Math.abs(over[what] / runs - p), `${what}: ${over[what] / runs} for ${p}`).toBeLessThan(
        4 * Math.sqrt((p * (1 - p)) / runs) + 2e-3,
      );
    }
  });

  // Source: extension leaflets (egg to fly about 17 days at 24 °C, eggs hatching in about 3), literature from memory.
  it("goes from egg to fly in about seventeen days at 24 °C, not in four", () => {
    const days = (until: number) =>
      stages.slice(0, until).reduce((sum, { degreeDays }) => sum + degreeDays, 0) / (24 - 8);
    expect(days(1)).toBeCloseTo(3, 0);
    expect(Math.abs(days(3) - 17)).toBeLessThanOrEqual(2);
    const room = { ...base, dailyMeanC: [24] };
    const { caught } = reckon(room, brood(60, 0), 30, 1, 0);
    const middle = caught.reduce((sum, n, day) => sum + n * day, 0) / caught.reduce((sum, n) => sum + n, 0);
    expect(caught.slice(0, 8).reduce((sum, n) => sum + n, 0)).toBeLessThan(0.05);
    expect(middle).toBeGreaterThan(15);
    expect(middle).toBeLessThan(23);
  });
});

const card = (atDay: number, count: number) => ({ atDay, overDays: 7, count });

describe("what cards say of it", () => {
  it("nothing while no fly was counted", () => {
    expect(judgeGnats(base, 10)).toBeNull();
    expect(judgeGnats({ ...base, cards: [card(0, 0), card(7, 0)] }, 10)).toBeNull();
  });

  it("more flies, more gnats; they are where it is wet", () => {
    const few = judgeGnats({ ...base, cards: [card(0, 3)] }, 0)!;
    const many = judgeGnats({ ...base, cards: [card(0, 30)] }, 0)!;
    expect(many.flying).toBeGreaterThan(few.flying);
    expect(few.inPots[0]! / few.inPots[1]!).toBeCloseTo(4, 6);
    expect(few.weights.reduce((sum, w) => sum + w, 0)).toBeCloseTo(1, 12);
  });

  it("counts that go on rising under measures say that these hardly bite; counts that fall say that they do", () => {
    const all: Partial<GnatRoom> = {
      effects: [{ fromDay: 0, untilDay: 90, pots: [0, 1, 2], dailyHazard: [0.1, 0.1, 0], layFactor: 0.2 }],
      treatments: [0, 7, 14, 21, 28].map((atDay) => ({ atDay, pots: [0, 1, 2], kill: [0, 0.7, 0] as const })),
    };
    const judged = (counts: number[]) =>
      judgeGnats({ ...base, ...all, cards: counts.map((count, i) => card(7 * i, count)) }, 35)!;
    const [rising, falling] = [judged([20, 24, 40, 60, 90, 120]), judged([20, 18, 9, 3, 1, 0])];
    const hardly = (weights: readonly number[]) =>
      gnatScenarios.reduce((sum, { bite }, k) => sum + (bite < 0.5 ? weights[k]! : 0), 0);
    expect(hardly(rising.weights)).toBeGreaterThan(0.6);
    expect(hardly(falling.weights)).toBeLessThan(0.1);
    expect(falling.pFalling).toBeGreaterThan(rising.pFalling);
    expect(falling.pOver).toBeGreaterThan(rising.pOver);
  });

  it("weeks of empty cards under measures make it likelier, step by step, that it is over", () => {
    const room = {
      ...base,
      effects: [{ fromDay: 0, untilDay: 200, pots: [0, 1, 2], dailyHazard: [0.2, 0.3, 0] as const, layFactor: 0.2 }],
    };
    const after = (weeks: number) => {
      const cards = [card(0, 12), card(7, 5), ...Array.from({ length: weeks }, (_, i) => card(14 + 7 * i, 0))];
      return judgeGnats({ ...room, cards }, 7 + 7 * weeks)!.pOver;
    };
    const chances = [0, 2, 4, 6, 8].map(after);
    expect(chances[0]).toBeLessThan(0.1);
    expect(chances.at(-1)).toBeGreaterThan(0.9);
    expect(chances).toEqual(chances.toSorted((a, b) => a - b));
  });

  it("larvae under a slice tell which pot they sit in", () => {
    const cards = [card(0, 6), card(7, 7)];
    const plain = judgeGnats({ ...base, cards }, 8)!;
    const sliced = judgeGnats(
      {
        ...base,
        cards,
        slices: [
          { atDay: 8, pot: 2, larvae: 25 },
          { atDay: 8, pot: 0, larvae: 0 },
        ],
      },
      8,
    )!;
    expect(sliced.inPots[2]! / sliced.inPots[0]!).toBeGreaterThan(3 * (plain.inPots[2]! / plain.inPots[0]!));
  });

  it("the span of the next count holds eight in ten of what single animals come to", () => {
    const dice = diceFrom(11);
    let within = 0;
    const runs = 60;
    for (let i = 0; i < runs; i++) {
      // A room grown from animals of all ages for four weeks, counted weekly from then on.
      const start = Array.from({ length: 10 }, (_, k): Animal => {
        const stage = k % 4;
        return { pot: k % 3, stage, part: Math.floor(dice.uniform() * stages[stage]!.substages) };
      });
      const eggs = [0.6, 1, 1, 1.3][i % 4]!;
      const { caught } = play(dice, base, start, 49, 0.25, 1, eggs);
      const weekly = Array.from({ length: 7 }, (_, week) =>
        caught.slice(7 * week, 7 * week + 7).reduce((s, n) => s + n, 0),
      );
      const cards = weekly.slice(3, 6).map((count, week) => card(28 + 7 * week, count));
      const judged = judgeGnats({ ...base, cards }, 42);
      if (!judged) {
        within++;
        continue;
      }
      const { low, high } = judged.weeks[0]!;
      if (weekly[6]! >= low && weekly[6]! <= high) within++;
    }
    expect(within / runs).toBeGreaterThan(0.72);
  });

  it("needs a pot that draws them, and the warmth of the room", () => {
    expect(() => judgeGnats({ ...base, weights: [0, 0], cards: [card(0, 3)] }, 0)).toThrow(RangeError);
    expect(() => judgeGnats({ ...base, dailyMeanC: [], cards: [card(0, 3)] }, 0)).toThrow(RangeError);
  });
});

describe("how much of them a pot draws", () => {
  // Source: common practice: what stands wet, and seedlings; cacti hardly.
  it("is more the wetter and the wider it is, and nothing without a pot", () => {
    const weight = (growthForm: Parameters<typeof gnatWeight>[0]["growthForm"], potCm: number) =>
      gnatWeight({ growthForm, kept: null, potCm });
    expect(weight("fern", 12)).toBeGreaterThan(weight("uprightShrub", 12));
    expect(weight("uprightShrub", 12)).toBeGreaterThan(weight("tubercledCactus", 12));
    expect(weight("fern", 20)).toBeGreaterThan(weight("fern", 10));
    expect(weight("airPlant", 10)).toBe(0);
    expect(gnatWeight({ growthForm: "fern", kept: "dry", potCm: 12 })).toBeLessThan(weight("fern", 12));
  });
});
