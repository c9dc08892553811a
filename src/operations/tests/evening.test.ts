import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { adoptPlan } from "../adoptPlan";
import { dayOf, type Context } from "../context";
import { expectOk } from "../outcome";
import { readAfterwards } from "../readAfterwards";
import { readBorne } from "../readBorne";
import { readDelay } from "../readDelay";
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
