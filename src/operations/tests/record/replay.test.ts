import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { addDays } from "@/core/shared/days";
import { sceneOn } from "@/core/advice/replay/replay";
import { addPlace } from "../../places/commands/addPlace";
import { today, type Context } from "../../shared/context";
import { movePlant } from "../../plants/commands/movePlant";
import { expectOk } from "../../shared/outcome";
import { readReplay } from "../../places/queries/readReplay";
import { recordAct } from "../../acts/commands/recordAct";
import { voidFact } from "../../record/commands/voidFact";
import { aSpray, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

const soap = { mix: "soapMild", technique: "spray" } as const;
async function tent(): Promise<string> {
  const id = uuidv7();
  const told = { id, name: "Tent", kind: "isolation" as const, parentId: null, readingId: uuidv7(), celsius: 20 };
  expectOk(await addPlace(context, { ...told, roomFor: 3 }));
  return id;
}

describe("the year played back", () => {
  it("shows a plant found, set apart and treated, on the days of the record; what was struck out never was", async () => {
    const sick = await plantOn(context, shelf, { code: "A1" });
    const beside = await plantOn(context, shelf, { code: "A2" });
    const caseId = await openCaseOn(context, sick, 10);
    const apart = await tent();
    const move = { id: uuidv7(), plantId: sick, placeId: apart, at: wall(8) };
    expectOk(await movePlant(context, move));
    const spray = aSpray(sick, caseId, 5, soap);
    expectOk(await recordAct(context, spray));
    const { replay, all, room } = await readReplay(context, null);
    expect([all, room]).toEqual([2, null]);
    const day = (ago: number) => addDays(today(context), -ago);
    const told = (ago: number) =>
      sceneOn(replay, day(ago)).rows.flatMap(({ placeId, plants }) =>
        plants.map(({ plant, state, treated }) => [plant.id, placeId, state, treated]),
      );
    expect(told(9).toSorted()).toEqual(
      [
        [sick, shelf, "infested", false],
        [beside, shelf, "atRisk", false],
      ].toSorted(),
    );
    expect(told(4).toSorted()).toEqual(
      [
        [sick, apart, "infested", true],
        [beside, shelf, "clear", false],
      ].toSorted(),
    );
    expectOk(await voidFact(context, { kind: "act", factId: spray.id, reason: "another plant" }));
    expectOk(await voidFact(context, { kind: "placement", factId: move.id, reason: "not moved" }));
    const after = (await readReplay(context, null)).replay;
    expect(after.plants.flatMap(({ treated }) => treated)).toEqual([]);
    expect(after.places.map(({ id }) => id)).toEqual([shelf]);
  });

  it("takes one room where it is asked for, and another's for none; of an empty collection it is empty", async () => {
    expect((await readReplay(context, null)).replay.plants).toEqual([]);
    const apart = await tent();
    const there = await plantOn(context, apart);
    await plantOn(context, shelf);
    const asked = await readReplay(context, apart);
    expect(asked.replay.plants.map(({ id }) => id)).toEqual([there]);
    expect(asked.room).toBe(apart);
    expect((await readReplay(context, uuidv7())).all).toBe(2);
    expect((await readReplay(context, "attic")).all).toBe(2);
  });
});
