import { describe, expect, it } from "vitest";
import { likelyScenario } from "../clearance/scenarios";
import { diceFrom, poisson } from "../clearance/tests/dice";
import { founderShares, liveOn } from "../clearance/tests/lives";
import { seeChances } from "../inspection/see";
import { sitesOn } from "../inspection/sitesOn";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { layoutOf } from "../population/layout";
import { sharesOf } from "../population/sites";
import { stableGrowth } from "../population/stable";
import { stepFor } from "../population/step";
import { reckonCarriage, type CarriageQuestion } from "./carriage";
import { reckonOrigin } from "./origin";

const FORM = "clumpingFoliage";
const lamp = (pest: PestId) => seeChances(pestOf(pest), pest, FORM, { tool: "lamp", spots: spotsOf(FORM) });

const question = (pest: PestId, over: Partial<CarriageQuestion>): CarriageQuestion => ({
  ...{ pest: pestOf(pest), sites: sitesOn(FORM, pest), dailyMeanC: [22], timeStepDays: 0.5, fromDays: 0 },
  ...{ arrival: { share: 0.1, mean: 5 }, streams: [], events: [], looks: [], asOfDays: 40 },
  ...over,
});
const neighbour = (fromDays: number, untilDays: number, perDay: number) => ({
  route: "neighbour",
  fromDays,
  untilDays,
  perDay,
});

describe("where a pest came from, once it was found", () => {
  // Common practice, no source: a colony of weeks came with the plant; what a neighbour gave it lately is small.
  it("many speak for what has been there for long, few for what came lately", () => {
    const asked = question("mealybug", { streams: [neighbour(33, 40, 0.03)] });
    const fromNeighbour = (found: number) => reckonOrigin(asked, { see: lamp("mealybug"), found })[1]!;
    expect(fromNeighbour(1)).toBeGreaterThan(0.5);
    expect(fromNeighbour(50)).toBeLessThan(0.05);
    const falling = [1, 2, 5, 12, 23, 50, 100].map(fromNeighbour);
    expect(falling).toEqual(falling.toSorted((a, b) => b - a));
  });

  it("of a plant that stood beside a bad case for long many speak for that case", () => {
    const asked = question("spiderMite", { streams: [neighbour(0, 40, 2), neighbour(0, 40, 2e-4)] });
    const shares = reckonOrigin(asked, { see: lamp("spiderMite"), found: 100 });
    expect(shares[1]).toBeGreaterThan(0.9);
    expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
  });

  it("where no way could have come to it, the shares of all that may be there", () => {
    const asked = question("mealybug", { arrival: { share: 0, mean: 5 }, streams: [neighbour(0, 40, 0.01)] });
    const nothing = lamp("mealybug").map(() => [0, 0, 0] as const);
    expect(reckonOrigin(asked, { see: nothing, found: 3 })).toEqual(reckonCarriage(asked).routes);
  });

  // A check against an independent program: animals played one by one, each way on its own, and Bayes' rule over what was counted.
  it.each<[PestId, number, number, number]>([
    ["mealybug", 30, 4, 0.02],
    ["spiderMite", 16, 2, 0.05],
    ["aphid", 14, 3, 0.04],
  ])("%s: agrees with what came of animals played one by one", (id, asOf, mean, perDay) => {
    const pest = pestOf(id);
    const surroundings = { pest, sites: sitesOn(FORM, id), dailyMeanC: [22], timeStepDays: 0.5 };
    const share = 0.2;
    const asked = question(id, {
      arrival: { share, mean },
      streams: [{ route: "r", fromDays: 0, untilDays: asOf, perDay }],
      asOfDays: asOf,
    });
    const layout = layoutOf(pest);
    const dt = stepFor(layout, 22, 0.5);
    const shares = [...stableGrowth(layout, surroundings.sites, 22, dt).shares];
    const founders = founderShares(shares, layout, sharesOf(surroundings.sites));
    const dice = diceFrom(77);
    const see = lamp(id);
    const play = (size: () => number, coming: number) =>
      Array.from({ length: 4000 }, () => {
        const life = liveOn({ ...surroundings, events: [] }, shares, dt, likelyScenario[0]!, dice, size());
        for (let step = 0; step < Math.round(asOf / dt); step++) {
          if (coming > 0) life.come(poisson(dice, coming * dt), founders);
          life.pass(dt);
        }
        return life.look(see);
      });
    const came = play(() => (dice.uniform() < share ? poisson(dice, -mean * Math.log(1 - dice.uniform())) : 0), 0);
    const given = play(() => 0, perDay);
    const bands = [
      [1, 1],
      [2, 4],
      [5, 12],
    ] as const;
    for (const [least, most] of bands) {
      const within = (all: readonly number[]) => all.filter((n) => n >= least && n <= most).length;
      const [a, b] = [within(came), within(given)];
      const told = reckonOrigin(asked, { see, found: Math.sqrt(least * most) })[0]!;
      // The shapes of its numbers are simpler than those of the played animals.
      expect(Math.abs(told - a / (a + b))).toBeLessThan(0.25);
    }
  });
});
