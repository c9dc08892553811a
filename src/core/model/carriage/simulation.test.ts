import { describe, expect, it } from "vitest";
import { applicationEvents } from "../../acts/contact";
import { likelyScenario } from "../clearance/scenarios";
import { diceFrom, poisson, type Dice } from "../clearance/tests/dice";
import { founderShares, liveOn } from "../clearance/tests/lives";
import { seeChances } from "../inspection/see";
import { sitesOn } from "../inspection/sitesOn";
import type { ToolId } from "../inspection/tools";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsOf } from "../../knowledge/plants/growthForms";
import type { InspectionEvent, TreatmentEvent } from "../population/events";
import { layoutOf } from "../population/layout";
import { sharesOf } from "../population/sites";
import { stableGrowth } from "../population/stable";
import { stepFor } from "../population/step";
import type { RemedyId } from "../../knowledge/remedies/remedies";
import { reckonCarriage, type Arrival, type CarriageQuestion } from "./carriage";

const RUNS = 4000;
const STANDARD_ERRORS = 4;
const FORM = "clumpingFoliage";

const look = (pest: PestId, atDays: number, tool: ToolId): InspectionEvent => ({
  kind: "inspection",
  atDays,
  found: 0,
  removed: false,
  see: seeChances(pestOf(pest), pest, FORM, { tool, spots: spotsOf(FORM) }),
});
const spray = (pest: PestId, atDays: number, remedy: RemedyId) =>
  applicationEvents(pestOf(pest), { remedy, technique: "spray" }, atDays)[0];

type Streams = CarriageQuestion["streams"];
const stream = (fromDays: number, untilDays: number, perDay: Streams[number]["perDay"]): Streams[number] => ({
  route: "r",
  fromDays,
  untilDays,
  perDay,
});

interface Trial {
  readonly pest: PestId;
  readonly meanC: number;
  readonly arrival?: Arrival;
  readonly streams?: Streams;
  readonly events?: readonly (InspectionEvent | TreatmentEvent)[];
  readonly asOf: number;
}

const none = { share: 0, mean: 5 };

/** Varied on purpose: it came with it, or was given it, early and late, looked at well and badly, sprayed in between. */
const trials: readonly (readonly [string, Trial])[] = [
  ["came with it, never looked at", { pest: "mealybug", meanC: 22, arrival: { share: 0.3, mean: 5 }, asOf: 21 }],
  [
    "came with it, looked at weekly by lamp",
    {
      ...{ pest: "mealybug", meanC: 22, arrival: { share: 0.5, mean: 4 }, asOf: 28 },
      events: [7, 14, 21].map((at) => look("mealybug", at, "lamp")),
    },
  ],
  [
    "mites from beside it for a fortnight",
    {
      pest: "spiderMite",
      meanC: 23,
      streams: [stream(2, 16, 0.05)],
      asOf: 20,
      events: [look("spiderMite", 12, "loupe")],
    },
  ],
  ["background all along", { pest: "aphid", meanC: 20, streams: [stream(0, 18, 0.03)], asOf: 18 }],
  [
    "two streams at once",
    {
      ...{ pest: "thrips", meanC: 22, streams: [stream(0, 20, 0.02), stream(5, 10, 0.06)], asOf: 22 },
      events: [look("thrips", 8, "eye"), look("thrips", 15, "loupe")],
    },
  ],
  [
    "came with it and was sprayed",
    {
      ...{ pest: "softScale", meanC: 24, arrival: { share: 0.6, mean: 3 }, asOf: 25 },
      events: [spray("softScale", 3, "oil"), spray("softScale", 10, "oil"), look("softScale", 20, "lamp")],
    },
  ],
  [
    "both ways, a look on the last day",
    {
      ...{
        pest: "armouredScale",
        meanC: 23,
        arrival: { share: 0.2, mean: 5 },
        streams: [stream(0, 20, 0.02)],
        asOf: 20,
      },
      events: [look("armouredScale", 20, "loupe")],
    },
  ],
  ["gnats in the mix", { pest: "fungusGnat", meanC: 22, streams: [stream(0, 12, 0.05)], asOf: 16 }],
  [
    "root mealybugs, unpotted and looked at",
    {
      ...{ pest: "rootMealybug", meanC: 21, arrival: { share: 0.4, mean: 5 }, asOf: 20 },
      events: [look("rootMealybug", 18, "unpotted")],
    },
  ],
  [
    "a cool room",
    { pest: "mealybug", meanC: 15, arrival: { share: 0.4, mean: 6 }, asOf: 30, events: [look("mealybug", 15, "lamp")] },
  ],
  ["a stream that ends before the question", { pest: "spiderMite", meanC: 25, streams: [stream(0, 4, 0.1)], asOf: 14 }],
  [
    "given to it by a neighbour whose animals grow and are then sprayed",
    {
      ...{ pest: "mealybug", meanC: 23, asOf: 28 },
      streams: [stream(2, 20, [0.02, 0.04, 0.06, 0.09, 0.13, 0.19, 0.28, 0.02, 0.02, 0.03])],
      events: [look("mealybug", 14, "lamp"), look("mealybug", 21, "loupe")],
    },
  ],
  [
    "a look on the day it came",
    { pest: "aphid", meanC: 22, arrival: { share: 0.5, mean: 5 }, asOf: 9, events: [look("aphid", 0, "loupe")] },
  ],
];

