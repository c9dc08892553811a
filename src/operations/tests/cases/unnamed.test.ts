import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { AdoptUnnamed } from "@/core/record/facts/kinds/programme";
import { adoptUnnamed } from "../../cases/commands/adoptUnnamed";
import { dayOf, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { readCases } from "../../cases/queries/readCases";
import { readDue } from "../../sessions/queries/readDue";
import { readToday } from "../../plants/queries/readToday";
import { readUnnamed } from "../../cases/queries/readUnnamed";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aSpray, codes, freshCollection, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
let id: string;
beforeEach(async () => {
  ({ context, shelf } = await freshCollection());
  id = await plantOn(context, shelf);
});

const day = (n: number) => dayOf(context, wall(-n));
const soap = { mix: "soapMild", technique: "spray" } as const;
const dates = (...on: number[]): AdoptUnnamed => ({
  ...{ id: uuidv7(), plantId: id, dates: on.map(day) },
  doses: on.map(() => soap),
});
const naming = { present: ["stippling" as const], absent: [], likeliest: "spiderMite" as const, by: "signs" as const };
const leftOpen = (daysBefore: number) =>
  recordLook(context, aLook(id, daysBefore, { naming: { ...naming, open: true } }));
const batches = async () => (await readToday(context)).batches;

describe("dates against something without a name", () => {
  it("fall due as a session, and are carried out like any; the plant is in no case", async () => {
    expectOk(await leftOpen(2));
    const chosen = dates(0, 5);
    expectOk(await adoptUnnamed(context, chosen));
    expectOk(await adoptUnnamed(context, chosen));
    expect(await batches()).toMatchObject([{ what: "soapMild", due: [{ caseId: null, pest: null, plant: { id } }] }]);
    expect((await readCases(context)).open).toEqual([]);
    const lines = (await readDue(context, "soapMild")).steps.flatMap((step) => step.lines);
    expect(lines).toMatchObject([{ caseId: null, plantId: id, act: { kind: "contact", ...soap } }]);
    // Whoever only tends carries it out too.
    const put = aSpray(id, uuidv7(), 0);
    const step = { ...put, at: wall(0), caseId: null, stepId: lines[0]!.stepId, act: { ...put.act, ...soap } };
    expectOk(await recordAct({ ...context, role: "sitter" }, step as never));
    expect(await batches()).toEqual([]);
    expect((await readUnnamed(context, id))!.open!.plan!.steps.map(({ doneOn }) => doneOn)).toEqual([day(0), null]);
  });

  it("end with a name, and stand again where that was not so", async () => {
    expectOk(await leftOpen(3));
    expectOk(await adoptUnnamed(context, dates(0)));
    const look = aLook(id, 0, { finds: [aFind()] });
    expectOk(await recordLook(context, look));
    expect(await batches()).toEqual([]);
    expectOk(await voidFact(context, { kind: "look", factId: look.id, reason: "perlite" }));
    expect(await batches()).toHaveLength(1);
  });

  it("are refused where nothing is open, where the plant or a label does not bear them, and too far off", async () => {
    expect(codes(await adoptUnnamed(context, dates(0)))).toEqual(["plantId not_unnamed"]);
    expectOk(await leftOpen(2));
    expect(codes(await adoptUnnamed(context, dates(0, 1)))).toEqual(["dates against_label"]);
    expect(codes(await adoptUnnamed(context, dates(2000)))).toEqual(["dates too_far_ahead"]);
    const neverHere = { ...dates(0), doses: [{ mix: "bifenazateLabel", technique: "spray" } as const] };
    expect(codes(await adoptUnnamed(context, neverHere))).toEqual(["mix advised_against"]);
    expect((await adoptUnnamed({ ...context, role: "sitter" }, dates(0))).ok).toBe(false);
    expect(await batches()).toEqual([]);
  });
});
