import { describe, expect, it } from "vitest";
import { priorsFor } from "../diagnosis/priors";
import type { ActDone, Look } from "../../record/facts/facts";
import { riskNotAsked } from "../../schedule/programmes/programme";
import { dueOf } from "../../schedule/programmes/programmes";
import { treatedPlantOf } from "../tolerance/treatedPlant";
import {
  planAcrossSuspects,
  type PlanAcrossSuspectsAnswer,
  type PlanAcrossSuspectsQuestion,
} from "./planAcrossSuspects";
import { coursesOn } from "../plans/coursesOnRecord";
import { TRIAL_DAY } from "../plans/trial";
import { inQuestionOf, planOfUnnamed, unnamedOn, type Unnamed } from "./unnamed";
import { find, look, on, plan, record, spray, struck } from "../../record/cases/tests/facts";

const signs = { present: ["stippling"], absent: ["webbing"], by: "signs", likeliest: "spiderMite" } as const;
const naming = { ...signs, present: [...signs.present], absent: [...signs.absent] };
const open = (day: number, over: Partial<Look> = {}) => look(day, [], { naming: { ...naming, open: true }, ...over });

describe("what is open without a name", () => {
  it("is the last look at which signs were left open, in whatever order looks arrive", () => {
    const looks = [open(3), look(5, []), open(0)];
    const expected = { since: on(3), observed: { stippling: "present", webbing: "absent" } };
    expect(unnamedOn(looks)).toEqual(expected);
    expect(unnamedOn(looks.toReversed())).toEqual(expected);
    expect(unnamedOn([])).toBeNull();
  });

  it("has a name once something is found, is none once that is said, and never was where it is struck out", () => {
    expect(unnamedOn([open(0), find(4, "thrips")])).toBeNull();
    expect(unnamedOn([open(0), look(4, [], { naming })])).toBeNull();
    expect(unnamedOn([open(0, { voidReason: "Another plant." })])).toBeNull();
    expect(unnamedOn([open(9), find(4, "thrips")])).not.toBeNull();
  });
});

describe("what is chosen against it", () => {
  const chosen = (offset: number, due: number) => ({
    ...plan(offset, "", [["treat", due]]),
    programme: "unnamed" as const,
    caseId: null,
    pest: null,
  });
  const due = (of: Parameters<typeof planOfUnnamed>[0]) => planOfUnnamed(of)?.steps.map(({ dueOn }) => dueOn) ?? null;

  it("is what was chosen last since it has been open, and goes on while it stays open", () => {
    const looks = [open(0), open(8)];
    expect(due({ looks, acts: [], programmes: [chosen(1, 2), chosen(3, 5)] })).toEqual([on(5)]);
    expect(due({ looks, acts: [], programmes: [chosen(1, 2), struck(chosen(3, 5))] })).toEqual([on(2)]);
    expect(due({ looks, acts: [], programmes: [] })).toBeNull();
  });

  it("ends with a name, and what was chosen against something earlier is not taken up again", () => {
    const programmes = [chosen(1, 2)];
    expect(due({ looks: [open(0), find(4, "thrips")], acts: [], programmes })).toBeNull();
    expect(due({ looks: [open(0), look(4, [], { naming }), open(9)], acts: [], programmes })).toBeNull();
    expect(due({ looks: [open(0), struck(look(4, [], { naming })), open(9)], acts: [], programmes })).toEqual([on(2)]);
  });

  it("falls due on its days, and no more once it is done", () => {
    const programmes = [chosen(1, 2)];
    const asked = (acts: ActDone[]) =>
      dueOf(
        {
          record: record({ looks: [open(0)], programmes, acts }),
          lookEveryDays: 7,
          risk: riskNotAsked,
          petalsOf: () => 1,
        },
        on(2),
      ).filter(({ what }) => what === "treat");
    expect(asked([])).toMatchObject([{ on: on(2), programme: "unnamed", caseId: null }]);
    expect(asked([spray(2, { stepId: programmes[0]!.steps[0]!.id })])).toEqual([]);
  });
});

describe("what it may be", () => {
  const priors = priorsFor({ form: "climbingAroid", meanC: 22, season: "winter", nearby: {}, prone: [] });
  const unnamed: Unnamed = { since: on(0), observed: { stippling: "present", silverStreaks: "present" } };
  const about = inQuestionOf(unnamed, priors, "climbingAroid", on(1));

  // Stippling and silver streaks: thrips or mites, and paper or loupe tell them apart (common practice, no source).
  it("mites or thrips or neither: they sum to 1, and each answer of the test says what it would be then", () => {
    expect(about.candidates.map(({ pest }) => pest)).toEqual(expect.arrayContaining(["spiderMite", "thrips"]));
    const sum = about.candidates.reduce((all, { p }) => all + p, about.none + about.unreckoned);
    expect(sum).toBeCloseTo(1, 9);
    expect(about.test).not.toBeNull();
    const slender = about.test!.answers.find(({ sign }) => sign === "runningSpecks" || sign === "loupeSlender");
    if (slender) expect(slender.likeliest).toBe("thrips");
    expect(about.decideOn >= on(7)).toBe(true);
  });

  it("a way is worth the mean over what it may be; soap once is a few better days", () => {
    const kind = { genus: "Monstera", growthForm: "climbingAroid", potCm: 12, inBud: false, inFlower: false } as const;
    const bearer = treatedPlantOf(kind, [], TRIAL_DAY, "north");
    const question: PlanAcrossSuspectsQuestion = {
      ...{ candidates: about.candidates, none: about.none, form: "climbingAroid", meanC: 22, today: on(1) },
      ...{ workDays: [1, 2, 3, 4, 5, 6, 7], target: 0.9, courses: coursesOn([], TRIAL_DAY) },
      on: { bearer, tool: "lamp", washes: [] },
    };
    const { ways, soapOnce } = toItsEnd(planAcrossSuspects(question));
    const total = about.none + about.candidates.reduce((all, { p }) => all + p, 0);
    for (const { each, pOver, dates } of ways) {
      const mean = about.candidates.reduce((all, { p }, i) => all + p * each[i]!, about.none) / total;
      expect(pOver).toBeCloseTo(mean, 12);
      expect(dates[0]! >= on(1)).toBe(true);
    }
    const chances = ways.map(({ pOver }) => pOver);
    expect(chances).toEqual(chances.toSorted((a, b) => b - a));
    expect(soapOnce.pOver).toBeLessThan(chances[0]!);
    // What was left breeds: within a month or so there are as many again.
    expect(soapOnce.asManyAfterDays).toBeGreaterThan(2);
    expect(soapOnce.asManyAfterDays).toBeLessThan(45);
  });
});

function toItsEnd(run: Generator<number, PlanAcrossSuspectsAnswer>): PlanAcrossSuspectsAnswer {
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