/** A check against an independent program: animals played one by one, as the rules say, and counted. */
describe("the recursion against animals played one by one", () => {
  it.each(trials.map(([what, trial], i) => [what, trial, i] as const))("%s", (_what, trial, i) => {
    const { pest: id, meanC, arrival = none, streams = [], events = [], asOf } = trial;
    const pest = pestOf(id);
    const sites = sitesOn(FORM, id);
    const surroundings = { pest, sites, dailyMeanC: [meanC], timeStepDays: 0.25 };
    const question = { ...surroundings, fromDays: 0, arrival, streams, events, looks: [], asOfDays: asOf };
    const { pCarries, pUnseen } = reckonCarriage(question);

    const layout = layoutOf(pest);
    const dt = stepFor(layout, meanC, 0.25);
    const shares = [...stableGrowth(layout, sites, meanC, dt).shares];
    const founders = founderShares(shares, layout, sharesOf(sites));
    const dice = diceFrom(3000 + i);
    let unseen = 0;
    let carries = 0;
    for (let run = 0; run < RUNS; run++) {
      const size = dice.uniform() < arrival.share ? poisson(dice, exponential(dice, arrival.mean)) : 0;
      const life = liveOn({ ...surroundings, events: [] }, shares, dt, likelyScenario[0]!, dice, size);
      let seen = false;
      for (let step = 0; ; step++) {
        for (const event of events) {
          if (Math.round(event.atDays / dt) !== step) continue;
          if (event.kind === "treatment") life.treat(event);
          else if (life.look(event.see) > 0) seen = true;
        }
        if (seen || step >= Math.round(asOf / dt)) break;
        for (const { fromDays, untilDays, perDay } of streams)
          if (step >= Math.round(fromDays / dt) && step < Math.round(untilDays / dt))
            life.come(poisson(dice, perDayAt(perDay, step * dt - fromDays) * dt), founders);
        life.pass(dt);
      }
      if (seen) continue;
      unseen++;
      if (life.left() > 0) carries++;
    }
    const error = (p: number, n: number) => Math.max(1 / n, Math.sqrt((p * (1 - p)) / n));
    expect(pUnseen).not.toBeNull();
    expect(Math.abs(unseen / RUNS - pUnseen!)).toBeLessThan(STANDARD_ERRORS * error(pUnseen!, RUNS));
    expect(Math.abs(carries / unseen - pCarries)).toBeLessThan(STANDARD_ERRORS * error(pCarries, unseen));
  });
});

/** How many a day of a stream, so many days after it began. */
function perDayAt(perDay: Streams[number]["perDay"], days: number): number {
  return typeof perDay === "number" ? perDay : (perDay[Math.min(Math.floor(days + 1e-9), perDay.length - 1)] ?? 0);
}

function exponential({ uniform }: Dice, mean: number): number {
  return -mean * Math.log(1 - uniform());
}
