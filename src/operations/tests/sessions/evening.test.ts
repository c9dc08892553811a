import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { dayOf, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { readPhytotoxicity } from "../../cases/queries/readPhytotoxicity";
import { readTolerance } from "../../plants/queries/readTolerance";
import { readDelay } from "../../cases/queries/readDelay";
import { groupAsked, readGroup } from "../../sessions/queries/readGroup";
import { costsOfAct } from "@/core/acts/acts";
import { sessionLine } from "@/core/advice/sessions/session";
import { readEvening } from "../../sessions/queries/readEvening";
import { readDue, readDueStep } from "../../sessions/queries/readDue";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { recordReaction } from "../../plants/commands/recordReaction";
import { startWalk } from "../../walks/commands/startWalk";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aPlan, aSpray, freshCollection, NOW, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

const day = (n: number) => dayOf(context, wall(-n));
const soap = { mix: "soapMild", technique: "spray" } as const;
/** A plant with a plan whose treatments fall due in so many days. */
async function planned(...days: number[]) {
  const id = await plantOn(context, shelf);
  const caseId = await openCaseOn(context, id, 8);
  expectOk(await adoptPlan(context, { ...aPlan(caseId, days.map(day)), ...soap }));
  return { id, caseId };
}

describe("an evening", () => {
  it("takes what is due and what may be brought forward; what its label is against is not brought forward", async () => {
    const [due, soon, far] = [await planned(0, 7), await planned(2, 9), await planned(5)];
    const sprayed = await planned(1, 8);
    expectOk(await recordAct(context, aSpray(sprayed.id, sprayed.caseId, 0, soap, { at: wall(0) })));
    const told = async () => (await readEvening(context)).lines.map(({ plant, daysLate }) => [plant.id, daysLate]);
    expect((await told()).toSorted()).toEqual(
      [
        [due.id, 0],
        [soon.id, -2],
      ].toSorted(),
    );
    expect(far.id).toBeDefined();
    // What was chosen begins as a session of its own.
    const line = (await readEvening(context)).lines.find(({ plant }) => plant.id === soon.id)!;
    const plantsOf = async (...asked: [Parameters<typeof readDue>[1], string[]?]) =>
      (await readDue(context, ...asked)).plants.map(({ plantId }) => plantId);
    expect(await plantsOf("soapMild", [line.stepId])).toEqual([soon.id]);
    expect(await plantsOf("soapMild")).toEqual([due.id]);
    expect(await plantsOf("alcoholHalf", [line.stepId])).toEqual([]);
    expect((await readDueStep(context, line.stepId))?.plant.id).toBe(soon.id);
    expect(await readDueStep(context, uuidv7())).toBeNull();
  });

  it("a day's delay of a treatment against what breeds costs something, and hardly ever gains", async () => {
    const { caseId } = await planned(0, 4, 8, 12);
    const delay = (await readDelay(context, caseId))!;
    expect(delay.today).toBeGreaterThan(0);
    expect(delay.tomorrow).toBeLessThanOrEqual(delay.today + 0.02);
    expect(await readDelay(context, uuidv7())).toBeNull();
    const bare = await openCaseOn(context, await plantOn(context, shelf), 3);
    expect(await readDelay(context, bare)).toBeNull();
  });
});

describe("what the plant said", () => {
  it("is asked for after a first time, by one press no more, and counts for its kind", async () => {
    const id = await plantOn(context, shelf);
    const spray = aSpray(id, null, 2, soap);
    expectOk(await recordAct(context, spray));
    expect(await readPhytotoxicity(context)).toMatchObject([{ plant: { id }, mix: "soapMild", asks: ["firstTime"] }]);
    const said = { id: uuidv7(), plantId: id, ...soap, what: "nothing" as const, at: NOW, note: "" };
    expectOk(await recordReaction(context, said));
    expect(await readPhytotoxicity(context)).toEqual([]);
    expect(await readTolerance(context, "hoya")).toEqual([{ mix: "soapMild", well: 1, badly: [] }]);
    expect(await readTolerance(context, "Monstera")).toEqual([]);
    expectOk(await voidFact(context, { kind: "reaction", factId: said.id, reason: "another plant" }));
    expect(await readPhytotoxicity(context)).toHaveLength(1);
    expect(await readTolerance(context, "Hoya")).toEqual([]);
  });
});

describe("the plants of a session", () => {
  it("are those of a place, with a pest or at risk, each with the step that is due; carried out, none is", async () => {
    const due = await planned(0, 7);
    const ahead = await planned(3);
    const beside = await plantOn(context, shelf);
    const of = async (asked: Parameters<typeof readGroup>[1]) => (await readGroup(context, asked)).plants;
    const ids = async (asked: Parameters<typeof readGroup>[1]) =>
      (await of(asked)).map(({ plantId }) => plantId).toSorted();
    expect(await ids({ who: "place", id: shelf })).toEqual([due.id, ahead.id, beside].toSorted());
    expect(await ids({ who: "pest", pest: "mealybug" })).toEqual([due.id, ahead.id].toSorted());
    expect(await ids({ who: "atRisk" })).toEqual([beside]);
    expect(await ids({ who: "apart" })).toEqual([]);
    expect(await ids(null)).toEqual([]);
    const lineOf = async (id: string) =>
      sessionLine(
        (await of({ who: "place", id: shelf })).find(({ plantId }) => plantId === id)!,
        {
          ...{ kind: "remedy", remedy: "soap", technique: "spray", mix: null },
        },
      );
    expect((await lineOf(ahead.id)).stepId).toBeNull();
    const { act, caseId, stepId } = await lineOf(due.id);
    expect([caseId, stepId !== null]).toEqual([due.caseId, true]);
    const filed = {
      id: uuidv7(),
      plantId: due.id,
      placeId: null,
      caseId,
      stepId,
      act: act!,
      note: "",
      alreadyDone: false,
    };
    expectOk(await recordAct(context, { ...filed, at: wall(0) }));
    expect((await lineOf(due.id)).stepId).toBeNull();
  });

  it("are all that a mix is due on, each carrying out its own step; what is dabbed is done plant by plant", async () => {
    const [first, second] = [await planned(0, 7), await planned(-1, 6)];
    await planned(2);
    const dabbed = await openCaseOn(context, await plantOn(context, shelf), 8);
    expectOk(await adoptPlan(context, { ...aPlan(dabbed, [day(0)]), mix: "alcoholHalf", technique: "dab" }));
    const all = await readDue(context, "all");
    expect(all.steps.map(({ id, oneByOne = false }) => [id, oneByOne]).toSorted()).toEqual([
      ["due soapMild", false],
      ["each alcoholHalf", true],
    ]);
    const { steps } = await readDue(context, "soapMild");
    const lines = steps[0]!.lines;
    expect(new Map(lines.map(({ plantId, caseId }) => [plantId, caseId]))).toEqual(
      new Map([first, second].map(({ id, caseId }) => [id, caseId])),
    );
    for (const { plantId, act, caseId, stepId } of lines) {
      const filed = { id: uuidv7(), plantId, placeId: null, caseId, stepId, act: act!, note: "", alreadyDone: false };
      expectOk(await recordAct(context, { ...filed, at: wall(0) }));
    }
    expect((await readDue(context, "soapMild")).plants).toEqual([]);
  });

  it("two finds on one plant that ask for the same are one line, and one press is both of their steps", async () => {
    const { id, caseId } = await planned(0, 7);
    const mites = aFind({ pest: "spiderMite" });
    expectOk(await recordLook(context, aLook(id, 6, { finds: [mites] })));
    expectOk(await adoptPlan(context, { ...aPlan(mites.caseId, [0, 7].map(day)), ...soap }));
    const told = async () => (await readDue(context, "soapMild")).steps.flatMap(({ lines }) => lines);
    const [line, ...more] = await told();
    expect(more).toEqual([]);
    expect([caseId, mites.caseId]).toContain(line!.caseId);
    const filed = { ...{ caseId: line!.caseId, stepId: line!.stepId, act: line!.act! }, note: "", alreadyDone: false };
    const spray = { id: uuidv7(), plantId: id, placeId: null, ...filed, at: wall(0) };
    expectOk(await recordAct(context, spray));
    expect(await told()).toEqual([]);
    // Struck out it was neither.
    expectOk(await voidFact(context, { kind: "act", factId: spray.id, reason: "another plant" }));
    expect(await told()).toHaveLength(1);
  });

  it("know how fast the keeper's own hands are: from press to press, not from what came later or was struck out", async () => {
    const sprayed = async (minutes: number, sentAfter = 0) => {
      const at = new Date(wall(1).getTime() + minutes * 60_000);
      const spray = aSpray(await plantOn(context, shelf), null, 1, soap, { at });
      expectOk(await recordAct({ ...context, now: new Date(at.getTime() + sentAfter * 60_000) }, spray));
      return spray.id;
    };
    const paces = async () => (await readGroup(context, { who: "place", id: shelf })).paces;
    await sprayed(0);
    expect(await paces()).toEqual({});
    const second = await sprayed(6);
    await sprayed(12, 90);
    expect((await paces())["spray"]).toMatchObject({ plants: 1 });
    const { factor } = (await paces())["spray"]!;
    expect(factor).toBeGreaterThan(1);
    const planned7 = await planned(0);
    const [line] = (await readEvening(context)).lines.filter(({ plant }) => plant.id === planned7.id);
    // The evening takes as long as those hands do.
    expect(line!.minutes).toBe(Math.round(costsOfAct(line!.act, line!.bearer.potCm).minutes * factor));
    expectOk(await voidFact(context, { kind: "act", factId: second, reason: "another plant" }));
    expect(await paces()).toEqual({});
  });

  it("are those of a walk, so that it may end in an act", async () => {
    const seen = await plantOn(context, shelf);
    await plantOn(context, shelf);
    const id = uuidv7();
    const walk = { id, placeId: null, tool: "lamp", round: "likely", inOrder: true } as const;
    expectOk(await startWalk(context, { ...walk, scope: "chosen", chosen: [{ plantId: seen }] }));
    const { plants, steps } = await readGroup(context, groupAsked("walk", id));
    expect(plants.map(({ plantId }) => plantId)).toEqual([seen]);
    expect(steps).toBeNull();
    expect((await readGroup(context, groupAsked("walk", uuidv7()))).plants).toEqual([]);
  });

  it("an address that asks for nothing that is there asks for nobody", () => {
    expect(groupAsked("place", "attic")).toBeNull();
    expect(groupAsked("pest", "dragon")).toBeNull();
    expect(groupAsked(["place"], shelf)).toBeNull();
    expect(groupAsked("pest", "thrips")).toEqual({ who: "pest", pest: "thrips" });
  });
});
