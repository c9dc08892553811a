import { describe, expect, it } from "vitest";
import { addDays } from "../../../shared/days";
import { caseFile, type CaseFile, type CaseFileInput } from "../../../record/format/schema";
import { spotsOf } from "../../../knowledge/plants/growthForms";
import { explain, type ExplanationId } from "../escalation";
import { TRIAL_DAY, trialFile } from "../../plans/trial";

type Event = CaseFileInput["events"][number];
const at = (n: number) => `${addDays(TRIAL_DAY, n)}T18:00:00Z`;
const spray = (n: number, remedy: "alcohol70" | "soap" | "spinosad" = "soap"): Event => ({
  ...{ type: "treatment", at: at(n), remedy, technique: remedy === "spinosad" ? "spray" : "sprayAndSwab" },
});
const found = (n: number, count: number): Event => ({
  ...{ type: "inspection", at: at(n), found: count, removed: true },
  look: { with: "loupe", spots: [...spotsOf("climbingAroid")].filter((spot) => spot !== "roots") },
});
function file(events: readonly Event[], over: { pest?: "thrips" | "mealybug"; meanC?: number } = {}): CaseFile {
  const { pest = "thrips", meanC = 23 } = over;
  const trial = trialFile({ pest, form: "climbingAroid", meanC, found: 6 });
  const plant = { growthForm: "climbingAroid" as const };
  return caseFile.parse({ ...trial, plant, events: [...trial.events, ...events], asOf: addDays(TRIAL_DAY, 60) });
}
const of = (id: ExplanationId, told: CaseFile, founders = 0.05) =>
  explain(told, { founders })!.find((one) => one.id === id)!.p;

describe("why there are still some", () => {
  const weekly = [1, 8, 15].map((n) => spray(n));

  it("is not asked while nothing was found again after a treatment", () => {
    expect(explain(file([]), { founders: 1 })).toBeNull();
    expect(explain(file([spray(1)]), { founders: 1 })).toBeNull();
    expect(explain(file([found(4, 3)]), { founders: 1 })).toBeNull();
  });

  it("the odds sum to 1, the likeliest first", () => {
    const told = explain(file([...weekly, found(20, 4)]), { founders: 0.1 })!;
    expect(told.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 12);
    expect(told.map(({ p }) => p)).toEqual(told.map(({ p }) => p).toSorted((a, b) => b - a));
  });

  // Facts of the trade, each by what would change its odds: common practice, no source.
  it("the more there are, the likelier they were missed, not left as had to be expected", () => {
    expect(of("missed", file([...weekly, found(20, 60)]))).toBeGreaterThan(
      of("missed", file([...weekly, found(20, 2)])),
    );
  });

  it("only what pests become resistant to is resisted, and likelier after two courses of it", () => {
    expect(of("resistant", file([...weekly, found(20, 20)]))).toBe(0);
    const some = [1, 8, 15].map((n) => spray(n, "spinosad"));
    const many = [1, 6, 11, 16, 21, 26].map((n) => spray(n, "spinosad"));
    expect(of("resistant", file([...some, found(20, 30)]))).toBeGreaterThan(0.02);
    expect(of("resistant", file([...many, found(31, 30)]))).toBeGreaterThan(
      of("resistant", file([...some, found(20, 30)])),
    );
  });

  it("the more infested plants stand near, and the surer it was over, the likelier it came anew", () => {
    const long = [...Array.from({ length: 9 }, (_, n) => spray(1 + 4 * n)), found(58, 1)];
    expect(of("reinfested", file(long), 2)).toBeGreaterThan(of("reinfested", file(long), 0.01));
    expect(of("reinfested", file(long), 0)).toBe(0);
    expect(of("reinfested", file([spray(1), found(5, 1)]), 2)).toBeLessThan(of("reinfested", file(long), 2));
  });

  it("in a cool room what is left was to be expected sooner than in a warm one", () => {
    const events = [...weekly, found(24, 2)];
    const cool = file(events, { pest: "mealybug", meanC: 14 });
    expect(of("asExpected", cool)).toBeGreaterThan(0.5);
  });
});
