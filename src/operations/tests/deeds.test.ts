import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { Day } from "@/core/climate/days";
import { spotsOf } from "@/core/plants/growthForms";
import { scopeOf, type Context } from "../context";
import { addPlant } from "../addPlant";
import { adoptPlan } from "../adoptPlan";
import { archivePlant } from "../archivePlant";
import { changeSettings } from "../changeSettings";
import { closeCase } from "../closeCase";
import { editPlace } from "../editPlace";
import { editPlant } from "../editPlant";
import { movePlant } from "../movePlant";
import type { Outcome } from "../outcome";
import { readCase } from "../readCase";
import { readPlant } from "../readPlant";
import { recordLook } from "../recordLook";
import { recordTreatment } from "../recordTreatment";
import { setApart } from "../setApart";
import { voidFact } from "../voidFact";
import * as looks from "@/db/stores/looks";
import { aFind, aLook, aPlant, aTreatment, freshCollection, NOW, openCaseOn, plantOn, wall } from "./builders";

let context: Context;
let shelf: string;
let other: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, other, pantry } = await freshCollection()));

const stateOf = async (id: string) => (await readPlant(context, id))!.card.state;
const codes = (outcome: Outcome<unknown>) => (outcome.ok ? [] : outcome.problems.map((p) => `${p.path} ${p.code}`));
const unknown = () => uuidv7();

describe("plants", () => {
  it("a plant added to the isolation place is new here; moved among the others it is not", async () => {
    const id = await plantOn(context, pantry);
    expect(await stateOf(id)).toBe("new");
    await movePlant(context, { id: uuidv7(), plantId: id, placeId: shelf, at: wall(1) });
    expect(await stateOf(id)).not.toBe("new");
  });

  it("set apart in the very minute in which it came, it stands apart: wall times are told to the minute", async () => {
    const later = { ...context, now: new Date(NOW.getTime() + 20_000) };
    const deed = aPlant(shelf);
    await addPlant(later, deed);
    const now = { ...context, now: new Date(NOW.getTime() + 30_000) };
    await setApart(now, { id: uuidv7(), plantId: deed.id, placeId: pantry, bagId: uuidv7(), at: wall(0) });
    expect((await readPlant(now, deed.id))!.card.apart).toBe(true);
    await movePlant(now, { id: uuidv7(), plantId: deed.id, placeId: other, at: wall(0) });
    expect((await readPlant(now, deed.id))!.place.id).toBe(other);
  });

  it("refuses a code in use, whatever its letters' case, and frees it when the plant is archived", async () => {
    const id = await plantOn(context, shelf, { code: "Shelf-1" });
    const twin = aPlant(shelf, { code: "SHELF-1" });
    expect(codes(await addPlant(context, twin))).toEqual(["code code_taken"]);
    await archivePlant(context, { plantId: id, archived: true });
    expect((await addPlant(context, twin)).ok).toBe(true);
    expect(codes(await archivePlant(context, { plantId: id, archived: false }))).toEqual(["plantId code_taken"]);
  });

  it("changes a label and refuses a day to come", async () => {
    const id = await plantOn(context, shelf);
    const edit = {
      plantId: id,
      code: "K1",
      name: "Renamed",
      genus: "Ficus",
      growthForm: "uprightShrub",
      potCm: 20,
      acquiredOn: null,
      seller: "Swap",
      inFlower: true,
    } as const;
    expect((await editPlant(context, edit)).ok).toBe(true);
    expect((await readPlant(context, id))!.plant).toMatchObject({ name: "Renamed", potCm: 20, inFlower: true });
    expect(codes(await editPlant(context, { ...edit, acquiredOn: "2026-11-25" as Day }))).toEqual([
      "acquiredOn in_future",
    ]);
  });

  it("takes no deed on an archived plant", async () => {
    const id = await plantOn(context, shelf);
    await archivePlant(context, { plantId: id, archived: true });
    expect(codes(await recordLook(context, aLook(id, 1)))).toEqual(["plantId archived"]);
  });
});

