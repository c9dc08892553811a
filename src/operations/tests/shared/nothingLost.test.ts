import { stillHolds } from "../../collections/settings";
import { beforeAll, describe, expect, inject, it, vi } from "vitest";
import pg from "pg";
import { v7 as uuidv7 } from "uuid";
import { addDays } from "@/core/shared/days";
import { run } from "@/db/query";
import * as collections from "@/db/stores/collections";
import { plainPlace } from "@/core/record/facts/descriptions";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { ownDatabase } from "@/db/testing/ownDatabase";
import { changeSettings } from "../../collections/commands/changeSettings";
import { scopeOf, type Context } from "../../shared/context";
import { deriveStale } from "../../plants/commands/deriveStale";
import { fenced, readTroubles } from "../../shared/fence";
import { judgeStale } from "../../cases/commands/judgeStale";
import { movePlant } from "../../plants/commands/movePlant";
import { expectOk } from "../../shared/outcome";
import { readPlant } from "../../plants/queries/readPlant";
import { reckonCarriage } from "../../plants/commands/reckonCarriage";
import { recordLook } from "../../looks/commands/recordLook";
import { setApart } from "../../plants/commands/setApart";
import { addPlace } from "../../places/commands/addPlace";
import { importFacts, Gone } from "../../transfer/importFacts";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, codes, daysAgo, freshCollection, NOW, openCaseOn, plantOn, wall } from "../builders";

describe("what was reckoned by settings that hold no more", () => {
  it("is not kept: neither how plants stand, nor what they may carry, nor how cases are judged", async () => {
    const { context, shelf } = await freshCollection({ lookEveryDays: 7 });
    const plant = await plantOn(context, shelf);
    expectOk(await recordLook(context, aLook(plant, 1)));
    await openCaseOn(context, await plantOn(context, shelf), 9);
    const { id: _id, isDemo: _demo, bottles: _bottles, settingsVersion: _version, ...settings } = context.collection;
    expectOk(await changeSettings(context, { ...settings, lookEveryDays: 30 }));
    // A job that read the collection before that goes on with what it read.
    const due = async () => (await plantStates.of(scopeOf(context, "read"), [plant]))[0]!.lookDueOn;
    const by30 = await due();
    await plantStates.markAll(scopeOf(context, "record"));
    await deriveStale(context);
    expect(await due()).toBe(by30);
    expect(await judgeStale(context)).toBe(0);
    expect(await reckonCarriage(context)).toBe(0);
    const { sequelize } = context;
    const collection = (await collections.find({ sequelize, transaction: undefined }, context.collection.id))!;
    expect(collection).toMatchObject({ lookEveryDays: 30, settingsVersion: 2 });
    const now: Context = { ...context, collection };
    expect(await judgeStale(now)).toBe(1);
    expect(await reckonCarriage(now)).toBeGreaterThan(0);
  });
});

describe("a move written down for an earlier day", () => {
  it("puts the plant behind those who stood there then, whoever stands there now", async () => {
    const { context, shelf, other } = await freshCollection();
    const [a, b, c] = [await plantOn(context, shelf), await plantOn(context, shelf), await plantOn(context, other)];
    const move = (plantId: string, placeId: string, ago: number, after: string | null = null) =>
      movePlant(context, { id: uuidv7(), plantId, placeId, at: wall(ago), after });
    expectOk(await move(a, shelf, 20, "first"));
    expectOk(await move(b, shelf, 20, a));
    // Five days ago b went; on the tenth day back it still stood there, and c came to stand behind it.
    expectOk(await move(b, other, 5));
    expectOk(await move(c, shelf, 10, b));
    const then = await plantStates.row(scopeOf(context, "read"), shelf);
    expect(then.map(({ plantId }) => plantId)).toEqual([a, c]);
    // Today nobody stands behind b there.
    expect(codes(await move(a, shelf, 0, b))).toEqual(["after unknown"]);
  });
});

