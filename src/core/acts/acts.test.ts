import { describe, expect, it } from "vitest";
import { ln } from "../shared/exponential";
import { pestIds, pestOf, type PestId } from "../knowledge/pests/pests";
import { shareOn } from "../knowledge/plants/spotWeights";
import type { LastingEvent, TreatmentEvent } from "../model/population/events";
import { remedyOf, repeatable, techniquesOn } from "../knowledge/remedies/remedies";
import {
  act,
  actKindIds,
  cautionsOfAct,
  costsOfAct,
  eventsOfAct,
  timersAfter,
  treats,
  workIn,
  subjectsOf,
  type Act,
  type ActKindId,
} from "./acts";
import type { Target } from "./kind";

const on = (pest: PestId, form: Target["form"] = "trailingVine"): Target => ({
  pest: pestOf(pest),
  weights: pest,
  form,
});
const stage = (pest: PestId, id: string) => pestOf(pest).stages.findIndex((one) => one.id === id);

/** One act of each kind, as it is written down. */
const examples: { readonly [K in ActKindId]: Extract<Act, { kind: K }> } = {
  contact: { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 60, spots: ["axil", "underside"] },
  drench: { kind: "drench", remedy: "bti", volumeMl: 400 },
  mechanical: { kind: "mechanical", way: "shower", tool: null, percent: null, spots: ["underside"] },
  systemic: { kind: "systemic", remedy: "throughTheRoots", given: "" },
  release: { kind: "release", predator: "predatoryMites", sachets: 2 },
  trap: { kind: "trap", cards: 1, days: 28 },
  dust: { kind: "dust", dryDays: 5 },
  culture: { kind: "culture", way: "sandCap", days: 90 },
  clean: { kind: "clean", what: "shelf", with: "soapyWater" },
};

describe("every kind of act", () => {
  it.each(actKindIds)("%s reads its own parameters, has cautions before it, and costs time", (kind) => {
    const example = examples[kind];
    expect(act.parse(example)).toEqual(example);
    expect(cautionsOfAct(example).length).toBeGreaterThan(0);
    expect(costsOfAct(example, 12).minutes).toBeGreaterThan(0);
    expect(subjectsOf(kind)).toContain("plant");
  });

  it.each(actKindIds)("%s gives chances and rates that are some, for every stage of every pest", (kind) => {
    for (const pest of pestIds) {
      const { stages } = pestOf(pest);
      for (const event of eventsOfAct(examples[kind], on(pest), 3)) {
        if (event.kind === "lasting") {
          expect(event.untilDays).toBeGreaterThan(event.atDays);
          expect(event.atDays).toBeGreaterThanOrEqual(3);
          expect(event.effect.dailyHazard).toHaveLength(stages.length);
          expect(Math.min(...event.effect.dailyHazard)).toBeGreaterThanOrEqual(0);
        } else {
          expect(event.atDays).toBe(3);
          expect(event.kill).toHaveLength(stages.length);
          const shares = Object.values(event.reach).flat();
          for (const share of [...shares, ...event.kill.flatMap((k) => Object.values(k) as number[])]) {
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1);
          }
        }
      }
    }
  });

  it.each<[string, object]>([
    ["a kind that is none", { kind: "prayer" }],
    ["a prune without the share that was taken", { ...examples.mechanical, way: "prune" }],
    ["more cut off than is left", { ...examples.mechanical, way: "prune", percent: 95 }],
    ["a squash without what it was looked for with", { ...examples.mechanical, way: "squash" }],
    ["no card", { ...examples.trap, cards: 0 }],
    ["a card that hangs for ever", { ...examples.trap, days: 9999 }],
    ["a drench of nothing", { ...examples.drench, volumeMl: 0 }],
    ["a remedy of another kind", { ...examples.drench, remedy: "throughTheRoots" }],
    ["a spot that is none", { ...examples.contact, spots: ["attic"] }],
  ])("refuses %s", (_why, wrong) => {
    expect(act.safeParse(wrong).success).toBe(false);
  });

  it("only what works on a room is done to a place", () => {
    expect(actKindIds.filter((kind) => subjectsOf(kind).includes("place"))).toEqual([
      "drench",
      "release",
      "trap",
      "dust",
      "culture",
      "clean",
    ]);
  });

  it("asks for the width of a pot", () => {
    expect(() => costsOfAct(examples.contact, 0)).toThrow(RangeError);
  });
});

