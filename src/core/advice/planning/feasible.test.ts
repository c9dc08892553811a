import { describe, expect, it } from "vitest";
import { TRIAL_DAY } from "../plans/trial";
import { day } from "../../shared/days";
import type { Bottle } from "../../knowledge/household/bottles";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { treatedPlantOf, type TreatedPlant } from "../tolerance/treatedPlant";
import { approaches, approachOf, dosesOf } from "./approaches";
import { isWork } from "./doses";
import { hindrancesOf, isAtHand } from "./feasible";

const bearer = (genus: string, growthForm: GrowthFormId, over: Partial<TreatedPlant> = {}): TreatedPlant => ({
  ...treatedPlantOf({ genus, growthForm, potCm: 14, inBud: false, inFlower: false }, [], TRIAL_DAY, "north"),
  ...over,
});
const leafy = bearer("Monstera", "climbingAroid");
const cactus = bearer("Mammillaria", "tubercledCactus", { resting: true });
const warm = { meanC: 22, humidity: 65, rests: false };
const of = (id: (typeof approaches)[number]["id"], over: Partial<Parameters<typeof hindrancesOf>[1]> = {}) =>
  hindrancesOf(approachOf(id), { pest: "spiderMite", bearer: leafy, now: warm, found: 6, ...over });

/** Each: common practice, no source. */
describe("ways that nobody can go", () => {
  it("a wide pot is not dunked", () => {
    expect(of("soapDunk")).toEqual([]);
    expect(of("soapDunk", { bearer: { ...leafy, potCm: 25 } })).toEqual(["tooBigToDunk"]);
  });

  it("what rests dry is neither wetted nor given what its roots would take up", () => {
    for (const id of ["soapSpray", "soapDunk", "drenchNeem", "unpotThenSystemic", "alcoholSwab"] as const)
      expect(of(id, { bearer: cactus })).toContain("dryRest");
    expect(of("alcoholDab", { bearer: cactus })).toEqual([]);
    expect(of("soapDab", { bearer: cactus })).toEqual([]);
  });

  it("wax bloom is only dabbed", () => {
    const blue = bearer("Echeveria", "rosetteSucculent");
    expect(of("alcoholDab", { bearer: blue })).toEqual([]);
    for (const id of ["soapSpray", "alcoholSwab", "alcoholWipe"] as const)
      expect(of(id, { bearer: blue })).toContain("dabOnly");
  });

  it("spines and velvet are not wiped; between spines a brush rubs, and cotton buds reach", () => {
    const spiny = bearer("Mammillaria", "tubercledCactus", { resting: false });
    expect(spiny.sensitivities).toContain("spiny");
    const velvet: TreatedPlant = { ...leafy, sensitivities: ["velvet"] };
    expect(of("alcoholWipe")).toEqual([]);
    expect(of("alcoholWipe", { bearer: spiny })).toEqual(["wipedSpines"]);
    expect(of("alcoholWipe", { bearer: velvet })).toEqual(["wipedVelvet"]);
    // A lemon's leaves are wiped between its thorns.
    expect(of("alcoholWipe", { bearer: bearer("Citrus", "uprightShrub") })).toEqual([]);
    const scale = { pest: "softScale" };
    expect(of("rubThenAlcohol", { ...scale, bearer: spiny })).toEqual([]);
    expect(of("rubThenAlcohol", { ...scale, bearer: velvet })).toEqual(["wipedVelvet"]);
    for (const id of ["alcoholDab", "alcoholSwab"] as const) expect(of(id, { bearer: spiny })).toEqual([]);
  });

  it("hunting mites sit still in the cold, and do little in dry air; over a patch they follow a spray", () => {
    expect(of("predatoryMites")).toEqual([]);
    expect(of("predatoryMites", { now: { ...warm, meanC: 9 } })).toContain("helpersWouldSit");
    expect(of("predatoryMites", { now: { ...warm, meanC: 19, humidity: 30 } })).toContain("helpersWouldSit");
    expect(of("predatoryMites", { found: 100 })).toEqual(["tooMany"]);
    expect(of("soapThenPredators", { found: 100 })).toEqual([]);
  });

  // Suppliers' leaflets, from memory.
  it("pirate bugs rest in the short days, wherever the lamp hangs; mites do not", () => {
    const long = { pest: "thrips", bearer: { ...leafy, resting: false } };
    const short = { pest: "thrips", bearer: { ...leafy, resting: true } };
    expect(of("pirateBugs", long)).toEqual([]);
    expect(of("pirateBugs", short)).toContain("daysTooShort");
    expect(of("soapThenPirateBugs", short)).toContain("daysTooShort");
    expect(of("predatoryMites", short)).not.toContain("daysTooShort");
  });

  it("roots take nothing up in the cold", () => {
    const cold = { ...warm, meanC: 14 };
    expect(of("systemicWithAlcohol", { pest: "mealybug", now: cold })).toEqual(["tooColdToTakeUp"]);
    expect(of("systemicWithAlcohol", { pest: "mealybug" })).toEqual([]);
  });

  it("nothing is cut off for a few, nor of what grows from few points, but a spike with aphids always", () => {
    expect(of("cutThenSoap")).toEqual(["tooFewToCut"]);
    expect(of("cutThenSoap", { found: 30 })).toEqual([]);
    const orchid = bearer("Phalaenopsis", "fanOrchid");
    expect(of("cutThenSoap", { bearer: orchid, found: 30 })).toEqual(["onePoint"]);
    expect(of("cutThenSoap", { pest: "aphid", bearer: { ...orchid, inFlower: true } })).toEqual([]);
  });

  it("where nobody knows how it is there nothing is held against a way", () => {
    for (const { id } of approaches) {
      const { now: _now, ...unknown } = {
        ...{ pest: "spiderMite", found: 30, now: warm },
        bearer: { ...leafy, resting: false },
      };
      expect(hindrancesOf(approachOf(id), unknown)).toEqual([]);
    }
  });
});

