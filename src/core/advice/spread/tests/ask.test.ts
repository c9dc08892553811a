import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { backgroundPerDay } from "../../../model/carriage/rates";
import { arrivalShare } from "../../../model/carriage/arrivalShare";
import { at, closing, find, look, nextId, on, place, placement, spray } from "../../../record/cases/tests/facts";
import { casesOf } from "../../../record/cases/cases";
import type { CaseNumbers } from "../../clearance/numbers";
import { standsOf } from "../../../record/cases/stays";
import type { ActDone, Closing, Look, Placement } from "../../../record/facts/facts";
import type { Plant } from "../../../record/facts/descriptions";
import { spotsOf } from "../../../knowledge/plants/growthForms";
import type { PestId } from "../../../knowledge/pests/pests";
import { dayNumber } from "../../../shared/days";
import { askAll, type AskedPlant } from "../ask";
import { carriesOf, reckonOne } from "../carries";
import { reckonAsked } from "../reckonAsked";
import { spreadOf, type CameFrom, type Collection, type SourceCase } from "../record";

const spots = [...spotsOf("trailingVine")].filter((spot) => spot !== "roots");
const clean = (offset: number, over: Partial<Look> = {}) => look(offset, [], { tool: "lamp", spots, ...over });
const weekly = (until: number, over: Partial<Look> = {}) =>
  Array.from({ length: Math.floor(until / 7) }, (_, i) => clean(7 * (i + 1), over));
const clock = (date: Date) => date.getTime() / 86_400_000;

const plant: Plant = {
  ...{
    id: "p",
    code: "P",
    name: "",
    genus: "Hoya",
    growthForm: "trailingVine",
    potCm: 12,
    acquiredOn: null,
    seller: "",
  },
  ...{ worth: "dear", inBud: false, inFlower: false, careAdded: [], careWithout: [], addedOn: on(0), archivedAt: null },
};

interface Told {
  readonly plant?: Partial<Plant>;
  readonly looks?: readonly Look[];
  readonly acts?: readonly ActDone[];
  readonly closings?: readonly Closing[];
  readonly placements?: readonly Placement[];
  readonly meanC?: number;
}

const asked = ({ plant: over, looks = [], acts = [], closings = [], placements, meanC = 22 }: Told): AskedPlant => ({
  plant: { ...plant, ...over },
  stands: standsOf(placements ?? [placement(0, "sill", { slot: 1 })], null),
  looks,
  acts,
  cases: casesOf(looks, closings),
  warmth: (from, to) => Array.from({ length: Math.max(0, dayNumber(to) - dayNumber(from) + 1) }, () => meanC),
});

/** A case of twenty mobile animals that has run from one day to another on a plant at a place. */
const source = (
  from: number,
  until: number,
  over: Partial<SourceCase> = {},
  placeId = "sill",
  slot: number | null = null,
): { readonly source: SourceCase; readonly stood: Placement } => {
  const numbers: CaseNumbers = {
    from: on(from),
    daily: Array.from({ length: until - from + 1 }, () => 20),
    growthPerDay: 0.1,
    generationDays: 10,
    left: null,
  };
  const told = { plantId: "q", code: "Q", caseId: nextId(), pest: "mealybug" as PestId, openedAt: at(from), numbers };
  return {
    source: { ...told, endedAt: null, ...over },
    stood: placement(0, placeId, { plantId: over.plantId ?? "q", slot }),
  };
};

const places = [
  place("hall", "room"),
  place("sill", "shelf", "hall"),
  place("desk", "shelf", "hall"),
  place("attic", "room", null, { doorShut: true }),
  place("top", "shelf", "hall", { dripsOn: "sill" }),
  place("terrace", "outdoors"),
];

function carries(
  told: Told,
  near: readonly ReturnType<typeof source>[] = [],
  today = 56,
  more: Partial<Collection> = {},
) {
  const one = asked(told);
  const stands = new Map([
    ["p", one.stands],
    ...near.map(({ source: { plantId }, stood }) => [plantId, standsOf([stood], null)] as const),
  ]);
  const sources = near.map((each) => each.source);
  const collection = { places, sources, stands, cameFrom: [], handlings: [], ...more };
  const spread = spreadOf(collection, clock, on(today));
  const questions = askAll(one, spread, dayNumber(on(today)) + 1, "north");
  return carriesOf(
    questions,
    questions.map(({ question }) => reckonOne(question)),
  );
}
const of = (pest: PestId, { pests }: ReturnType<typeof carries>) => pests.find((one) => one.pest === pest)?.p;

