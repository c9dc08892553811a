import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { pestOf } from "../../knowledge/pests/pests";
import { chancesBeside } from "../inspection/detectionProbability";
import { seeChances } from "../inspection/see";
import { sitesOn } from "../inspection/sitesOn";
import type { ToolId } from "../inspection/tools";
import { layoutOf, spread } from "../population/layout";
import { stableGrowth } from "../population/stable";
import { stepFor } from "../population/step";
import { diceFrom } from "../clearance/tests/dice";
import { factorFrom, simpsonMean } from "./tests/checks";
import { learnedSight, sawChance, sightFrom, sightWorth, SPREAD, type SightTold } from "./sight";

/** A look beside one that saw half of the animals. */
const look = (saw: boolean, animals = 2, ofSeen = 0.4): SightTold => ({
  ...{ saw, animals, ofSeen },
  ...{ ofAny: ofSeen / 1.6, otherSees: 0.5 },
});
const many = (n: number, saw: boolean) => Array.from({ length: n }, () => look(saw));

/** So many looks of an eye with this factor, beside finds of one to four animals, with our estimate anywhere. */
const looksOf = (dice: () => number, factor: number, n: number): SightTold[] =>
  Array.from({ length: n }, () => {
    const told = look(false, 1 + Math.floor(4 * dice()), 0.03 + 0.5 * dice());
    return { ...told, saw: dice() < sawChance(told, factor) };
  });

