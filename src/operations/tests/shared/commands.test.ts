import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { Day } from "@/core/shared/days";
import { spotsFor } from "@/core/knowledge/remedies/remedies";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import type { AdoptPlan } from "@/core/record/facts/kinds/programme";
import { settings as shape } from "@/core/record/facts/settings";
import * as facts from "@/db/stores/record/facts";
import { addPlace } from "../../places/commands/addPlace";
import { addPlant, addPlants } from "../../plants/commands/addPlants";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { readAlike } from "../../cases/queries/readAlike";
import { archivePlant } from "../../plants/commands/archivePlant";
import { changeSettings } from "../../collections/commands/changeSettings";
import { closeCase } from "../../cases/commands/closeCase";
import { scopeOf, type Context } from "../../shared/context";
import { editPlace } from "../../places/commands/editPlace";
import { editPlant } from "../../plants/commands/editPlant";
import { judgeStale } from "../../cases/commands/judgeStale";
import { movePlant } from "../../plants/commands/movePlant";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readPlace } from "../../places/queries/readPlace";
import { readPlant } from "../../plants/queries/readPlant";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { setApart } from "../../plants/commands/setApart";
import { takeReading } from "../../climate/commands/takeReading";
import { voidFact } from "../../record/commands/voidFact";
import {
  aFind,
  aLook,
  aPlan,
  aPlant,
  aSpray,
  codes,
  freshCollection,
  NOW,
  openCaseOn,
  plantOn,
  wall,
} from "../builders";

let context: Context;
let shelf: string;
let other: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, other, pantry } = await freshCollection()));

const stateOf = async (id: string) => (await readPlant(context, id))!.card.state;
const casesOf = async (id: string) => (await readPlant(context, id))!.record.cases;
const unknown = () => uuidv7();

