import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { archivePlant } from "../../plants/commands/archivePlant";
import { closeCase } from "../../cases/commands/closeCase";
import { today, type Context } from "../../shared/context";
import { readBenches } from "../../places/queries/readBenches";
import { readCase, type CaseView } from "../../cases/queries/readCase";
import { readCases } from "../../cases/queries/readCases";
import { readPlant } from "../../plants/queries/readPlant";
import { readToday } from "../../plants/queries/readToday";
import { recordLook } from "../../looks/commands/recordLook";
import { recordAct } from "../../acts/commands/recordAct";
import { setApart } from "../../plants/commands/setApart";
import { aLook, aPlan, aSpray, daysAgo, freshCollection, openCaseOn, plantOn, wall } from "../builders";

const pClearOf = (view: CaseView | null) => {
  const judged = view!.judged!.judged;
  if (!judged.ok) throw new Error(JSON.stringify(judged.problems));
  return judged.judgement.assessment.pClear;
};
const allSpots = [...spotsOf("trailingVine")];

let context: Context;
let shelf: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, pantry } = await freshCollection()));

const plan = (caseId: string, dates: string[], mix: "soapMild" | "oil1" = "soapMild") =>
  aPlan(caseId, dates, { mix, technique: "spray" });

describe("today", () => {
  it("in an empty collection asks for nothing", async () => {
    expect(await readToday(context)).toEqual({
      day: "2026-11-24",
      batches: [],
      looksDue: [],
      looksDueCount: 0,
      loose: [],
      apart: [],
      unplanned: [],
      next: null,
      plants: 0,
    });
  });

  it("gathers what is due by mix, the latest first, with one volume for all", async () => {
    // Everything has been looked at lately: what falls due next is a treatment.
    const ids = [
      await plantOn(context, shelf, { potCm: 12 }),
      await plantOn(context, shelf, { potCm: 20 }),
      await plantOn(context, shelf, { potCm: 9 }),
    ];
    const cases = await Promise.all(ids.map((id) => openCaseOn(context, id, 9)));
    for (const id of ids) await recordLook(context, aLook(id, 1));
    await adoptPlan(context, plan(cases[0]!, ["2026-11-24"]));
    await adoptPlan(context, plan(cases[1]!, ["2026-11-21", "2026-11-28"]));
    await adoptPlan(context, plan(cases[2]!, ["2026-11-26"], "oil1"));
    const view = await readToday(context);
    expect(view.batches).toHaveLength(1);
    // 5 mL of spray a centimetre of pot, as the estimate is: 12 cm and 20 cm.
    expect(view.batches[0]).toMatchObject({ what: "soapMild", totalMl: 160 });
    expect(view.batches[0]!.due.map((line) => [line.plant.id, line.daysLate])).toEqual([
      [ids[1], 3],
      [ids[0], 0],
    ]);
    expect(view.next).toMatchObject({ what: "treat", day: "2026-11-26", plant: { id: ids[2] } });
  });

  it("asks for no step that is done, and then names the next one", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 9);
    await adoptPlan(context, plan(caseId, ["2026-11-24", "2026-12-01"]));
    const [line] = (await readToday(context)).batches[0]!.due;
    await recordAct(context, aSpray(id, caseId, 0, {}, { stepId: line!.stepId, at: wall(0, "17:30") }));
    const view = await readToday(context);
    expect(view.batches).toEqual([]);
    expect(view.next).toMatchObject({ what: "treat", day: "2026-12-01" });
  });

  it("is loud about what is infested among the others, and quiet once it is set apart", async () => {
    const id = await plantOn(context, shelf);
    await openCaseOn(context, id, 1);
    expect((await readToday(context)).loose.map((plant) => plant.id)).toEqual([id]);
    await setApart(context, { id: uuidv7(), plantId: id, placeId: pantry, bagId: uuidv7(), at: wall(0, "17:00") });
    const view = await readToday(context);
    expect(view.loose).toEqual([]);
    expect(view.apart).toMatchObject([{ id, placeName: "Pantry" }]);
    expect(view.unplanned.map((one) => one.plant.id)).toEqual([id]);
  });

  it("counts looks due, the longest overdue first, and leaves archived plants in peace", async () => {
    const [late, later, archived] = [
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, shelf),
    ];
    await recordLook(context, aLook(late, 9));
    await recordLook(context, aLook(later, 20));
    await archivePlant(context, { plantId: archived, archived: true });
    const view = await readToday(context);
    expect(view.looksDue.map((plant) => plant.id)).toEqual([later, late]);
    expect(view.looksDueCount).toBe(2);
  });
});

