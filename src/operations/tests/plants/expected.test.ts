import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import { passedShare } from "@/core/advice/spread/carries";
import * as carriage from "@/db/stores/plants/carriage";
import * as facts from "@/db/stores/record/facts";
import { recordLook } from "../../looks/commands/recordLook";
import { reckonCarriage } from "../../plants/commands/reckonCarriage";
import { readSpread } from "../../plants/spreadOnRecord";
import { voidFact } from "../../record/commands/voidFact";
import { readTaught } from "../../record/queries/readTaught";
import { startWalk } from "../../walks/commands/startWalk";
import { scopeOf, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { aFind, aLook, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
let walkId: string;
beforeEach(async () => {
  ({ context, shelf } = await freshCollection({ owns: ["lamp", "loupe"] }));
  walkId = uuidv7();
});
const walk = async () =>
  expectOk(await startWalk(context, { id: walkId, scope: "place", placeId: shelf, tool: "loupe", round: "all" }));

const all = spotsOf("trailingVine").filter((spot) => spot !== "roots");
const careful = (plantId: string, days: number, over = {}) =>
  aLook(plantId, days, { tool: "loupe", spots: all, walkId, ...over });
const told = async (lookId: string) => {
  const { pFind, pPassed, passes } = (await facts.find(scopeOf(context, "read"), "look", lookId))!;
  return { pFind, pPassed, passes };
};
const nothing = { pFind: null, pPassed: null, passes: null };

describe("what a look was expected to find", () => {
  it("is written down with it, where it is as was told of this day, and once", async () => {
    const sick = await plantOn(context, shelf);
    const beside = await plantOn(context, shelf);
    await openCaseOn(context, sick, 20);
    await walk();
    const before = careful(beside, 0);
    expectOk(await recordLook(context, before));
    // Nothing had been reckoned.
    expect(await told(before.id)).toEqual(nothing);
    await reckonCarriage(context);
    const known = (await carriage.of(scopeOf(context, "read"), [beside]))[0]!.result;
    const look = careful(beside, 0);
    for (let i = 0; i < 2; i++) expectOk(await recordLook(context, look));
    expect(await told(look.id)).toEqual({ pFind: known.looks[1]!.pFind, pPassed: passedShare(known), passes: 1 });
    expect(passedShare(known)).toBeGreaterThan(0.5);
    // After that look what was told is no longer so.
    const next = careful(beside, 0);
    expectOk(await recordLook(context, next));
    expect(await told(next.id)).toEqual(nothing);
  });

  it.each<[string, number, object]>([
    ["of another day", 1, {}],
    ["of hours before", 0, { at: wall(0, "12:00") }],
    ["on no walk", 0, { walkId: null }],
    ["with another tool", 0, { tool: "eye" }],
    ["at fewer places", 0, { spots: ["axil"] }],
  ])("nothing is of one %s", async (_what, days, over) => {
    const plantId = await plantOn(context, shelf);
    await walk();
    await reckonCarriage(context);
    const look = careful(plantId, days, over);
    expectOk(await recordLook(context, look));
    expect(await told(look.id)).toEqual(nothing);
  });

  it("is held against what came: whether it was so, and how much passes from plant to plant", async () => {
    const sick = await plantOn(context, shelf);
    await openCaseOn(context, sick, 30);
    const plants = [];
    for (let i = 0; i < 8; i++) plants.push(await plantOn(context, shelf));
    await walk();
    await reckonCarriage(context);
    const looks = plants.map((plantId) => careful(plantId, 0, { finds: [aFind()] }));
    for (const look of looks) {
      expectOk(await recordLook(context, look));
      await reckonCarriage(context);
    }
    const { expected, passing } = await readTaught(context);
    expect(expected.reduce((sum, { came }) => sum + came.hits, 0)).toBe(8);
    expect(passing).toMatchObject({ looks: 8, finds: 8 });
    expect(passing.learned!.mean).toBeGreaterThan(1.2);
    // What is told from now on goes by it, where the keeper does not want our estimates alone.
    const passes = async (numbers: "ours" | "mixed") => {
      const of = { ...context, collection: { ...context.collection, numbers } };
      return (await readSpread(of, scopeOf(of, "read"))).spread.passes;
    };
    expect(await passes("mixed")).toBeCloseTo(passing.learned!.mean, 12);
    expect(await passes("ours")).toBe(1);
    // What is struck out was never looked.
    for (const { id } of looks)
      expectOk(await voidFact(context, { kind: "look", factId: id, reason: "another plant" }));
    expect(await readTaught(context)).toMatchObject({ expected: [], passing: { looks: 0, finds: 0, learned: null } });
  });
});