describe("plants", () => {
  it("a plant added to the isolation place is new here; moved among the others it is not", async () => {
    const id = await plantOn(context, pantry);
    expect(await stateOf(id)).toBe("new");
    await movePlant(context, { id: uuidv7(), plantId: id, placeId: shelf, at: wall(1) });
    expect(await stateOf(id)).not.toBe("new");
  });

  it("set apart in the very minute in which it came, it stands apart: moments are told to the minute", async () => {
    const later = { ...context, now: new Date(NOW.getTime() + 20_000) };
    const command = aPlant(shelf);
    await addPlant(later, command);
    const now = { ...context, now: new Date(NOW.getTime() + 30_000) };
    expectOk(await setApart(now, { id: uuidv7(), plantId: command.id, placeId: pantry, bagId: uuidv7(), at: now.now }));
    expect((await readPlant(now, command.id))!.card.apart).toBe(true);
    const then = { ...context, now: new Date(NOW.getTime() + 40_000) };
    expectOk(await movePlant(then, { id: uuidv7(), plantId: command.id, placeId: other, at: wall(0) }));
    expect((await readPlant(then, command.id))!.place.id).toBe(other);
  });

  it("refuses a code in use, whatever its letters' case, and frees it when the plant is archived", async () => {
    const id = await plantOn(context, shelf, { code: "Shelf-1" });
    const twin = aPlant(shelf, { code: "SHELF-1" });
    expect(codes(await addPlant(context, twin))).toEqual(["code code_taken"]);
    await archivePlant(context, { plantId: id, archived: true });
    expect((await addPlant(context, twin)).ok).toBe(true);
    expect(codes(await archivePlant(context, { plantId: id, archived: false }))).toEqual(["plantId code_taken"]);
  });

  it("several are added at once, or none: each row says what is wrong with it", async () => {
    await plantOn(context, shelf, { code: "T1" });
    const rows = [
      aPlant(shelf, { code: "N1" }),
      aPlant(shelf, { code: "t1" }),
      aPlant(unknown(), { code: "n1" }),
      aPlant(shelf, { code: "N2", acquiredOn: "2026-11-25" as Day }),
    ];
    expect(codes(await addPlants(context, { plants: rows }))).toEqual([
      "plants.1.code code_taken",
      "plants.2.code code_twice",
      "plants.2.placeId unknown",
      "plants.3.acquiredOn in_future",
    ]);
    expect(await readPlant(context, rows[0]!.id)).toBeNull();
    const good = [aPlant(shelf, { code: "N1" }), aPlant(other, { code: "N2" })];
    expectOk(await addPlants(context, { plants: good }));
    expect((await readPlant(context, good[1]!.id))!.place.id).toBe(other);
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

  it("takes no command on an archived plant", async () => {
    const id = await plantOn(context, shelf);
    await archivePlant(context, { plantId: id, archived: true });
    expect(codes(await recordLook(context, aLook(id, 1)))).toEqual(["plantId archived"]);
  });
});

describe("a look", () => {
  it("sent twice is recorded once", async () => {
    const id = await plantOn(context, shelf);
    const look = aLook(id, 2, { finds: [aFind()] });
    const first = expectOk(await recordLook(context, look));
    const second = expectOk(await recordLook(context, look));
    expect(first).toMatchObject({ opened: [look.finds[0]!.caseId] });
    expect(second).toMatchObject({ caseIds: first.caseIds, opened: [] });
    expect((await readPlant(context, id))!.record.looks).toHaveLength(1);
    expect(await casesOf(id)).toHaveLength(1);
  });

  it("sent twice at the same moment is recorded once, and neither answer is an error", async () => {
    const id = await plantOn(context, shelf);
    const look = aLook(id, 2);
    const outcomes = await Promise.allSettled([recordLook(context, look), recordLook(context, look)]);
    expect(outcomes.filter((o) => o.status === "fulfilled" && o.value.ok)).toHaveLength(2);
    expect((await readPlant(context, id))!.record.looks).toHaveLength(1);
  });

  it("is written down with the name of whoever did it", async () => {
    const id = await plantOn(context, shelf);
    await recordLook({ ...context, actor: "Kitchen phone" }, aLook(id, 2));
    expect((await readPlant(context, id))!.record.looks[0]).toMatchObject({ recordedBy: "Kitchen phone" });
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
    expect((await readPlant(context, id))!.record.looks[0]!.finds[0]).toMatchObject({ severity: "heavy", count: 60 });
  });

  it.each([
    ["a time to come", { at: wall(0, "19:30") }, "at in_future"],
    ["a spot the plant has not", { spots: ["areole"] as const }, "spots spot_not_there"],
    ["the same pest twice", { finds: [aFind(), aFind()] }, "finds twice_same_pest"],
    ["a plant that is not there", { plantId: unknown() }, "plantId unknown"],
  ])("refuses %s and writes nothing", async (_why, over, code) => {
    const id = await plantOn(context, shelf);
    expect(codes(await recordLook(context, aLook(id, 1, over as Partial<ReturnType<typeof aLook>>)))).toEqual([code]);
    expect(await facts.of(scopeOf(context, "record"), "look", "plantId", [id])).toEqual([]);
  });
});

describe("moments that are mistaken", () => {
  it("before the plant came is refused, with the day it came", async () => {
    const id = await plantOn(context, shelf, { acquiredOn: "2026-09-01" as Day });
    const outcome = await recordLook(context, aLook(id, 90));
    expect(outcome).toMatchObject({ problems: [{ path: "at", code: "before_it_came", day: "2026-09-01" }] });
  });

  it("years back is asked about; said to be so, it stands on record beside the reckoning", async () => {
    const id = await plantOn(context, shelf);
    const mistyped = aLook(id, 1, { at: new Date("2015-11-23T18:00:00Z"), finds: [aFind()] });
    expect(codes(await recordLook(context, mistyped))).toEqual(["at so_long_ago"]);
    expectOk(await recordLook(context, { ...mistyped, longAgo: true }));
    expect((await readPlant(context, id))!.record.looks).toHaveLength(1);
    expect(await casesOf(id)).toEqual([]);
    // A spray, a plan and a move are told the same way.
    const at = new Date("2015-11-23T18:00:00Z");
    expect(codes(await recordAct(context, aSpray(id, null, 1, {}, { at })))).toEqual(["at so_long_ago"]);
    expect(codes(await movePlant(context, { id: uuidv7(), plantId: id, placeId: other, at }))).toEqual([
      "at so_long_ago",
    ]);
    const caseId = await openCaseOn(context, id, 1);
    expect(codes(await adoptPlan(context, aPlan(caseId, ["2026-11-24", "9998-01-01"])))).toEqual([
      "dates too_far_ahead",
    ]);
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
    const command = { id: uuidv7(), plantId: id, placeId: null, bagId: uuidv7(), at: wall(1) };
    await setApart(context, command);
    expect((await setApart(context, command)).ok).toBe(true);
    const { place, record } = (await readPlant(context, id))!;
    expect(place).toMatchObject({ kind: "bag", parentId: shelf, meanC: 25 });
    expect(record.placements).toHaveLength(2);
  });

  it("refuses a shelf among the others and a place that is not there", async () => {
    const id = await plantOn(context, shelf);
    const command = (placeId: string) => ({ id: uuidv7(), plantId: id, placeId, bagId: uuidv7(), at: wall(1) });
    expect(codes(await setApart(context, command(other)))).toEqual(["placeId not_apart_place"]);
    expect(codes(await setApart(context, command(unknown())))).toEqual(["placeId unknown"]);
    expect(codes(await movePlant(context, { id: uuidv7(), plantId: id, placeId: shelf, at: wall(1) }))).toEqual([
      "placeId same_place",
    ]);
  });
});

describe("plans and acts", () => {
  it("a plan writes its treatments and as many looks after the last as make it sure, weekly; a treatment carries out its step once", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    await adoptPlan(context, aPlan(caseId, ["2026-11-20", "2026-11-27"]));
    const [first] = (await readCase(context, caseId))!.plan!.steps;
    const steps = (await readCase(context, caseId))!.plan!.steps.map((s) => `${s.kind} ${s.dueOn}`);
    expect(steps.slice(0, 4)).toEqual(["treat 2026-11-20", "treat 2026-11-27", "look 2026-12-04", "look 2026-12-11"]);
    const spray = (ago: number, stepId: string) => aSpray(id, caseId, ago, {}, { stepId });
    expect((await recordAct(context, spray(3, first!.id))).ok).toBe(true);
    const view = (await readCase(context, caseId))!;
    expect(view.plan!.steps[0]!.doneOn).toBe("2026-11-21");
    expect(view.nextStep!.dueOn).toBe("2026-11-27");
    expect(codes(await recordAct(context, spray(1, first!.id)))).toEqual(["stepId step_taken"]);
    expect(codes(await recordAct(context, spray(1, unknown())))).toEqual(["stepId unknown"]);
  });

  it("the plan adopted last is in force; striking it out brings the one before back", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    const before = aPlan(caseId, ["2026-11-25"]);
    const after = aPlan(caseId, ["2026-11-25"], { mix: "soapMild", technique: "spray" });
    await adoptPlan({ ...context, now: new Date(context.now.getTime() - 1000) }, before);
    await adoptPlan(context, after);
    expect((await readCase(context, caseId))!.plan!.id).toBe(after.id);
    await voidFact(context, { kind: "programme", factId: after.id, reason: "wrong mix" });
    expect((await readCase(context, caseId))!.plan!.id).toBe(before.id);
  });

  it("one plan may serve all plants of a find: each in the mix that it bears, and whoever bears none is refused alone", async () => {
    const cactus = await plantOn(context, shelf, { genus: "Astrophytum", growthForm: "columnarCactus" });
    const maranta = await plantOn(context, shelf, { genus: "Maranta", growthForm: "clumpingFoliage" });
    const hoya = await plantOn(context, shelf);
    const plants = [cactus, maranta, hoya];
    const caseOf = new Map<string, string>();
    for (const id of plants) {
      const find = aFind();
      const spots = id === cactus ? (["areole"] as const) : (["axil"] as const);
      expectOk(await recordLook(context, aLook(id, 3, { finds: [find], spots: [...spots] })));
      caseOf.set(id, find.caseId);
    }
    const own = caseOf.get(hoya)!;
    const view = (await readCase(context, own))!;
    const alike = await readAlike(context, view.found, shelf);
    expect(alike.map(({ caseId }) => caseId).toSorted()).toEqual([caseOf.get(cactus), caseOf.get(maranta)].toSorted());
    const shared = (id: string, over: Partial<AdoptPlan>) =>
      adoptPlan(context, aPlan(caseOf.get(id)!, ["2026-11-25", "2026-12-02"], { asBorne: true, ...over }));
    for (const id of plants) expectOk(await shared(id, { mix: "alcoholHalf", technique: "dab" }));
    const mixes = async (id: string) =>
      (await readCase(context, caseOf.get(id)!))!.plan!.steps.flatMap(({ dose }) =>
        dose && "mix" in dose ? [dose.mix] : [],
      );
    expect(await mixes(cactus)).toEqual(["alcoholFull", "alcoholFull"]);
    expect(await mixes(maranta)).toEqual(["alcoholQuarter", "alcoholQuarter"]);
    // A prayer plant bears no oil: it keeps the plan that it had.
    expect(codes(await shared(maranta, { mix: "oil1", technique: "spray" }))).toEqual(["mix advised_against"]);
    expect(await mixes(maranta)).toEqual(["alcoholQuarter", "alcoholQuarter"]);
  });

  it("what a plan promises is reckoned here", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 1);
    const dates = ["2026-11-24", "2026-11-27", "2026-11-30", "2026-12-03"];
    expectOk(await adoptPlan(context, aPlan(caseId, dates, { mix: "alcoholFull", technique: "sprayAndSwab" })));
    const { plan, judged } = (await readCase(context, caseId))!;
    expect(plan!.promised!.pClean).toBeGreaterThan(0.3);
    const { asItStands } = (judged!.judged.ok && judged!.judged.judgement.outlook!) as { asItStands: DatedSchedule };
    expect(asItStands.pClean).toBeCloseTo(plan!.promised!.pClean, 9);
    // As many looks as make it sure come with it.
    const looks = plan!.steps.filter(({ kind }) => kind === "look").map(({ dueOn }) => dueOn);
    expect(looks).toEqual(asItStands.looks);
  });

  it("refuses oil for an oil-shy kind, unless it has happened already", async () => {
    const id = await plantOn(context, shelf, { genus: "Adiantum", growthForm: "fern" });
    const caseId = await openCaseOn(context, id, 4);
    const oil = { mix: "oil1", technique: "spray" } as const;
    expect(codes(await adoptPlan(context, aPlan(caseId, ["2026-11-25"], oil)))).toEqual(["mix advised_against"]);
    expect(codes(await recordAct(context, aSpray(id, caseId, 1, oil)))).toEqual(["act.mix advised_against"]);
    expect((await recordAct(context, aSpray(id, caseId, 1, oil, { alreadyDone: true }))).ok).toBe(true);
  });

  it("what goes against a label, with all that was put on before, is refused in a plan and told of an act", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 50);
    const refused = async (dates: string[], over = {}) => {
      const outcome = await adoptPlan(context, aPlan(caseId, dates, over));
      return outcome.ok ? [] : outcome.problems.flatMap((p) => p.label ?? []).map((l) => l.code);
    };
    expect(await refused(["2026-11-25"], { technique: "dunk" })).toEqual(["technique_not_taken"]);
    expect(await refused(["2026-11-25", "2026-11-26"])).toEqual(["too_close"]);
    // Eleven times so far, the last yesterday: one is left, and not before two days from now.
    for (let i = 0; i < 11; i++) await recordAct(context, aSpray(id, caseId, 1 + 4 * i));
    expect(await refused(["2026-11-24"])).toEqual(["too_close"]);
    expect(await refused(["2026-11-26"])).toEqual([]);
    expect(await refused(["2026-11-26", "2026-11-30"])).toEqual(["too_often"]);
    const told = await recordAct(context, aSpray(id, caseId, 0, {}, { at: wall(0, "17:00") }));
    expect(expectOk(told).warnings.map((one) => one.code)).toEqual(["too_close"]);
  });

  it.each([
    ["before the case began", 6, {}, "at before_case"],
    ["in the future", 0, { at: wall(-1, "08:00") }, "at in_future"],
    ["of a case that is not there", 1, { caseId: unknown() }, "caseId unknown"],
  ])("refuses a treatment %s", async (_why, daysBack, over, code) => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    expect(codes(await recordAct(context, aSpray(id, caseId, daysBack, {}, over)))).toEqual([code]);
    expect((await readCase(context, caseId))!.facts.acts).toEqual([]);
  });

  it("refuses a treatment on a spot the plant has not", async () => {
    const id = await plantOn(context, shelf);
    expect(codes(await recordAct(context, aSpray(id, null, 1, { spots: ["areole"] })))).toEqual([
      "act.spots spot_not_there",
    ]);
  });

  it("refuses a plan that begins before its case", async () => {
    const caseId = await openCaseOn(context, await plantOn(context, shelf), 4);
    expect(codes(await adoptPlan(context, aPlan(caseId, ["2026-11-01"])))).toEqual(["dates before_case"]);
  });

  it("an act belongs to a plant without any case, and to a place with all that stands there", async () => {
    const id = await plantOn(context, shelf);
    expectOk(await recordAct(context, aSpray(id, null, 3, { mix: "soapMild", technique: "spray" })));
    const cards = { kind: "trap", cards: 2, days: 28 } as const;
    const onPlace = { ...aSpray(id, null, 3), plantId: null, placeId: shelf, act: cards };
    expectOk(await recordAct(context, onPlace));
    expect((await readPlace(context, shelf))!.acts).toMatchObject([{ act: cards, placeId: shelf }]);
    // It came before the cards were hung, and stands there: they are hung for it too.
    expect((await readPlant(context, id))!.record.acts.map(({ act }) => act.kind)).toEqual(["contact", "trap"]);
    const spray = { ...aSpray(id, null, 3), plantId: null, placeId: shelf };
    expect(codes(await recordAct(context, spray))).toEqual(["act not_on_place"]);
    expect(codes(await recordAct(context, { ...onPlace, id: uuidv7(), placeId: unknown() }))).toEqual([
      "placeId unknown",
    ]);
  });

  it("what was done to the place counts in the case: cards take gnats", async () => {
    const id = await plantOn(context, shelf);
    const find = aFind({ pest: "fungusGnat", count: 20 });
    expectOk(await recordLook(context, aLook(id, 20, { spots: ["mixTop", "neck"], finds: [find] })));
    const before = (await readCase(context, find.caseId))!.file!;
    const act = { kind: "trap", cards: 1, days: 28 } as const;
    const hung = { ...aSpray(id, null, 19), plantId: null, placeId: shelf, act };
    expectOk(await recordAct(context, hung));
    const after = (await readCase(context, find.caseId))!.file!;
    expect(after.events).toHaveLength(before.events.length + 1);
    expect(after.events.at(-1)).toMatchObject({ type: "lasting", until: "2026-12-03T19:00:00Z" });
  });
});

