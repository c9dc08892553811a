import { describe, expect, it } from "vitest";
import { closing, find, look, nextId, on, placement, record } from "../../record/cases/tests/facts";
import type { PlantRecord } from "../../record/cases/record";
import { derivePlantState, shownState } from "./plantState";

const A = nextId();
const beside = {
  sourcePlantId: "q",
  sourceCode: "Q",
  caseId: nextId(),
  pest: "thrips" as const,
  since: new Date(),
  day: on(5),
};
const derived = (of: PlantRecord, today = 20, petals = 4) =>
  derivePlantState(
    {
      record: of,
      lookEveryDays: 14,
      risk: { p: null, current: false, from: 0.05, stretch: false },
      petalsOf: () => petals,
    },
    on(today),
  );

describe("how a plant stands", () => {
  it.each<[string, PlantRecord, string, number]>([
    ["nothing on record", record(), "clear", 0],
    ["live animals at the last look", record({ looks: [find(3, A)], exposures: [beside] }), "infested", 0],
    ["clean since, in a case", record({ looks: [find(3, A), look(9)], exposures: [beside] }), "surer", 4],
    ["apart since it came", record({ placements: [placement(0, "pantry")], exposures: [beside] }), "new", 0],
    ["stood beside a case", record({ exposures: [beside] }), "atRisk", 0],
    ["closed", record({ looks: [find(3, A)], closings: [closing(9, A)] }), "clear", 0],
  ])("%s: %3$s", (_why, of, state, petals) => {
    expect(derived(of)).toMatchObject({ state, petals });
  });

  it("the first look that any programme asks for is due, and says for what", () => {
    expect(derived(record({ looks: [look(10)] }))).toMatchObject({
      lookDueOn: on(24),
      lookDueFor: "round",
      lastLookOn: on(10),
    });
    const watched = record({ looks: [look(10)], exposures: [beside] });
    expect(derived(watched)).toMatchObject({ lookDueOn: on(17), lookDueFor: "watch" });
    const guarded = record({ looks: [find(3, A)], closings: [closing(9, A)] });
    expect(derived(guarded)).toMatchObject({ lookDueOn: on(16), lookDueFor: "guard" });
  });

  it("a clear plant whose look is overdue says so; others do not", () => {
    const clear = derived(record({ looks: [look(1)] }));
    expect(shownState(clear, on(15))).toBe("clear");
    expect(shownState(clear, on(16))).toBe("overdue");
    expect(shownState(derived(record({ looks: [find(1, A)] })), on(90))).toBe("infested");
  });
});
