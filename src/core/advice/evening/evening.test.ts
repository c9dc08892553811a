import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { volumeFor } from "../../knowledge/mixes/sprayVolume";
import { bathOf, mixOf, type BathPlant } from "./bath";
import { chooseEvening, LONGEST_MINUTES, weightOf, type Evening, type EveningJob } from "./choose";

const minutesOf = (jobs: readonly EveningJob[], { setUpMinutes }: Evening) =>
  jobs.reduce((sum, { minutes }) => sum + minutes, 0) + setUpMinutes * new Set(jobs.map(({ batch }) => batch)).size;
const weightIn = (jobs: readonly EveningJob[]) => jobs.reduce((sum, { weight }) => sum + weight, 0);

/** Every choice there is. */
function byBruteForce(jobs: readonly EveningJob[], evening: Evening): { weight: number; minutes: number } {
  let best = { weight: 0, minutes: 0 };
  for (let bits = 0; bits < 2 ** jobs.length; bits++) {
    const some = jobs.filter((_, i) => bits & (1 << i));
    const minutes = minutesOf(some, evening);
    if (minutes > evening.minutes || some.filter(({ wets }) => wets).length > evening.dryingPots) continue;
    const weight = weightIn(some);
    if (weight > best.weight + 1e-9 || (weight > best.weight - 1e-9 && minutes < best.minutes))
      best = { weight, minutes };
  }
  return best;
}

describe("what an evening is spent on", () => {
  const jobs = fc
    .array(
      fc.record({
        batch: fc.constantFrom("soap", "alcohol", "oil"),
        minutes: fc.integer({ min: 1, max: 15 }),
        wets: fc.boolean(),
        weight: fc.constantFrom(0.2, 1, 1.25, 2),
      }),
      { maxLength: 9 },
    )
    .map((all) => all.map((job, i): EveningJob => ({ ...job, id: `j${i}` })));
  const evening = fc.record({
    minutes: fc.integer({ min: 0, max: 70 }),
    dryingPots: fc.integer({ min: 0, max: 5 }),
    setUpMinutes: fc.integer({ min: 0, max: 12 }),
  });

  it("is the best of all choices, by brute force on small cases; it never goes beyond the time or the drying places", () => {
    fc.assert(
      fc.property(jobs, evening, (all, room) => {
        const { chosen, minutes, left } = chooseEvening(all, room);
        const some = all.filter(({ id }) => chosen.includes(id));
        const best = byBruteForce(all, room);
        expect(weightIn(some)).toBeCloseTo(best.weight, 9);
        expect(minutes).toBe(minutesOf(some, room));
        expect(minutes).toBe(best.minutes);
        expect(minutes).toBeLessThanOrEqual(room.minutes);
        expect(some.filter(({ wets }) => wets).length).toBeLessThanOrEqual(room.dryingPots);
        expect([...chosen, ...left.map(({ id }) => id)].toSorted()).toEqual(all.map(({ id }) => id).toSorted());
      }),
      { numRuns: 300 },
    );
  });

  it("is planned for 300 plants in three mixes", () => {
    const many = Array.from({ length: 300 }, (_, i): EveningJob => {
      return {
        id: `p${i}`,
        batch: ["soap", "alcohol", "oil"][i % 3]!,
        minutes: 4,
        wets: true,
        weight: weightOf(i % 5),
      };
    });
    const { chosen, minutes } = chooseEvening(many, { minutes: 300, dryingPots: 40, setUpMinutes: 8 });
    expect(chosen).toHaveLength(40);
    expect(minutes).toBeLessThanOrEqual(300);
  });

  it("says for what something has to wait, and refuses what is no evening", () => {
    const wet = (id: string): EveningJob => ({ id, batch: "soap", minutes: 5, wets: true, weight: 1 });
    const room = { minutes: 60, dryingPots: 1, setUpMinutes: 8 };
    expect(chooseEvening([wet("a"), wet("b")], room).left).toMatchObject([{ why: "drying" }]);
    expect(chooseEvening([wet("a")], { ...room, minutes: 12 }).left).toEqual([{ id: "a", why: "time" }]);
    expect(() => chooseEvening([wet("a")], { ...room, minutes: 1.5 })).toThrow(RangeError);
    expect(() => chooseEvening([], { ...room, minutes: LONGEST_MINUTES + 1 })).toThrow(RangeError);
  });

  it("what is late matters more than what is due, and that more than what could be brought forward", () => {
    expect(weightOf(3)).toBeGreaterThan(weightOf(0));
    expect(weightOf(0)).toBeGreaterThan(weightOf(-1));
  });
});

describe("one bath for all dunks", () => {
  const plants = fc
    .array(
      fc.record({
        technique: fc.constantFrom("dunk" as const, "spray" as const),
        potCm: fc.integer({ min: 5, max: 30 }),
      }),
      { maxLength: 10 },
    )
    .map((all) => all.map((one, i): BathPlant => ({ ...one, id: `p${i}` })));

  it("no millilitre is made or lost: what is mixed is carried off, sprayed, or remains (property)", () => {
    fc.assert(
      fc.property(plants, (all) => {
        const bath = bathOf(all);
        if (!bath) {
          expect(all.some(({ technique }) => technique === "dunk")).toBe(false);
          return;
        }
        const ml = ({ technique, potCm }: BathPlant) => volumeFor(technique, potCm) as number;
        const sprayed = all.filter(({ technique }) => technique === "spray");
        const fromBath = sprayed.filter(({ id }) => bath.serves.includes(id)).reduce((sum, one) => sum + ml(one), 0);
        const mixed = sprayed.filter(({ id }) => !bath.serves.includes(id)).reduce((sum, one) => sum + ml(one), 0);
        expect(fromBath).toBeLessThanOrEqual(bath.leftMl + 1e-9);
        const remains = bath.leftMl - fromBath;
        expect(bath.mixMl).toBeCloseTo(bath.carriedMl + fromBath + mixed + remains, 6);
        expect(bath.bathMl).toBeCloseTo(bath.carriedMl + bath.leftMl, 6);
      }),
    );
  });

  it("serves the plants that are too big to dunk from what is left (common practice)", () => {
    const bath = bathOf([
      { id: "dunked", technique: "dunk", potCm: 12 },
      { id: "big", technique: "spray", potCm: 30 },
    ])!;
    expect(bath.leftMl).toBe(1800);
    expect(bath.serves).toEqual(["big"]);
    expect(bath.mixMl).toBeCloseTo(1800 + 96, 6);
  });
});

describe("what is mixed for a session", () => {
  const part = (stepId: string, technique: "spray" | "dunk", potCm: number) => ({
    ...{ stepId, potCm, volumeMl: 0 },
    planned: { mix: "soapMild", technique } as const,
  });

  it("is each plant's own where nothing is dunked, and what the bath leaves over is not mixed again where something is", () => {
    const spray = part("b", "spray", 12);
    expect(mixOf([])).toEqual({ bath: null, mixMl: 0 });
    expect(mixOf([spray]).mixMl).toBe(volumeFor("spray", 12));
    expect(mixOf([part("a", "dunk", 12), spray]).mixMl).toBe(mixOf([part("a", "dunk", 12)]).mixMl);
  });

  it("counts what works take beside it", () => {
    const work = { stepId: "w", planned: { work: "drenchNeem" } as const, potCm: 12, volumeMl: 240 };
    expect(mixOf([work]).mixMl).toBe(240);
  });
});