describe("what looks tell of an eye", () => {
  it("is our estimate while nothing is told", () => {
    expect(learnedSight([], 0.35).mean).toBeCloseTo(1, 2);
    expect(learnedSight([], 0.35).low).toBeCloseTo(Math.exp(-1.2816 * 0.35 - 0.35 ** 2 / 2), 1);
    expect(() => learnedSight([], 0)).toThrow(RangeError);
  });

  it("falls with what was missed and rises with what was seen, whatever their order", () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 12 }), (saw) => {
        const told = saw.map((one) => look(one));
        const { mean } = learnedSight(told, 0.7);
        expect(learnedSight([...told, look(false)], 0.7).mean).toBeLessThan(mean);
        expect(learnedSight([...told, look(true)], 0.7).mean).toBeGreaterThan(mean);
        expect(learnedSight(told.toReversed(), 0.7).mean).toBeCloseTo(mean, 9);
      }),
      { numRuns: 30 },
    );
  });

  it("sees none of a colony of unknown size as often as a sum over all sizes has it", () => {
    const { ofSeen, ofAny, otherSees: s } = look(false, 3, 0.3);
    const [n, factor] = [3, 0.8];
    const ofPassed = (ofAny - s * ofSeen) / (1 - s);
    // As likely on any scale beforehand; the other look found three of so many (binomial, textbook).
    const choose = (all: number) => (all * (all - 1) * (all - 2)) / 6;
    let [sum, none] = [0, 0];
    for (let size = n; size < 400; size++) {
      const likely = (choose(size) * s ** n * (1 - s) ** (size - n)) / size;
      sum += likely;
      none += likely * (1 - factor * ofSeen) ** n * (1 - factor * ofPassed) ** (size - n);
    }
    expect(sawChance(look(false, 3, 0.3), factor)).toBeCloseTo(0.025 + 0.95 * (1 - none / sum), 9);
  });

  it("of many found, seeing some tells nothing", () => {
    const before = learnedSight([], 0.7).mean;
    expect(learnedSight([look(true, 60)], 0.7).mean / before).toBeCloseTo(1, 2);
    expect(learnedSight([look(true, 1)], 0.7).mean / before).toBeGreaterThan(1.1);
  });

  it.each([1, 0.7])(
    "an eye that sees %d of what we suppose is found among colonies played animal by animal",
    (factor) => {
      const dice = diceFrom(31).uniform;
      const [form, pest] = ["trailingVine", "mealybug"] as const;
      const search = (tool: ToolId) => ({ tool, spots: spotsOf(form) });
      const layout = layoutOf(pestOf(pest));
      const { shares } = stableGrowth(layout, sitesOn(form, pest), 22, stepFor(layout, 22, 0.25));
      const chancesOf = (tool: ToolId) => {
        const see = seeChances(pestOf(pest), pest, form, search(tool));
        return [...spread(layout, (stage, site) => see[stage]![site]!)];
      };
      const [lamp, loupe] = [chancesOf("lamp"), chancesOf("loupe")];
      const beside = chancesBeside(pest, form, 22, search("lamp"), search("loupe"));
      const told: SightTold[] = [];
      while (told.length < 1500) {
        // As likely on any scale, from one to a hundred.
        const size = Math.round(Math.exp(Math.log(100) * dice()));
        let [animals, saw] = [0, false];
        for (let k = 0; k < size; k++) {
          let at = dice();
          const type = Math.max(
            0,
            [...shares].findIndex((share) => (at -= share) < 0),
          );
          if (dice() < loupe[type]!) animals++;
          if (dice() < factor * lamp[type]!) saw = true;
        }
        if (animals > 0) told.push({ saw, animals, ...beside });
      }
      // With all colonies above five taken for five it came to 1.7 for an eye that sees as we suppose.
      expect(Math.abs(learnedSight(told, 3).mean / factor - 1)).toBeLessThan(0.1);
    },
  );

  it("one careless look past a colony hardly tells: it is no other eye", () => {
    const { mean } = learnedSight([...many(8, true), look(false, 200, 0.9)], SPREAD.mixed);
    expect(mean).toBeGreaterThan(0.6);
    // The same of one that could see little: one look is one look.
    expect(learnedSight([look(false, 200)], SPREAD.mixed).mean).toBeGreaterThan(0.6);
  });

  it("of others tells less than of one's own, and all of them less than six of one's own", () => {
    const own = learnedSight(many(6, false), 0.35).mean;
    expect(learnedSight([], 0.35, many(6, false)).mean).toBeGreaterThan(own);
    expect(learnedSight([], 0.35, many(300, false)).mean).toBeGreaterThanOrEqual(own - 1e-9);
  });

  it("is nothing from fewer than three looks, or where ours alone are wanted", () => {
    expect(sightFrom(many(2, false), [], "mixed")).toBeNull();
    expect(sightFrom(many(9, false), [], "ours")).toBeNull();
    expect(sightFrom(many(3, false), [], "mixed")!.mean).toBeLessThan(1);
    expect(sightFrom(many(5, false), [], "mine")!.mean).toBeLessThan(sightFrom(many(5, false), [], "mixed")!.mean);
  });

  it("worth to another keeper leaves them where a quarter of each look would, to 1 %, and never outweighs our estimate", () => {
    const dice = diceFrom(5).uniform;
    let furthest = 0;
    for (let run = 0; run < 60; run++) {
      // Fewer than {@link OTHERS_MOST} quarters, so that both count them in full.
      const looks = looksOf(dice, factorFrom(dice, SPREAD.mine), 3 + Math.floor(20 * dice()));
      const [given, worth] = [learnedSight([], 0.35, looks).mean, learnedSight([], 0.35, [], sightWorth(looks)).mean];
      furthest = Math.max(furthest, Math.abs(worth / given - 1));
    }
    expect(furthest).toBeLessThan(0.01);
    expect(sightWorth([])).toEqual({ precision: 0, pull: 0 });
    expect(sightFrom([], [], "mixed", sightWorth(many(9, false)))!.mean).toBeLessThan(0.95);
    expect(sightFrom([], [], "ours", sightWorth(many(9, false)))).toBeNull();
    // A crowd that sees half, and we, both as sure: half-way in the logarithm. Closed form of two normal densities.
    const crowd = learnedSight([], 0.35, [], { precision: 1e6, pull: 1e6 * Math.log(0.5) }).mean;
    expect(crowd).toBeCloseTo(Math.sqrt(0.5), 2);
  });

  it("has the mean that Simpson's rule gives on a grid eight times as fine (textbook)", () => {
    const told = [look(true, 1, 0.4), look(false, 1, 0.4), look(false, 1, 0.4)];
    const spread = 0.7;
    const density = (log: number) => {
      const factor = Math.exp(log);
      const prior = Math.exp(-((log + spread ** 2 / 2) ** 2) / (2 * spread ** 2));
      return told.reduce(
        (product, one) => product * (one.saw ? sawChance(one, factor) : 1 - sawChance(one, factor)),
        prior,
      );
    };
    expect(learnedSight(told, spread).mean).toBeCloseTo(simpsonMean(density, 0.1, 6), 3);
  });

  it("holds the true factor in its span four times in five (simulation-based calibration, Talts et al. 2018, from memory)", () => {
    const dice = diceFrom(20261130).uniform;
    const keepers = 500;
    let inside = 0;
    let below = 0;
    for (let i = 0; i < keepers; i++) {
      const factor = factorFrom(dice, SPREAD.mine);
      const { low, high, mean } = learnedSight(looksOf(dice, factor, 20), SPREAD.mine);
      if (factor >= low && factor <= high) inside++;
      if (factor < mean) below++;
    }
    // Three standard errors of a share of 500.
    expect(Math.abs(inside / keepers - 0.8)).toBeLessThan(0.054);
    expect(below / keepers).toBeGreaterThan(0.45);
    expect(below / keepers).toBeLessThan(0.7);
  });

  it("an eye that sees half is found within fifteen looks beside finds: nine in ten such keepers are told less than 85 %", () => {
    const dice = diceFrom(7).uniform;
    const found = Array.from({ length: 100 }, () => learnedSight(looksOf(dice, 0.5, 15), SPREAD.mine));
    const mean = found.reduce((sum, one) => sum + one.mean, 0) / found.length;
    // Half, and what our estimate still pulls it up.
    expect(mean).toBeGreaterThan(0.5);
    expect(mean).toBeLessThan(0.7);
    expect(found.filter((one) => one.mean < 0.85).length).toBeGreaterThanOrEqual(90);
  });
});