describe("closing", () => {
  it("the whole way: find, treat, look twice, clear, and a new find opens a new case", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 50);
    const thorough = {
      mix: "alcoholFull",
      technique: "sprayAndSwab",
      spots: spotsFor("sprayAndSwab", "trailingVine"),
    } as const;
    for (const ago of [50, 46, 42, 38, 34]) expectOk(await recordAct(context, aSpray(id, caseId, ago, thorough)));
    for (const ago of [28, 21]) {
      await recordLook(context, aLook(id, ago, { tool: "loupe", spots: [...spotsOf("trailingVine")] }));
    }
    await judgeStale(context);
    const before = (await readCase(context, caseId))!;
    expect(before.clearance.notYet).toEqual([]);
    expect(before.card).toMatchObject({ state: "surer", petals: 5 });
    expectOk(await closeCase(context, { id: uuidv7(), caseId, outcome: "clear", at: wall(20), note: "" }));
    // A guard runs from then on: a look after a week, twenty days ago, was due and never made.
    expect((await readPlant(context, id))!.card).toMatchObject({ state: "overdue", lookDueOn: "2026-11-10" });
    const again = await openCaseOn(context, id, 1);
    expect((await casesOf(id)).map((c) => [c.id, c.open])).toEqual([
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
    expect(codes(await recordAct(context, aSpray(id, caseId, 1)))).toEqual(["caseId case_closed"]);
    await voidFact(context, { kind: "closing", factId: closing.id, reason: "wrong plant" });
    expect((await readCase(context, caseId))!.found.open).toBe(true);
    expect(await stateOf(id)).toBe("infested");
  });

  it("cannot lie before the last find", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 10);
    await recordLook(context, aLook(id, 3, { finds: [aFind()] }));
    const closing = { id: uuidv7(), caseId, outcome: "clear" as const, at: wall(5), note: "" };
    expect(codes(await closeCase(context, closing))).toEqual(["at before_last_find"]);
  });

  it("struck out beside a newer case of the same pest, the two are one again, under the name of the older", async () => {
    const id = await plantOn(context, shelf);
    const older = await openCaseOn(context, id, 10);
    const closing = { id: uuidv7(), caseId: older, outcome: "clear" as const, at: wall(5), note: "" };
    await closeCase(context, closing);
    const newer = await openCaseOn(context, id, 1);
    expectOk(await voidFact(context, { kind: "closing", factId: closing.id, reason: "it never was" }));
    expect((await casesOf(id)).map((c) => [c.id, c.openedOn, c.open])).toEqual([[older, "2026-11-14", true]]);
    // What was written down under the newer one, and every link to it, leads to the same case.
    expect((await readCase(context, newer))!.found.id).toBe(older);
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
    const { record } = (await readPlant(context, id))!;
    expect(record.cases).toEqual([]);
    expect(record.looks[0]!.voidReason).toBe("it was perlite");
    expect(codes(await voidFact(context, { kind: "look", factId: look.id, reason: "again" }))).toEqual([
      "factId already_voided",
    ]);
  });

  it("the opening find leaves the case standing on the next; that one struck out too, nothing is left of it", async () => {
    const id = await plantOn(context, shelf);
    const [first, second] = [aLook(id, 6, { finds: [aFind()] }), aLook(id, 2, { finds: [aFind()] })];
    await recordLook(context, first);
    await recordLook(context, second);
    const caseId = first.finds[0]!.caseId;
    await recordAct(context, aSpray(id, caseId, 1));
    await voidFact(context, { kind: "look", factId: first.id, reason: "wrong day" });
    expect((await casesOf(id)).map((c) => [c.id, c.openedOn])).toEqual([[caseId, "2026-11-22"]]);
    await voidFact(context, { kind: "look", factId: second.id, reason: "perlite too" });
    expect(await casesOf(id)).toEqual([]);
    expect(await readCase(context, caseId)).toBeNull();
    expect(await stateOf(id)).toBe("overdue");
    // What was done to the plant stays on its record.
    expect((await readPlant(context, id))!.record.acts).toHaveLength(1);
  });

  it("a find that moved the beginning of its case, struck out, moves it back", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 5);
    const late = aLook(id, 9, { finds: [aFind()] });
    await recordLook(context, late);
    await voidFact(context, { kind: "look", factId: late.id, reason: "another plant" });
    expect((await readCase(context, caseId))!.found.openedOn).toBe("2026-11-19");
  });

  it("a treatment frees its step, and a placement puts the plant back", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 4);
    await adoptPlan(context, aPlan(caseId, ["2026-11-22"], { mix: "soapMild", technique: "spray" }));
    const step = (await readCase(context, caseId))!.nextStep!;
    const treatment = aSpray(id, caseId, 2, {}, { stepId: step.id });
    await recordAct(context, treatment);
    expect((await readCase(context, caseId))!.nextStep).toBeNull();
    await voidFact(context, { kind: "act", factId: treatment.id, reason: "did not happen" });
    expect((await readCase(context, caseId))!.nextStep!.id).toBe(step.id);
    const move = { id: uuidv7(), plantId: id, placeId: other, at: wall(1) };
    await movePlant(context, move);
    await voidFact(context, { kind: "placement", factId: move.id, reason: "stayed" });
    const { place, record } = (await readPlant(context, id))!;
    expect(place.id).toBe(shelf);
    const first = record.placements[0]!.id;
    expect(codes(await voidFact(context, { kind: "placement", factId: first, reason: "?" }))).toEqual([
      "factId still_in_use",
    ]);
    expect(codes(await voidFact(context, { kind: "look", factId: unknown(), reason: "?" }))).toEqual([
      "factId unknown",
    ]);
  });
});