describe("a look", () => {
  it("sent twice is recorded once", async () => {
    const id = await plantOn(context, shelf);
    const look = aLook(id, 2, { finds: [aFind()] });
    const first = await recordLook(context, look);
    const second = await recordLook(context, look);
    expect([first.ok, second.ok]).toEqual([true, true]);
    expect((await readPlant(context, id))!.looks).toHaveLength(1);
    expect((await readPlant(context, id))!.cases).toHaveLength(1);
  });

  it("sent twice at the same moment is recorded once, and neither answer is an error", async () => {
    const id = await plantOn(context, shelf);
    const look = aLook(id, 2);
    const outcomes = await Promise.allSettled([recordLook(context, look), recordLook(context, look)]);
    expect(outcomes.filter((o) => o.status === "fulfilled" && o.value.ok)).toHaveLength(2);
    expect((await readPlant(context, id))!.looks).toHaveLength(1);
  });

  it("with a find opens a case and puts those standing beside it at risk, with a look due at once", async () => {
    const id = await plantOn(context, shelf);
    const beside = await plantOn(context, shelf);
    const far = await plantOn(context, other);
    const gone = await plantOn(context, shelf);
    await movePlant(context, { id: uuidv7(), plantId: gone, placeId: other, at: wall(10) });
    await recordLook(context, aLook(id, 3, { finds: [aFind()] }));
    expect(await stateOf(id)).toBe("infested");
    expect((await readPlant(context, beside))!.card).toMatchObject({ state: "atRisk", lookDueOn: "2026-09-25" });
    expect([await stateOf(far), await stateOf(gone)]).toEqual(["overdue", "overdue"]);
  });

  it("a second find goes to the open case; another pest opens another", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 5);
    const again = await recordLook(context, aLook(id, 2, { finds: [aFind(), aFind({ pest: "thrips" })] }));
    expect(again.ok && again.value.caseIds[0]).toBe(caseId);
    expect(again.ok && again.value.opened).toHaveLength(1);
  });

  it("a find written down late moves the beginning of its case", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 5);
    await recordLook(context, aLook(id, 9, { finds: [aFind()] }));
    expect((await readCase(context, caseId))!.found.openedOn).toBe("2026-11-15");
  });

  it("a count decides the class", async () => {
    const id = await plantOn(context, shelf);
    await recordLook(context, aLook(id, 1, { finds: [aFind({ severity: "trace", count: 60 })] }));
    expect((await readPlant(context, id))!.looks[0]!.finds[0]).toMatchObject({ severity: "heavy", count: 60 });
  });

  it.each([
    ["a time to come", { at: "2026-11-24T19:30" }, "at in_future"],
    ["a spot the plant has not", { spots: ["areole"] as const }, "spots spot_not_there"],
    ["the same pest twice", { finds: [aFind(), aFind()] }, "finds twice_same_pest"],
    ["a plant that is not there", { plantId: unknown() }, "plantId unknown"],
  ])("refuses %s and writes nothing", async (_why, over, code) => {
    const id = await plantOn(context, shelf);
    expect(codes(await recordLook(context, aLook(id, 1, over as Partial<ReturnType<typeof aLook>>)))).toEqual([code]);
    expect(await looks.ofPlants(scopeOf(context), [id])).toEqual([]);
  });
});

describe("setting apart", () => {
  it("to the isolation place, and back", async () => {
    const id = await plantOn(context, shelf);
    await openCaseOn(context, id, 3);
    await setApart(context, { id: uuidv7(), plantId: id, placeId: pantry, bagId: uuidv7(), at: wall(2) });
    const view = (await readPlant(context, id))!;
    expect(view.card).toMatchObject({ apart: true, state: "infested" });
    expect(view.before!.id).toBe(shelf);
    await movePlant(context, { id: uuidv7(), plantId: id, placeId: view.before!.id, at: wall(1) });
    expect((await readPlant(context, id))!.card.apart).toBe(false);
  });

  it("under a bag of its own, as warm as where it stands, sent twice makes one bag", async () => {
    const id = await plantOn(context, shelf);
    const deed = { id: uuidv7(), plantId: id, placeId: null, bagId: uuidv7(), at: wall(1) };
    await setApart(context, deed);
    expect((await setApart(context, deed)).ok).toBe(true);
    const { place, placements } = (await readPlant(context, id))!;
    expect(place).toMatchObject({ kind: "bag", parentId: shelf, meanC: 25 });
    expect(placements).toHaveLength(2);
  });

  it("refuses a shelf among the others and a place that is not there", async () => {
    const id = await plantOn(context, shelf);
    const deed = (placeId: string) => ({ id: uuidv7(), plantId: id, placeId, bagId: uuidv7(), at: wall(1) });
    expect(codes(await setApart(context, deed(other)))).toEqual(["placeId not_apart_place"]);
    expect(codes(await setApart(context, deed(unknown())))).toEqual(["placeId unknown"]);
    expect(codes(await movePlant(context, { id: uuidv7(), plantId: id, placeId: shelf, at: wall(1) }))).toEqual([
      "placeId same_place",
    ]);
  });
});

