import { describe, expect, it } from "vitest";
import { casesOf } from "../cases";
import { coursesOn } from "../../../advice/plans/coursesOnRecord";
import { exposuresOf, type Source } from "../exposures";
import { looksDone, planInForce, runningPlan } from "../../../advice/plans/plans";
import { isLive } from "../record";
import { stayAt, staysOf } from "../stays";
import { temperaturesBy, warmthAlong, warmthAt } from "../warmth";
import type { Reading } from "../../facts/facts";
import { at, find, look, nextId, on, place, placement, plan, record, spray, struck } from "./facts";

describe("where a plant stood", () => {
  it("until it was put elsewhere, struck-out moves left out, and not after it left the collection", () => {
    const moves = [placement(0, "a"), struck(placement(3, "x")), placement(5, "b")];
    expect(staysOf(moves, null)).toEqual([
      { placeId: "a", from: at(0), until: at(5) },
      { placeId: "b", from: at(5), until: null },
    ]);
    expect(staysOf(moves, at(4))).toEqual([{ placeId: "a", from: at(0), until: at(4) }]);
    const stays = staysOf(moves, null);
    expect([at(-1), at(0), at(4), at(5), at(90)].map((when) => stayAt(stays, when)?.placeId)).toEqual([
      undefined,
      "a",
      "a",
      "b",
      "b",
    ]);
  });
});

describe("what a plant stood beside", () => {
  const source = (over: Partial<Source> = {}): Source => ({
    plantId: "sick",
    code: "S",
    caseId: "c",
    pest: "thrips",
    openedAt: at(10),
    closedAt: null,
    finds: [at(10)],
    stays: [{ placeId: "a", from: at(0), until: null }],
    ...over,
  });
  const stay = (placeId: string, from: number, until: number | null = null) => ({
    placeId,
    from: at(from),
    until: until === null ? null : at(until),
  });
  const since = (stays: Parameters<typeof exposuresOf>[1], over: Partial<Source> = {}) =>
    exposuresOf("p", stays, [source(over)]).map((one) => one.since);

  it.each<[string, Parameters<typeof exposuresOf>[1], Partial<Source>, Date[]]>([
    ["at the same place at the find", [stay("a", 0)], {}, [at(10)]],
    ["at another place", [stay("b", 0)], {}, []],
    ["gone before the find", [stay("a", 0, 9), stay("b", 9)], {}, []],
    ["again at a later find", [stay("a", 0)], { finds: [at(10), at(17)] }, [at(17)]],
    ["put there while the case was open", [stay("b", 0, 14), stay("a", 14)], {}, [at(14)]],
    ["put there after it was closed", [stay("b", 0, 14), stay("a", 14)], { closedAt: at(12) }, []],
    ["the sick one put there", [stay("b", 0)], { stays: [stay("a", 0, 12), stay("b", 12)] }, [at(12)]],
    [
      "passing through it, not at the same time",
      [stay("a", 0, 12), stay("b", 12)],
      { stays: [stay("b", 0, 12), stay("a", 12)] },
      [],
    ],
  ])("%s", (_why, stays, over, expected) => {
    expect(since(stays, over)).toEqual(expected);
  });

  it("never itself", () => {
    expect(exposuresOf("sick", [stay("a", 0)], [source()])).toEqual([]);
  });
});

describe("plans", () => {
  it("a look that was asked for is done from the day before it is due until the next one takes over", () => {
    const due = [on(10), on(17)];
    expect(looksDone(due, [on(8)])).toEqual([null, null]);
    expect(looksDone(due, [on(8), on(15)])).toEqual([on(15), null]);
    expect(looksDone(due, [on(9), on(16)])).toEqual([on(9), on(16)]);
  });

  it("the one adopted last that stands is in force; each step knows its dose and whether it was done", () => {
    const A = nextId();
    const plans = [
      plan(1, A, [["treat", 2]]),
      plan(3, A, [
        ["treat", 4],
        ["treat", 9],
        ["look", 16],
      ]),
      struck(plan(5, A, [])),
    ];
    const facts = {
      looks: [find(1, A), look(16)],
      programmes: plans,
      acts: [spray(5, { stepId: plans[1]!.steps[0]!.id })],
    };
    const cases = casesOf(facts.looks, []);
    const inForce = planInForce(cases[0]!, cases, facts)!;
    expect(inForce.steps.map(({ kind, dueOn, doneOn }) => [kind, dueOn, doneOn])).toEqual([
      ["treat", on(4), on(5)],
      ["treat", on(9), null],
      ["look", on(16), on(16)],
    ]);
    expect(runningPlan(inForce)!.remaining).toEqual([
      { day: on(9), dose: { remedy: "soap", technique: "spray", mix: "soapMild" } },
    ]);
    // The treatment struck out, its step is open again.
    const undone = planInForce(cases[0]!, cases, { ...facts, acts: facts.acts.map(struck) })!;
    expect(undone.steps[0]!.doneOn).toBeNull();
    expect(planInForce(cases[0]!, cases, { ...facts, programmes: [] })).toBeNull();
  });
});

