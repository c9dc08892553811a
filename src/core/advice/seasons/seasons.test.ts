import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Act } from "../../acts/acts";
import { addDays, day, daysBetween, type Day } from "../../shared/days";
import type { RoomEnding, RoomProgramme } from "../../record/facts/facts";
import type { ChosenProgramme } from "../../record/facts/kinds/roomProgramme";
import type { PestId } from "../../knowledge/pests/pests";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { inBatches, workDaysBetween } from "./batches";
import { whatFeeds, type PlaceRecord } from "./feeding";
import { biocontrolDue } from "./biocontrol";
import { developmentRateAt, developmentRatesAt, growthOf } from "./developmentRate";
import {
  infestedAt,
  inSeason,
  mixOn,
  nextRound,
  sparedFrom,
  worthsAmong,
  type RoundMix,
  type RoundPlant,
} from "./prevention";
import { leftAfter, onwardAt } from "./roundEffect";
import { gapAfter } from "../../knowledge/routines/roundRhythms";
import { ofKind, runningProgrammes } from "./running";
import {
  moveBefore,
  nextInside,
  nextOutside,
  noSoak,
  winterWork,
  winterMinutes,
  winterMix,
  winterSteps,
  type WinterPlant,
} from "./wintering";
import type { Paces } from "../sessions/pace";

const first = day("2026-09-01");
const on = (n: number) => addDays(first, n);
const bearer = (over: Partial<TreatedPlant> = {}): TreatedPlant => ({
  ...{ form: "uprightShrub", potCm: 14, sensitivities: [], known: true, inBud: false, inFlower: false },
  ...{ resting: false, reactions: [], ...over },
});

describe("programmes that run", () => {
  let made = 0;
  const fact = (n: number, over: object = {}) => ({
    ...{
      id: String(++made),
      at: new Date(`${on(n)}T10:00:00Z`),
      recordedAt: new Date(`${on(n)}T10:00:00Z`),
      day: on(n),
    },
    ...{ recordedBy: "", voidReason: null, placeId: "room", programme: "gnats", ...over },
  });
  const chosen = (ways: ("cards" | "dryTop")[]): ChosenProgramme => ({ programme: "gnats", ways });
  const begun = (n: number, over: object = {}) => fact(n, { chosen: chosen(["cards"]), ...over }) as RoomProgramme;
  const ended = (n: number, over: object = {}) => fact(n, { outcome: "clear", note: "", ...over }) as RoomEnding;

  it("go on as was chosen last from the day they began, until they end; each place has its own", () => {
    const all = [begun(0), begun(5, { chosen: chosen(["cards", "dryTop"]) }), begun(3, { placeId: "other" })];
    const running = ofKind(runningProgrammes(all, []), "gnats");
    expect(running.map(({ placeId, begunOn, chosen: { ways } }) => [placeId, begunOn, ways.length])).toEqual([
      ["room", on(0), 2],
      ["other", on(3), 1],
    ]);
    expect(runningProgrammes(all, [ended(6)]).map(({ placeId }) => placeId)).toEqual(["other"]);
    expect(runningProgrammes([...all, begun(9)], [ended(6)]).at(-1)!.begunOn).toBe(on(9));
  });

  it("what was struck out counts nothing, in whatever order it arrives", () => {
    const all = [begun(0), begun(2, { voidReason: "not so" })];
    expect(runningProgrammes(all.toReversed(), [ended(1, { voidReason: "not so" })])).toHaveLength(1);
    expect(runningProgrammes([begun(4)], [ended(2)])).toHaveLength(1);
  });
});

