import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { act, cleanLookIn, treats, withNoneSeen, type Act } from "../../../acts/acts";
import { checkCaseFile } from "../../format/read";
import { pestIds } from "../../../knowledge/pests/pests";
import { assessFile } from "../../../advice/clearance/assess";
import { ruleOf } from "../../../advice/clearance/clearing";
import { caseFileFrom } from "../fromFacts";
import { inspectionsOn } from "../inspections";
import { at, find, look, nextId, on, record, spray } from "./facts";

const A = nextId();
const card: Act = { kind: "trap", cards: 1, days: 28, lure: "card" };
const dab: Act = {
  ...({ kind: "contact", mix: "alcoholFull", technique: "dab", volumeMl: 5, tool: "loupe" } as const),
  spots: ["axil", "underside"],
};
const warmth = () => Array.from({ length: 200 }, () => 25);

/** Clean looks missing of a case found on day 0, treated on day 7, looked at without a find on days 15 and 22. */
function missing(then: readonly ReturnType<typeof spray>[], today = 40): boolean {
  const of = record({ looks: [find(0, A), look(15), look(22)], acts: [spray(7), ...then] });
  const { notYet } = ruleOf(of.cases[0]!, of, warmth, on(today), null);
  return notYet.some(({ code }) => code === "clean_looks_missing");
}

describe("what counts as a treatment against a pest", () => {
  it("a card hung for gnats, a drench of Bti, dry mix leave the clean looks of a mealybug case as they are; a spray does not", () => {
    expect(missing([])).toBe(false);
    const harmless: readonly Act[] = [
      card,
      { kind: "drench", remedy: "bti", volumeMl: 300 },
      { kind: "culture", way: "dryTop", days: 60 },
      { kind: "release", predator: "predatoryMites", sachets: 1 },
    ];
    for (const one of harmless) expect(missing([spray(30, { act: one })]), one.kind).toBe(false);
    expect(missing([spray(30)])).toBe(true);
    expect(missing([spray(30, { act: { ...card }, plantId: null, placeId: "shelf" })])).toBe(false);
  });

  it("is told by what it does: where no stage of a pest may die of it, it is none", () => {
    expect(treats({ kind: "drench", remedy: "bti", volumeMl: 300 }, "fungusGnat")).toBe(true);
    expect(
      treats({ kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 60, spots: ["axil"] }, "rootMealybug"),
    ).toBe(false);
    expect(treats({ kind: "systemic", remedy: "throughTheRoots", given: "" }, "spiderMite")).toBe(false);
    expect(treats({ kind: "systemic", remedy: "throughTheRoots", given: "" }, "aphid")).toBe(true);
    // A soak in soap is a weak treatment of what lives in the mix; a cleaned shelf is none of anything.
    expect(treats({ kind: "drench", remedy: "soap", volumeMl: 300 }, "rootMealybug")).toBe(true);
    const shelf = { kind: "clean", what: "shelf", with: "soapyWater" } as const;
    for (const pest of pestIds) expect([treats(card, pest), treats(shelf, pest)]).toEqual([false, false]);
  });
});

describe("a dab or a pick-off that finds nothing", () => {
  it("is a look and no treatment: it makes up a missing clean look instead of taking both away", () => {
    const none = withNoneSeen(dab)!;
    const looked = (acts: readonly ReturnType<typeof spray>[]) => {
      const of = record({ looks: [find(0, A), look(15)], acts: [spray(7), ...acts] });
      return ruleOf(of.cases[0]!, of, warmth, on(40), null).notYet.map(({ code }) => code);
    };
    expect(looked([])).toEqual(["clean_looks_missing"]);
    expect(looked([spray(22, { act: none })])).toEqual([]);
    expect(looked([spray(22, { act: dab })])).toEqual(["clean_looks_missing"]);
    const of = record({ looks: [find(0, A)], acts: [spray(9, { act: none })] });
    expect(of.looked.at(-1)).toEqual({ day: on(9), clean: true });
  });

  it("reaches the model as the look it was, with the tool that searched", () => {
    const file = (acts: readonly ReturnType<typeof spray>[], looks = [find(0, A)]) => {
      const of = record({ looks, acts });
      const wallTime = (moment: Date) => moment.toISOString().slice(0, 16);
      return caseFileFrom({ found: of.cases[0]!, plant: of.plant, looks, acts, warmth, wallTime, asOf: on(20) })!;
    };
    const by = file([spray(9, { act: withNoneSeen(dab)! })]);
    expect(by.events.at(-1)).toMatchObject({ type: "inspection", found: 0, look: { with: "loupe" } });
    const same = file([], [find(0, A), look(9, [], { tool: "loupe", spots: ["axil", "underside"], at: at(9) })]);
    const p = (input: ReturnType<typeof file>) => {
      const read = checkCaseFile(input);
      const done = read.ok ? assessFile(read.file) : null;
      return done?.ok ? done.assessment.pClear : null;
    };
    expect(p(by)).toBe(p(same));
  });

  it("is asked of dabbing and picking only, with what was searched with; struck out it counts nothing", () => {
    const wipe = { ...dab, technique: "wipe" } as Act;
    expect(withNoneSeen(wipe)).toBeNull();
    const asked = (over: object) => cleanLookIn(act.parse({ ...dab, seen: "none", ...over }));
    expect(asked({ technique: "spray" })).toBeNull();
    expect(asked({ tool: null })).toBeNull();
    expect(asked({})).toEqual({ tool: "loupe", spots: ["axil", "underside"] });
    fc.assert(
      fc.property(fc.constantFrom<Act>(dab, wipe, card), fc.boolean(), (done, struck) => {
        const none = withNoneSeen(done) ?? done;
        const facts = { looks: [], acts: [spray(3, { act: none, voidReason: struck ? "no" : null })] };
        expect(inspectionsOn(facts).filter(({ voidReason }) => voidReason === null)).toHaveLength(
          cleanLookIn(none) && !struck ? 1 : 0,
        );
      }),
    );
  });
});
