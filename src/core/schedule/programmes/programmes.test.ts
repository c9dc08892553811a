import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Closing, Look } from "../../record/facts/facts";
import {
  closing,
  find,
  look,
  nextId,
  on,
  placement,
  plan,
  record,
  spray,
  struck,
} from "../../record/cases/tests/facts";
import type { PlantRecord } from "../../record/cases/record";
import { GUARD_DAYS } from "../../model/inspection/cleanLooks";
import type { ProgrammeFacts, ProgrammeKindId, Risk } from "./programme";
import { dueOf, verdictsOf } from "./programmes";

const asked = (of: PlantRecord, lookEveryDays = 7): ProgrammeFacts => ({
  record: of,
  lookEveryDays,
  risk: { p: null, current: false, from: 0.05, stretch: false },
  petalsOf: () => 3,
});
const due = (of: PlantRecord, today: number, what: "look" | "treat" = "look") =>
  dueOf(asked(of), on(today))
    .filter((one) => one.what === what)
    .map(({ on: day, programme }) => [programme, day]);
const of = (programme: ProgrammeKindId, all: readonly (readonly unknown[])[]) =>
  all.filter(([id]) => id === programme).map(([, day]) => day);
const A = nextId();
const beside = (offset: number) => ({
  sourcePlantId: "q",
  sourceCode: "Q",
  caseId: nextId(),
  pest: "thrips" as const,
  since: new Date(),
  day: on(offset),
});

describe("the round", () => {
  it("asks at once for a plant never looked at, then in the keeper's rhythm; struck-out looks do not count", () => {
    expect(of("round", due(record(), 5))).toEqual([on(0)]);
    expect(of("round", due(record({ looks: [look(4), struck(look(9))] }), 5))).toEqual([on(11)]);
    expect(() => dueOf(asked(record(), 0), on(1))).toThrow(RangeError);
  });
});

describe("the watch over a plant that stood beside a case", () => {
  it("asks at once, then weekly, until two clean looks six days apart", () => {
    const at = (looks: Look[]) => of("watch", due(record({ looks, exposures: [beside(10)] }), 12));
    expect(at([look(3)])).toEqual([on(10)]);
    expect(at([look(3), look(10)])).toEqual([on(17)]);
    expect(at([look(10), look(14)])).toEqual([on(21)]);
    expect(at([look(10), look(16)])).toEqual([]);
    expect(at([look(10), find(16)])).toEqual([on(23)]);
    expect(verdictsOf(asked(record({ exposures: [beside(1)] })), on(2)).watch.state).toBe("atRisk");
  });
});

describe("an arrival", () => {
  it("is new here until it first leaves the isolation place, and looked at weekly", () => {
    const here = [placement(0, "pantry")];
    expect(of("arrival", due(record({ placements: here, looks: [look(1)] }), 5))).toEqual([on(8)]);
    const joined = record({ placements: [...here, placement(9, "shelf")] });
    expect(of("arrival", due(joined, 10))).toEqual([]);
    // Set apart again later it is no arrival.
    expect(of("arrival", due(record({ placements: [...joined.placements, placement(12, "pantry")] }), 13))).toEqual([]);
  });
});

describe("the care of a case", () => {
  it("asks for a look every week, plan or no plan, and the worst case decides how the plant stands", () => {
    const infested = record({ looks: [find(3, A)] });
    expect(of("casePlan", due(infested, 4))).toEqual([on(10)]);
    expect(verdictsOf(asked(infested), on(4)).casePlan).toMatchObject({ state: "infested", petals: 0 });
    const surer = record({ looks: [find(3, A), look(9)] });
    expect(of("casePlan", due(surer, 10))).toEqual([on(16)]);
    expect(verdictsOf(asked(surer), on(10)).casePlan).toMatchObject({ state: "surer", petals: 3 });
  });

  it("asks for the treatments of its plan that are left, with their doses, and for the looks after them", () => {
    const chosen = plan(3, A, [
      ["treat", 4],
      ["treat", 8],
      ["look", 15],
      ["look", 22],
    ]);
    const acts = [spray(4, { stepId: chosen.steps[0]!.id })];
    const treated = record({ looks: [find(3, A)], programmes: [chosen], acts });
    expect(due(treated, 5, "treat")).toEqual([["casePlan", on(8)]]);
    const [next] = dueOf(asked(treated), on(5)).filter((one) => one.what === "treat");
    expect(next).toMatchObject({
      caseId: A,
      stepId: chosen.steps[1]!.id,
      dose: { mix: "soapMild", technique: "spray" },
    });
    expect(of("casePlan", due(treated, 5))).toEqual([on(10), on(15), on(22)]);
    // The second look made, the one before it that was left out is asked for no more.
    expect(of("casePlan", due({ ...treated, ...record({ ...treated, looks: [find(3, A), look(22)] }) }, 23))).toEqual([
      on(29),
    ]);
  });
});