describe("plans and treatments", () => {
  const plan = (caseId: string, over = {}) => ({
    id: uuidv7(),
    caseId,
    mix: "alcoholHalf" as const,
    technique: "dab" as const,
    basis: "own" as const,
    dates: ["2026-11-20", "2026-11-27"] as Day[],
    ...over,
  });

  it("a plan writes its treatments and two looks after the last; a treatment carries out its step once", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    await adoptPlan(context, plan(caseId));
    const [first] = (await readCase(context, caseId))!.plan!.steps;
    expect((await readCase(context, caseId))!.plan!.steps.map((s) => `${s.kind} ${s.dueOn}`)).toEqual([
      "treat 2026-11-20",
      "treat 2026-11-27",
      "look 2026-12-04",
      "look 2026-12-11",
    ]);
    expect((await recordTreatment(context, aTreatment(caseId, 3, { stepId: first!.id }))).ok).toBe(true);
    const view = (await readCase(context, caseId))!;
    expect(view.plan!.steps[0]!.doneOn).toBe("2026-11-21");
    expect(view.nextStep!.dueOn).toBe("2026-11-27");
    expect(codes(await recordTreatment(context, aTreatment(caseId, 1, { stepId: first!.id })))).toEqual([
      "stepId step_taken",
    ]);
    expect(codes(await recordTreatment(context, aTreatment(caseId, 1, { stepId: unknown() })))).toEqual([
      "stepId unknown",
    ]);
  });

  it("the plan adopted last is in force; voiding it brings the one before back", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    const before = plan(caseId);
    const after = plan(caseId, { mix: "soapMild", technique: "spray" });
    await adoptPlan({ ...context, now: new Date(context.now.getTime() - 1000) }, before);
    await adoptPlan(context, after);
    expect((await readCase(context, caseId))!.plan!.id).toBe(after.id);
    await voidFact(context, { kind: "plan", factId: after.id, reason: "wrong mix" });
    expect((await readCase(context, caseId))!.plan!.id).toBe(before.id);
  });

  it("refuses oil for an oil-shy kind, unless it has happened already", async () => {
    const id = await plantOn(context, shelf, { genus: "Adiantum", growthForm: "fern" });
    const caseId = await openCaseOn(context, id, 4);
    const oil = { mix: "oil1", technique: "spray" } as const;
    expect(codes(await adoptPlan(context, plan(caseId, oil)))).toEqual(["mix advised_against"]);
    expect(codes(await recordTreatment(context, aTreatment(caseId, 1, oil)))).toEqual(["mix advised_against"]);
    expect((await recordTreatment(context, aTreatment(caseId, 1, { ...oil, alreadyDone: true }))).ok).toBe(true);
  });

  it.each([
    ["before the case began", 6, {}, "at before_case"],
    ["in the future", 0, { at: "2026-11-25T08:00" }, "at in_future"],
    ["on a spot the plant has not", 1, { spots: ["areole"] as const }, "spots spot_not_there"],
    ["of a case that is not there", 1, { caseId: unknown() }, "caseId unknown"],
  ])("refuses a treatment %s", async (_why, daysBack, over, code) => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    expect(codes(await recordTreatment(context, aTreatment(caseId, daysBack, over as object)))).toEqual([code]);
    expect((await readCase(context, caseId))!.treatments).toEqual([]);
  });

  it("refuses a plan that begins before its case", async () => {
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 4);
    expect(codes(await adoptPlan(context, plan(caseId, { dates: ["2026-11-01"] })))).toEqual(["dates before_case"]);
  });
});

describe("closing", () => {
  it("the whole way: find, treat, look twice, clear, and a new find opens a new case", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 50);
    const thorough = { technique: "sprayAndSwab", spots: [...spotsOf("trailingVine")] } as const;
    for (const ago of [50, 46, 42, 38]) await recordTreatment(context, aTreatment(caseId, ago, thorough as object));
    for (const ago of [28, 21]) {
      await recordLook(context, aLook(id, ago, { tool: "loupe", spots: [...spotsOf("trailingVine")] }));
    }
    const before = (await readCase(context, caseId))!;
    expect(before.clearance.notYet).toEqual([]);
    expect(before.view.card).toMatchObject({ state: "surer", petals: 5 });
    expect((await closeCase(context, { id: uuidv7(), caseId, outcome: "clear", at: wall(20), note: "" })).ok).toBe(
      true,
    );
    expect(await stateOf(id)).toBe("overdue");
    const again = await openCaseOn(context, id, 1);
    expect((await readPlant(context, id))!.cases.map((c) => [c.id, c.open])).toEqual([
      [caseId, false],
      [again, true],
    ]);
  });

  it("takes no treatment and no second closing afterwards; a struck-out closing opens it again", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 10);
    const closing = { id: uuidv7(), caseId, outcome: "givenUp" as const, at: wall(2), note: "" };
    await closeCase(context, closing);
    expect((await closeCase(context, closing)).ok).toBe(true);
    expect(codes(await closeCase(context, { ...closing, id: uuidv7() }))).toEqual(["caseId case_closed"]);
    expect(codes(await recordTreatment(context, aTreatment(caseId, 1)))).toEqual(["caseId case_closed"]);
    await voidFact(context, { kind: "closing", factId: closing.id, reason: "wrong plant" });
    expect((await readCase(context, caseId))!.found.open).toBe(true);
    expect(await stateOf(id)).toBe("infested");
  });

  it("does not open a case again beside a newer one of the same pest", async () => {
    const id = await plantOn(context, shelf);
    const closing = {
      id: uuidv7(),
      caseId: await openCaseOn(context, id, 10),
      outcome: "clear" as const,
      at: wall(5),
      note: "",
    };
    await closeCase(context, closing);
    await openCaseOn(context, id, 1);
    expect(codes(await voidFact(context, { kind: "closing", factId: closing.id, reason: "?" }))).toEqual([
      "factId still_in_use",
    ]);
    expect((await readPlant(context, id))!.closings[0]!.voidReason).toBeNull();
  });
});

