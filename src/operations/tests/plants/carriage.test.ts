import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { spotsOf } from "@/core/knowledge/plants/growthForms";
import * as carriage from "@/db/stores/plants/carriage";
import { scopeOf, type Context } from "../../shared/context";
import { addPlace } from "../../places/commands/addPlace";
import { archivePlant } from "../../plants/commands/archivePlant";
import { closeCase } from "../../cases/commands/closeCase";
import { editPlace } from "../../places/commands/editPlace";
import { judgeStale } from "../../cases/commands/judgeStale";
import { movePlant } from "../../plants/commands/movePlant";
import { moveSeveral } from "../../plants/commands/moveSeveral";
import { expectOk } from "../../shared/outcome";
import { readApart, readMove } from "../../plants/queries/readApart";
import { readAround } from "../../cases/queries/readAround";
import { readArrivals } from "../../seasons/queries/readArrivals";
import { readBenches } from "../../places/queries/readBenches";
import { readCarried } from "../../plants/queries/readCarried";
import { readLedger, readLedgerPlants } from "../../record/queries/readLedger";
import { readPlant } from "../../plants/queries/readPlant";
import { readSchools } from "../../cases/queries/readSchools";
import { readTonight } from "../../walks/queries/readTonight";
import { readWalk } from "../../walks/queries/readWalk";
import { traceOrigins } from "../../cases/sourceCases";
import { reckonCarriage } from "../../plants/commands/reckonCarriage";
import { recordCleaning } from "../../places/commands/recordCleaning";
import { recordLook } from "../../looks/commands/recordLook";
import { setApart } from "../../plants/commands/setApart";
import { startWalk } from "../../walks/commands/startWalk";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aPlant, codes, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
let other: string;
let pantry: string;
beforeEach(async () => ({ context, shelf, other, pantry } = await freshCollection({ owns: ["lamp", "loupe"] })));

const known = async (plantId: string) => (await carriage.of(scopeOf(context, "record"), [plantId]))[0]?.result;
const chance = async (plantId: string) => (await known(plantId))?.p ?? NaN;
const stateOf = async (plantId: string) => (await readPlant(context, plantId))!.card.state;
/** A look that takes in every place above the roots, with a loupe. */
const careful = (plantId: string, days: number) =>
  aLook(plantId, days, { tool: "loupe", spots: spotsOf("trailingVine").filter((spot) => spot !== "roots") });
const row = async (placeId: string) =>
  (await readBenches(context))
    .flatMap((room) => room.benches)
    .find(({ place }) => place.id === placeId)!
    .plants.map(({ code }) => code);
const move = (plantId: string, placeId: string, after?: string, id = uuidv7()) =>
  movePlant(context, { id, plantId, placeId, at: wall(0), after });