describe("exposure", () => {
  const exposed = async (id: string) => (await readPlant(context, id))!.record.exposures.map((one) => one.day);

  it("a find more in an open case exposes those who stand beside it now", async () => {
    const id = await plantOn(context, shelf);
    await openCaseOn(context, id, 20);
    const late = await plantOn(context, other);
    await movePlant(context, { id: uuidv7(), plantId: late, placeId: shelf, at: wall(10) });
    expect(await exposed(late)).toEqual(["2026-11-14"]);
    expect(await stateOf(late)).toBe("atRisk");
    await recordLook(context, aLook(id, 3, { finds: [aFind()] }));
    expect(await exposed(late)).toEqual(["2026-11-21"]);
  });

  it("the infested plant put beside others exposes them; the placement struck out, it never did", async () => {
    const id = await plantOn(context, shelf);
    await openCaseOn(context, id, 20);
    const there = await plantOn(context, other);
    expect(await exposed(there)).toEqual([]);
    const move = { id: uuidv7(), plantId: id, placeId: other, at: wall(6) };
    await movePlant(context, move);
    expect(await exposed(there)).toEqual(["2026-11-18"]);
    await voidFact(context, { kind: "placement", factId: move.id, reason: "another plant" });
    expect(await exposed(there)).toEqual([]);
  });

  it("a closed case exposes nobody new, and a plant that has left stands beside nobody", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 20);
    await closeCase(context, { id: uuidv7(), caseId, outcome: "clear", at: wall(8), note: "" });
    const late = await plantOn(context, other);
    await movePlant(context, { id: uuidv7(), plantId: late, placeId: shelf, at: wall(4) });
    expect(await exposed(late)).toEqual([]);
    const sick = await plantOn(context, other);
    await openCaseOn(context, sick, 20);
    await archivePlant(context, { plantId: sick, archived: true });
    const after = await plantOn(context, pantry);
    expectOk(await movePlant(context, { id: uuidv7(), plantId: after, placeId: other, at: wall(0, "17:59") }));
    // It stood there a minute before the sick one left.
    expect(await exposed(after)).toEqual(["2026-11-24"]);
  });
});