describe("what is one's own", () => {
  it("is struck out by the same account from any device; by its name and device where it is of before accounts were noted", async () => {
    const { context, shelf } = await freshCollection();
    const plant = await plantOn(context, shelf);
    const [ida, other] = [uuidv7(), uuidv7()];
    const sitter = (actor: string, accountId: string | null): Context => ({
      ...context,
      role: "sitter",
      actor,
      accountId,
    });
    const look = async (by: Context) => {
      const command = aLook(plant, 1);
      expectOk(await recordLook(by, command));
      return (from: Context) => voidFact(from, { kind: "look", factId: command.id, reason: "it was another plant" });
    };
    const strike = await look(sitter("Ida · phone", ida));
    expect(codes(await strike(sitter("Ida · phone", other)))).toEqual(["factId not_yours"]);
    expect(codes(await strike(sitter("Ida · tablet", ida)))).toEqual([]);
    const older = await look(sitter("Ida · phone", null));
    expect(codes(await older(sitter("Ida · tablet", ida)))).toEqual(["factId not_yours"]);
    expect(codes(await older(sitter("Ida · phone", ida)))).toEqual([]);
  });

  it("sent twice it is told to be there already", async () => {
    const { context, shelf } = await freshCollection();
    const command = aLook(await plantOn(context, shelf), 1);
    expect(await recordLook(context, command)).not.toHaveProperty("again");
    expect(await recordLook(context, command)).toMatchObject({ ok: true, again: true });
  });
});

describe("a tray inside an isolation place", () => {
  it("is apart like what it stands in, wherever that is asked", async () => {
    const { context, shelf, pantry } = await freshCollection();
    const tray = uuidv7();
    const described = { name: "Tray", kind: "tray", parentId: pantry, celsius: null, readingId: uuidv7() } as const;
    expectOk(await addPlace(daysAgo(context, 50), { id: tray, ...described }));
    const plant = await plantOn(context, shelf);
    const apart = { id: uuidv7(), plantId: plant, placeId: tray, bagId: uuidv7(), at: wall(3) };
    expect(codes(await setApart(context, apart))).toEqual([]);
    const view = (await readPlant(context, plant))!;
    expect(view.card.apart).toBe(true);
    // Where it is brought back to is where it stood among the others.
    expect(view.before?.id).toBe(shelf);
  });
});

describe("places never stand in a ring", () => {
  it("the database takes none, whatever was written before, and both halves at once neither", async () => {
    const { context, shelf } = await freshCollection();
    const scope = scopeOf(context, "record");
    const room = (name: string) => ({
      id: uuidv7(),
      name,
      kind: "shelf" as const,
      parentId: null,
      ...plainPlace,
    });
    const [one, two] = [room("One"), room("Two")];
    for (const place of [one, two]) await places.add(scope, place);
    const halves = [
      [one.id, two.id],
      [two.id, one.id],
    ].map(async ([id, parentId]) => {
      const client = new pg.Client(inject("databaseUrl"));
      await client.connect();
      return client
        .query("update places set parent_id = $2 where id = $1", [id, parentId])
        .then(() => true)
        .catch((error: pg.DatabaseError) => (error.constraint === "places_in_no_ring" ? false : Promise.reject(error)))
        .finally(() => client.end());
    });
    expect((await Promise.all(halves)).toSorted()).toEqual([false, true]);
    await expect(
      context.sequelize.transaction(async (transaction) => {
        const within = scopeOf(context, "record", transaction);
        await run(within, "update places set parent_id = id where collection_id = :c and id = :shelf", { shelf });
      }),
    ).rejects.toThrow(/within itself/);
  });
});

describe("one collection never stops another", () => {
  it("what fails is noted with its collection, waited for, and gone when it is done again", async () => {
    const told = vi.spyOn(console, "error").mockImplementation(() => {});
    const { context } = await freshCollection();
    const fails = () => Promise.reject(new Error("a genus of nonsense"));
    expect(await fenced(context, "judge", fails)).toBeNull();
    expect(await readTroubles(context)).toMatchObject([{ work: "judge", why: "a genus of nonsense", times: 1 }]);
    // At once it is not tried again, later it is, each time later.
    const tried = vi.fn(async () => "done");
    expect(await fenced(context, "judge", tried)).toBeNull();
    expect(tried).not.toHaveBeenCalled();
    const later = (minutes: number): Context => ({ ...context, now: new Date(NOW.getTime() + minutes * 60_000) });
    expect(await fenced(later(2), "judge", fails)).toBeNull();
    expect(await fenced(later(3.5), "judge", tried)).toBeNull();
    expect(await fenced(later(5), "judge", tried)).toBe("done");
    expect(await readTroubles(context)).toEqual([]);
    told.mockRestore();
  });
});