describe("what plants may carry", () => {
  it("is reckoned for every plant, and again only for what has changed", async () => {
    const [a, b] = [await plantOn(context, shelf), await plantOn(context, other)];
    expect(await reckonCarriage(context)).toBe(2);
    expect(await reckonCarriage(context)).toBe(0);
    const before = await chance(a);
    expectOk(await recordLook(context, aLook(a, 0)));
    expect(await reckonCarriage(context)).toBe(1);
    expect(await chance(a)).toBeLessThan(before);
    expect(await chance(b)).toBeGreaterThan(0);
  });

  it("a find puts those beside it at risk at once by the rule, then by the number, and names itself as the source", async () => {
    const [sick, beside, far] = [
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, other, { acquiredOn: null }),
    ];
    for (const plant of [sick, beside, far])
      for (const days of [50, 43, 36, 29, 22, 15, 8, 4]) expectOk(await recordLook(context, careful(plant, days)));
    await reckonCarriage(context);
    expect(await stateOf(beside)).toBe("clear");
    await openCaseOn(context, sick, 3);
    expect(await stateOf(beside)).toBe("atRisk");
    // Two plants were touched: they come first; the others follow in the same run.
    expect(await reckonCarriage(context)).toBe(3);
    const told = (await known(beside))!;
    expect(told.pests[0]!.pest).toBe("mealybug");
    expect(told.routes[0]).toMatchObject({ kind: "neighbour", plantId: sick, nearness: "place" });
    expect(await chance(beside)).toBeGreaterThan((await chance(far)) + 0.005);
    expect(await stateOf(far)).toBe("clear");
  });

  it("the number decides where the rule by hand would still wait", async () => {
    const [sick, beside] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    for (const days of [40, 33, 26, 19, 12, 5]) expectOk(await recordLook(context, careful(beside, days)));
    const found = aFind({ severity: "trace", count: 1, removed: true });
    expectOk(await recordLook(context, aLook(sick, 1, { finds: [found] })));
    expectOk(await setApart(context, { id: uuidv7(), plantId: sick, placeId: pantry, bagId: uuidv7(), at: wall(0) }));
    expect(await stateOf(beside)).toBe("atRisk");
    await reckonCarriage(context);
    expect(await chance(beside)).toBeLessThan(0.05);
    expect(await stateOf(beside)).toBe("clear");
  });

  it("what is told late, struck out and told again comes to what it would have come to at once", async () => {
    const [sick, beside] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    await reckonCarriage(context);
    const without = await chance(beside);
    const look = aLook(sick, 10, { finds: [aFind()] });
    expectOk(await recordLook(context, look));
    await reckonCarriage(context);
    const withIt = await chance(beside);
    expect(withIt).toBeGreaterThan(without);
    expectOk(await voidFact(context, { kind: "look", factId: look.id, reason: "not so" }));
    await reckonCarriage(context);
    expect(await chance(beside)).toBeCloseTo(without, 9);
    expectOk(await recordLook(context, { ...look, id: uuidv7(), finds: [aFind()] }));
    await reckonCarriage(context);
    expect(await chance(beside)).toBeCloseTo(withIt, 9);
  });

  it("what a command changes while it is reckoned is reckoned again", async () => {
    const plant = await plantOn(context, shelf);
    let meanwhile = 0;
    await reckonCarriage(
      context,
      () => true,
      async (questions) => {
        if (meanwhile++ === 0) expectOk(await recordLook(context, aLook(plant, 0)));
        return questions.map(() => null);
      },
    );
    expect(meanwhile).toBeGreaterThanOrEqual(2);
    expect(await reckonCarriage(context)).toBe(0);
  });

  it("a plant that has left is not reckoned, and waits for nobody", async () => {
    const plant = await plantOn(context, shelf);
    expectOk(await archivePlant(context, { plantId: plant, archived: true }));
    expect(await reckonCarriage(context)).toBe(0);
    expect(await carriage.somethingSoon(scopeOf(context, "record"))).toBe(false);
  });

  it("a cleaning between two plants takes away what the hands carried", async () => {
    const [sick, after] = [await plantOn(context, pantry), await plantOn(context, other)];
    const seen = { tool: "lamp" as const, spots: ["axil" as const] };
    expectOk(await recordLook(context, aLook(sick, 1, { ...seen, at: wall(1, "18:00"), finds: [aFind()] })));
    expectOk(await recordLook(context, aLook(after, 1, { ...seen, at: wall(1, "18:10") })));
    await reckonCarriage(context);
    const dirty = await chance(after);
    expect((await known(after))!.routes.some(({ kind }) => kind === "handled")).toBe(true);
    const command = { id: uuidv7(), walkId: null, at: wall(1, "18:05") };
    expectOk(await recordCleaning(context, command));
    expectOk(await recordCleaning(context, command));
    await reckonCarriage(context);
    expect(await chance(after)).toBeLessThan(dirty - 0.002);
    expectOk(await voidFact(context, { kind: "cleaning", factId: command.id, reason: "not so" }));
    await reckonCarriage(context);
    expect(await chance(after)).toBeCloseTo(dirty, 9);
  });

  it("a door that is shut from now on, and water that drips, change it for everybody", async () => {
    const [hall, low, top] = [uuidv7(), uuidv7(), uuidv7()];
    const made = { readingId: uuidv7(), celsius: 21, roomFor: null, doorShut: false, dripsOn: null };
    expectOk(await addPlace(context, { ...made, id: hall, name: "Hall", kind: "room", parentId: null }));
    for (const [id, name] of [
      [low, "Low"],
      [top, "Top"],
    ] as const)
      expectOk(
        await addPlace(context, {
          ...made,
          readingId: uuidv7(),
          celsius: null,
          id,
          name,
          kind: "shelf",
          parentId: hall,
        }),
      );
    const [sick, below] = [await plantOn(context, top), await plantOn(context, low)];
    const find = aFind({ pest: "rootMealybug" });
    expectOk(await recordLook(context, aLook(sick, 14, { tool: "unpotted", spots: ["roots"], finds: [find] })));
    await reckonCarriage(context);
    const dry = await chance(below);
    expectOk(await editPlace(context, { placeId: top, name: "Top", dripsOn: low }));
    await reckonCarriage(context);
    expect(await chance(below)).toBeGreaterThan(dry + 0.05);
    expect((await known(below))!.routes[0]).toMatchObject({ nearness: "drip", pest: "rootMealybug" });
    expect(codes(await editPlace(context, { placeId: top, name: "Top", dripsOn: top }))).toEqual([
      "dripsOn same_place",
    ]);
    // What is left out stays as it was.
    expectOk(await editPlace(context, { placeId: top, name: "Top shelf" }));
    await reckonCarriage(context);
    expect((await known(below))!.routes[0]).toMatchObject({ nearness: "drip" });
  });

  it("how it rose and fell: each clean look is a step down", async () => {
    const plant = await plantOn(context, shelf);
    for (const days of [30, 20, 10]) expectOk(await recordLook(context, aLook(plant, days, { tool: "loupe" })));
    await reckonCarriage(context);
    const told = (await readCarried(context, plant))!;
    expect(told.looks).toHaveLength(3);
    for (const { before, after } of told.looks) expect(after).toBeLessThan(before);
    expect(told.points.map(({ at }) => at)).toEqual(told.points.map(({ at }) => at).toSorted((a, b) => a - b));
    expect(told.points.at(-1)!.p).toBeCloseTo(await chance(plant), 3);
    expect(await readCarried(context, uuidv7())).toBeNull();
  });
});