// Facts of the trade: common practice, no source.
describe("what a plant may carry, from the record", () => {
  it("background alone stays under 2 % for every pest with weekly careful looks", () => {
    const { pests } = carries({ looks: weekly(180) }, [], 181);
    expect(pests).toHaveLength(Object.keys(backgroundPerDay).length);
    for (const { pest, p } of pests) expect([pest, p < 0.02]).toEqual([pest, true]);
  });

  it("a plant that touched a case of four weeks is more likely than not to carry it", () => {
    const touched = source(28, 56, {}, "sill", 2);
    const told = carries({}, [touched]);
    expect(of("mealybug", told)).toBeGreaterThan(0.5);
    expect(told.routes[0]).toMatchObject({ kind: "neighbour", code: "Q", nearness: "touching", pest: "mealybug" });
  });

  it("where twice as much passes, a neighbour gives twice as much, and nothing else changes", () => {
    const told = [0.5, 1, 2].map((passes) => carries({}, [source(50, 56, {}, "sill", 9)], 56, { passes }));
    const [half, same, twice] = told.map((one) => -Math.log(1 - of("mealybug", one)!));
    expect(twice! - same!).toBeCloseTo(2 * (same! - half!), 2);
    expect(twice!).toBeGreaterThan(same!);
    for (const one of told) expect(of("thrips", one)).toBe(of("thrips", told[1]!));
  });

  it("the farther the case, the less; behind a shut door nothing but the background", () => {
    const alone = of("mealybug", carries({ looks: weekly(56) }))!;
    const [touching, shelf, room, shut] = [
      source(28, 56, {}, "sill", 2),
      source(28, 56, {}, "sill"),
      source(28, 56, {}, "desk"),
      source(28, 56, {}, "attic"),
    ].map((near) => of("mealybug", carries({ looks: weekly(56) }, [near]))!) as [number, number, number, number];
    expect(touching).toBeGreaterThan(shelf);
    expect(shelf).toBeGreaterThan(room);
    expect(room).toBeGreaterThan(shut);
    expect(shut).toBeCloseTo(alone, 12);
  });

  it("root mealybugs come down with the water from the shelf above, and not up", () => {
    const root = { pest: "rootMealybug" as const };
    const below = of("rootMealybug", carries({}, [source(28, 56, root, "top")]))!;
    const beside = of("rootMealybug", carries({}, [source(28, 56, root, "desk")]))!;
    expect(below).toBeGreaterThan(10 * beside);
  });

  it("a case is a danger from before its first find, for one generation", () => {
    const late = source(56, 56);
    const left = carries({ placements: [placement(0, "sill"), placement(50, "attic")] }, [late]);
    const before = carries({ placements: [placement(0, "sill"), placement(40, "attic")] }, [late]);
    expect(of("mealybug", left)).toBeGreaterThan(of("mealybug", before)!);
    expect(left.routes.some(({ kind }) => kind === "neighbour")).toBe(true);
    expect(before.routes.some(({ kind }) => kind === "neighbour")).toBe(false);
  });

  it("what was closed as clear leaves what was doubtful of it, and counts as no risk of its own", () => {
    const found = find(3, "00000000-0000-7000-8000-0000000000aa");
    const closed = closing(40, found.finds[0]!.caseId, { pClear: 0.9 });
    const told = carries({ looks: [found], closings: [closed] }, [], 41);
    expect(of("mealybug", told)).toBeGreaterThan(0.05);
    expect(told.risk).toBeLessThan(told.p);
    expect(told.routes.find(({ kind }) => kind === "remained")).toMatchObject({ pest: "mealybug" });
  });

  it("of a pest with an open case nothing is said", () => {
    expect(of("mealybug", carries({ looks: [find(3)] }, [], 10))).toBeUndefined();
  });

  it("an arrival of a seller whose plants showed pests is likelier to carry one, and likelier that one", () => {
    const bad: CameFrom[] = Array.from({ length: 6 }, (_, i) => ({
      ...{ plantId: `m${i}`, seller: "stall", acquiredOn: on(1), cameOn: on(1) },
      shown: i < 4 ? [{ pest: "thrips", on: on(20) }] : [],
    }));
    const came = {
      plant: { seller: "stall", acquiredOn: on(50), addedOn: on(50) },
      placements: [placement(50, "attic")],
    };
    const good = carries(came, [], 52);
    const doubtful = carries(came, [], 52, { cameFrom: bad });
    expect(doubtful.p).toBeGreaterThan(1.5 * good.p);
    expect(of("thrips", doubtful)! / of("thrips", good)!).toBeGreaterThan(of("aphid", doubtful)! / of("aphid", good)!);
    // Those that showed something too long after coming did not bring it.
    const late = bad.map((one) => ({ ...one, shown: one.shown.map((s) => ({ ...s, on: on(140) })) }));
    expect(carries(came, [], 52, { cameFrom: late }).p).toBeLessThan(good.p);
  });

  it("a summer outside brings ten times as much", () => {
    const inside = carries({ looks: weekly(56) });
    const outside = carries({ looks: weekly(56), placements: [placement(0, "terrace")] });
    expect(outside.p).toBeGreaterThan(4 * inside.p);
  });

  it("handled after an infested plant, a hundredth of an animal came over", () => {
    const handlings = [
      { plantId: "q", keeper: "", at: at(50, "18:00") },
      { plantId: "p", keeper: "", at: at(50, "18:10") },
    ];
    const told = carries({ looks: weekly(56) }, [source(28, 56, {}, "attic")], 56, { handlings });
    const alone = carries({ looks: weekly(56) }, [source(28, 56, {}, "attic")]);
    expect(of("mealybug", told)! - of("mealybug", alone)!).toBeGreaterThan(0.003);
    expect(told.routes[0]).toMatchObject({ kind: "handled", code: "Q", pest: "mealybug" });
  });

  it("of two cases on the plant that was handled before it the one that ran then counts", () => {
    const handlings = [
      { plantId: "q", keeper: "", at: at(50, "18:00") },
      { plantId: "p", keeper: "", at: at(50, "18:10") },
    ];
    const ended = source(5, 12, { endedAt: at(12) }, "attic");
    const running = source(45, 56, {}, "attic");
    const told = carries({ looks: weekly(56) }, [ended, running], 56, { handlings });
    expect(told.routes.some(({ kind }) => kind === "handled")).toBe(true);
  });

  it("a look that was struck out, or lies years back, begins no record", () => {
    const struckOut = { ...clean(-90), voidReason: "not so" };
    const longAgo = { ...clean(-900), recordedAt: at(1) };
    expect(carries({ looks: [struckOut, longAgo, ...weekly(56)] })).toEqual(carries({ looks: weekly(56) }));
  });

  it("a clean look never raises it, and more exposure never lowers it", () => {
    const days = fc.uniqueArray(fc.integer({ min: 1, max: 55 }), { maxLength: 6 });
    fc.assert(
      fc.property(days, fc.integer({ min: 1, max: 55 }), fc.boolean(), (looked, extra, turned) => {
        const looks = looked.toSorted((a, b) => a - b).map((day) => clean(day));
        const more = [...looks, clean(extra, { turned, tool: "loupe" })].toSorted(
          (a, b) => a.at.getTime() - b.at.getTime(),
        );
        const near = [source(30, 56)];
        expect(carries({ looks: more }, near).p).toBeLessThanOrEqual(carries({ looks }, near).p + 1e-9);
        expect(carries({ looks }, [...near, source(20, 56, { plantId: "r" }, "desk")]).p).toBeGreaterThanOrEqual(
          carries({ looks }, near).p - 1e-9,
        );
      }),
      { numRuns: 12 },
    );
  });

  it("the order of writing changes nothing", () => {
    const looks = weekly(56);
    const acts = [spray(20), spray(27)];
    const near = [source(28, 56), source(35, 56, { plantId: "r", pest: "thrips" }, "desk")];
    const told = carries({ looks, acts }, near);
    expect(carries({ looks: looks.toReversed(), acts: acts.toReversed() }, near.toReversed())).toEqual(told);
  });
});