describe("many rows at once", () => {
  let context: Context;
  let shelf: string;
  beforeAll(async () => {
    ({ context, shelf } = await freshCollection());
  });

  it("forty finds of a table beside looks by hand: none waits for another for ever, and all are there", async () => {
    const ids = await Promise.all(Array.from({ length: 40 }, (_, i) => plantOn(context, shelf, { code: `T${i}` })));
    const finds = ids.map((_, i) => ({ plant: `T${i}`, at: "2026-11-20", pest: "mealybug", count: "3" }));
    const byHand = ids
      .slice(0, 8)
      .map((id) => recordLook(context, aLook(id, 1, { finds: [aFind({ pest: "thrips" })] })));
    const [came, ...looks] = await Promise.all([
      importFacts(context, { looks: [], finds: finds.toReversed(), acts: [] }),
      ...byHand,
    ]);
    expect(came).toMatchObject({ ok: true, added: 40 });
    expect(looks.every(({ ok }) => ok)).toBe(true);
    for (const id of ids.slice(0, 3)) {
      const { record, card } = (await readPlant(context, id))!;
      expect(record.cases.map(({ pest }) => pest).toSorted()).toEqual(["mealybug", "thrips"]);
      expect(card.state).toBe("infested");
    }
  }, 60_000);

  it("an act of a table is filed under the case that a find of the same table opens", async () => {
    await plantOn(context, shelf, { code: "F1" });
    const came = await importFacts(context, {
      looks: [],
      finds: [{ plant: "F1", at: "2026-11-10", pest: "mealybug", count: "3" }],
      acts: [
        {
          plant: "F1",
          at: "2026-11-12",
          kind: "contact",
          mix: "soapMild",
          technique: "spray",
          volumeMl: "60",
          spots: "axil",
        },
      ],
    });
    expect(came).toMatchObject({ ok: true, added: 2 });
  });

  it("whoever goes away leaves nothing behind", async () => {
    const plant = await plantOn(context, shelf, { code: "G1" });
    const looks = Array.from({ length: 30 }, (_, i) => ({ plant: "G1", at: addDays("2026-10-01" as never, i) }));
    let asked = 0;
    await expect(importFacts(context, { looks, finds: [], acts: [] }, () => ++asked < 2)).rejects.toThrow(Gone);
    expect((await readPlant(context, plant))!.record.looks).toEqual([]);
  });
});

describe("the first start of a newer version", () => {
  it("goes on where an older one has left a ring of places behind", async () => {
    // The ring is written as an older version could, before the database refused it.
    const own = await ownDatabase(inject("templateUrl"));
    const client = new pg.Client(own.ownerUrl);
    await client.connect();
    try {
      await client.query("alter table places disable trigger places_in_no_ring");
      const { context, shelf, other } = await freshCollection({}, NOW, own.appUrl);
      const plant = await plantOn(context, shelf);
      await client.query("update places set parent_id = $2 where id = $1", [shelf, other]);
      await client.query("update places set parent_id = $2 where id = $1", [other, shelf]);
      // Every walk over places comes to its end.
      expectOk(await recordLook(context, aLook(plant, 1, { finds: [aFind()] })));
      expect((await readPlant(context, plant))!.card.state).toBe("infested");
      await reckonCarriage(context);
    } finally {
      await client.end();
      await own.drop();
    }
  });
});

it("of a collection that was removed while something was reckoned for it nothing is kept", async () => {
  const { context } = await freshCollection();
  expect(await stillHolds(context, scopeOf(context, "record"))).toBe(true);
  const removed = { ...context, collection: { ...context.collection, id: uuidv7() } };
  expect(await stillHolds(removed, scopeOf(removed, "record"))).toBe(false);
});