describe("batches", () => {
  const plant = fc.record({
    minutes: fc.integer({ min: 1, max: 90 }),
    dries: fc.boolean(),
    weight: fc.double({ min: 0, max: 1, noNaN: true }),
  });

  it("carry no evening beyond its hours and its drying places, and each plant once or not at all; with 300 plants too", () => {
    const room = fc.record({
      minutes: fc.integer({ min: 10, max: 240 }),
      helpers: fc.integer({ min: 1, max: 4 }),
      dryingPots: fc.integer({ min: 0, max: 20 }),
    });
    fc.assert(
      fc.property(fc.array(plant, { maxLength: 300 }), room, fc.integer({ min: 0, max: 40 }), (all, evening, count) => {
        const plants = all.map((one, i) => ({ ...one, plantId: `p${i}` }));
        const days = Array.from({ length: count }, (_, i) => on(i));
        const { batches, left } = inBatches(plants, days, evening);
        for (const batch of batches) {
          const there = plants.filter(({ plantId }) => batch.plantIds.includes(plantId));
          expect(there.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(batch.minutes);
          expect(batch.minutes).toBeLessThanOrEqual(evening.minutes * evening.helpers);
          expect(there.filter(({ dries }) => dries).length).toBeLessThanOrEqual(evening.dryingPots);
        }
        const placed = [...batches.flatMap(({ plantIds }) => plantIds), ...left];
        expect(placed.toSorted()).toEqual(plants.map(({ plantId }) => plantId).toSorted());
      }),
      { numRuns: 60 },
    );
  });

  it("leave none over where all fit some way", () => {
    const plants = [20, 30, 40, 30].map((minutes, i) => ({ plantId: `p${i}`, minutes, dries: false, weight: i }));
    const { batches, left } = inBatches(plants, [on(0), on(1)], { minutes: 60, helpers: 1, dryingPots: 9 });
    expect(left).toEqual([]);
    expect(batches.map(({ minutes }) => minutes)).toEqual([60, 60]);
  });

  it("take the weightiest first", () => {
    const plants = [0.1, 0.9, 0.5].map((weight, i) => ({ plantId: `p${i}`, minutes: 30, dries: true, weight }));
    const { batches, left } = inBatches(plants, [on(0), on(1)], { minutes: 30, helpers: 1, dryingPots: 1 });
    expect([batches.map(({ plantIds }) => plantIds), left]).toEqual([[["p1"], ["p2"]], ["p0"]]);
  });

  it("are on days on which somebody works", () => {
    expect(workDaysBetween(on(0), on(13), [6, 7])).toEqual([on(4), on(5), on(11), on(12)]);
    expect(workDaysBetween(on(5), on(4), [1, 2, 3, 4, 5, 6, 7])).toEqual([]);
  });
});

// Source: common practice, as keepers bring plants in for winter.
describe("the way in for winter", () => {
  const winter = (over: Partial<TreatedPlant> = {}, more: Partial<WinterPlant> = {}): WinterPlant => ({
    ...{ plantId: "p", bearer: bearer(over), prone: [], inCase: false },
    ...more,
  });

  const minutesOf = (of: Parameters<typeof winter>[0], paces: Paces) => {
    const plant = winter(of);
    return winterMinutes(winterWork(plant), plant.bearer.potCm, paces);
  };

  it("is inspected, pruned, rinsed, soaked, sprayed, waited for, rinsed and its pot cleaned", () => {
    expect(winterSteps(winter())).toEqual(["inspect", "prune", "rinse", "soak", "spray", "wait", "rinseOff", "pot"]);
    // Not soaked: sickly plants and wet succulents; on the floor a weak drench and a flush.
    const dry = [
      winter({}, { inCase: true }),
      winter({ sensitivities: ["sickly"] }),
      winter({ sensitivities: ["winterDry"] }),
    ];
    expect(dry.map(noSoak)).toEqual(["sickly", "sickly", "rotsWet"]);
    for (const one of dry) expect(winterSteps(one)).not.toContain("soak");
    expect(winterSteps(winter({ potCm: 40 }))).toEqual(["inspect", "prune", "sponge", "drench", "pot"]);
    // What grows from few points keeps its leaves.
    expect(winterSteps(winter({ form: "palm" }))).not.toContain("prune");
  });

  it("is soap, or oil for kinds that mites like and that bear it; on the floor the weakest, with a sponge", () => {
    expect(winterMix(winter())).toMatchObject({ mix: "soapMild", technique: "spray" });
    expect(winterMix(winter({}, { prone: ["spiderMite"] }))!.mix).toMatch(/^oil/);
    expect(winterMix(winter({ sensitivities: ["oilShy"] }, { prone: ["spiderMite"] }))!.mix).toMatch(/^soap/);
    expect(winterMix(winter({ potCm: 40 }, { prone: ["spiderMite"] }))).toEqual({ mix: "soapMild", technique: "wipe" });
    expect(winterMix(winter({ sensitivities: ["soapShy"] }))).toBeNull();
    // Soap or oil by choice; what does not bear oil has soap.
    expect(winterMix(winter({}, { remedy: "oil" }))!.mix).toMatch(/^oil/);
    expect(winterMix(winter({ sensitivities: ["oilShy"] }, { remedy: "oil" }))!.mix).toMatch(/^soap/);
    expect(winterMix(winter({}, { remedy: "soap", prone: ["spiderMite"] }))!.mix).toMatch(/^soap/);
    const commands = (plant: WinterPlant) => winterWork(plant).map(({ step, act }) => `${step} ${act?.kind ?? "look"}`);
    expect(commands(winter())).toEqual([
      ...["inspect look", "prune mechanical", "rinse mechanical", "soak drench", "spray contact"],
      ...["rinseOff mechanical", "pot clean"],
    ]);
    expect(commands(winter({ sensitivities: ["soapShy"] }))).not.toContain("spray contact");
    expect(minutesOf({ potCm: 40 }, {})).toBeGreaterThan(minutesOf({}, {}));
  });

  it("takes as long as the keepers' own hands take for its parts", () => {
    expect(minutesOf({ potCm: 12 }, {})).toBe(17);
    const slow = { spray: { factor: 2, plants: 9 }, "mechanical shower": { factor: 2, plants: 9 } };
    const minutes = minutesOf({ potCm: 12 }, slow);
    expect(minutes).toBeGreaterThan(17);
    // What was never timed takes what it takes with us.
    expect(minutes).toBeLessThan(34);
    const all = ["spray", "drench", "mechanical shower", "mechanical prune"].map((hands) => [
      hands,
      { factor: 2, plants: 9 },
    ]);
    expect(minutesOf({ potCm: 12 }, Object.fromEntries(all))).toBeLessThanOrEqual(34);
    // What bears no mix is rinsed only.
    expect(minutesOf({ potCm: 12, sensitivities: ["soapShy"] }, { spray: slow.spray })).toBe(17);
  });

  it("is sprayed again until it comes in", () => {
    expect([nextOutside(on(0), on(30)), nextOutside(on(0), on(10)), nextOutside(on(0), on(11))]).toEqual([
      on(10),
      null,
      on(10),
    ]);
  });

  it("goes on inside: weekly for a month, then every second week, and then it is over", () => {
    const sprayed: Day[] = [];
    for (let next = nextInside(on(0), sprayed); next !== null; next = nextInside(on(0), sprayed)) sprayed.push(next);
    expect(sprayed).toEqual([7, 14, 21, 28, 42, 56, 70, 84].map(on));
    // One that was late moves those after it.
    expect(nextInside(on(0), [on(10)])).toBe(on(17));
    expect(nextInside(on(0), [on(-3)])).toBe(on(7));
  });

  it("is counted back from the first night that was too cold last year", () => {
    const nights = [on(-340), on(-335), on(-330)].map((d, i) => ({ day: d, minC: 12 - 2 * i }));
    expect(moveBefore(nights, 10, on(0))).toBe(on(-330 + 364));
    expect(moveBefore(nights, 5, on(0))).toBeNull();
  });
});

describe("rounds of prevention", () => {
  const soap = { mix: "soapMild", technique: "spray" } as const;
  const oil = { mix: "oil1", technique: "spray" } as const;
  const plant = (over: Partial<RoundPlant> = {}): RoundPlant => ({
    ...{ plantId: "p", bearer: bearer(), prone: [], inCase: false, carries: [{ pest: "mealybug", p: 0.1 }] },
    ...{ placeId: "shelf", meanC: 22, minutes: 5, volumeMl: 200, ...over },
  });

  // Common practice, no source: thin leaves 1 %, thick leaves 2 %: two cans, one round.
  it("of oil gives thin leaves the weaker mix, and nobody a stronger one than the round's", () => {
    expect(mixOn(bearer(), "oil2")).toBe("oil2");
    expect(mixOn(bearer({ sensitivities: ["thinLeaf"] }), "oil2")).toBe("oil1");
    expect(mixOn(bearer(), "oil1")).toBe("oil1");
  });

  it("spare open flowers, what does not tolerate it, predators at work, dry rest, and what is in a case", () => {
    expect(sparedFrom(plant(), soap)).toBeNull();
    expect(sparedFrom(plant({ inCase: true }), soap)).toBe("inCase");
    expect(sparedFrom(plant({ bearer: bearer({ inFlower: true }) }), oil)).toBe("flowers");
    expect(sparedFrom(plant({ bearer: bearer({ sensitivities: ["oilShy"] }) }), oil)).toBe("notBorne");
    expect(sparedFrom(plant({ bearer: bearer({ resting: true, sensitivities: ["winterDry"] }) }), soap)).toBe(
      "resting",
    );
    const helpers = { aliveUntil: on(20), freeFrom: null };
    expect(sparedFrom(plant({ bearer: bearer({ today: on(3), helpers }) }), soap)).toBe("helpers");
    expect(sparedFrom(plant({ bearer: bearer({ today: on(30), helpers }) }), soap)).toBeNull();
  });

  const worthOf = (plants: readonly RoundPlant[], round: RoundMix) => worthsAmong(plants)(round).all;

  it("are worth the more the more a plant may carry and the more stand beside it, and nothing where it may carry nothing", () => {
    const alone = worthOf([plant()], soap).saved;
    expect(alone).toBeGreaterThan(0);
    expect(worthOf([plant({ carries: [] })], soap).saved).toBe(0);
    const clean = Array.from({ length: 9 }, () => plant({ carries: [] }));
    expect(worthOf([plant(), ...clean], soap).saved).toBeGreaterThan(alone);
    const elsewhere = clean.map((one) => ({ ...one, placeId: "sill" }));
    expect(worthOf([plant(), ...elsewhere], soap).saved).toBeCloseTo(alone, 12);
    const many = [plant(), plant({ carries: [{ pest: "thrips", p: 0.3 }] }), plant({ inCase: true })];
    expect(worthOf(many, soap)).toMatchObject({ plants: 2, minutes: 10, volumeMl: 400, spared: { inCase: 1 } });
    expect(worthOf(many, soap).saved).toBeLessThan(1);
  });

  it("never save more than stand there, nor more than are carriers and neighbours to save", () => {
    const sure = Array.from({ length: 30 }, () => plant({ carries: [{ pest: "spiderMite", p: 0.9 }], meanC: 26 }));
    expect(infestedAt(sure)).toBeLessThanOrEqual(30);
    expect(worthOf(sure, soap).saved).toBeLessThanOrEqual(30);
    expect(infestedAt(sure.slice(0, 1))).toBeCloseTo(0.9, 9);
    // Who alone has its turn saves itself and what it would give to others.
    const [first] = sure;
    const oneProne = sure.map((one) => ({ ...one, prone: one === first ? (["spiderMite"] as const) : [] }));
    const { all, prone } = worthsAmong(oneProne)(soap);
    expect([prone.plants, all.plants]).toEqual([1, 30]);
    expect(prone.saved).toBeLessThan(all.saved);
  });

  it("are worth what the plain sum over places, pests and plants says, for all and for the prone alone", () => {
    const pests = ["thrips", "spiderMite", "mealybug"] as const;
    const some = Array.from({ length: 24 }, (_, i) =>
      plant({
        placeId: ["sill", "shelf", "rack"][i % 3]!,
        bearer: bearer({ form: i % 2 === 0 ? "trailingVine" : "fern" }),
        prone: i % 5 === 0 ? ["thrips"] : [],
        inCase: i % 7 === 0,
        carries: pests.map((pest, k) => ({ pest, p: ((i * 7 + k * 11) % 13) / 20 })),
      }),
    );
    const infested = (there: readonly RoundPlant[], isTreated: (one: RoundPlant) => boolean) => {
      const carrier = (one: RoundPlant, pest: PestId) => {
        const dose = { pest, form: one.bearer.form, mix: soap.mix, technique: soap.technique, meanC: one.meanC };
        return one.carries.find((each) => each.pest === pest)!.p * (isTreated(one) ? leftAfter(dose) : 1);
      };
      const spared = (one: RoundPlant, pest: PestId) =>
        there.reduce(
          (free, other) =>
            free * (1 - carrier(other, pest) * (other === one ? 1 : onwardAt(pest, other.bearer.form, other.meanC))),
          1,
        );
      return there.reduce((sum, one) => sum + 1 - pests.reduce((free, pest) => free * spared(one, pest), 1), 0);
    };
    const saved = (taken: (one: RoundPlant) => boolean) =>
      ["sill", "shelf", "rack"].reduce((sum, placeId) => {
        const there = some.filter((one) => one.placeId === placeId);
        return sum + infested(there, () => false) - infested(there, (one) => taken(one) && !one.inCase);
      }, 0);
    const { all, prone } = worthsAmong(some)(soap);
    expect(all.saved).toBeCloseTo(
      saved(() => true),
      9,
    );
    expect(prone.saved).toBeCloseTo(
      saved((one) => one.prone.length > 0),
      9,
    );
    expect(prone.saved).toBeGreaterThan(0);
  });

  it("one treatment leaves some of what it meets, and none more than there was", () => {
    const left = (mix: "soapMild" | "oil1", pest: "mealybug" | "spiderMite") =>
      leftAfter({ pest, form: "uprightShrub", ...{ mix, technique: "spray" }, meanC: 22 });
    for (const mix of ["soapMild", "oil1"] as const)
      for (const pest of ["mealybug", "spiderMite"] as const) {
        expect(left(mix, pest)).toBeGreaterThan(0.05);
        expect(left(mix, pest)).toBeLessThan(1);
      }
    expect(onwardAt("spiderMite", "uprightShrub", 26)).toBeGreaterThan(onwardAt("spiderMite", "uprightShrub", 18));
    expect(onwardAt("mealybug", "uprightShrub", 22)).toBeLessThan(1);
  });

  it("fall due so long after the last, in their season alone, over the turn of the year too", () => {
    const rounds = { everyDays: 90, fromMonth: 3, untilMonth: 10 };
    const next = (last: string | null, today = on(0), over: object = {}) =>
      nextRound({ ...rounds, ...over }, on(0), { last: last === null ? null : day(last), times: 0 }, today);
    expect(next(null)).toBe(on(0));
    expect(next("2026-09-10")).toBe("2027-03-01");
    expect(next("2025-01-01")).toBe(on(0));
    // Due in September and not done, it waits for the spring once the season is over.
    expect([next(null, day("2026-10-20")), next(null, day("2026-12-01"))]).toEqual([on(0), "2027-03-01"]);
    const winter = { fromMonth: 10, untilMonth: 3 };
    const had = { last: day("2026-10-10"), times: 1 };
    expect(nextRound({ ...rounds, ...winter }, day("2027-01-05"), had, day("2027-01-05"))).toBe("2027-01-08");
    // Nothing is due in a pause, and everything after it.
    expect(next(null, on(0), { pausedUntil: on(12) })).toBe(on(12));
    expect([inSeason(12, 10, 3), inSeason(6, 10, 3), inSeason(6, 3, 10)]).toEqual([true, false, true]);
  });

  // Common practice, no source: five days, five days, weekly for a month, then every two to three weeks.
  it("begin dense and thin out where they are to", () => {
    const rounds = { everyDays: 18, rhythm: "taper" as const, fromMonth: 1, untilMonth: 12 };
    const days: number[] = [];
    let last: Day | null = null;
    for (let times = 0; times < 9; times++) {
      last = nextRound(rounds, on(0), { last, times }, on(0));
      days.push(daysBetween(on(0), last));
    }
    expect(days).toEqual([0, 5, 10, 17, 24, 31, 38, 56, 74]);
    expect(gapAfter(1, { everyDays: 5, rhythm: "taper" })).toBe(5);
    expect(gapAfter(2, { everyDays: 30 })).toBe(30);
  });
});

// Source: common practice: two weeks without sprays before, sachets renewed after four to six weeks.
describe("predators as prevention", () => {
  const loose: Act = { kind: "release", predator: "predatoryMites", sachets: 6 };
  const spray: Act = { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 100, spots: ["axil"] };
  const due = (acts: { act: Act; day: Day }[], n: number) => biocontrolDue("predatoryMites", 35, on(0), acts, on(n));

  it("are let loose at once, and renewed", () => {
    expect(due([], 0)).toEqual({ on: on(0), again: false, freeFrom: null });
    expect(due([{ act: loose, day: on(0) }], 10)).toEqual({ on: on(35), again: true, freeFrom: null });
  });

  it("wait two weeks after a spray, also where that was put on over those that are there", () => {
    expect(due([{ act: spray, day: on(-4) }], 0)).toEqual({ on: on(10), again: false, freeFrom: on(10) });
    expect(due([{ act: spray, day: on(-20) }], 0).freeFrom).toBeNull();
    const over = [
      { act: loose, day: on(0) },
      { act: spray, day: on(30) },
    ];
    expect(due(over, 31)).toEqual({ on: on(44), again: true, freeFrom: on(44) });
  });
});

describe("how fast pests go", () => {
  // Source: common practice: mites 5–7 days from egg to grown in hot dry rooms, up to 19 in a home; they outrun all others in warmth.
  it("is a matter of days for mites in the warm, and does not develop in the cold", () => {
    expect(developmentRateAt("spiderMite", 33).toAdultDays).toBeLessThanOrEqual(7.1);
    expect(developmentRateAt("spiderMite", 28).doublingDays).toBeLessThan(
      developmentRateAt("spiderMite", 22).doublingDays!,
    );
    expect(developmentRateAt("mealybug", 9)).toEqual({ pest: "mealybug", doublingDays: null, toAdultDays: null });
    expect(
      developmentRatesAt(30)
        .slice(0, 2)
        .map(({ pest }) => pest),
    ).toContain("spiderMite");
    expect(developmentRatesAt(7).at(-1)!.doublingDays).toBeNull();
  });
});

describe("what feeds the trouble at a place", () => {
  const place: PlaceRecord = {
    ...{ meanC: 20, deficitKpa: 0.8, plants: 10, roomFor: 12, keptWet: 0, cleanedDays: 10, litterDays: 10 },
    ...{ richFeeds: 0, finds: {}, gnats: null },
  };
  const codes = (over: Partial<PlaceRecord>) => whatFeeds({ ...place, ...over }).map(({ code }) => code);

  it("is nothing where nothing on record speaks of it", () => {
    expect(codes({})).toEqual([]);
    expect(codes({ plants: 0, cleanedDays: null })).toEqual([]);
  });

  // Source: common practice: dry warmth brings mites, wet mix gnats, crowding and litter everything, nitrogen what sucks sap.
  it("is each told with what says so", () => {
    expect(codes({ meanC: 27, deficitKpa: 1.6 })).toEqual(["warm"]);
    expect(codes({ meanC: 27, deficitKpa: 0.7 })).toEqual([]);
    expect(codes({ deficitKpa: 0.2 })).toEqual(["damp"]);
    expect(codes({ keptWet: 5 })).toEqual(["tooWet"]);
    expect(codes({ gnats: 3 })).toEqual(["tooWet"]);
    expect(codes({ plants: 15 })).toEqual(["crowded"]);
    expect(codes({ cleanedDays: null })).toEqual(["dust"]);
    expect(codes({ litterDays: null })).toEqual([]);
    expect(codes({ litterDays: 200, finds: { mealybug: 2 } })).toEqual(["litter"]);
    expect(codes({ richFeeds: 2 })).toEqual(["nitrogen"]);
  });
});

// Facts of the trade, from memory: mites run away in a warm room, and root mealybugs hardly stir in a cool porch.
it("says what grows fast, what grows, and what as good as stands still", () => {
  expect(growthOf(developmentRateAt("spiderMite", 26).doublingDays)).toBe("fast");
  expect(growthOf(developmentRateAt("mealybug", 22).doublingDays)).toBe("grows");
  expect(growthOf(developmentRateAt("rootMealybug", 14).doublingDays)).toBe("still");
  expect([growthOf(null), growthOf(84), growthOf(84.6), growthOf(6.4), growthOf(6.6)]).toEqual([
    ...["still", "grows", "still", "fast", "grows"],
  ]);
});