const treatment = (done: Act, target: Target) => eventsOfAct(done, target, 0)[0] as TreatmentEvent;
const lasting = (done: Act, target: Target) => eventsOfAct(done, target, 0) as readonly LastingEvent[];

// The figures of this block are our own estimates (HOUSE), as the trade's own facts give them.
describe("what acts do", () => {
  it("dust on the mix meets gnats that come up through it, and nothing on the leaves", () => {
    const mix = { ...examples.dust, on: "mix" } as const;
    expect(eventsOfAct(mix, on("mealybug"), 0)).toEqual([]);
    const [gnats] = lasting(mix, on("fungusGnat"));
    expect(gnats!.effect.dailyHazard).toEqual([0, 0, 0, 0.05, 0.05]);
    expect(lasting(examples.dust, on("mealybug"))[0]!.effect.dailyHazard.some((hazard) => hazard > 0)).toBe(true);
  });

  it("a contact act is its remedy and technique on the spots named", () => {
    const done = treatment({ ...examples.contact, spots: ["underside"] }, on("spiderMite"));
    const [open] = shareOn("trailingVine", "spiderMite", ["underside"]);
    expect(done.reach.foliage).toEqual([0.95, 0.7, 0.1]);
    expect(done.cover!.foliage).toEqual([open, 0, 0]);
    expect(cautionsOfAct(examples.contact)).toEqual(remedyOf("soap").cautions);
  });

  it("Bti kills .8 of the gnat larvae that a watering reaches, and nothing else", () => {
    const { kill, reach } = treatment(examples.drench, on("fungusGnat"));
    expect(kill[stage("fungusGnat", "larva")]!.likely).toBe(0.8);
    expect(kill.filter(({ likely }) => likely > 0)).toHaveLength(1);
    expect(reach).toEqual({ soil: [0.9, 0.9, 0.5] });
    expect(treatment(examples.drench, on("rootMealybug")).kill.every(({ likely }) => likely === 0)).toBe(true);
  });

  it("peroxide kills .7 of the gnat larvae", () => {
    const { kill } = treatment({ ...examples.drench, remedy: "peroxide" }, on("fungusGnat"));
    expect(kill[stage("fungusGnat", "larva")]!.likely).toBe(0.7);
  });

  it("a shower takes six in ten of those that move on the spots that were rinsed; into a bare mix three in ten of them climb back", () => {
    const shower = { ...examples.mechanical, way: "shower", tool: null, spots: ["underside", "axil"] } as const;
    const target = on("spiderMite");
    const [open] = shareOn("trailingVine", "spiderMite", ["underside", "axil"]);
    const dies = (mix: "covered" | "bare", id: string) => {
      const { kill, reach, cover } = treatment({ ...shower, mix, spots: [...shower.spots] }, target);
      return kill[stage("spiderMite", id)]!.likely * reach.foliage![0] * cover!.foliage![0];
    };
    expect(dies("covered", "adult")).toBeCloseTo(0.6 * open, 12);
    expect(dies("bare", "adult")).toBeCloseTo(0.6 * 0.7 * open, 12);
    expect(dies("covered", "egg")).toBe(0);
  });

  it("a shower dislodges .6 of those that move on open spots and .2 on sheltered ones", () => {
    const everywhere = {
      ...examples.mechanical,
      spots: ["underside", "upperSide", "vein", "stem", "flower", "axil", "newLeaf"],
    };
    const { kill, reach } = treatment(everywhere as Act, on("spiderMite"));
    expect(kill[stage("spiderMite", "adult")]!.likely * reach.foliage![0]).toBeCloseTo(0.6, 12);
    expect(kill[stage("spiderMite", "adult")]!.likely * reach.foliage![1]).toBeCloseTo(0.2, 12);
    expect(kill[stage("spiderMite", "egg")]!.likely).toBe(0);
  });

  it("squashing kills what is seen and no more: with the eye alone hardly a mite", () => {
    const all = { ...examples.mechanical, way: "squash", spots: ["underside", "upperSide", "vein", "stem", "flower"] };
    const with_ = (tool: string) => treatment({ ...all, tool } as Act, on("spiderMite")).touch!;
    const adult = stage("spiderMite", "adult");
    expect(with_("eye")[adult]![0]).toBeCloseTo(0.1 * 0.98, 12);
    expect(with_("loupe")[adult]![0]).toBeCloseTo(0.7 * 0.98, 12);
    expect(with_("loupe")[stage("spiderMite", "egg")]).toEqual([0, 0, 0]);
  });

  it("what is cut off takes its share of the animals on and in the leaves, none of those in the mix", () => {
    const prune = { ...examples.mechanical, way: "prune", percent: 30 } as Act;
    const { kill } = treatment(prune, on("thrips"));
    expect(kill.map(({ likely }) => likely)).toEqual([0.3, 0.3, 0, 0.3, 0.3]);
  });

  it("cuttings put back into the pot keep their animals there: no treatment, and no pruning that a plan asked for", () => {
    const putBack = { ...examples.mechanical, way: "prune", percent: 30, cuttings: "putBack" } as Act;
    expect(eventsOfAct(putBack, on("thrips"), 0)).toEqual([]);
    expect([treats(putBack, "thrips"), workIn(putBack)]).toEqual([false, null]);
    expect(workIn({ ...putBack, cuttings: "potted" } as Act)).toBe("prune");
  });

  it("alcohol poured on a bared neck meets those at the neck alone, for five minutes, and is rinsed off", () => {
    const poured = { ...examples.contact, mix: "alcoholFull", technique: "neckPour", spots: ["neck"] } as Act;
    const { cover } = treatment(poured, on("mealybug", "tubercledCactus"));
    const neck = shareOn("tubercledCactus", "mealybug", ["neck"]);
    expect(cover!.foliage).toEqual(neck);
    expect(timersAfter(poured).slice(0, 2)).toMatchObject([
      { what: "contact", minutes: 5 },
      { what: "rinse", optional: false },
    ]);
    // Roots that were soaked in it keep their mealybugs (trade): they sit in the mix, where it does not act.
    const soaked = { ...poured, technique: "rootSoak", spots: ["roots"] } as Act;
    expect([treats(soaked, "rootMealybug"), treats(soaked, "mealybug")]).toEqual([false, false]);
    expect(eventsOfAct(soaked, on("mealybug"), 0)).toEqual([]);
    // No plan repeats either, and a plant without a neck is not asked for one.
    expect(repeatable("alcohol").filter((way) => way === "neckPour" || way === "rootSoak")).toEqual([]);
    expect(techniquesOn("alcohol", "airPlant")).toEqual(repeatable("alcohol"));
    expect(techniquesOn("alcohol", "tubercledCactus")).toContain("neckPour");
  });

  it("unpotted and washed, .9 of root mealybugs go, and of mealybugs those below and at the neck", () => {
    const unpot = { ...examples.mechanical, way: "unpot" } as Act;
    expect(treatment(unpot, on("rootMealybug")).reach.soil).toEqual([0.9, 0.9, 0.9]);
    const { reach, cover } = treatment(unpot, on("mealybug"));
    // Weights of the sheltered spots of a trailing vine, what sits deep taken off: axil .18, newest leaf .064, neck .064,
    // roots .02, pot .035.
    expect(reach.foliage![1] * cover!.foliage![1]).toBeCloseTo((0.6 * 0.064 + 0.9 * 0.055) / 0.363, 12);
    // Whoever misses twice as much where the hand went has still not been where it did not go.
    expect(cover!.foliage![1]).toBeCloseTo((0.064 + 0.055) / 0.363, 12);
  });

  it("a dab guided by the eye hits what shows; without a tool on record it is as good as its spots", () => {
    const dab: Act = { ...examples.contact, mix: "alcoholFull", technique: "dab", spots: ["axil"] };
    expect(treatment(dab, on("mealybug")).reach.foliage).toEqual([0.95, 0.6, 0]);
    const { touch, cover } = treatment({ ...dab, tool: "lamp" }, on("mealybug"));
    const adult = touch![stage("mealybug", "adult")]!;
    [0.75, 0.4, 0.03].forEach((seen, site) => expect(adult[site]).toBeCloseTo(seen * 0.98, 12));
    expect(cover!.foliage).toEqual(shareOn("trailingVine", "mealybug", ["axil"]));
  });

  it("a mix half as strong kills as its potency says; two drops of neem in a bottle nearly nothing", () => {
    const adult = stage("mealybug", "adult");
    const dies = (done: object) =>
      treatment({ ...examples.contact, ...done } as Act, on("mealybug")).kill[adult]!.likely;
    expect(dies({ mix: "alcoholFull" })).toBeCloseTo(0.93, 12);
    expect(dies({ mix: "alcoholHalf" })).toBeCloseTo(1 - 0.07 ** 0.55, 12);
    expect(dies({ mix: "alcoholFull", strength: 26 })).toBeLessThan(dies({ mix: "alcoholHalf" }));
    // A tenth of a millilitre in half a litre.
    const drops = eventsOfAct({ ...examples.contact, mix: "neemUsual", strength: 0.2 }, on("mealybug"), 0);
    expect((drops[0] as TreatmentEvent).kill[adult]!.likely).toBeLessThan(0.03);
    const { effect } = drops[1] as LastingEvent;
    expect(effect.layFactor).toBeGreaterThan(0.97);
  });

  it("of two remedies in one can dies whoever does not outlive both (worked by hand); what goes on of one goes on", () => {
    const adult = stage("mealybug", "adult");
    const together = { ...examples.contact, mix: "soapAlcohol" } as Act;
    // Soap at 5 mL a litre does .7 of what its table says, alcohol at 17.5 % .25: of .87 and .93 leave (1 − .87)^.7 and (1 − .93)^.25.
    expect(treatment(together, on("mealybug")).kill[adult]!.likely).toBeCloseTo(1 - 0.13 ** 0.7 * 0.07 ** 0.25, 12);
    expect(eventsOfAct(together, on("mealybug"), 0)).toHaveLength(1);
    const [, after] = eventsOfAct({ ...examples.contact, mix: "soapNeem" }, on("mealybug"), 3);
    expect((after as LastingEvent).effect.layFactor).toBe(0.5);
    // What must be read is what each of them asks, and what is waited for as well.
    expect(cautionsOfAct(together)).toEqual(expect.arrayContaining([...remedyOf("soap").cautions, "flammable"]));
    expect(timersAfter(together).map(({ what }) => what)).toEqual(["dark", "fan", "rinse"]);
  });

  it("neem goes on for eight days: .06 of the young a day, and half the laying", () => {
    const [, after] = eventsOfAct({ ...examples.contact, mix: "neemUsual" }, on("mealybug"), 3);
    const { atDays, untilDays, effect } = after as LastingEvent;
    expect([atDays, untilDays, effect.layFactor]).toEqual([3, 11, 0.5]);
    expect(effect.dailyHazard).toEqual([0, 0.06, 0.06, 0, 0]);
  });

  it("what a remedy leaves behind lies where it went, and only against whom it works", () => {
    const onFlowers = { ...examples.contact, mix: "neemUsual", spots: ["flower"] } as Act;
    const [, after] = eventsOfAct(onFlowers, on("softScale"), 0);
    const [open] = shareOn("trailingVine", "softScale", ["flower"]);
    expect((after as LastingEvent).effect.cover).toEqual([open * 0.95, 0, 0]);
    // Acaricides that do nothing to mealybugs do nothing to their laying either; shells let as little through as of the spray itself.
    expect(eventsOfAct({ ...examples.contact, mix: "hexythiazoxLabel" } as Act, on("mealybug"), 0)).toHaveLength(1);
    const [, shelled] = eventsOfAct({ ...examples.contact, mix: "neemUsual" }, on("armouredScale"), 0);
    const nymph = stage("armouredScale", "nymph");
    expect((shelled as LastingEvent).effect.dailyHazard[nymph]).toBeCloseTo((0.06 * 0.15) / 0.72, 12);
  });

  it("spinosad goes on for a week: .4 a day of thrips' larvae and grown ones, not of pupae in the mix", () => {
    const [, after] = eventsOfAct({ ...examples.contact, mix: "spinosadLabel" } as Act, on("thrips"), 0);
    const { untilDays, effect } = after as LastingEvent;
    expect(untilDays).toBe(7);
    expect(effect.dailyHazard).toEqual([0, 0.4, 0, 0.4, 0.4]);
  });

  it("of thrips pupae a quarter stay in folds of the leaves, where a spray reaches them", () => {
    const { kill, reach, cover } = treatment(examples.contact, on("thrips"));
    expect(kill[stage("thrips", "egg")]!.likely).toBe(0);
    expect(kill[stage("thrips", "pupa")]!.likely).toBeGreaterThan(0.5);
    expect(reach.soil).toEqual(reach.foliage);
    cover!.soil!.forEach((share, site) => expect(share).toBeCloseTo(0.25 * cover!.foliage![site]!, 12));
  });

  it("shells of armoured scale keep alcohol and soap off, oil smothers them, a cloth rubs them off", () => {
    const dies = (mix: string, technique = "spray") =>
      treatment({ ...examples.contact, mix, technique } as Act, on("armouredScale")).kill.map(({ likely }) => likely);
    const [egg, crawler, ...shelled] = dies("alcoholFull");
    expect([egg, ...shelled]).toEqual([0.3, 0.3, 0.3, 0.3]);
    expect(crawler).toBe(0.97);
    expect(dies("oil2").filter((chance) => chance === 0.8)).toHaveLength(4);
    expect(dies("alcoholFull", "wipe").slice(2)).toEqual([0.9, 0.9, 0.9]);
  });

  it("a systemic kills .9 of the feeding mealybugs it reaches over a week, after twelve days; eggs and mites not", () => {
    const [event] = lasting(examples.systemic, on("mealybug"));
    expect([event!.atDays, event!.untilDays]).toEqual([12, 19]);
    const rate = event!.effect.dailyHazard[stage("mealybug", "nymph")]!;
    expect(1 - Math.exp(-7 * rate)).toBeCloseTo(0.9 * 0.95, 12);
    expect(event!.effect.dailyHazard[stage("mealybug", "egg")]).toBe(0);
    expect(lasting(examples.systemic, on("spiderMite"))).toEqual([]);
  });

  it("a systemic goes on for weeks, ever weaker; a sachet grows and fades; beetles do nothing in an open room", () => {
    const [first, tail, ...rest] = lasting(examples.systemic, on("mealybug"));
    expect(rest).toEqual([]);
    expect(tail!.atDays).toBe(first!.untilDays);
    expect(tail!.untilDays - tail!.atDays).toBeGreaterThanOrEqual(14);
    const adult = stage("spiderMite", "adult");
    const mites = lasting(examples.release, on("spiderMite")).map(({ effect }) => effect.dailyHazard[adult]!);
    expect(mites[1]).toBeGreaterThan(mites[0]!);
    expect(mites[1]).toBeGreaterThan(mites[2]!);
    const beetles = { ...examples.release, predator: "mealybugBeetles" } as const;
    expect(lasting(beetles, on("mealybug"))).toEqual([]);
    expect(lasting({ ...beetles, where: "open" }, on("mealybug"))).toEqual([]);
    expect(lasting({ ...beetles, where: "cabinet" }, on("mealybug"))).not.toEqual([]);
  });

  it("a sticky card takes .08 of the flying adults a day, for as long as it hangs", () => {
    const [event] = lasting(examples.trap, on("fungusGnat"));
    expect(event!.effect.dailyHazard[stage("fungusGnat", "adult")]).toBeCloseTo(-ln(0.92), 15);
    expect(event!.untilDays).toBe(28);
    expect(lasting(examples.trap, on("mealybug"))).toEqual([]);
  });

  it("a sand cap takes .8 of the gnats' laying", () => {
    const [event] = lasting(examples.culture, on("fungusGnat"));
    expect(event!.effect.layFactor).toBe(0.2);
    expect(lasting(examples.culture, on("aphid"))).toEqual([]);
  });
});
