import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { addPlace } from "../../places/commands/addPlace";
import { addPlant } from "../../plants/commands/addPlants";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { closeCase } from "../../cases/commands/closeCase";
import type { Context } from "../../shared/context";
import { movePlant } from "../../plants/commands/movePlant";
import type { Outcome } from "../../shared/outcome";
import { readPlace } from "../../places/queries/readPlace";
import { readPlaces } from "../../places/queries/readPlaces";
import { readPlant } from "../../plants/queries/readPlant";
import { recordLook } from "../../looks/commands/recordLook";
import { recordAct } from "../../acts/commands/recordAct";
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

/** A command, and how many facts of its kind are there. */
type Sent = { command: () => Promise<Outcome<unknown>>; count: () => Promise<number> };

const counted = (plantId: string, of: "placements" | "looks" | "cases" | "acts" | "programmes" | "closings") => {
  return async () => (await readPlant(context, plantId))!.record[of].length;
};

const commands: Record<string, () => Promise<Sent>> = {
  "adding a place": async () => {
    const place = {
      id: uuidv7(),
      name: "Sill",
      kind: "shelf",
      parentId: null,
      celsius: 20,
      readingId: uuidv7(),
    } as const;
    return { command: () => addPlace(context, place), count: async () => (await readPlaces(context)).length - 3 };
  },
  "adding a plant": async () => {
    const plant = aPlant(shelf);
    return { command: () => addPlant(context, plant), count: counted(plant.id, "placements") };
  },
  "moving it": async () => {
    const plantId = await plantOn(context, shelf);
    const move = { id: uuidv7(), plantId, placeId: other, at: wall(1) };
    return { command: () => movePlant(context, move), count: async () => (await counted(plantId, "placements")()) - 1 };
  },
  "setting it apart": async () => {
    const plantId = await plantOn(context, shelf);
    const apart = { id: uuidv7(), plantId, placeId: pantry, bagId: uuidv7(), at: wall(1) };
    return { command: () => setApart(context, apart), count: async () => (await counted(plantId, "placements")()) - 1 };
  },
  "a find": async () => {
    const plantId = await plantOn(context, shelf);
    const look = aLook(plantId, 1, { finds: [aFind()] });
    return { command: () => recordLook(context, look), count: counted(plantId, "cases") };
  },
  "a plan": async () => {
    const plantId = await plantOn(context, shelf);
    const plan = aPlan(await openCaseOn(context, plantId, 4), ["2026-11-24"]);
    return { command: () => adoptPlan(context, plan), count: counted(plantId, "programmes") };
  },
  "a treatment": async () => {
    const plantId = await plantOn(context, shelf);
    const spray = aSpray(plantId, await openCaseOn(context, plantId, 4), 2);
    return { command: () => recordAct(context, spray), count: counted(plantId, "acts") };
  },
  "a reading": async () => {
    const reading = { id: uuidv7(), placeId: shelf, at: NOW, celsius: 21, source: "thermometer" } as const;
    const count = async () => (await readPlace(context, shelf))!.readings.length - 1;
    return { command: () => takeReading(context, reading), count };
  },
  "a closing": async () => {
    const plantId = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, plantId, 4);
    const closing = { id: uuidv7(), caseId, outcome: "lost", at: wall(1), note: "" } as const;
    return { command: () => closeCase(context, closing), count: counted(plantId, "closings") };
  },
};

/** A lost answer makes the sender send again; a slow one makes it send at the same time. */
describe("sent again", () => {
  it.each(Object.entries(commands))("%s happens once, however often and fast it is sent", async (_what, make) => {
    const { command, count } = await make();
    const together = await Promise.all([command(), command(), command()]);
    const later = await command();
    expect([...together, later].map((outcome) => outcome.ok)).toEqual([true, true, true, true]);
    expect(await count()).toBe(1);
  });

  it("what bears the id of something else is refused, not tried for ever", async () => {
    const plantId = await plantOn(context, shelf);
    const look = aLook(plantId, 2, { finds: [aFind()] });
    await recordLook(context, look);
    expect(codes(await recordLook(context, { ...look, id: uuidv7() }))).toEqual([" id_taken"]);
    expect((await readPlant(context, plantId))!.record.looks).toHaveLength(1);
  });

  it("a fact is struck out once, and the second time it is said so", async () => {
    const plantId = await plantOn(context, shelf);
    const look = aLook(plantId, 1);
    await recordLook(context, look);
    const strike = () => voidFact(context, { kind: "look", factId: look.id, reason: "another plant" });
    const outcomes = await Promise.all([strike(), strike()]);
    expect(outcomes.map((outcome) => outcome.ok).toSorted()).toEqual([false, true]);
  });

  it("two plants that want one code at the same moment: one gets it, the other is told", async () => {
    const twins = [aPlant(shelf, { code: "Twin" }), aPlant(shelf, { code: "TWIN" })];
    const outcomes = await Promise.all(twins.map((twin) => addPlant(context, twin)));
    expect(outcomes.filter((outcome) => outcome.ok)).toHaveLength(1);
    expect(outcomes.find((outcome) => !outcome.ok)).toMatchObject({ problems: [{ path: "code", code: "code_taken" }] });
  });
});
