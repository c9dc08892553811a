import type { Application } from "../../acts/contact";
import { courseOf, isWork, type Dose } from "./doses";
import { describe, expect, it } from "vitest";
import { fullLook, historyOf } from "../../model/clearance/tests/cases";
import { reckon } from "../../model/clearance/reckon";
import { allScenarios } from "../../model/clearance/scenarios";
import type { PestId } from "../../knowledge/pests/pests";
import type { Sites } from "../../model/population/sites";
import { approaches, doseAt, dosesOf, type Approach } from "./approaches";
import { compareAll, detailOf, type CompareRequest } from "./compare";
import type { ComingDose } from "./future";
import { helpsFor } from "./helps";
import { endOf, pRight, scorerOf } from "./score";
import { looksLikeLast } from "./looks";
import { searchSchedules, type SearchRequest } from "./search";
import { bears, MONTH_DAYS, washesOf } from "./stress";
import { blame } from "./why";

function scorer(pest: PestId, found = 6, sites?: Partial<Sites>) {
  const history = historyOf(pest, 22, [fullLook(pest, 0, found, { tool: "lamp" })]);
  return scorerOf(reckon({ ...history, sites: { ...history.sites, ...sites } }, 0, allScenarios));
}
function requestOf(pest: PestId, found = 6, target = 0.9): SearchRequest {
  const judged = scorer(pest, found);
  return { scorer: judged, fromDay: 0, worksOn: () => true, target, looks: looksLikeLast(judged.reckoning) };
}
const weekly = (dose: ComingDose["dose"], times = 5) =>
  Array.from({ length: times }, (_, i) => ({ atDays: 7 * i, dose }));

describe("why something may be left", () => {
  const swab = { remedy: "alcohol", technique: "sprayAndSwab" } as const;
  const told = (pest: PestId, dose: ComingDose["dose"], sites?: Partial<Sites>) => {
    const judged = scorer(pest, 6, sites);
    const doses = weekly(dose);
    return blame(judged, doses, endOf(judged, doses.at(-1)!.atDays));
  };

  it("the causes' shares sum to 1, the greatest first", () => {
    const shares = told("mealybug", swab).map(({ share }) => share);
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(shares).toEqual(shares.toSorted((a, b) => b - a));
  });

  it("where nothing sits deep nothing is blamed on it; where much does, most is", () => {
    const deep = (deepShare: number) =>
      told("mealybug", swab, { shelteredShare: 0.5, deepShare }).find(({ cause }) => cause === "deep")!.share;
    expect(deep(0)).toBe(0);
    expect(deep(0.1)).toBeLessThan(deep(0.5));
    expect(told("mealybug", swab, { shelteredShare: 0.5, deepShare: 0.5 })[0]!.cause).toBe("deep");
  });

  it("thrips under a spray: eggs in the leaf and pupae in the mix", () => {
    expect(told("thrips", { remedy: "alcohol", technique: "sprayAndSwab" })[0]!.cause).toBe("outOfReach");
  });

  it("where the hand never goes is blamed for what sits there", () => {
    const on = { form: "clumpingFoliage", weights: "mealybug", spots: ["underside", "upperSide"] } as const;
    expect(told("mealybug", { ...swab, on })[0]!.cause).toBe("untreated");
    expect(told("mealybug", swab).find(({ cause }) => cause === "untreated")!.share).toBe(0);
  });

  it("what is done by hand and not by a remedy can be blamed, too", () => {
    const unpot = helpsFor("mealybug", "clumpingFoliage", swab).find(({ id }) => id === "unpot")!.does;
    expect(told("mealybug", unpot).length).toBeGreaterThan(0);
  });
});

describe("two remedies in turn", () => {
  const inTurn = (id: string): Approach => approaches.find((one) => one.id === id)!;

  it("every so manieth treatment is the other", () => {
    const approach = inTurn("soapAlcoholInTurn");
    expect([0, 1, 2, 3, 4, 5].map((n) => courseOf(doseAt(approach, n)))).toEqual([
      ...["soap", "soap", "alcohol"],
      ...["soap", "soap", "alcohol"],
    ]);
    expect(dosesOf(approach).map(courseOf)).toEqual(["soap", "alcohol"]);
  });

  it("each keeps its own interval and its own number", () => {
    const request = requestOf("thrips", 6, 0.99);
    const { best } = searchSchedules(inTurn("soapOilInTurn"), request)!;
    const oil = best.days.filter((_, i) => courseOf(best.doses[i]!) === "oil");
    expect(oil.length).toBeLessThanOrEqual(6);
    oil.slice(1).forEach((day, i) => expect(day - oil[i]!).toBeGreaterThanOrEqual(5));
    best.days.slice(1).forEach((day, i) => expect(day - best.days[i]!).toBeGreaterThanOrEqual(2));
  });
});

