import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { carriesFile } from "../../advice/clearance/carriesFile";
import { readCarriageFile } from "../../record/format/read";
import type { CarriageFileInput } from "../../record/format/schema";
import type { ToolId } from "../inspection/tools";
import { seeChances } from "../inspection/see";
import { sitesOn } from "../inspection/sitesOn";
import { pestIds, pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { reckonCarriage, type CarriageQuestion } from "./carriage";

const named = (name: string) =>
  readFileSync(path.resolve(import.meta.dirname, "../../record/format/tests", `${name}.json`), "utf8");

function carries(file: object) {
  const read = readCarriageFile(JSON.stringify(file));
  const done = read.ok ? carriesFile(read.file) : read;
  if (!done.ok) throw new Error(JSON.stringify(done.problems));
  return done.answer;
}

const from = "2026-01-01";
const on = (day: number) => new Date(Date.parse(from) + day * 86_400_000).toISOString().slice(0, 10);
const spots = [...spotsOf("trailingVine")];
const looks = (tool: ToolId, days: readonly number[]) =>
  days.map((day) => ({ type: "inspection", at: on(day), look: { with: tool, spots } }) as const);

function plant(over: Partial<CarriageFileInput>): CarriageFileInput {
  return {
    format: "wary-petal.carriage",
    version: 1,
    pest: "mealybug",
    plant: { growthForm: "trailingVine" },
    temperature: 22,
    from,
    asOf: on(42),
    ...over,
  };
}

describe("what a plant may carry unseen", () => {
  // Source: a case reckoned by a program written separately from the same mathematics.
  it("agrees with an independent program", () => {
    const expected = JSON.parse(named("carries-neighbour.answer")) as ReturnType<typeof carries>;
    const answer = carries(JSON.parse(named("carries-neighbour")) as object);
    expect(answer.pCarries).toBeCloseTo(expected.pCarries, 6);
    expect(answer.pUnseen).toBeCloseTo(expected.pUnseen, 6);
    expect(answer.routes).toEqual(expected.routes.map((share) => expect.closeTo(share, 6) as number));
    expect(answer.pFind).toBeCloseTo(expected.pFind!, 6);
    expect(answer.pCarriesAfterClean).toBeCloseTo(expected.pCarriesAfterClean!, 6);
  });

  // Closed form: a Poisson size with an exponential mean m is 0 with probability 1 / (1 + m).
  it("on the day it came: it came with a colony that is not empty", () => {
    const { pCarries, pUnseen, routes } = carries(plant({ arrival: { share: 0.3, mean: 4 }, asOf: from }));
    expect(pCarries).toBeCloseTo(0.3 * (4 / 5), 12);
    expect(pUnseen).toBe(1);
    expect(routes).toEqual([1]);
  });

  // Closed form: of a Poisson stream at rate r nothing has come in a time t with probability e^(−r t).
  it("before anything can have died, a stream is a Poisson process", () => {
    const pest = {
      id: "line",
      lowerC: 0,
      upperC: 40,
      stages: [
        {
          id: "a",
          degreeDays: 100_000,
          substages: 1,
          dailyDeath: 0,
          where: "foliage",
          mobile: true,
          femaleEggs: 0.001,
        },
      ],
    } as const;
    const founders = [{ route: "wind", from, until: on(40), perDay: 0.02 }];
    const { pCarries } = carries(
      plant({ pest: { ...pest, stages: [...pest.stages] }, plant: { shelteredShare: 0.3 }, founders, asOf: on(10) }),
    );
    expect(pCarries).toBeCloseTo(1 - Math.exp(-0.2), 3);
  });

  it("nothing that can have brought it: it carries nothing, and no route is to blame", () => {
    expect(carries(plant({}))).toEqual({ pCarries: 0, pUnseen: 1, routes: [0] });
  });

  // Closed form: at the moment itself what is left is there with just that chance, however many it may be.
  it.each([
    [0.02, 0.02],
    [0.3, 12],
    [1, 80],
  ])("of what may be left of a case with %s, %s expected, it carries it with that chance at once", (pAny, expected) => {
    const pest = pestOf("mealybug");
    const types = [1, ...Array.from({ length: 200 }, () => 0)];
    const now = { pest, sites: sitesOn("trailingVine", "mealybug"), dailyMeanC: [22], timeStepDays: 0.5 };
    const remains = { pAny, expected, types };
    const asked = { ...now, fromDays: 3, arrival: remains, streams: [], events: [], looks: [], asOfDays: 3 };
    const { pCarries, routes } = reckonCarriage(asked);
    expect(pCarries).toBeCloseTo(pAny, 5);
    expect(routes).toEqual([1]);
    // Weeks on some lines have ended by themselves.
    expect(reckonCarriage({ ...asked, asOfDays: 40 }).pCarries).toBeLessThan(pAny);
  });

  // Facts of the trade; common practice, no source.
  it("weekly clean looks: it falls faster with a loupe than with the eye", () => {
    const after = (tool: ToolId) =>
      carries(plant({ arrival: { share: 0.2, mean: 5 }, events: looks(tool, [7, 14, 21, 28, 35, 42]) })).pCarries;
    expect(after("loupe")).toBeLessThan(after("eye") / 2);
  });

  // Common practice, no source: two wholly clean looks with a lamp, a week apart, take the worst off any neighbour.
  it.each(pestIds.filter((pest) => pestOf(pest).stages.some(({ where }) => where === "foliage")))(
    "two clean looks with a lamp bring down one that stood beside %s for weeks",
    (pest) => {
      const founders = [{ route: "neighbour", from, until: on(42), perDay: 0.03 }];
      const after = (days: readonly number[]) =>
        carries(plant({ pest, founders, events: looks("lamp", days), asOf: on(50) })).pCarries;
      expect(after([42, 49])).toBeLessThan(0.75 * after([]));
    },
  );

  it("in a warm room faster than in a cool one: what grows shows", () => {
    const after = (temperature: number) =>
      carries(plant({ temperature, arrival: { share: 0.2, mean: 5 }, events: looks("lamp", [14, 28, 42]) })).pCarries;
    expect(after(26)).toBeLessThan(after(16));
  });

  it("a look to come is worth more with a loupe, and what it may find it takes off", () => {
    const worth = (tool: ToolId) =>
      carries(plant({ arrival: { share: 0.2, mean: 5 }, look: { with: tool, spots } })) as Required<
        ReturnType<typeof carries>
      >;
    expect(worth("loupe").pFind).toBeGreaterThan(worth("eye").pFind);
    const { pFind, pCarries, pCarriesAfterClean } = worth("loupe");
    // Whoever carries it is found, or stays unfound: P(carries) = P(find) + P(no find) · P(carries | no find).
    expect(pFind + (1 - pFind) * pCarriesAfterClean).toBeCloseTo(pCarries, 12);
  });

  it.each<[string, Partial<CarriageFileInput>, string]>([
    [
      "a founder from before",
      { founders: [{ route: "r", from: "2025-12-01", until: on(3), perDay: 1 }] },
      "founders[0].from",
    ],
    [
      "a time that ends before it begins",
      { founders: [{ route: "r", from: on(3), until: on(2), perDay: 1 }] },
      "founders[0].until",
    ],
    ["a look from before", { events: looks("eye", [-3]) as never }, "events[0].at"],
    ["a chance that is none", { arrival: { share: 2 } }, "arrival.share"],
    ["a spot that the plant lacks", { look: { with: "eye", spots: ["gap"] } }, "look.spots[0]"],
    ["asked about before it came", { asOf: "2025-12-01" }, "asOf"],
  ])("refuses %s", (_why, over, where) => {
    const read = readCarriageFile(JSON.stringify(plant(over)));
    expect(read.ok ? [] : read.problems.map(({ path: at }) => at)).toEqual([where]);
  });
});

describe("what need not be followed to its beginning", () => {
  const spotsSeen = ["axil", "underside", "newLeaf"] as const;
  const question = (pest: PestId, everyDays: number, tool: ToolId): CarriageQuestion => {
    const see = seeChances(pestOf(pest), pest, "trailingVine", { tool, spots: [...spotsSeen] });
    const events = Array.from({ length: Math.floor(180 / everyDays) }, (_, i) => ({
      ...{ kind: "inspection" as const, atDays: everyDays * (i + 1) - 0.25, found: 0, removed: false, see },
    }));
    return {
      ...{ pest: pestOf(pest), sites: sitesOn("trailingVine", pest), dailyMeanC: [22], timeStepDays: 0.5, fromDays: 0 },
      arrival: { share: 0.1, mean: 5 },
      streams: [
        { route: "background", fromDays: 0, untilDays: 182, perDay: 2e-4 },
        { route: "neighbour", fromDays: 60, untilDays: 150, perDay: Array.from({ length: 90 }, (_, i) => 1e-4 * i) },
      ],
      ...{ events, looks: [see], asOfDays: 182 },
    };
  };

  it.each(
    pestIds.flatMap((pest) =>
      [7, 28].flatMap((everyDays) => (["eye", "loupe"] as const).map((tool) => [pest, everyDays, tool] as const)),
    ),
  )("%s, looked at every %i days by %s: a thousandth is the most that is left out", (pest, everyDays, tool) => {
    const asked = question(pest, everyDays, tool);
    const whole = reckonCarriage(asked);
    const short = reckonCarriage({ ...asked, mayMiss: 1e-3 });
    const within = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThanOrEqual(1.001e-3 * b);
    within(short.pCarries, whole.pCarries);
    expect(short.pCarries).toBeLessThanOrEqual(whole.pCarries + 1e-12);
    within(short.looks[0]!.pFind, whole.looks[0]!.pFind);
    short.routes.forEach((share, i) => expect(Math.abs(share - whole.routes[i]!)).toBeLessThan(2e-3));
    // What was not followed does not say how likely it was to stay unseen.
    if (short.pUnseen !== null) expect(short.pUnseen).toBeCloseTo(whole.pUnseen!, 12);
  });
});