describe("the calendar moves on", () => {
  it("a treated case ripens by itself: the first reader of a day sees what is known then", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 29);
    for (const ago of [29, 26, 23, 20]) {
      await recordAct(context, aSpray(id, caseId, ago, { technique: "sprayAndSwab", spots: allSpots }));
    }
    for (const ago of [15, 8]) await recordLook(context, aLook(id, ago, { spots: allSpots, tool: "loupe" }));
    const sure = async (at: Context) => pClearOf(await readCase(at, caseId));
    const now = await sure(context);
    expect(await sure(daysAgo(context, -20))).toBeGreaterThan(now);
    // Egg to adult at 25 °C is 30 days: not yet on the 29th, and no more reason against it on the 30th.
    const reasons = async (at: Context) => (await readCase(at, caseId))!.clearance.notYet.map((reason) => reason.code);
    expect(await reasons(context)).toContain("generation_not_over");
    expect(await reasons(daysAgo(context, -1))).not.toContain("generation_not_over");
  });

  it("a day begins at midnight where the collection is", async () => {
    const evening = { ...context, now: new Date("2026-07-01T23:30:00Z") };
    // Lisbon is an hour ahead of UTC in summer and level with it in winter (IANA time zone database).
    expect(today(evening)).toBe("2026-07-02");
    expect(today({ ...context, now: new Date("2026-12-01T23:30:00Z") })).toBe("2026-12-01");
  });
});

describe("benches and cases", () => {
  it("lists what stands where, a bag beside its shelf, and no empty bag", async () => {
    const [loose, bagged] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    await setApart(context, { id: uuidv7(), plantId: bagged, placeId: null, bagId: uuidv7(), at: wall(2) });
    const rooms = await readBenches(context);
    const around = rooms.find((room) => room.place.id === shelf)!;
    expect(around.benches.map((bench) => [bench.place.kind, bench.plants.map((plant) => plant.id)])).toEqual([
      ["shelf", [loose]],
      ["bag", [bagged]],
    ]);
    await setApart(context, { id: uuidv7(), plantId: bagged, placeId: pantry, bagId: uuidv7(), at: wall(1) });
    const after = (await readBenches(context)).find((room) => room.place.id === shelf)!;
    expect(after.benches.map((bench) => bench.place.kind)).toEqual(["shelf"]);
  });

  it("puts cases without a plan first, then by what is due next, and closed ones by their closing", async () => {
    const ids = [await plantOn(context, shelf), await plantOn(context, shelf), await plantOn(context, shelf)];
    const [soon, unplanned, closed] = [
      await openCaseOn(context, ids[0]!, 5),
      await openCaseOn(context, ids[1]!, 5),
      await openCaseOn(context, ids[2]!, 5),
    ];
    await adoptPlan(context, plan(soon, ["2026-11-25"]));
    await closeCase(context, { id: uuidv7(), caseId: closed, outcome: "lost", at: wall(1), note: "" });
    const view = await readCases(context);
    expect(view.open.map((line) => line.found.id)).toEqual([unplanned, soon]);
    expect(view.closed.map((line) => [line.id, line.outcome])).toEqual([[closed, "lost"]]);
    // What left the collection is told as that, and not by how it stood when it was last looked at.
    expect(view.closed[0]!.plant.archived).toBe(false);
    await archivePlant(context, { plantId: ids[2]!, archived: true });
    expect((await readCases(context)).closed[0]!.plant.archived).toBe(true);
  });

  it("one collection never sees another's plants", async () => {
    const { context: neighbour, shelf: theirs } = await freshCollection();
    const id = await plantOn(neighbour, theirs);
    expect(await readPlant(context, id)).toBeNull();
    expect((await readBenches(context)).flatMap((room) => room.benches.flatMap((bench) => bench.plants))).toEqual([]);
    expect(await recordLook(context, aLook(id, 1))).toMatchObject({ ok: false, problems: [{ code: "unknown" }] });
  });
});