describe("what a plant bears", () => {
  const spray = { remedy: "alcohol", technique: "spray" } as const;

  it("counts what was put on in the month before, in soap washes", () => {
    expect(washesOf(spray)).toBe(2);
    const budget = { perMonth: 6, past: [{ day: 0, washes: 3 }] };
    expect(bears(budget, [], 5, spray)).toBe(true);
    expect(bears(budget, [{ day: 4, washes: 2 }], 5, spray)).toBe(false);
    expect(bears(budget, [{ day: 4, washes: 2 }], MONTH_DAYS, spray)).toBe(true);
  });

  it("leaves out what would be too much, and all where nothing is borne any more", () => {
    const request = requestOf("mealybug");
    const approach = { id: "t", then: spray };
    const { best } = searchSchedules(approach, { ...request, stress: { perMonth: 8, past: [] } })!;
    for (const day of best.days)
      expect(best.days.filter((one) => one > day - MONTH_DAYS && one <= day).length).toBeLessThanOrEqual(4);
    const spent = { perMonth: 8, past: [{ day: 0, washes: 8 }] };
    expect(searchSchedules(approach, { ...request, stress: spent })).toBeNull();
  });
});

const isSoap = (dose: Dose) => !isWork(dose) && dose.remedy === "soap";

describe("a comparison tells", () => {
  const swab = { remedy: "soap", technique: "dunk" } as const;
  const request = (found: number, over: Partial<CompareRequest> = {}): CompareRequest => ({
    ...requestOf("mealybug", found),
    mayUse: () => true,
    helps: helpsFor("mealybug", "clumpingFoliage", swab),
    ...over,
  });

  it("what would help most, where something does, and why something may be left", () => {
    const asked = request(5.5);
    const details = compareAll(asked).plans.map(({ schedule }) => ({ schedule, ...detailOf(schedule, asked) }));
    expect(details.filter(({ help }) => help).length).toBeGreaterThan(5);
    for (const { schedule, help, why } of details) {
      if (help) expect(pRight(help)).toBeGreaterThan(pRight(schedule));
      // Looking alone leaves nothing behind of a treatment; what kills none of them has nothing to be blamed for.
      if (schedule.doses.every(isSoap)) expect(why.length > 0).toBe(schedule.days.length > 0);
    }
  });

  it("what would get there where nothing does: the best of it with something more", () => {
    const mayUse = ({ id }: Approach) => id === "alcoholDab";
    const { beyond, leastWork } = compareAll(
      request(300, { mayUse, withLoupe: (dose) => dose as Application, target: 0.999999 }),
    );
    expect(leastWork).toBeNull();
    expect(beyond!.helps.map(({ id }) => id)).toContain("unpot");
    const chances = beyond!.helps.map(({ pClean, sure }) => pClean * sure);
    expect(chances).toEqual(chances.toSorted((a, b) => b - a));
    for (const chance of chances) expect(chance).toBeGreaterThan(beyond!.pClean * beyond!.sure);
    expect(compareAll(request(1.4)).beyond).toBeNull();
  });

  it("a way with a bottle that is missing is never named among those at hand", () => {
    const atHand = (approach: Approach) => !dosesOf(approach).some((dose) => courseOf(dose) === "oil");
    const { plans, leastWork, soonest, gentlest, withBottle } = compareAll(request(5.5, { atHand }));
    const missing = plans.filter(({ bottleMissing }) => bottleMissing).map(({ approach }) => approach);
    expect(missing.length).toBeGreaterThan(0);
    for (const named of [leastWork, soonest, gentlest]) expect(missing).not.toContain(named);
    if (withBottle) expect(missing).toContain(withBottle);
  });

  it("what is not called gentle on a plant is never the gentlest", () => {
    const dunks = ({ then }: Approach) => !isWork(then) && then.technique === "dunk";
    const asked = request(1.4, { gentle: (approach) => !dunks(approach) });
    const { gentlest } = compareAll(asked);
    expect(gentlest).not.toBeNull();
    expect(dunks(approaches.find(({ id }) => id === gentlest)!)).toBe(false);
  });
});
