import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { ARRIVALS_PRIOR } from "@/core/model/carriage/arrivalShare";
import { seeChances } from "@/core/model/inspection/see";
import { pestOf } from "@/core/knowledge/pests/pests";
import { addDays } from "@/core/shared/days";
import * as facts from "@/db/stores/record/facts";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { closeCase } from "../../cases/commands/closeCase";
import { judgeStale } from "../../cases/commands/judgeStale";
import { scopeOf, today, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readYear } from "../../record/queries/readYear";
import { readTaught } from "../../record/queries/readTaught";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aPlan, aSpray, daysAgo, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

const soap = { mix: "soapMild", technique: "spray" } as const;
/** A case found, sprayed twice and closed so many days ago. */
async function closed(daysAgo: number, outcome: "clear" | "givenUp" = "clear") {
  const plantId = await plantOn(context, shelf);
  const caseId = await openCaseOn(context, plantId, daysAgo + 40);
  for (const ago of [daysAgo + 39, daysAgo + 32])
    expectOk(await recordAct(context, aSpray(plantId, caseId, ago, soap)));
  for (const ago of [daysAgo + 14, daysAgo + 1]) expectOk(await recordLook(context, aLook(plantId, ago)));
  const closing = { id: uuidv7(), caseId, outcome, at: wall(daysAgo), note: "" };
  expectOk(await closeCase(context, closing));
  return { plantId, caseId, closing };
}