describe("after a find", () => {
  it("says who first and why, where from, and prices both schools", async () => {
    const from = { seller: "Stall" };
    const sick = await plantOn(context, shelf, { ...from, acquiredOn: null });
    const [touching, sameShelf, sameSeller] = [
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, other, from),
    ];
    for (const [plant, after] of [
      [touching, sick],
      [sameShelf, touching],
    ] as const)
      expectOk(await movePlant(context, { id: uuidv7(), plantId: plant, placeId: shelf, at: wall(50), after }));
    const caseId = await openCaseOn(context, sick, 14);
    await reckonCarriage(context);
    const view = (await readAround(context, caseId))!;
    const lines = view.first.map(({ plantId, why }) => [
      plantId,
      why.map((one) => ("nearness" in one ? one.nearness : one.kind)),
    ]);
    expect(lines).toEqual([
      [touching, ["touching"]],
      [sameShelf, ["place"]],
      [sameSeller, ["open", "seller"]],
    ]);
    expect(view.current).toBe(true);
    expect(view.origin!.likeliest).toMatchObject({ kind: "background" });
    const schools = (await readSchools(context, caseId))!;
    expect(schools.plants).toBe(2);
    expect(schools.treat.oneLeft).toBeLessThan(schools.oneCarries);
    expect(schools.look.oneLeft).toBeLessThan(schools.oneCarries);
    expect(schools.look.oneFound + (1 - schools.look.oneFound) * schools.look.oneLeft).toBeGreaterThan(0);
    expect(schools.treat.minutes).toBeGreaterThan(0);
    expect(await readAround(context, uuidv7())).toBeNull();

    const chosen = view.first.map(({ plantId }) => ({ plantId }));
    const walk = { id: uuidv7(), placeId: null, tool: "lamp", round: "likely", inOrder: true } as const;
    expectOk(await startWalk(context, { ...walk, scope: "chosen", chosen: chosen.toReversed() }));
    const stops = (await readWalk(context, walk.id))!.stops.toSorted((a, b) => a.rank! - b.rank!);
    expect(stops.map(({ id }) => id)).toEqual([sameSeller, sameShelf, touching]);
    expect(codes(await startWalk(context, { ...walk, id: uuidv7(), scope: "chosen", chosen: [] }))).toEqual([
      "scope no_plants",
    ]);
  });

  it("a source that was found afterwards is blamed: the plant beside it had them first", async () => {
    const [second, first] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    const caseId = await openCaseOn(context, second, 10);
    expectOk(await recordLook(context, aLook(first, 2, { finds: [aFind({ severity: "overrun", count: 400 })] })));
    await reckonCarriage(context);
    const view = (await readAround(context, caseId))!;
    expect(view.origin!.likeliest).toMatchObject({ kind: "neighbour", plantId: first });
  });

  it("and blamed as well where it is found between the last plant that is reckoned and the tracing", async () => {
    const [second, first] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    const caseId = await openCaseOn(context, second, 10);
    await reckonCarriage(context);
    expect((await readAround(context, caseId))!.origin!.likeliest).not.toMatchObject({ plantId: first });
    expectOk(await recordLook(context, aLook(first, 2, { finds: [aFind({ severity: "overrun", count: 400 })] })));
    await traceOrigins(context, scopeOf(context, "record"));
    await reckonCarriage(context);
    expect((await readAround(context, caseId))!.origin!.likeliest).toMatchObject({ kind: "neighbour", plantId: first });
  });
});