describe("settings and places", () => {
  it("a longer rhythm moves every plant's next look", async () => {
    const id = await plantOn(context, shelf);
    await recordLook(context, aLook(id, 10));
    expect(await stateOf(id)).toBe("overdue");
    const { id: _id, isDemo: _demo, ...settings } = context.collection;
    expectOk(await changeSettings(context, { ...settings, lookEveryDays: 21 }));
    context = { ...context, collection: { ...context.collection, lookEveryDays: 21 } };
    expect(await stateOf(id)).toBe("clear");
  });

  it("takes only time zones that the database knows by the same name", async () => {
    const { id: _id, isDemo: _demo, ...settings } = context.collection;
    expect(codes(await changeSettings(context, { ...settings, timeZone: "Mars/Olympus" }))).toEqual([
      "timeZone no_such_zone",
    ]);
    // Three letters mean different things to different programs; UTC is one to all, and some devices know no other.
    expect(["EST", "UTC"].map((zone) => shape.shape.timeZone.safeParse(zone).success)).toEqual([false, true]);
    for (const timeZone of ["UTC", "America/Los_Angeles"])
      expectOk(await changeSettings(context, { ...settings, timeZone }));
  });

  it("a warmer place, from today on, changes what is to come and not what was; struck out, it never was", async () => {
    const id = await plantOn(context, other);
    const caseId = await openCaseOn(context, id, 35);
    const before = (await readCase(context, caseId))!.file!;
    const reading = { id: uuidv7(), placeId: other, at: NOW, celsius: 25, source: "about" as const };
    expectOk(await takeReading(context, reading));
    expectOk(await takeReading(context, reading));
    expect((await readPlace(context, other))!.readings).toHaveLength(2);
    const view = (await readCase(context, caseId))!;
    expect(view.generationDays).toBe(30);
    const warmth = (file: typeof before) => (file.temperature as { dailyMeanC: number[] }).dailyMeanC;
    expect(warmth(before).slice(-2)).toEqual([20, 20]);
    expect(warmth(view.file!).slice(-2)).toEqual([20, 25]);
    expectOk(await voidFact(context, { kind: "reading", factId: reading.id, reason: "the other shelf" }));
    expect(warmth((await readCase(context, caseId))!.file!)).toEqual(warmth(before));
    const last = (await readPlace(context, other))!.readings[0]!.id;
    expect(codes(await voidFact(context, { kind: "reading", factId: last, reason: "?" }))).toEqual([
      "factId still_in_use",
    ]);
  });

  it("a thermometer's readings of a day count as the mean of their lowest and highest", async () => {
    const id = await plantOn(context, other);
    const caseId = await openCaseOn(context, id, 3);
    for (const [time, celsius] of [
      ["07:00", 14],
      ["15:00", 24],
    ] as const) {
      const at = wall(2, time);
      expectOk(await takeReading(context, { id: uuidv7(), placeId: other, at, celsius, source: "thermometer" }));
    }
    const { temperature } = (await readCase(context, caseId))!.file!;
    expect(temperature).toEqual({ from: "2026-11-21", dailyMeanC: [20, 19, 19, 19] });
  });

  it("a shelf without a temperature of its own is as warm as its room; a place alone must say", async () => {
    const room = { id: uuidv7(), name: "Room", kind: "room", parentId: null, readingId: uuidv7() } as const;
    expect(codes(await addPlace(context, { ...room, celsius: null }))).toEqual(["celsius no_temperature"]);
    expectOk(await addPlace(context, { ...room, celsius: 19 }));
    const sill = { id: uuidv7(), name: "Sill", kind: "shelf", parentId: room.id, celsius: null } as const;
    expectOk(await addPlace(context, { ...sill, readingId: uuidv7() }));
    expect((await readPlace(context, sill.id))!.place.meanC).toBe(19);
    expectOk(await editPlace(context, { placeId: sill.id, name: "Window sill" }));
    expect((await readPlace(context, sill.id))!.place.name).toBe("Window sill");
  });
});