describe("what the record has taught", () => {
  it("counts what ended, what was given up, what came back and what still runs", async () => {
    const { plantId } = await closed(100);
    const back = await closed(100);
    expectOk(await recordLook(context, aLook(back.plantId, 60, { finds: [aFind()] })));
    await closed(90, "givenUp");
    await openCaseOn(context, await plantOn(context, shelf), 5);
    // Nobody has looked again after the first: whether that ended it is not known.
    expect((await readTaught(context)).courses[0]).toMatchObject({ ended: { hits: 0, of: 2 }, open: 1 });
    expectOk(await recordLook(context, aLook(plantId, 40)));
    const { courses, cases, closed: over } = await readTaught(context);
    expect([cases, over]).toEqual([5, 3]);
    expect(courses).toMatchObject([
      {
        pest: "mealybug",
        dose: { remedy: "soap", technique: "spray" },
        ended: { hits: 1, of: 3 },
        returned: 1,
        treatments: 2,
      },
    ]);
    // A closing that is struck out ended nothing.
    expectOk(await voidFact(context, { kind: "closing", factId: back.closing.id, reason: "not over" }));
    expect((await readTaught(context)).courses[0]).toMatchObject({ ended: { hits: 1, of: 2 }, returned: 0, open: 1 });
  });

  it("holds what was told at closing against what came back, where somebody looked for it", async () => {
    const told = async () => (await readTaught(context)).closings.map(({ came }) => [came.hits, came.of]);
    // Nobody has looked since: that nothing came back is not known.
    const { plantId } = await closed(100);
    expect(await told()).toEqual([]);
    expectOk(await recordLook(context, aLook(plantId, 80)));
    expect(await told()).toEqual([]);
    expectOk(await recordLook(context, aLook(plantId, 70)));
    expect(await told()).toEqual([[1, 1]]);
    // What was found again has come back, whenever that was.
    const back = await closed(100);
    expectOk(await recordLook(context, aLook(back.plantId, 90, { finds: [aFind()] })));
    expect(await told()).toEqual([[1, 2]]);
    // What was closed lately may still come back.
    const late = await closed(60);
    expectOk(await recordLook(context, aLook(late.plantId, 20)));
    expect(await told()).toEqual([[1, 2]]);
  });

  it("holds what plans promised against what came, where they were carried out", async () => {
    const planned = async (carriedOut: number) => {
      const plantId = await plantOn(context, shelf);
      const caseId = await openCaseOn(context, plantId, 60);
      const then = daysAgo(context, 60);
      const dates = [59, 52].map((ago) => addDays(today(context), -ago));
      const { id } = expectOk(await adoptPlan(then, aPlan(caseId, dates)));
      const { steps, pClean } = (await facts.find(scopeOf(context, "read"), "programme", id))!;
      const treats = steps.filter(({ kind }) => kind === "treat").slice(0, carriedOut);
      for (const [i, step] of treats.entries())
        expectOk(await recordAct(context, aSpray(plantId, caseId, [59, 52][i]!, {}, { stepId: step.id })));
      for (const ago of [30, 20]) expectOk(await recordLook(context, aLook(plantId, ago)));
      const closing = { id: uuidv7(), caseId, outcome: "clear" as const, at: wall(19), note: "" };
      expectOk(await closeCase(context, closing));
      return { plantId, pClean: pClean! };
    };
    const { pClean } = await planned(2);
    await planned(1);
    const { promises } = await readTaught(context);
    expect(promises).toMatchObject([{ told: pClean, came: { hits: 1, of: 1 }, off: "tooFew" }]);
  });

  it("is told year by year, with what came back", async () => {
    const back = await closed(100);
    expectOk(await recordLook(context, aLook(back.plantId, 60, { finds: [aFind()] })));
    await closed(90, "givenUp");
    const { review, years, places, plants, used, cost, pairs } = await readYear(context, null);
    expect(years).toEqual([2026]);
    // Four sprays of 5 mL at 5 mL of soap a litre; no bottle has a price, and nobody took photos.
    expect(used).toEqual([{ active: "soap", ml: expect.closeTo(0.1, 9) as number }]);
    expect([cost, pairs]).toEqual([0, []]);
    expect(review).toMatchObject({ year: 2026, finds: 3, plants: 2, ended: { clear: 1, givenUp: 1, lost: 0 } });
    expect(review.pests.map(({ pest, finds }) => [pest, finds])).toEqual([["mealybug", 3]]);
    expect(review.minutes).toBeGreaterThan(0);
    expect(review.relapses.map(({ plantId }) => plantId)).toEqual([back.plantId]);
    expect(plants[back.plantId]).toContain("Wax flower");
    // They were found before anybody said where they stand.
    expect(review.from.place.map(({ key, finds }) => [key, finds.length])).toEqual([["", 3]]);
    expect(places[shelf]).toBe("Shelf");
    // A year of which nothing is known shows the newest instead.
    expect((await readYear(context, 1999)).review.year).toBe(2026);
  });

  it("learns how much a hand misses from the cases it has closed, and begins the next with it", async () => {
    for (const ago of [100, 90]) await closed(ago);
    expect((await readTaught(context)).hands).toMatchObject([{ technique: "spray", cases: 2, learned: null }]);
    await closed(80);
    const [hand] = (await readTaught(context)).hands;
    expect(hand!.cases).toBe(3);
    expect(hand!.learned!.mean.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);

    const plantId = await plantOn(context, shelf);
    const next = await openCaseOn(context, plantId, 20);
    expectOk(await recordAct(context, aSpray(plantId, next, 19, soap)));
    const begun = async (numbers: "ours" | "mixed" | "mine") =>
      (await readCase({ ...context, collection: { ...context.collection, numbers } }, next))!.file!.reachPrior;
    expect(await begun("mixed")).toEqual(hand!.learned!.mean);
    expect(await begun("ours")).toBeUndefined();
    // By ours alone it is the same case without what the hand has shown; one that no hand has touched begins as all do.
    const untouched = await openCaseOn(context, await plantOn(context, shelf), 10);
    const judged = async (numbers: "ours" | "mixed", caseId = next) => {
      const { judged } = (await readCase({ ...context, collection: { ...context.collection, numbers } }, caseId))!;
      return judged!.judged.ok ? judged!.judged.judgement : null;
    };
    const mixed = (await judged("mixed"))!;
    const ours = (await judged("ours"))!;
    expect(ours.byOurs).toBeUndefined();
    expect(mixed.byOurs).toBe(ours.assessment.pClear);
    expect((await judged("mixed", untouched))!.byOurs).toBeUndefined();
    // Once the job has judged it, it stands among what has been learned.
    expect((await readTaught(context)).bearsOn).toEqual([]);
    await judgeStale(context);
    expect((await readTaught(context)).bearsOn).toMatchObject([
      { caseId: next, pest: "mealybug", pClear: mixed.assessment.pClear, byOurs: mixed.byOurs },
    ]);
    // Of facts that have changed since nothing is said.
    expectOk(await recordAct(context, aSpray(plantId, next, 5, soap)));
    expect((await readTaught(context)).bearsOn).toEqual([]);
    const moved = (of: readonly number[] | undefined) => Math.abs(of![2]! - 0.25);
    expect(moved(await begun("mine"))).toBeGreaterThan(moved(await begun("mixed")));
  });

  it("knows what an eye passed beside a lamp that found it, and says nothing of an empty record", async () => {
    expect(await readTaught(context)).toEqual({
      courses: [],
      closings: [],
      hands: [],
      sights: [],
      eyes: [],
      sellers: [],
      arrivals: ARRIVALS_PRIOR,
      promises: [],
      expected: [],
      passing: { looks: 0, finds: 0, learned: null },
      bearsOn: [],
      cards: { within: null, below: 0, above: 0 },
      worth: {
        ...{ hands: [], eyes: [], arrivals: { plants: 0, showed: 0 } },
        passing: { looks: 0, precision: 0, pull: 0 },
      },
      elsewhere: null,
      cases: 0,
      closed: 0,
    });
    const plantId = await plantOn(context, shelf);
    expectOk(await recordLook(context, aLook(plantId, 3, { tool: "eye" })));
    expectOk(await recordLook(context, aLook(plantId, 2, { tool: "lamp", finds: [aFind()] })));
    expect((await readTaught(context)).sights).toMatchObject([{ tool: "eye", saw: { hits: 0, of: 1 } }]);
  });

  it("learns how much an eye sees from what it passed, and counts its clean looks in later cases by that", async () => {
    for (const ago of [90, 80, 70, 60]) {
      const plantId = await plantOn(context, shelf);
      expectOk(await recordLook(context, aLook(plantId, ago + 1, { tool: "eye" })));
      expectOk(await recordLook(context, aLook(plantId, ago, { tool: "lamp", finds: [aFind()] })));
    }
    const [eye] = (await readTaught(context)).eyes;
    expect(eye).toMatchObject({ tool: "eye", looks: 4 });
    expect(eye!.learned!.mean).toBeLessThan(0.9);

    const plantId = await plantOn(context, shelf);
    const next = await openCaseOn(context, plantId, 20);
    expectOk(await recordLook(context, aLook(plantId, 10, { tool: "eye" })));
    const clean = async (numbers: "ours" | "mixed") => {
      const { file } = (await readCase({ ...context, collection: { ...context.collection, numbers } }, next))!;
      return file!.events.findLast((event) => event.type === "inspection")!;
    };
    expect(await clean("ours")).toMatchObject({ look: { with: "eye" } });
    const { see } = (await clean("mixed")) as { see: Record<string, number[]> };
    const search = { tool: "eye", spots: ["axil", "underside"] } as const;
    const ours = seeChances(pestOf("mealybug"), "mealybug", "trailingVine", search).at(-1)!;
    expect(see["adult"]).toEqual(ours.map((chance): unknown => expect.closeTo(chance * eye!.learned!.mean, 9)));
  });
});