describe("as they stand", () => {
  it("plants come to stand where they are put, and sending it twice puts them there once", async () => {
    const [a, b, c] = [
      await plantOn(context, shelf, { code: "A" }),
      await plantOn(context, shelf, { code: "B" }),
      await plantOn(context, shelf, { code: "C" }),
    ];
    expect(await row(shelf)).toEqual(["A", "B", "C"]);
    const id = uuidv7();
    expectOk(await move(c, shelf, "first", id));
    expectOk(await move(c, shelf, "first", id));
    expect(await row(shelf)).toEqual(["C", "A", "B"]);
    expectOk(await move(a, shelf, b));
    expect(await row(shelf)).toEqual(["C", "B", "A"]);
    expectOk(await move(b, other, "first"));
    expectOk(await move(a, other, b));
    expect(await row(other)).toEqual(["B", "A"]);
    expect(codes(await move(c, other, uuidv7()))).toEqual(["after unknown"]);
    expect(codes(await move(c, shelf))).toEqual(["placeId same_place"]);
  });

  it("shifting a plant along its row is no new meeting with a case", async () => {
    const [sick, beside] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    await openCaseOn(context, sick, 20);
    for (const days of [12, 5]) expectOk(await recordLook(context, aLook(beside, days)));
    const since = async () => (await readPlant(context, beside))!.record.exposures.map(({ day }) => day);
    const before = await since();
    expectOk(await move(beside, shelf, "first"));
    expect(await since()).toEqual(before);
  });

  it("the others of an island are moved at once, and sent twice they are moved once", async () => {
    const island = await plantOn(context, shelf, { code: "I" });
    const [a, b] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    await openCaseOn(context, island, 1);
    const view = (await readApart(context, island))!;
    expect(view.island.map(({ plantId, placeId }) => [plantId, placeId]).toSorted()).toEqual(
      [
        [a, other],
        [b, other],
      ].toSorted(),
    );
    expect(view.proposed.map(({ placeId }) => placeId)).toEqual([pantry]);
    const moves = view.island.map(({ plantId, placeId }) => ({ id: uuidv7(), plantId, placeId: placeId! }));
    // One that cannot be moved keeps all of them where they are.
    const nowhere = { id: uuidv7(), plantId: island, placeId: uuidv7() };
    const before = await row(shelf);
    expect(codes(await moveSeveral(context, { moves: [...moves, nowhere], at: wall(0) }))).toEqual(["placeId unknown"]);
    expect(await row(shelf)).toEqual(before);
    expectOk(await moveSeveral(context, { moves, at: wall(0) }));
    expectOk(await moveSeveral(context, { moves, at: wall(0) }));
    expect(await row(shelf)).toEqual(["I"]);
  });

  it("a tray stands on a shelf and not by itself", async () => {
    const made = { readingId: uuidv7(), celsius: 20 };
    const tray = { ...made, id: uuidv7(), name: "Tray", kind: "tray" as const };
    expect(codes(await addPlace(context, { ...tray, parentId: null }))).toEqual(["parentId stands_alone"]);
    expect(codes(await addPlace(context, { ...tray, parentId: "0".repeat(8) + uuidv7().slice(8) }))).toEqual([
      "parentId parent_not_room",
    ]);
    expectOk(await addPlace(context, { ...tray, parentId: shelf }));
  });
});