describe("what looks would find", () => {
  it("is nearly the same for what is hardly there as if each had been asked by itself", async () => {
    const near = source(40, 56, { pest: "thrips" }, "sill");
    const one = asked({ looks: weekly(56) });
    const stands = new Map([
      ["p", one.stands],
      ["q", standsOf([near.stood], null)],
    ] as const);
    const spread = spreadOf({ places, sources: [near.source], stands, cameFrom: [], handlings: [] }, clock, on(56));
    const ways = [
      { tool: "lamp", spots: ["axil", "underside", "newLeaf"] },
      { tool: "loupe", spots },
    ] as const;
    const questions = askAll(one, spread, dayNumber(on(56)) + 1, "north", ways);
    const all = questions.map(({ question }) => question);
    const exact = carriesOf(
      questions,
      all.map((one) => reckonOne(one)),
    );
    const quick = carriesOf(questions, await reckonAsked(all, async (some) => some.map((one) => reckonOne(one))));
    expect(Math.abs(quick.p - exact.p)).toBeLessThan(0.003);
    for (const [i, look] of exact.looks.entries()) {
      expect(Math.abs(quick.looks[i]!.pFind - look.pFind)).toBeLessThan(0.004);
      // Whoever carries something is found, or stays unfound.
      const { pFind, pAfterClean } = quick.looks[i]!;
      expect(pFind).toBeLessThan(quick.p);
      expect(pAfterClean).toBeLessThan(quick.p);
    }
  });
});

