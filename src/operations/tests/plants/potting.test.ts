import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { workOf } from "@/core/acts/works";
import type { RecordAct } from "@/core/record/facts/kinds/act";
import { addPlant } from "../../plants/commands/addPlants";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { dayOf, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readPlant } from "../../plants/queries/readPlant";
import { readToday } from "../../plants/queries/readToday";
import { recordAct } from "../../acts/commands/recordAct";
import { voidFact } from "../../record/commands/voidFact";
import { aPlan, aPlant, codes, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

const potOf = async (id: string) => (await readPlant(context, id))!.plant.potCm;

async function unpotted(id: string, potCm: number, over: Partial<RecordAct> = {}): Promise<RecordAct> {
  const { bearer } = (await readPlant(context, id))!.on;
  const roots = { leftPercent: 50, potCm, dryDays: 0 };
  const act = { ...workOf("unpot").act(bearer), roots } as RecordAct["act"];
  const of = { plantId: id, placeId: null, caseId: null, stepId: null, note: "", alreadyDone: false };
  return { id: uuidv7(), ...of, act, at: wall(2), ...over };
}

describe("a plant that was potted anew", () => {
  it("stands in its new pot, also when it is sent twice, and in the old one where that was not so", async () => {
    const id = await plantOn(context, shelf);
    const before = await potOf(id);
    const command = await unpotted(id, 9);
    expectOk(await recordAct(context, command));
    expectOk(await recordAct(context, command));
    expect(await potOf(id)).toBe(9);
    expectOk(await voidFact(context, { kind: "act", factId: command.id, reason: "It was the plant beside it." }));
    expect(await potOf(id)).toBe(before);
  });

  it("what is written down late, or struck out after a later potting, changes nothing of it", async () => {
    const id = await plantOn(context, shelf);
    expectOk(await recordAct(context, await unpotted(id, 10, { at: wall(2) })));
    const late = await unpotted(id, 7, { at: wall(20) });
    expectOk(await recordAct(context, late));
    expect(await potOf(id)).toBe(10);
    expectOk(await voidFact(context, { kind: "act", factId: late.id, reason: "Never done." }));
    expect(await potOf(id)).toBe(10);
  });
});

describe("a plan of works", () => {
  it("falls due as a session of its own, and is carried out by the act", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 3);
    const today = dayOf(context, wall(0));
    const doses = [{ work: "unpot" as const }];
    expectOk(await adoptPlan(context, { ...aPlan(caseId, [today]), doses }));
    const [batch] = (await readToday(context)).batches;
    expect(batch).toMatchObject({ what: "unpot", totalMl: 0, due: [{ planned: { work: "unpot" } }] });
    const { stepId } = batch!.due[0]!;
    expectOk(await recordAct(context, await unpotted(id, 12, { at: wall(0), caseId, stepId })));
    expect((await readToday(context)).batches).toEqual([]);
    expect((await readCase(context, caseId))!.plan!.steps.find((step) => step.id === stepId)!.doneOn).toBe(today);
  });

  it("sprays beside helpful animals are refused", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 3);
    const day = (n: number) => dayOf(context, wall(-n));
    const mixed = {
      ...aPlan(caseId, [day(0), day(5)]),
      doses: [{ mix: "soapMild" as const, technique: "spray" as const }, { work: "predatoryMites" as const }],
    };
    expect(codes(await adoptPlan(context, mixed))).toEqual(["dates against_label"]);
  });
});

describe("a cutting", () => {
  it("knows its mother, and she knows it; a mother from elsewhere is refused", async () => {
    const mother = await plantOn(context, shelf);
    const id = await plantOn(context, shelf, { motherId: mother });
    const read = await readPlant(context, id);
    expect(read).toMatchObject({ mother: { id: mother }, plant: { motherId: mother } });
    expect((await readPlant(context, mother))!.cuttings.map((one) => one.id)).toEqual([id]);
    const other = await freshCollection();
    const foreign = await plantOn(other.context, other.shelf);
    expect(codes(await addPlant(context, aPlant(shelf, { motherId: foreign })))).toEqual(["motherId unknown"]);
  });
});
