import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { adoptPlan } from "../adoptPlan";
import { dayOf, type Context } from "../context";
import { expectOk } from "../outcome";
import { readAfterwards } from "../readAfterwards";
import { readBorne } from "../readBorne";
import { readDelay } from "../readDelay";
import { groupAsked, readGroup } from "../readGroup";
import { sessionLine } from "@/core/session/session";
import { readEvening } from "../readEvening";
import { readSitting } from "../readSitting";
import { recordAct } from "../recordAct";
import { recordReaction } from "../recordReaction";
import { voidFact } from "../voidFact";
import { aPlan, aSpray, freshCollection, NOW, openCaseOn, plantOn, wall } from "./builders";

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
    // What was chosen begins as a sitting of its own.
    const line = (await readEvening(context)).lines.find(({ plant }) => plant.id === soon.id)!;
    expect((await readSitting(context, "soapMild", [line.stepId])).lines.map(({ plant }) => plant.id)).toEqual([
      soon.id,
    ]);
    expect((await readSitting(context, "soapMild")).lines.map(({ plant }) => plant.id)).toEqual([due.id]);
    expect((await readSitting(context, "alcoholHalf", [line.stepId])).lines).toEqual([]);
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
    expect(await readAfterwards(context)).toMatchObject([{ plant: { id }, mix: "soapMild", asks: ["firstTime"] }]);
    const said = { id: uuidv7(), plantId: id, ...soap, what: "nothing" as const, at: NOW, note: "" };
    expectOk(await recordReaction(context, said));
    expect(await readAfterwards(context)).toEqual([]);
    expect(await readBorne(context, "hoya")).toEqual([{ mix: "soapMild", well: 1, badly: [] }]);
    expect(await readBorne(context, "Monstera")).toEqual([]);
    expectOk(await voidFact(context, { kind: "reaction", factId: said.id, reason: "another plant" }));
    expect(await readAfterwards(context)).toHaveLength(1);
    expect(await readBorne(context, "Hoya")).toEqual([]);
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
    const filed = { id: uuidv7(), plantId: due.id, placeId: null, caseId, stepId, act, note: "", alreadyDone: false };
    expectOk(await recordAct(context, { ...filed, at: wall(0) }));
    expect((await lineOf(due.id)).stepId).toBeNull();
  });

  it("an address that asks for nothing that is there asks for nobody", () => {
    expect(groupAsked("place", "attic")).toBeNull();
    expect(groupAsked("pest", "dragon")).toBeNull();
    expect(groupAsked(["place"], shelf)).toBeNull();
    expect(groupAsked("pest", "thrips")).toEqual({ who: "pest", pest: "thrips" });
  });
});
