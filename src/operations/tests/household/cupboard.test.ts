import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import * as collections from "@/db/stores/collections";
import { NotAllowed, dayOf, type Context } from "../../shared/context";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { dropBottle } from "../../household/commands/dropBottle";
import { keepBottle } from "../../household/commands/keepBottle";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readCupboard } from "../../household/queries/readCupboard";
import { readUnpotting } from "../../cases/queries/readUnpotting";
import { recordAct } from "../../acts/commands/recordAct";
import { voidFact } from "../../record/commands/voidFact";
import { aBottle, aPlan, aSpray, codes, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

/** The context as the next request has it. */
async function anew(): Promise<Context> {
  return {
    ...context,
    collection: (await collections.find({ ...context, transaction: undefined }, context.collection.id))!,
  };
}
const day = (n: number) => dayOf(context, wall(-n));

describe("the cupboard", () => {
  it("keeps what is written of a bottle, also when it is sent twice, and loses none that come at the same time", async () => {
    const [one, two] = [aBottle({ name: "One" }), aBottle({ name: "Two", active: "neem" })];
    await Promise.all([keepBottle(context, one), keepBottle(context, two), keepBottle(context, one)]);
    const names = async () => (await anew()).collection.bottles.map(({ name }) => name).toSorted();
    expect(await names()).toEqual(["One", "Two"]);
    expectOk(await keepBottle(context, { ...one, name: "One, half full" }));
    expect(await names()).toEqual(["One, half full", "Two"]);
    expectOk(await dropBottle(context, { bottleId: two.id }));
    expectOk(await dropBottle(context, { bottleId: two.id }));
    expect(await names()).toEqual(["One, half full"]);
  });

  it("a label's interval and number go before the tables when a plan is adopted; an empty bottle says nothing", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 3);
    const plan = () => ({ ...aPlan(caseId, [day(0), day(5), day(10)]), mix: "soapMild", technique: "spray" }) as const;
    const bottle = aBottle({ everyDays: 7 });
    expectOk(await keepBottle(context, bottle));
    expect(codes(await adoptPlan(await anew(), plan()))).toEqual(["dates against_label"]);
    expectOk(await keepBottle(context, { ...bottle, everyDays: null, mostTimes: 2 }));
    expect(codes(await adoptPlan(await anew(), plan()))).toEqual(["dates against_label"]);
    expectOk(await keepBottle(context, { ...bottle, emptiedOn: day(-1) }));
    expectOk(await adoptPlan(await anew(), plan()));
    // What was done all the same is on record, and told.
    expectOk(await keepBottle(context, { ...bottle, everyDays: 20 }));
    const put = {
      ...aSpray(id, caseId, 2),
      act: { ...aSpray(id, caseId, 2).act, mix: "soapMild", technique: "spray" },
    };
    expectOk(await recordAct(await anew(), { ...put, id: uuidv7() } as never));
    const again = await recordAct(await anew(), { ...put, id: uuidv7(), at: wall(0) } as never);
    expect(expectOk(again).warnings).toMatchObject([{ code: "too_close", remedy: "soap", days: 20 }]);
  });

  it("its label keeps a remedy from rooms, and gives the systemic its name", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 3);
    const bearer = async () => (await readCase(await anew(), caseId))!.on.bearer;
    expect((await bearer()).systemic).toBeUndefined();
    const bottle = aBottle({ active: "imidacloprid" });
    expectOk(await keepBottle(context, bottle));
    expect((await bearer()).systemic).toBe("imidacloprid");
    expectOk(await keepBottle(context, { ...bottle, allowed: ["outdoors"] }));
    expect((await bearer()).systemic).toBeUndefined();
  });
});

describe("a sitter with an unpotting that is due", () => {
  it("sees how it goes on that plant, and on no other", async () => {
    const [id, other] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    const caseId = await openCaseOn(context, id, 3);
    const sitter: Context = { ...context, role: "sitter" };
    await expect(readUnpotting(sitter, id)).rejects.toThrow(NotAllowed);
    expectOk(await adoptPlan(context, { ...aPlan(caseId, [day(0)]), doses: [{ work: "unpot" }] }));
    expect((await readUnpotting(sitter, id))!.plant.id).toBe(id);
    await expect(readUnpotting(sitter, other)).rejects.toThrow(NotAllowed);
  });
});

describe("what is left", () => {
  it("is what was in it less what was written down, struck out or not; and what plans ask for stands against it", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 5);
    // What was put on before it was opened came out of another.
    const bottle = aBottle({ size: 20, openedOn: day(-3), perLitre: null, price: 2 });
    expectOk(await keepBottle(context, bottle));
    const put = (ago: number) => {
      const spray = aSpray(id, caseId, ago);
      return { ...spray, act: { ...spray.act, mix: "soapStrong", technique: "spray", volumeMl: 1000 }, at: wall(ago) };
    };
    for (const ago of [4, 2]) expectOk(await recordAct(context, put(ago) as never));
    const view = async () => readCupboard(await anew());
    expect((await view()).levels).toMatchObject([{ usedMl: 15, leftMl: 5, expired: false }]);
    expect((await view()).caseCosts).toMatchObject([{ caseId, cost: 1.5 }]);
    const struck = put(1) as never as { id: string };
    expectOk(await recordAct(context, struck as never));
    expect((await view()).levels[0]!.leftMl).toBe(0);
    expectOk(await voidFact(context, { kind: "act", factId: struck.id, reason: "not done" }));
    expect((await view()).levels[0]!.leftMl).toBe(5);
    expectOk(
      await adoptPlan(await anew(), { ...aPlan(caseId, [day(2), day(6)]), mix: "soapStrong", technique: "spray" }),
    );
    const [line] = (await view()).lasting;
    expect(line).toMatchObject({ active: "soap", leftMl: 5 });
    expect(line!.neededMl).toBeGreaterThan(0);
  });
});