describe("a spray for another find on the plant", () => {
  const caseId = nextId();
  const looks = [find(0, caseId)];
  const programmes = [
    plan(1, caseId, [
      ["treat", 4],
      ["treat", 9],
    ]),
  ];
  const stepsWith = (...acts: ReturnType<typeof spray>[]) => {
    const cases = casesOf(looks, []);
    return planInForce(cases[0]!, cases, { looks, acts, programmes })!.steps;
  };
  const doneWith = (...acts: ReturnType<typeof spray>[]) => stepsWith(...acts).map(({ doneOn }) => doneOn);
  const theirs = (offset: number, over = {}) => spray(offset, { stepId: nextId(), ...over });
  const put = (technique: "wipe" | "dab", mix: "soapMild" | "oil1" = "soapMild") =>
    ({ act: { kind: "contact", mix, technique, volumeMl: 20, spots: ["axil"] } }) as const;

  it("carries out the same step of this one's plan, from the day before it is due, each spray one step (common practice, no source)", () => {
    expect(doneWith(theirs(4))).toEqual([on(4), null]);
    expect(
      stepsWith(theirs(4), spray(9, { stepId: programmes[0]!.steps[1]!.id })).map((step) => step.byAnother),
    ).toEqual([true, undefined]);
    expect(doneWith(theirs(3), theirs(9))).toEqual([on(3), on(9)]);
    expect(doneWith(theirs(4), theirs(5))).toEqual([on(4), null]);
    // However it is put on the whole plant.
    expect(doneWith(theirs(4, put("wipe")))).toEqual([on(4), null]);
  });

  it("and nothing else does: too early, something else, dabbed here and there, struck out, of no plan at all", () => {
    expect(doneWith(theirs(2))).toEqual([null, null]);
    expect(doneWith(theirs(4, put("wipe", "oil1")))).toEqual([null, null]);
    expect(doneWith(theirs(4, put("dab")))).toEqual([null, null]);
    expect(doneWith(struck(theirs(4)))).toEqual([null, null]);
    expect(doneWith(spray(4))).toEqual([null, null]);
  });
});

describe("courses of a remedy", () => {
  it("count what has been put on without a long break, in whatever case, and not what was struck out", () => {
    const sprays = [spray(0), spray(70), spray(77), struck(spray(80)), spray(84)];
    expect(coursesOn(sprays, on(90)).soap).toMatchObject({ times: 3, last: on(84) });
    expect(coursesOn(sprays, on(78)).soap).toMatchObject({ times: 2, last: on(77) });
    expect(coursesOn(sprays, on(200)).soap).toMatchObject({ times: 0, last: null });
    expect(coursesOn(sprays, on(90)).oil).toMatchObject({ times: 0, last: null });
  });
});

describe("warmth", () => {
  const reading = (offset: number, placeId: string, celsius: number): Reading => ({
    humidity: null,
    id: nextId(),
    at: at(offset),
    day: on(offset),
    recordedAt: at(offset),
    recordedBy: "",
    voidReason: null,
    placeId,
    celsius,
    source: "about",
  });
  const places = [
    place("room", "room"),
    place("sill", "shelf", "room"),
    place("bag", "bag", "sill"),
    place("nowhere", "room"),
  ];
  const of = temperaturesBy(places, [reading(0, "room", 19), reading(4, "room", 21), struck(reading(1, "sill", 40))]);

  it("is a place's own, or that of what it stands in", () => {
    expect([warmthAt(of, "bag", on(2)), warmthAt(of, "sill", on(5))]).toEqual([19, 21]);
    expect(warmthAt(of, "nowhere", on(2))).toBeNull();
  });

  it("goes along with the plant, and what is not known anywhere is not made up", () => {
    const own = temperaturesBy(places, [reading(0, "room", 19), reading(0, "sill", 25)]);
    const moves = [placement(2, "room"), placement(4, "sill"), placement(4, "room"), placement(5, "sill")];
    expect(warmthAlong(moves, own)(on(0), on(6))).toEqual([19, 19, 19, 19, 19, 25, 25]);
    expect(warmthAlong([placement(0, "nowhere")], own)(on(0), on(3))).toEqual([]);
    expect(warmthAlong([], own)(on(0), on(3))).toEqual([]);
  });
});

describe("a record", () => {
  it("holds what was done to a place while the plant stood in it", () => {
    const act = { kind: "trap", cards: 1, days: 20 } as const;
    const onPlace = (offset: number, placeId: string) => spray(offset, { plantId: null, placeId, act });
    const acts = [onPlace(1, "room"), onPlace(3, "pantry"), onPlace(12, "shelf"), spray(2, { plantId: "other" })];
    const placements = [placement(0, "shelf"), placement(10, "pantry")];
    expect(record({ acts, placements }).acts).toEqual([acts[0]]);
  });

  it("live at the last look, of this pest, since the case began", () => {
    const A = nextId();
    const [opened] = casesOf([find(1, A)], []);
    expect(isLive(opened!, [find(1, A)])).toBe(true);
    expect(isLive(opened!, [find(1, A), look(8)])).toBe(false);
    expect(isLive(opened!, [find(1, A), struck(look(8))])).toBe(true);
    expect(isLive(opened!, [find(1, A), find(8, nextId(), "aphid")])).toBe(false);
  });
});
