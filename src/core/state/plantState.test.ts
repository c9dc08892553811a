import { describe, expect, it } from "vitest";
import { addDays, day } from "../climate/days";
import { isAtRisk } from "../exposure/exposure";
import { derivePlantState, shownState, type PlantFacts } from "./plantState";

const d0 = day("2026-10-01");
const clean = (offset: number) => ({ day: addDays(d0, offset), clean: true });
const caseWith = (live: boolean, petals = 2) => ({ live, petals });
const facts = (over: Partial<PlantFacts> = {}): PlantFacts => ({
  addedOn: d0,
  looks: [clean(0)],
  exposures: [],
  openCases: [],
  apart: false,
  neverJoined: false,
  ...over,
});

describe("the state of a plant", () => {
  it.each<[string, PlantFacts, string]>([
    ["nothing open", facts(), "clear"],
    ["live animals at the last look", facts({ openCases: [caseWith(true)] }), "infested"],
    ["in a case, last look clean", facts({ openCases: [caseWith(false)] }), "surer"],
    ["the worse of two cases decides", facts({ openCases: [caseWith(false), caseWith(true)] }), "infested"],
    ["an arrival apart", facts({ apart: true, neverJoined: true }), "new"],
    ["an arrival that was put among the others at once", facts({ neverJoined: false }), "clear"],
    ["apart again after a closed case is not new", facts({ apart: true }), "clear"],
    ["near a find", facts({ exposures: [{ since: addDays(d0, 1) }] }), "atRisk"],
    ["near a find, infested itself", facts({ exposures: [{ since: d0 }], openCases: [caseWith(true)] }), "infested"],
    ["near a find, two clean looks since", facts({ exposures: [{ since: d0 }], looks: [clean(1), clean(7)] }), "clear"],
  ])("%s", (_why, given, expected) => {
    expect(derivePlantState(given, 7).state).toBe(expected);
  });

  it("shows the least petals of its cases, and none unless getting surer", () => {
    expect(derivePlantState(facts({ openCases: [caseWith(false, 4), caseWith(false, 1)] }), 7).petals).toBe(1);
    expect(derivePlantState(facts({ openCases: [caseWith(true, 4)] }), 7).petals).toBe(0);
  });

  it("is overdue only the day after its look fell due", () => {
    const derived = derivePlantState(facts(), 7);
    expect(derived.lookDueOn).toBe(addDays(d0, 7));
    expect(shownState(derived, addDays(d0, 7))).toBe("clear");
    expect(shownState(derived, addDays(d0, 8))).toBe("overdue");
  });

  it.each<[string, PlantFacts, number, number]>([
    ["never looked at: due on the day it was added", facts({ looks: [] }), 14, 0],
    ["the keeper's own rhythm", facts(), 14, 14],
    ["weekly at least while in a case", facts({ openCases: [caseWith(false)] }), 14, 7],
    ["at once after a find beside it", facts({ exposures: [{ since: addDays(d0, 3) }] }), 14, 3],
  ])("look due: %s", (_why, given, rhythm, offset) => {
    expect(derivePlantState(given, rhythm).lookDueOn).toBe(addDays(d0, offset));
  });

  it("refuses a rhythm of less than a day", () => {
    expect(() => derivePlantState(facts(), 0)).toThrow(RangeError);
  });

  it("looks before the exposure do not take the risk away", () => {
    expect(isAtRisk({ since: addDays(d0, 8) }, [addDays(d0, 1), addDays(d0, 7)])).toBe(true);
  });
});
