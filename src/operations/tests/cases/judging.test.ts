import { run } from "@/db/query";
import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { assessFile } from "@/core/advice/clearance/assess";
import type { Judgement } from "@/core/advice/clearance/judge";
import { MODEL_VERSION } from "@/core/advice/clearance/model";
import { addDays, type Day } from "@/core/shared/days";
import { readCaseFile } from "@/core/record/format/read";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import { spotsFor } from "@/core/knowledge/remedies/remedies";
import * as assessments from "@/db/stores/cases/assessments";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { closeCase } from "../../cases/commands/closeCase";
import { readClearable } from "../../cases/queries/readClearable";
import { changeSettings } from "../../collections/commands/changeSettings";
import { scopeOf, today, type Context } from "../../shared/context";
import { judgeStale } from "../../cases/commands/judgeStale";
import { expectOk } from "../../shared/outcome";
import { judgedNow } from "../../cases/judgements";
import { readCase } from "../../cases/queries/readCase";
import { readPlant } from "../../plants/queries/readPlant";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { setApart } from "../../plants/commands/setApart";
import { takeReading } from "../../climate/commands/takeReading";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aPlan, aSpray, daysAgo, freshCollection, NOW, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, pantry } = await freshCollection()));

const spots = [...spotsOf("trailingVine")];
const sprayed = spotsFor("sprayAndSwab", "trailingVine");
const reached = spotsFor("sprayAndSwab", "trailingVine");
const thorough = { mix: "alcoholFull", technique: "sprayAndSwab", spots: reached } as const;
const plan = (caseId: string, dates: string[], over = {}) =>
  aPlan(caseId, dates, { mix: "alcoholFull", technique: "sprayAndSwab", ...over });

async function judgement(caseId: string, at = context): Promise<Judgement> {
  const { judged } = (await readCase(at, caseId))!.judged!;
  if (!judged.ok) throw new Error(JSON.stringify(judged.problems));
  return judged.judgement;
}
const pClear = async (caseId: string, at = context) => (await judgement(caseId, at)).assessment.pClear;
const kept = async (caseId: string) => (await assessments.ofCases(scopeOf(context, "record"), [caseId]))[0];
const toJudge = async (at = context) =>
  (await assessments.toJudge(scopeOf(at, "record"), judgedNow(at))).map((one) => one.caseId);

async function treatedCase(ago = 30) {
  const id = await plantOn(context, shelf);
  const caseId = await openCaseOn(context, id, ago);
  for (const days of [0, 4, 8, 12]) expectOk(await recordAct(context, aSpray(id, caseId, ago - days, thorough)));
  return { id, caseId };
}

