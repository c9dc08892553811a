import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { assessFile } from "@/core/case/assess";
import { MODEL_VERSION } from "@/core/case/model";
import { readCaseFile } from "@/core/format/read";
import type { Day } from "@/core/climate/days";
import { spotsOf } from "@/core/plants/growthForms";
import * as assessments from "@/db/stores/assessments";
import * as plantStates from "@/db/stores/plantStates";
import { adoptPlan } from "../adoptPlan";
import { changeSettings } from "../changeSettings";
import { scopeOf, today, type Context } from "../context";
import { editPlace } from "../editPlace";
import { readCase } from "../readCase";
import { rebuildStale } from "../rebuild";
import { recordLook } from "../recordLook";
import { recordTreatment } from "../recordTreatment";
import { setApart } from "../setApart";
import { voidFact } from "../voidFact";
import { aFind, aLook, aTreatment, daysAgo, freshCollection, openCaseOn, plantOn, wall } from "./builders";

let context: Context;
let shelf: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, pantry } = await freshCollection()));

const spots = [...spotsOf("trailingVine")];
const judgement = async (caseId: string, at = context) => (await readCase(at, caseId))!.judged!.judgement;
const pClear = async (caseId: string, at = context) => (await judgement(caseId, at)).assessment.pClear;
const kept = async (caseId: string) => (await assessments.ofCases(scopeOf(context), [caseId]))[0]!;
const plan = (caseId: string, dates: string[], over = {}) => ({
  id: uuidv7(),
  caseId,
  mix: "alcoholFull" as const,
  technique: "sprayAndSwab" as const,
  basis: "own" as const,
  dates: dates as Day[],
  ...over,
});

async function treatedCase(ago = 30) {
  const id = await plantOn(context, shelf);
  const caseId = await openCaseOn(context, id, ago);
  for (const days of [0, 4, 8, 12]) {
    await recordTreatment(
      context,
      aTreatment(caseId, ago - days, { mix: "alcoholFull", technique: "sprayAndSwab", spots }),
    );
  }
  return { id, caseId };
}

describe("the judgement of a case", () => {
  it("is kept when a fact lands, with the version of the facts, the model and the day", async () => {
    const { id, caseId } = await treatedCase();
    const before = await kept(caseId);
    expect(before).toMatchObject({ modelVersion: MODEL_VERSION, asOf: "2026-11-24" });
    await recordLook(context, aLook(id, 8, { tool: "loupe", spots }));
    const after = await kept(caseId);
    expect(after.factsVersion).not.toBe(before.factsVersion);
    expect(await pClear(caseId)).toBeGreaterThan(
      (before.result as { assessment: { pClear: number } }).assessment.pClear,
    );
  });

  it("is the one that the case's own file gives anywhere else", async () => {
    const { id, caseId } = await treatedCase();
    await recordLook(context, aLook(id, 8, { tool: "lamp", spots }));
    const view = (await readCase(context, caseId))!;
    const read = readCaseFile(JSON.stringify(view.file));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const assessed = assessFile(read.file);
    expect(assessed.ok && assessed.assessment).toEqual(view.judged!.judgement.assessment);
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

  it("says how many clean looks would make it sure enough, and that the keeper wants more", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 20);
    for (const ago of [20, 16, 12]) {
      await recordTreatment(context, aTreatment(caseId, ago, { technique: "sprayAndSwab", spots }));
    }
    await recordLook(context, aLook(id, 2, { tool: "lamp", spots }));
    const { sureAfter } = await judgement(caseId);
    expect(sureAfter!.looks).toBeGreaterThanOrEqual(1);
    // A week after the last look, which was two days ago.
    expect(sureAfter!.next).toBe("2026-11-29");
    const notYet = (await readCase(context, caseId))!.clearance.notYet.map((reason) => reason.code);
    expect(notYet).toContain("not_sure_enough");
  });
});