describe("striking out", () => {
  it("a find takes its case and the risk of its neighbours with it, and stays on record", async () => {
    const id = await plantOn(context, shelf);
    const beside = await plantOn(context, shelf);
    const look = aLook(id, 2, { finds: [aFind()] });
    await recordLook(context, look);
    expect(await stateOf(beside)).toBe("atRisk");
    expect((await voidFact(context, { kind: "look", factId: look.id, reason: "it was perlite" })).ok).toBe(true);
    expect([await stateOf(id), await stateOf(beside)]).toEqual(["overdue", "overdue"]);
    const view = (await readPlant(context, id))!;
    expect(view.cases).toEqual([]);
    expect(view.looks[0]!.voidReason).toBe("it was perlite");
    expect(codes(await voidFact(context, { kind: "look", factId: look.id, reason: "again" }))).toEqual([
      "factId already_voided",
    ]);
  });

  it("a find leaves a case standing that rests on another find too", async () => {
    const id = await plantOn(context, shelf);
    const first = aLook(id, 6, { finds: [aFind()] });
    await recordLook(context, first);
    await recordLook(context, aLook(id, 2, { finds: [aFind()] }));
    await voidFact(context, { kind: "look", factId: first.id, reason: "wrong day" });
    expect(await stateOf(id)).toBe("infested");
  });

  it("a treatment frees its step, and a placement puts the plant back", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    await adoptPlan(context, {
      id: uuidv7(),
      caseId,
      mix: "soapMild",
      technique: "spray",
      basis: "own",
      dates: ["2026-11-22" as Day],
    });
    const step = (await readCase(context, caseId))!.nextStep!;
    const treatment = aTreatment(caseId, 2, { stepId: step.id });
    await recordTreatment(context, treatment);
    expect((await readCase(context, caseId))!.nextStep).toBeNull();
    await voidFact(context, { kind: "treatment", factId: treatment.id, reason: "did not happen" });
    expect((await readCase(context, caseId))!.nextStep!.id).toBe(step.id);
    const move = { id: uuidv7(), plantId: id, placeId: other, at: wall(1) };
    await movePlant(context, move);
    await voidFact(context, { kind: "placement", factId: move.id, reason: "stayed" });
    const { place, placements } = (await readPlant(context, id))!;
    expect(place.id).toBe(shelf);
    expect(codes(await voidFact(context, { kind: "placement", factId: placements[0]!.id, reason: "?" }))).toEqual([
      "factId still_in_use",
    ]);
    expect(codes(await voidFact(context, { kind: "look", factId: unknown(), reason: "?" }))).toEqual([
      "factId unknown",
    ]);
  });
});

describe("settings and places", () => {
  it("a longer rhythm moves every plant's next look", async () => {
    const id = await plantOn(context, shelf);
    await recordLook(context, aLook(id, 10));
    expect(await stateOf(id)).toBe("overdue");
    const { id: collectionId, ...settings } = context.collection;
    await changeSettings(context, { ...settings, lookEveryDays: 21 });
    context = { ...context, collection: { id: collectionId, ...settings, lookEveryDays: 21 } };
    expect(await stateOf(id)).toBe("clear");
  });

  it("a warmer place, from today on, changes what is to come and not what was", async () => {
    const id = await plantOn(context, other);
    const caseId = await openCaseOn(context, id, 35);
    const before = (await readCase(context, caseId))!.file!;
    await editPlace(context, { placeId: other, name: "Warm shelf", meanC: 25 });
    const view = (await readCase(context, caseId))!;
    expect(view.generationDays).toBe(30);
    const warmth = (file: typeof before) => (file.temperature as { dailyMeanC: number[] }).dailyMeanC;
    expect(warmth(before).slice(-2)).toEqual([20, 20]);
    expect(warmth(view.file!).slice(-2)).toEqual([20, 25]);
  });
});