describe("the way back, and the way in", () => {
  it("an arrival stands apart until its looks have left little to doubt, and joins after two of them at the soonest", async () => {
    const command = aPlant(pantry, { acquiredOn: wall(3).toISOString().slice(0, 10) as never, seller: "Stall" });
    const { addPlant } = await import("../../plants/commands/addPlants");
    expectOk(await addPlant(context, command));
    const [line] = await readArrivals(context);
    expect(line!.steps).toMatchObject({ inspectedOn: null, washedOn: null, cleanLooks: 0 });
    await reckonCarriage(context);
    const { waysBack, routes } = (await known(command.id))!;
    expect(routes[0]).toMatchObject({ kind: "arrival" });
    const [usual, thorough] = ["usual", "thorough"].map((way) => waysBack!.find((one) => one.way === way)!);
    expect(usual!.looks.length).toBeGreaterThanOrEqual(2);
    expect(thorough!.looks.length).toBeLessThanOrEqual(usual!.looks.length);
    expect(usual!.p).toBeLessThan(0.05);
    expect(usual!.after.length).toBeGreaterThanOrEqual(4);
    expect(usual!.after).toEqual(usual!.after.toSorted((a, b) => b - a));
    const risk = (await readMove(context, command.id))!;
    expect(risk.back).toBe(true);
    const beside = await plantOn(context, shelf, { code: "HAS" });
    await openCaseOn(context, beside, 3);
    const full = (await readMove(context, command.id))!.targets.find(({ id }) => id === shelf)!;
    expect(full.plants).toBe(1);
    expect(full.finds).toEqual([{ code: "HAS", pest: "mealybug" }]);
    expect(full.wouldCatch).toBeGreaterThan(0);
  });

  it("a closing keeps how likely it was over, and what is left of it counts for the next", async () => {
    const plant = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, plant, 40);
    for (const days of [20, 10, 2]) expectOk(await recordLook(context, aLook(plant, days, { tool: "loupe" })));
    await judgeStale(context);
    expectOk(await closeCase(context, { id: uuidv7(), caseId, outcome: "clear", at: wall(1), note: "" }));
    const { record } = (await readPlant(context, plant))!;
    const { pClear } = record.closings[0]!;
    expect(pClear).toBeGreaterThan(0);
    await reckonCarriage(context);
    const told = (await known(plant))!;
    expect(told.routes.find(({ kind }) => kind === "remained")).toMatchObject({ pest: "mealybug" });
    expect(told.risk).toBeLessThan(told.p);
  });
});

describe("tonight, and the ledger", () => {
  it("the looks that find most come first; what is left is said, and more time leaves less", async () => {
    const [sick, beside] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    for (let i = 0; i < 4; i++) await plantOn(context, other);
    await openCaseOn(context, sick, 20);
    await reckonCarriage(context);
    const view = await readTonight(context, 2);
    expect(view.looks[0]!.card.id).toBe(beside);
    expect(view.looks.some(({ card }) => card.id === sick)).toBe(false);
    expect(view.spent).toBeLessThanOrEqual(2);
    expect(view.finds + view.leaves).toBeCloseTo(view.carry, 9);
    expect(view.leavesWithMore).toBeLessThan(view.leaves);
  });

  it("counts finds by seller, place, way and month, and each number opens its plants", async () => {
    const sick = await plantOn(context, shelf, { seller: "Stall", code: "S" });
    await plantOn(context, shelf, { seller: "Stall" });
    await plantOn(context, other, { seller: "Swap" });
    await openCaseOn(context, sick, 20);
    await reckonCarriage(context);
    const { lines } = await readLedger(context, "seller");
    expect(lines.map(({ key, plantIds, finds }) => [key, plantIds.length, finds.length])).toEqual([
      ["Stall", 2, 1],
      ["Swap", 1, 0],
    ]);
    expect((await readLedger(context, "place")).lines[0]).toMatchObject({ name: "Shelf", finds: [{ plantId: sick }] });
    expect((await readLedger(context, "way")).lines.map(({ key }) => key)).toEqual(["background"]);
    expect((await readLedger(context, "month")).lines.map(({ key }) => key)).toEqual(["2026-11"]);
    const behind = (await readLedgerPlants(context, "seller", "Stall", true))!;
    expect(behind.plants.map(({ card, finds }) => [card.code, finds.length])).toEqual([["S", 1]]);
    expect(await readLedgerPlants(context, "seller", "Nobody", false)).toBeNull();
  });
});
