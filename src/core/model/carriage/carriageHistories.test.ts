import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seeChances } from "../inspection/see";
import { sitesOn } from "../inspection/sitesOn";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { applicationEvents } from "../../acts/contact";
import { reckonCarriage, type CarriageQuestion } from "./carriage";
import { Courses } from "./carriageHistories";

const FORM = "trailingVine";
const seenBy = (pest: PestId, tool: "eye" | "loupe") =>
  seeChances(pestOf(pest), pest, FORM, { tool, spots: ["axil", "underside"] });

/** Questions that share much and differ in little: what a course is mistaken for another by. */
const question = fc
  .record({
    pest: fc.constantFrom<PestId>("mealybug", "spiderMite", "thrips"),
    meanC: fc.constantFrom(19, 24),
    fromDays: fc.constantFrom(0, 0.6, 3),
    asOfDays: fc.constantFrom(20, 21),
    lookAt: fc.array(fc.constantFrom(4, 4.2, 9, 15), { maxLength: 2 }),
    sprayAt: fc.constantFrom(null, 6, 12),
    tool: fc.constantFrom<"eye" | "loupe">("eye", "loupe"),
    share: fc.constantFrom(0, 0.1, 0.4),
    perDay: fc.constantFrom(1e-4, 0.02),
    mayMiss: fc.constantFrom(0, 1e-2),
    ask: fc.boolean(),
  })
  .map(({ pest: id, meanC, lookAt, sprayAt, tool, share, perDay, ask, ...rest }): CarriageQuestion => {
    const see = seenBy(id, tool);
    const looks = lookAt.map((atDays) => ({ kind: "inspection", atDays, found: 0, removed: false, see }) as const);
    const sprays =
      sprayAt === null ? [] : applicationEvents(pestOf(id), { remedy: "soap", technique: "spray" }, sprayAt);
    return {
      ...{ pest: pestOf(id), sites: sitesOn(FORM, id), dailyMeanC: [meanC], timeStepDays: 0.5, ...rest },
      arrival: { share, mean: 5 },
      streams: [{ route: "r", fromDays: rest.fromDays, untilDays: rest.asOfDays, perDay }],
      events: [...looks, ...sprays],
      looks: ask ? [see] : [],
    };
  });

describe("courses that are shared", () => {
  it("give what each question's own course gives, in whatever order they are asked", () => {
    const courses = new Courses();
    fc.assert(
      fc.property(question, (asked) => {
        expect(reckonCarriage(asked, courses.of(asked))).toEqual(reckonCarriage(asked));
      }),
      { numRuns: 150 },
    );
  });

  it("are one for questions that differ only in who may have come, and another for the least else", () => {
    const courses = new Courses();
    const [asked] = fc.sample(question, { numRuns: 1, seed: 7 });
    const same = { ...asked!, arrival: { share: 0.3, mean: 9 }, streams: [], mayMiss: 0 };
    expect(courses.of(same)).toBe(courses.of(asked!));
    expect(courses.of({ ...asked!, dailyMeanC: [18.5] })).not.toBe(courses.of(asked!));
    expect(courses.of({ ...asked!, asOfDays: asked!.asOfDays + 2 })).not.toBe(courses.of(asked!));
    expect(courses.of({ ...asked!, looks: [...asked!.looks, seenBy("mealybug", "eye")] })).not.toBe(courses.of(asked!));
  });
});