describe("the judgement of a case", () => {
  it("is kept with the version of the facts, the model and the day; a fact more, and it is to be made anew", async () => {
    const { id, caseId } = await treatedCase();
    expect(await kept(caseId)).toBeUndefined();
    expect(await toJudge()).toEqual([caseId]);
    expect(await judgeStale(context)).toBe(1);
    expect(await toJudge()).toEqual([]);
    const before = (await kept(caseId))!;
    expect(before).toMatchObject({ modelVersion: MODEL_VERSION, asOf: "2026-11-24" });
    const p = await pClear(caseId);
    await recordLook(context, aLook(id, 8, { tool: "loupe", spots }));
    expect(await toJudge()).toEqual([caseId]);
    // Whoever reads first sees what is known now, and writes nothing down.
    expect(await pClear(caseId)).toBeGreaterThan(p);
    expect(await kept(caseId)).toEqual(before);
    await judgeStale(context);
    expect((await kept(caseId))!.factsVersion).not.toBe(before.factsVersion);
  });

  it("is not kept when the facts have changed while it was reckoned", async () => {
    const { id, caseId } = await treatedCase();
    const { factsVersion } = (await readPlant(context, id))!.record as unknown as { factsVersion: number };
    await recordLook(context, aLook(id, 1, { spots }));
    const late = { caseId, plantId: id, factsVersion, ...judgedNow(context), result: { ok: false, problems: [] } };
    await assessments.keep(scopeOf(context, "record"), late);
    expect(await kept(caseId)).toBeUndefined();
  });

  it("is the one that the case's own file gives anywhere else", async () => {
    const { id, caseId } = await treatedCase();
    await recordLook(context, aLook(id, 8, { tool: "lamp", spots }));
    const view = (await readCase(context, caseId))!;
    const read = readCaseFile(JSON.stringify(view.file));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const assessed = assessFile(read.file);
    expect(assessed.ok && assessed.assessment).toEqual((await judgement(caseId)).assessment);
  });

  it("goes down with a find after clean looks, and up again when that is struck out", async () => {
    const { id, caseId } = await treatedCase();
    await recordLook(context, aLook(id, 10, { tool: "loupe", spots }));
    const clean = await pClear(caseId);
    const find = aLook(id, 2, { finds: [aFind({ count: 2 })], spots });
    await recordLook(context, find);
    expect(await pClear(caseId)).toBeLessThan(clean / 2);
    await voidFact(context, { kind: "look", factId: find.id, reason: "it was fluff" });
    expect(await pClear(caseId)).toBe(clean);
  });

  it("survives a find that its look could not have made", async () => {
    const id = await plantOn(context, shelf);
    const look = aLook(id, 3, { tool: "unpotted", spots: ["underside"], finds: [aFind()] });
    await recordLook(context, look);
    expect(await pClear(look.finds[0]!.caseId)).toBeLessThan(0.01);
  });

  it("one that cannot be reckoned says so, and stops neither its page, nor the job, nor another case", async () => {
    vi.spyOn(console, "error").mockImplementation(() => {});
    const [broken, whole] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    const caseId = await openCaseOn(context, broken, 5);
    const other = await openCaseOn(context, whole, 4);
    // More events than a file may hold.
    await run(
      scopeOf(context, "record"),
      `insert into looks (collection_id, id, plant_id, tool, spots, turned, note, happened_at, recorded_at)
       select collection_id, gen_random_uuid(), plant_id, tool, spots, turned, note, happened_at + n * interval '1 minute', recorded_at
       from looks, generate_series(1, 2100) n where plant_id = :broken`,
      { broken },
    );
    const view = (await readCase(context, caseId))!;
    expect(view.judged!.judged).toMatchObject({ ok: false, problems: [{ path: "events" }] });
    expect(await judgeStale(context)).toBe(2);
    expect((await kept(other))!.result).toMatchObject({ ok: true });
    expect((await readPlant(context, broken))!.card.state).toBe("infested");
    vi.restoreAllMocks();
  });

  it("says how many clean looks would make it sure enough, and that the keeper wants more", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 20);
    for (const ago of [20, 16, 12])
      expectOk(await recordAct(context, aSpray(id, caseId, ago, { technique: "sprayAndSwab", spots: sprayed })));
    await recordLook(context, aLook(id, 2, { tool: "lamp", spots }));
    const { sureAfter } = await judgement(caseId);
    expect(sureAfter!.looks).toBeGreaterThanOrEqual(1);
    // A week after the last look, which was two days ago.
    expect(sureAfter!.next).toBe("2026-11-29");
    const notYet = (await readCase(context, caseId))!.clearance.notYet.map((reason) => reason.code);
    expect(notYet).toContain("not_sure_enough");
  });
});

it("what may be called clear is told once the job has judged it, and whole; closed, it is told no more", async () => {
  const { id, caseId } = await treatedCase(80);
  for (const ago of [55, 40, 25, 10, 2]) await recordLook(context, aLook(id, ago, { tool: "loupe", spots }));
  expect(await readClearable(context)).toEqual([]);
  await judgeStale(context);
  const view = (await readCase(context, caseId))!;
  expect(view.clearance.met).toBe(true);
  expect(await readClearable(context)).toMatchObject([{ caseId, pest: "mealybug", met: true, plant: { id } }]);
  // A fact more, and it is not known any more.
  const look = aLook(id, 1, { tool: "loupe", spots });
  await recordLook(context, look);
  expect(await readClearable(context)).toEqual([]);
  await judgeStale(context);
  const closing = { id: uuidv7(), caseId, outcome: "clear" as const, at: wall(0), note: "" };
  expectOk(await closeCase(context, closing));
  expect(await readClearable(context)).toEqual([]);
});

it("promises nothing of looks at animals that nobody has touched", async () => {
  const caseId = await openCaseOn(context, await plantOn(context, shelf), 3);
  expect((await judgement(caseId)).sureAfter).toBeNull();
});

