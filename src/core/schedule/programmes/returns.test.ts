import { describe, expect, it } from "vitest";
import { closing, find, look, on, record } from "../../record/cases/tests/facts";
import { addDays, day } from "../../shared/days";
import { hazardOf } from "./hazard";
import type { ProgrammeFacts } from "./programme";
import { dueOf, verdictsOf } from "./programmes";
import { habitsOf, watchedFor } from "./returns";

const opened = (...days: string[]) => days.map((text) => ({ pest: "spiderMite" as const, openedOn: day(text) }));

describe("what comes back at the same time of the year", () => {
  // Source: common practice: mites that return each winter mostly never left; they are looked for before they show.
  it("is told by its month, over the turn of the year too, and asks for two years", () => {
    expect(habitsOf(opened("2025-01-10", "2026-01-20"))).toEqual([{ pest: "spiderMite", month: 1, times: 2 }]);
    expect(habitsOf(opened("2024-12-20", "2026-01-05"))[0]!.times).toBe(2);
    expect(habitsOf(opened("2025-12-20", "2026-01-05"))).toEqual([]);
    expect(habitsOf(opened("2025-01-10", "2025-07-10"))).toEqual([]);
    expect(habitsOf(opened("2026-01-10"))).toEqual([]);
    expect(habitsOf([...opened("2025-05-10"), { pest: "thrips", openedOn: day("2026-05-10") }])).toEqual([]);
  });

  it("is watched for from a month before until a month after, this year or the next", () => {
    expect(watchedFor({ month: 1 }, day("2026-11-20"))).toEqual({ from: "2026-12-01", until: "2027-02-28" });
    expect(watchedFor({ month: 1 }, day("2027-01-20"))).toEqual({ from: "2026-12-01", until: "2027-02-28" });
    expect(watchedFor({ month: 1 }, day("2027-03-01"))).toEqual({ from: "2027-12-01", until: "2028-02-29" });
    expect(watchedFor({ month: 12 }, day("2026-06-01"))).toEqual({ from: "2026-11-01", until: "2027-01-31" });
  });

  it("has the plant looked at weekly in that time, and says until when", () => {
    const [a, b] = [find(-700, undefined, "spiderMite"), find(-335, undefined, "spiderMite")];
    const cases = [a, b].map((one) => one.finds[0]!.caseId);
    const closings = [
      closing(-600, cases[0]!, { pest: "spiderMite" }),
      closing(-240, cases[1]!, { pest: "spiderMite" }),
    ];
    const facts = (looks: number[]): ProgrammeFacts => ({
      record: record({ looks: [a, b, ...looks.map((n) => look(n))], closings }),
      ...{ lookEveryDays: 60, risk: { p: null, current: true, from: 0.05, stretch: false }, petalsOf: () => 0 },
    });
    const due = (looks: number[], today: number) =>
      dueOf(facts(looks), on(today))
        .filter(({ programme }) => programme === "returns")
        .map((one) => one.on);
    // Opened in October: it is looked for from September on.
    expect(due([-10], 3)).toEqual([on(0)]);
    expect(due([5], 6)).toEqual([on(12)]);
    expect(verdictsOf(facts([5]), on(6)).returns.until).toBe(addDays(on(0), 90));
  });
});

describe("how likely a return is", () => {
  it("is more for a prone kind, one it has come back to, in bloom, outdoors and beside a case; never less", () => {
    const plain = record();
    const hazard = (over: object) => hazardOf({ ...plain, ...over }, "mealybug");
    expect(hazard({ plant: { ...plain.plant, genus: "" } })).toEqual({ factor: 1, why: [] });
    expect(hazard({ plant: { ...plain.plant, genus: "Hoya" } }).why).toContain("prone");
    expect(hazard({ outdoors: true }).factor).toBeGreaterThan(hazard({}).factor);
    expect(hazard({ plant: { ...plain.plant, inBud: true } }).why).toContain("blooming");
    expect(hazardOf({ ...plain, plant: { ...plain.plant, inBud: true } }, "spiderMite").why).not.toContain("blooming");
  });
});