describe("what is at hand", () => {
  const bottle = (active: Bottle["active"]): Bottle => ({
    ...{
      id: active,
      name: active,
      active,
      percent: null,
      unit: "mL",
      perLitre: null,
      everyDays: null,
      mostTimes: null,
    },
    ...{
      allowed: ["indoors"],
      size: null,
      openedOn: day("2026-01-01"),
      bestBefore: null,
      emptiedOn: null,
      price: null,
    },
  });
  const home = (...bottles: Bottle[]): TreatedPlant => ({
    ...leafy,
    home: { household: [], notAllowed: [], bottles },
  });

  it("alcohol, soap, water and hands are in any home; the rest in the cupboard", () => {
    for (const id of ["soapSpray", "alcoholSwab", "rubThenSoap", "showerAlcoholInTurn", "unpotTwice"] as const)
      expect(isAtHand(approachOf(id), home())).toBe(true);
    for (const id of ["oilSpray", "neemSpray", "spinosadSpray", "predatoryMites"] as const)
      expect(isAtHand(approachOf(id), home())).toBe(false);
    expect(isAtHand(approachOf("soapOilInTurn"), home(bottle("oil")))).toBe(true);
  });

  it("where nothing is known of the cupboard everything is", () => {
    const { home: _home, ...nobodySaid } = leafy;
    for (const { id } of approaches) expect(isAtHand(approachOf(id), nobodySaid)).toBe(true);
  });
});

describe("the ways that are compared", () => {
  it("are each told apart, and what is done once goes before something else", () => {
    expect(new Set(approaches.map(({ id }) => id)).size).toBe(approaches.length);
    for (const approach of approaches.map(({ id }) => approachOf(id))) {
      const doses = dosesOf(approach);
      expect(doses.length).toBeGreaterThan(0);
      if (approach.once) expect(doses[0]).toEqual(approach.once);
      if (approach.once) expect(isWork(approach.once)).toBe(true);
    }
  });
});