describe("the outlook of a plan", () => {
  it("is good when it is kept to", async () => {
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 1);
    const dates = Array.from({ length: 12 }, (_, i) => addDays("2026-11-24" as Day, 5 * i));
    expectOk(await adoptPlan(context, plan(caseId, dates)));
    expect((await judgement(caseId)).outlook).toMatchObject({ lateDays: 0, behind: false, mended: null });
  });

  it("late by days it is scored again from today, and is not behind while clean looks would do", async () => {
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 12);
    const then = daysAgo(context, 12);
    expectOk(await adoptPlan(then, plan(caseId, ["2026-11-12", "2026-11-15", "2026-11-18", "2026-11-21"])));
    const { changed } = (await readCase(context, caseId))!;
    const { outlook } = await judgement(caseId);
    expect(changed).toMatchObject({ lateDays: 12, foundOn: null });
    // Four late steps are one, today; clean looks after it would still do.
    expect(outlook).toMatchObject({ behind: false, mended: null });
    expect(outlook!.asItStands.dates).toEqual([today(context)]);
    expect(outlook!.asItStands.reaches).toBe(true);
  });

  it("goes on within what the label leaves: the interval from the last time, and no more than a course", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 40);
    for (let i = 0; i < 9; i++) await recordAct(context, aSpray(id, caseId, 1 + 4 * i, { mix: "alcoholFull" }));
    await recordLook(context, aLook(id, 0, { finds: [aFind()], at: wall(0, "17:00") }));
    expectOk(await adoptPlan(context, plan(caseId, ["2026-11-27"], { technique: "dab" })));
    const { asItStands } = (await judgement(caseId)).outlook!;
    const { dates } = asItStands;
    expect(dates).toHaveLength(1);
    // Yesterday was the last time: three days between two applications of alcohol.
    for (const date of dates) expect(date >= "2026-11-26").toBe(true);
  });

  it("treats only on the keeper's days", async () => {
    const { id: _id, isDemo: _demo, ...settings } = context.collection;
    const weekend = { ...settings, workDays: [6, 7], clearPercent: 99 };
    expectOk(await changeSettings(context, weekend));
    context = { ...context, collection: { ...context.collection, ...weekend } };
    const find = aFind({ pest: "armouredScale", count: 5 });
    expectOk(await recordLook(context, aLook(await plantOn(context, shelf), 1, { finds: [find] })));
    expectOk(await adoptPlan(context, plan(find.caseId, ["2026-11-24"], { mix: "soapMild", technique: "hastySpray" })));
    const { behind, mended } = (await judgement(find.caseId)).outlook!;
    expect(behind).toBe(true);
    expect(mended!.dates.length).toBeGreaterThan(0);
    for (const date of mended!.dates) expect([0, 6]).toContain(new Date(`${date}T00:00:00Z`).getUTCDay());
  });

  it("a plan with a knock-down keeps it for its first step, and is not mended at once for having lost it", async () => {
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 1);
    const knockDown = { mix: "alcoholFull", technique: "sprayAndSwab" } as const;
    const dates = ["2026-11-24", "2026-11-27", "2026-11-30", "2026-12-03", "2026-12-06", "2026-12-09", "2026-12-12"];
    const dose = { mix: "soapMild", technique: "sprayAndSwab" } as const;
    expectOk(await adoptPlan(context, plan(caseId, dates, { ...dose, knockDown })));
    const { steps, promised } = (await readCase(context, caseId))!.plan!;
    expect(steps.filter((step) => step.dose).map((step) => step.dose)).toEqual([
      knockDown,
      ...dates.slice(1).map(() => dose),
    ]);
    expect((await judgement(caseId)).outlook!.asItStands.pClean).toBeCloseTo(promised!.pClean, 9);
  });
});

describe("judging in the background", () => {
  it("a reading at a place has every case there judged anew, and a job goes through them", async () => {
    const cases = [];
    for (let i = 0; i < 5; i++) cases.push(await openCaseOn(context, await plantOn(context, shelf), 9));
    expect(await judgeStale(context)).toBe(5);
    const warm = { id: uuidv7(), placeId: shelf, at: NOW, celsius: 29, source: "about" as const };
    expectOk(await takeReading(context, warm));
    expect((await toJudge()).toSorted()).toEqual(cases.toSorted());
    // A job that is to end stops between two plants.
    let left = 2;
    expect(await judgeStale(context, () => left-- > 0)).toBe(2);
    expect(await toJudge()).toHaveLength(3);
    expect(await judgeStale(context)).toBe(3);
  });

  it("the calendar's turn, another model and other ways of the keeper have all of them judged anew", async () => {
    const { caseId } = await treatedCase();
    await judgeStale(context);
    expect(await toJudge(daysAgo(context, -1))).toEqual([caseId]);
    const ways = { ...context, collection: { ...context.collection, clearPercent: 99 } };
    expect(await toJudge(ways)).toEqual([caseId]);
    const newer = { ...judgedNow(context), modelVersion: MODEL_VERSION + 1 };
    expect(await assessments.toJudge(scopeOf(context, "record"), newer)).toHaveLength(1);
  });

  it("the petals of a plant follow from its judgement", async () => {
    const { id } = await treatedCase(50);
    for (const ago of [30, 22, 14, 7]) await recordLook(context, aLook(id, ago, { tool: "loupe", spots }));
    expect((await readPlant(context, id))!.card).toMatchObject({ state: "surer", petals: 1 });
    await judgeStale(context);
    expect((await readPlant(context, id))!.card).toMatchObject({ state: "surer", petals: 5 });
  });

  it("warmth follows the plant from place to place", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 6);
    await setApart(context, { id: uuidv7(), plantId: id, placeId: pantry, bagId: uuidv7(), at: wall(3) });
    const { file } = (await readCase(context, caseId))!;
    // The shelf is at 25 °C, the pantry at 22.
    expect(file!.temperature).toEqual({ from: "2026-11-18", dailyMeanC: [25, 25, 25, 22, 22, 22, 22] });
  });
});