describe("the chance that it came with it", () => {
  // Closed form: the mean of a beta distribution that began as one in ten, worth ten plants.
  it.each<[number, number, number, number, number]>([
    [0, 0, 0, 0, 1 / 10],
    [10, 0, 0, 0, 1 / 20],
    [10, 5, 0, 0, 6 / 20],
    [0, 0, 2, 1, 5 / 18],
  ])("%i of the seller's, %i showed; %i of the tray, %i showed", (plants, showed, mates, mateShowed, expected) => {
    expect(arrivalShare({ plants, showed }, { plants: mates, showed: mateShowed })).toBeCloseTo(expected, 15);
  });

  it("more cannot have shown than there are", () => {
    expect(() => arrivalShare({ plants: 1, showed: 2 }, { plants: 0, showed: 0 })).toThrow(RangeError);
  });
});

describe("a cutting", () => {
  const cut = (over: Partial<Plant> = {}) => ({
    plant: { motherId: "q", acquiredOn: on(20), addedOn: on(20), ...over },
    placements: [placement(20, "attic")],
  });
  const mother = source(10, 56, {}, "terrace");

  it("brings what its mother may carry, and more where a case runs on her (HOUSE; closed forms by hand)", () => {
    const clean = carries(cut(), [], 20);
    const doubtful = carries(cut({ inherits: { mealybug: 0.5 } }), [], 20);
    expect(of("mealybug", doubtful)).toBeGreaterThan(of("mealybug", clean) ?? 0);
    // Three tenths of one half came as a colony, and nobody has looked since.
    expect(of("mealybug", doubtful)).toBeCloseTo(0.15, 1);
    // At most 1 − exp(−0.015 · 20), of twenty animals on the mother: a colony that came may die out by itself.
    expect(of("mealybug", carries(cut(), [mother], 20))).toBeLessThan(1 - Math.exp(-0.3));
    expect(of("mealybug", carries(cut(), [mother], 20))).toBeGreaterThan(0.7 * (1 - Math.exp(-0.3)));
    expect(carries(cut(), [mother], 20).routes[0]).toMatchObject({ kind: "mother", pest: "mealybug" });
  });

  it("a case that is found on her only later counts, one that was over before does not", () => {
    const later = source(23, 56, {}, "terrace");
    expect(of("mealybug", carries(cut(), [later], 40))).toBeGreaterThan(0.1);
    const before = source(0, 10, { endedAt: at(10) }, "terrace");
    expect(of("mealybug", carries(cut(), [before], 40))).toBeLessThan(0.02);
  });

  it("clean looks make it free of it, week by week, and root mealybugs stay in her mix", () => {
    const looked = { ...cut(), looks: [27, 34, 41, 48].map((day) => clean(day)) };
    expect(of("mealybug", carries(looked, [mother]))).toBeLessThan(of("mealybug", carries(cut(), [mother]))! / 2);
    const roots = source(10, 56, { pest: "rootMealybug" }, "terrace");
    expect(of("rootMealybug", carries(cut(), [roots]))).toBeLessThan(0.01);
  });
});