// Common practice, no source: after clear weekly for a month, every second week for two more.
describe("guard after clear", () => {
  const guarded = (looks: Look[], closings: Closing[] = [closing(20, A)], genus = "") =>
    record({ plant: { ...record().plant, genus }, looks: [find(3, A), ...looks], closings });

  it("asks weekly for a month, every second week for two more, and then no more", () => {
    const days: unknown[] = [];
    const made: Look[] = [];
    for (let today = 20; today < 140; today++) {
      const [next] = of("guard", due(guarded(made), today));
      if (next !== on(today)) continue;
      days.push(today - 20);
      made.push(look(today));
    }
    expect(days).toEqual([...GUARD_DAYS]);
    expect(verdictsOf(asked(guarded([])), on(30)).guard).toMatchObject({ until: on(104) });
    expect(verdictsOf(asked(guarded([])), on(105)).guard.until).toBeNull();
  });

  it("goes on every second week for two months more where the kind is prone to it", () => {
    expect(verdictsOf(asked(guarded([], undefined, "Hoya")), on(105)).guard).toMatchObject({ until: on(160) });
  });

  it("what was skipped is made up by the next look, and is due until then", () => {
    expect(of("guard", due(guarded([]), 40))).toEqual([on(27)]);
    expect(of("guard", due(guarded([look(41)]), 42))).toEqual([on(48)]);
  });

  it("ends with a new find of that pest, is none for what was given up, and is gone with a closing struck out", () => {
    expect(of("guard", due(guarded([find(30)]), 31))).toEqual([]);
    expect(of("guard", due(guarded([find(30, nextId(), "thrips")]), 31))).toEqual([on(34)]);
    expect(of("guard", due(guarded([], [closing(20, A, { outcome: "givenUp" })]), 21))).toEqual([]);
    expect(of("guard", due(guarded([], [struck(closing(20, A))]), 21))).toEqual([]);
  });
});

describe("all programmes together", () => {
  it("everything due is in the order of its days, and a look is always among it", () => {
    const fact = fc.record({ day: fc.integer({ min: 0, max: 60 }), found: fc.boolean() });
    fc.assert(
      fc.property(fc.array(fact, { maxLength: 10 }), fc.integer({ min: 60, max: 160 }), (facts, today) => {
        const looks = facts
          .toSorted((a, b) => a.day - b.day)
          .map(({ day, found }) => (found ? find(day, A) : look(day)));
        const all = dueOf(asked(record({ looks })), on(today));
        expect(all.map((one) => one.on)).toEqual(all.map((one) => one.on).toSorted());
        expect(all.some((one) => one.what === "look")).toBe(true);
      }),
    );
  });
});

describe("what follows from the chance that a plant carries something", () => {
  const by = (of: PlantRecord, p: number | null, over: Partial<Risk> = {}, lookEveryDays = 14): ProgrammeFacts => ({
    ...asked(of, lookEveryDays),
    risk: { p, current: true, from: 0.05, stretch: false, ...over },
  });
  const looked = record({ looks: [look(10)] });
  const days = (facts: ProgrammeFacts, programme: ProgrammeKindId) =>
    of(
      programme,
      dueOf(facts, on(12)).map((one) => [one.programme, one.on]),
    );

  it("from the keeper's limit on it is at risk and looked at weekly, whatever it stood beside", () => {
    expect(verdictsOf(by(looked, 0.05), on(12)).watch.state).toBe("atRisk");
    expect(days(by(looked, 0.05), "watch")).toEqual([on(17)]);
    expect(verdictsOf(by(looked, 0.049), on(12)).watch.state).toBeNull();
  });

  it("what it stood beside since the last look asks at once", () => {
    const exposed = record({ looks: [look(10)], exposures: [beside(11)] });
    expect(days(by(exposed, 0.2), "watch")).toEqual([on(11)]);
    // Hardly anything came over: the number decides, as soon as it is of the facts as they are.
    expect(days(by(exposed, 0.01), "watch")).toEqual([]);
    expect(days(by(exposed, 0.01, { current: false }), "watch")).toEqual([on(11)]);
  });

  it("the rhythm is its upper bound, halved on the way to the limit, stretched only if the keeper wants it", () => {
    const round = (p: number | null, over?: Partial<Risk>, rhythm?: number) =>
      days(by(looked, p, over, rhythm), "round");
    expect(round(0.01)).toEqual([on(24)]);
    expect(round(null)).toEqual([on(24)]);
    expect(round(0.03)).toEqual([on(17)]);
    expect(round(0.03, {}, 5)).toEqual([on(15)]);
    expect(round(0.005, { stretch: true })).toEqual([on(38)]);
    expect(round(0.02, { stretch: true })).toEqual([on(24)]);
  });
});