describe("the outlook of a plan", () => {
  it("is good when it is kept to, and says what was promised", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 1);
    const dates = ["2026-11-24", "2026-11-27", "2026-11-30", "2026-12-03", "2026-12-06", "2026-12-09"];
    await adoptPlan(context, plan(caseId, dates, { pOver: 0.95 }));
    const { outlook } = await judgement(caseId);
    expect(outlook).toMatchObject({ lateDays: 0, mended: null });
    expect((await readCase(context, caseId))!.plan!.pOver).toBe(0.95);
  });

  it("late by days it is scored again, and a mended plan is proposed with the reason", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 12);
    const then = daysAgo(context, 12);
    await adoptPlan(then, plan(caseId, ["2026-11-12", "2026-11-15", "2026-11-18", "2026-11-21"]));
    const view = (await readCase(context, caseId))!;
    const { outlook } = view.judged!.judgement;
    expect(view.changed).toMatchObject({ lateDays: 12, foundOn: null });
    expect(outlook!.mended!.dates[0]).toBe(today(context));
    expect(outlook!.mended!.pOver).toBeGreaterThan(outlook!.pOver);
  });

  it("treats only on the keeper's days, and aims at the keeper's mark", async () => {
    const { id: collectionId, ...settings } = context.collection;
    const weekend = { ...settings, workDays: [6, 7], planPercent: 95 };
    await changeSettings(context, weekend);
    context = { ...context, collection: { id: collectionId, ...weekend } };
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 1);
    await adoptPlan(context, plan(caseId, ["2026-11-24"]));
    const { mended } = (await judgement(caseId)).outlook!;
    for (const date of mended!.dates) expect([0, 6]).toContain(new Date(`${date}T00:00:00Z`).getUTCDay());
  });

  it("a plan with a knock-down keeps it for its first treatment only", async () => {
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 1);
    const knockDown = { mix: "alcoholFull", technique: "sprayAndSwab" } as const;
    await adoptPlan(
      context,
      plan(caseId, ["2026-11-24", "2026-11-27"], { mix: "soapMild", technique: "spray", knockDown }),
    );
    expect((await readCase(context, caseId))!.plan).toMatchObject({ mix: "soapMild", knockDown });
  });
});

describe("rebuilding", () => {
  it("a change that touches many cases is worked off by a job; until then what was known is shown", async () => {
    const ids = [];
    for (let i = 0; i < 8; i++) {
      const id = await plantOn(context, shelf);
      await openCaseOn(context, id, 9);
      ids.push(id);
    }
    const scope = scopeOf(context);
    expect(await plantStates.stale(scope, today(context))).toEqual([]);
    await editPlace(context, { placeId: shelf, name: "Warmer", meanC: 29 });
    const waiting = await plantStates.stale(scope, today(context));
    expect(waiting.length).toBeGreaterThan(0);
    expect(waiting.length).toBeLessThan(ids.length);
    expect(await rebuildStale(context)).toBe(waiting.length);
    expect(await plantStates.stale(scope, today(context))).toEqual([]);
  });

  it("more cases at once than somebody may wait for: those not yet judged wait for the job too", async () => {
    const id = await plantOn(context, shelf);
    const pests = ["mealybug", "spiderMite", "thrips", "softScale", "armouredScale", "aphid"] as const;
    const finds = pests.map((pest) => aFind({ pest }));
    await recordLook(context, aLook(id, 1, { spots, finds }));
    const scope = scopeOf(context);
    expect(await plantStates.stale(scope, today(context))).toEqual([id]);
    await rebuildStale(context);
    expect(await plantStates.stale(scope, today(context))).toEqual([]);
    const all = await assessments.ofCases(
      scope,
      finds.map((find) => find.caseId),
    );
    expect(all).toHaveLength(pests.length);
  });

  it("another model judges anew", async () => {
    const { id } = await treatedCase();
    const scope = scopeOf(context);
    await plantStates.markOutdated(scope, MODEL_VERSION);
    expect(await plantStates.stale(scope, today(context))).toEqual([]);
    await plantStates.markOutdated(scope, MODEL_VERSION + 1);
    expect(await plantStates.stale(scope, today(context))).toEqual([id]);
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
