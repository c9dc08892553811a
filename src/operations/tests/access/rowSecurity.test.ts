import { readdirSync } from "node:fs";
import path from "node:path";
import pg from "pg";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { day } from "@/core/shared/days";
import { roleIds, type RoleId } from "@/core/access/roles";
import { factKindIds } from "@/core/record/facts/facts";
import { usualSettings } from "@/core/record/facts/settings";
import { addPhoto } from "../../looks/commands/addPhoto";
import { addPlace } from "../../places/commands/addPlace";
import { arrangePlaces } from "../../places/commands/arrangePlaces";
import { addPlacePhoto } from "../../places/commands/addPlacePhoto";
import { addPlant, addPlants } from "../../plants/commands/addPlants";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { adoptUnnamed } from "../../cases/commands/adoptUnnamed";
import { archivePlant } from "../../plants/commands/archivePlant";
import { beginProgramme } from "../../seasons/commands/beginProgramme";
import { changeSettings } from "../../collections/commands/changeSettings";
import { closeCase } from "../../cases/commands/closeCase";
import { NotAllowed, type Context } from "../../shared/context";
import { countTraps } from "../../seasons/commands/countTraps";
import { dropBottle } from "../../household/commands/dropBottle";
import { dropSensor } from "../../climate/commands/dropSensor";
import { editPlace } from "../../places/commands/editPlace";
import { editPlant } from "../../plants/commands/editPlant";
import { endProgramme } from "../../seasons/commands/endProgramme";
import { endWalk } from "../../walks/commands/endWalk";
import { addExperience } from "../../record/commands/addExperience";
import { forgetExperience } from "../../record/commands/forgetExperience";
import { importReadings } from "../../climate/commands/importReadings";
import { keepBottle } from "../../household/commands/keepBottle";
import { keepSensor } from "../../climate/commands/keepSensor";
import { movePlant } from "../../plants/commands/movePlant";
import { moveSeveral } from "../../plants/commands/moveSeveral";
import { expectOk, type Outcome } from "../../shared/outcome";
import { readAlike } from "../../cases/queries/readAlike";
import { readDue } from "../../sessions/queries/readDue";
import { readGroup } from "../../sessions/queries/readGroup";
import { readClearable } from "../../cases/queries/readClearable";
import { readPhytotoxicity } from "../../cases/queries/readPhytotoxicity";
import { readApart, readMove } from "../../plants/queries/readApart";
import { readAround } from "../../cases/queries/readAround";
import { readArrivals } from "../../seasons/queries/readArrivals";
import { readBenches } from "../../places/queries/readBenches";
import { readFloorPlan } from "../../places/queries/readFloorPlan";
import { readTolerance } from "../../plants/queries/readTolerance";
import { readCalendar } from "../../seasons/queries/readCalendar";
import { readCarried } from "../../plants/queries/readCarried";
import { readCase } from "../../cases/queries/readCase";
import { readCases } from "../../cases/queries/readCases";
import { readClimate } from "../../climate/queries/readClimate";
import { readCupboard } from "../../household/queries/readCupboard";
import { readDelay } from "../../cases/queries/readDelay";
import { readDecision } from "../../cases/queries/readDecision";
import { readUnnamed } from "../../cases/queries/readUnnamed";
import { readUnpotting } from "../../cases/queries/readUnpotting";
import { readEvening } from "../../sessions/queries/readEvening";
import { readFeeding } from "../../seasons/queries/readFeeding";
import { readForAdding } from "../../plants/queries/readForAdding";
import { readGnatRoom } from "../../seasons/queries/readGnatRoom";
import { readYear } from "../../record/queries/readYear";
import { readLedger, readLedgerPlants } from "../../record/queries/readLedger";
import { readNaming } from "../../looks/queries/readNaming";
import { readRevision } from "../../record/queries/readRevision";
import { readPaces } from "../../sessions/queries/readPaces";
import { readPestHistory } from "../../cases/queries/readPestHistory";
import { readPhoto } from "../../looks/queries/readPhoto";
import { readPlace } from "../../places/queries/readPlace";
import { readPlaces } from "../../places/queries/readPlaces";
import { readPlant } from "../../plants/queries/readPlant";
import { readPrevention, readPreventionChoices } from "../../seasons/queries/readPrevention";
import { readReplay } from "../../places/queries/readReplay";
import { readCourses, readTaught } from "../../record/queries/readTaught";
import { readRooms } from "../../seasons/queries/readRooms";
import { readDone } from "../../record/queries/readDone";
import { readRounds } from "../../walks/queries/readRounds";
import { readSchools } from "../../cases/queries/readSchools";
import { readSigns } from "../../looks/queries/readSigns";
import { readTimers } from "../../acts/queries/readTimers";
import { readToday } from "../../plants/queries/readToday";
import { readTonight } from "../../walks/queries/readTonight";
import { readWalk } from "../../walks/queries/readWalk";
import { readWalks } from "../../walks/queries/readWalks";
import { readWintering } from "../../seasons/queries/readWintering";
import { recordAct } from "../../acts/commands/recordAct";
import { recordCleaning } from "../../places/commands/recordCleaning";
import { recordLook } from "../../looks/commands/recordLook";
import { recordReaction } from "../../plants/commands/recordReaction";
import { setApart } from "../../plants/commands/setApart";
import { skipPlant } from "../../looks/commands/skipPlant";
import { startTimer } from "../../acts/commands/startTimer";
import { startWalk } from "../../walks/commands/startWalk";
import { takeReading } from "../../climate/commands/takeReading";
import { voidFact } from "../../record/commands/voidFact";
import {
  aBottle,
  aFind,
  aLook,
  aPlan,
  aPlant,
  aSpray,
  daysAgo,
  experienceOfOne,
  freshCollection,
  NOW,
  plantOn,
} from "../builders";

/** What is done beside requests, by the machine itself, and what begins a collection. */
const NOT_ASKED = ["beginCollection", "deriveStale", "hearChanges", "judgeStale", "reckonCarriage", "senseClimate"];

/** What names nothing within a collection: it changes the one that it is asked for, and no other. */
const ABOUT_THE_WHOLE = [
  "addExperience",
  "forgetExperience",
  "changeSettings",
  "dropBottle",
  "keepBottle",
  "endTimer",
  "dropSensor",
];

/** Two collections in one database: what one holds is asked for, and worked on, from the other. */
/** Where operations stand: one a file, among the commands or the queries of its subject. */
const OPERATIONS = path.resolve(import.meta.dirname, "../..");

describe("two walls between collections", () => {
  const admin = new pg.Client(inject("databaseUrl"));
  const appRole = new pg.Client(inject("appUrl"));
  let theirs: Context;
  let mine: Context;
  let photo: Buffer;
  const ids = { plant: "", place: "", pantry: "", case: "", look: "", walk: "", photo: "" };

  beforeAll(async () => {
    await Promise.all([admin.connect(), appRole.connect()]);
    const fresh = await freshCollection();
    theirs = fresh.context;
    mine = (await freshCollection()).context;
    photo = await sharp({ create: { width: 4, height: 4, channels: 3, background: "#123456" } })
      .png()
      .toBuffer();
    Object.assign(ids, { place: fresh.shelf, pantry: fresh.pantry, plant: await plantOn(theirs, fresh.shelf) });
    const find = aFind();
    const look = aLook(ids.plant, 5, { finds: [find] });
    expectOk(await recordLook(theirs, look));
    const photoId = uuidv7();
    expectOk(await addPhoto(theirs, { id: photoId, lookId: look.id, bytes: photo }));
    Object.assign(ids, { case: find.caseId, look: look.id, photo: photoId, walk: uuidv7() });
    const walk = { id: ids.walk, scope: "everything", placeId: null, tool: "lamp", round: "likely" } as const;
    expectOk(await startWalk(theirs, walk));
  });
  afterAll(() => Promise.all([admin.end(), appRole.end()]));

  const now = { at: NOW };
  const reads: Record<string, (context: Context) => Promise<unknown>> = {
    readPhytotoxicity,
    // Another case than theirs, so that theirs would be told.
    readAlike: async (c) => readAlike(c, { ...(await readCase(theirs, ids.case))!.found, id: uuidv7() }, ids.place),
    readClearable,
    readGroup: (c) => readGroup(c, { who: "place", id: ids.place }),
    readApart: (c) => readApart(c, ids.plant),
    readCalendar: (c) => readCalendar(c, day("2026-11-01"), day("2027-01-31")),
    readDone: (c) => readDone(c, day("2026-11-01"), day("2027-01-31")),
    readClimate: (c) => readClimate(c, ids.place),
    readFeeding: (c) => readFeeding(c, ids.place),
    readGnatRoom: (c) => readGnatRoom(c, ids.place),
    readPaces,
    readPrevention,
    readPreventionChoices,
    readTaught,
    readCourses,
    readReplay: (c) => readReplay(c, null),
    readRooms,
    readRounds,
    readWintering,
    readMove: (c) => readMove(c, ids.plant),
    readAround: (c) => readAround(c, ids.case),
    readArrivals,
    readBenches,
    readFloorPlan,
    readTolerance: (c) => readTolerance(c, "Hoya"),
    readCarried: (c) => readCarried(c, ids.plant),
    readCase: (c) => readCase(c, ids.case),
    readCases,
    readDelay: (c) => readDelay(c, ids.case),
    readDecision: (c) => readDecision(c, ids.case),
    readUnpotting: (c) => readUnpotting(c, ids.plant),
    readUnnamed: (c) => readUnnamed(c, ids.plant),
    readCupboard,
    readEvening,
    readForAdding,
    readRevision,
    readLedger: (c) => readLedger(c, "seller"),
    readYear: (c) => readYear(c, null),
    readLedgerPlants: (c) => readLedgerPlants(c, "place", ids.place, false),
    readNaming: async (c) => readNaming(c, (await readPlant(theirs, ids.plant))!),
    readPestHistory: (c) => readPestHistory(c, "mealybug"),
    readPhoto: (c) => readPhoto(c, ids.photo),
    readPlace: (c) => readPlace(c, ids.place),
    readPlaces,
    readPlant: (c) => readPlant(c, ids.plant),
    readSchools: (c) => readSchools(c, ids.case),
    readSigns,
    readDue: (c) => readDue(c, "all"),
    readTimers,
    readToday,
    readTonight: (c) => readTonight(c, 30),
    readWalk: (c) => readWalk(c, ids.walk),
    readWalks,
  };
  const commands: Record<string, (context: Context) => Promise<Outcome<unknown>>> = {
    addPhoto: (c) => addPhoto(c, { id: uuidv7(), lookId: ids.look, bytes: photo }),
    addPlace: (c) =>
      addPlace(c, { id: uuidv7(), name: "In", kind: "shelf", parentId: ids.place, celsius: null, readingId: uuidv7() }),
    arrangePlaces: (c) => arrangePlaces(c, { places: [{ placeId: ids.place, column: 3, row: 9 }] }),
    addPlacePhoto: (c) => addPlacePhoto(c, { id: uuidv7(), placeId: ids.place, countId: null, bytes: photo }),
    addPlant: (c) => addPlant(c, aPlant(ids.place)),
    addPlants: (c) => addPlants(c, { plants: [aPlant(ids.place)] }),
    adoptPlan: (c) => adoptPlan(c, aPlan(ids.case, ["2026-11-25"])),
    adoptUnnamed: (c) =>
      adoptUnnamed(c, { id: uuidv7(), plantId: ids.plant, dates: [day("2026-11-25")], doses: [{ work: "shower" }] }),
    beginProgramme: (c) =>
      beginProgramme(c, { id: uuidv7(), placeId: ids.place, chosen: { programme: "gnats", ways: ["cards"] } }),
    countTraps: (c) =>
      countTraps(c, { id: uuidv7(), placeId: ids.place, plantId: null, what: "cards", days: 7, count: 3, ...now }),
    endProgramme: (c) =>
      endProgramme(c, { id: uuidv7(), programme: "gnats", placeId: ids.place, outcome: "stopped", note: "" }),
    importReadings: (c) =>
      importReadings(c, { placeId: ids.place, rows: [{ date: "2026-11-20", min: "1", max: "2" }] }),
    keepSensor: (c) => keepSensor(c, { id: uuidv7(), name: "Air", placeId: ids.place, address: "http://127.0.0.1:9/" }),
    archivePlant: (c) => archivePlant(c, { plantId: ids.plant, archived: true }),
    closeCase: (c) => closeCase(c, { id: uuidv7(), caseId: ids.case, outcome: "clear", note: "", ...now }),
    editPlace: (c) => editPlace(c, { placeId: ids.place, name: "Mine now" }),
    editPlant: (c) => editPlant(c, { plantId: ids.plant, ...aPlant(ids.place) }),
    endWalk: (c) => endWalk(c, { walkId: ids.walk }),
    movePlant: (c) => movePlant(c, { id: uuidv7(), plantId: ids.plant, placeId: ids.pantry, ...now }),
    moveSeveral: (c) => moveSeveral(c, { moves: [{ id: uuidv7(), plantId: ids.plant, placeId: ids.pantry }], ...now }),
    recordAct: (c) => recordAct(c, aSpray(ids.plant, ids.case, 1)),
    recordCleaning: (c) => recordCleaning(c, { id: uuidv7(), walkId: ids.walk, ...now }),
    recordLook: (c) => recordLook(c, aLook(ids.plant, 1)),
    recordReaction: (c) =>
      recordReaction(c, {
        id: uuidv7(),
        plantId: ids.plant,
        mix: "alcoholHalf",
        technique: "dab",
        what: "stain",
        note: "",
        ...now,
      }),
    setApart: (c) => setApart(c, { id: uuidv7(), plantId: ids.plant, placeId: ids.pantry, bagId: uuidv7(), ...now }),
    skipPlant: (c) => skipPlant(c, { id: uuidv7(), walkId: ids.walk, plantId: ids.plant, reason: "noTime", ...now }),
    startWalk: (c) => startWalk(c, { id: uuidv7(), scope: "place", placeId: ids.place, tool: "lamp", round: "likely" }),
    takeReading: (c) => takeReading(c, { id: uuidv7(), placeId: ids.place, celsius: 30, source: "about", ...now }),
    startTimer: (c) => startTimer(c, { id: uuidv7(), plantId: ids.plant, what: "dark", minutes: 60, ...now }),
    voidFact: async (c) => {
      const outcomes = await Promise.all(
        factKindIds.flatMap((kind) =>
          [ids.look, ids.photo].map((factId) => voidFact(c, { kind, factId, reason: "no" })),
        ),
      );
      return outcomes.find(({ ok }) => ok) ?? outcomes[0]!;
    },
  };

  /** Everything their collection holds, whoever asks. */
  const everything = async () => {
    const tables = await tablesWithCollections();
    const all = await Promise.all(
      tables.map(async (table) => {
        const { rows } = await admin.query<{ all: string | null }>(
          `select md5(string_agg(t::text, '|' order by t::text)) as all from ${table} t where collection_id = $1`,
          [theirs.collection.id],
        );
        return [table, rows[0]!.all];
      }),
    );
    return Object.fromEntries(all) as Record<string, string | null>;
  };
  const tablesWithCollections = async () =>
    (
      await admin.query<{ name: string }>(
        "select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'collection_id' order by 1",
      )
    ).rows.map(({ name }) => name);

  it("every operation is tried", () => {
    const files = readdirSync(OPERATIONS, { recursive: true, encoding: "utf8" }).flatMap(
      (file) => /\/(?:commands|queries)\/(\w+)\.ts$/.exec(file)?.[1] ?? [],
    );
    expect(files.length).toBeGreaterThan(60);
    const tried = [...Object.keys(reads), ...Object.keys(commands), ...NOT_ASKED, ...ABOUT_THE_WHOLE];
    expect(files.filter((file) => !tried.includes(file))).toEqual([]);
  });

  it.each(roleIds)("a %s of another collection finds nothing of this one", async (role) => {
    const asked = await Promise.all(
      Object.entries(reads).map(async ([name, read]) => [name, JSON.stringify(await allowed(read, { ...mine, role }))]),
    );
    const told = [ids.place, ids.pantry, ids.case, ids.look, ids.photo, "Wax flower"];
    // Naming is asked about a plant that somebody had in hand already.
    const leaks = asked.filter(([, answer]) => told.some((one) => answer?.includes(one)));
    expect(leaks.map(([name]) => name)).toEqual([]);
  });

  it.each(roleIds)("a %s of another collection changes nothing of this one", async (role) => {
    const before = await everything();
    for (const [name, command] of Object.entries(commands)) {
      const outcome = await tried(command, { ...mine, role });
      // Hands that were cleaned are nobody's but one's own, whatever walk is named with it.
      if (name !== "recordCleaning") expect([name, outcome.ok]).toEqual([name, false]);
    }
    expect(await everything()).toEqual(before);
  });

  it("in one's own collection a role does what it may and nothing else", async () => {
    const before = await everything();
    for (const [name, command] of Object.entries(commands)) {
      const outcome = await tried(command, { ...theirs, role: "reader" });
      expect([name, outcome]).toEqual([name, { ok: false, problems: [{ path: "", code: "not_allowed" }] }]);
    }
    expect(await everything()).toEqual(before);
    const open = async (role: RoleId) => {
      const names: string[] = [];
      for (const [name, read] of Object.entries(reads))
        if ((await allowed(read, { ...theirs, role })) !== undefined) names.push(name);
      return names;
    };
    expect(await open("sitter")).toEqual([
      "readEvening",
      "readRevision",
      "readNaming",
      "readDue",
      "readTimers",
      "readToday",
      "readWalk",
      "readWalks",
    ]);
    expect(await open("reader")).toEqual(Object.keys(reads));
    const settings = { ...usualSettings, name: "N", timeZone: "Europe/Lisbon", alcoholPercent: 70 };
    for (const role of roleIds.filter((one) => one !== "owner"))
      expect((await changeSettings({ ...theirs, role }, settings)).ok).toBe(false);
    for (const role of ["reader", "sitter", "keeper"] as const)
      expect((await dropSensor({ ...theirs, role }, { id: uuidv7() })).ok).toBe(false);
    for (const role of ["reader", "sitter"] as const) {
      expect((await keepBottle({ ...theirs, role }, aBottle())).ok).toBe(false);
      expect((await addExperience({ ...theirs, role }, { text: JSON.stringify(experienceOfOne) })).ok).toBe(false);
      expect((await forgetExperience({ ...theirs, role })).ok).toBe(false);
      expect((await dropBottle({ ...theirs, role }, { bottleId: uuidv7() })).ok).toBe(false);
    }
  });

  it("a sitter carries out what is due, takes back their own, and nobody else's", async () => {
    const sitter: Context = { ...theirs, role: "sitter", actor: "Ida · phone" };
    expect((await recordAct(sitter, aSpray(ids.plant, ids.case, 0))).ok).toBe(false);
    const own = aLook(ids.plant, 0);
    expectOk(await recordLook(sitter, own));
    expectOk(await voidFact(sitter, { kind: "look", factId: own.id, reason: "wrong plant" }));
    const others = aLook(ids.plant, 0);
    expectOk(await recordLook(daysAgo(theirs, 0), others));
    const outcome = await voidFact(sitter, { kind: "look", factId: others.id, reason: "no" });
    expect(outcome).toEqual({ ok: false, problems: [{ path: "factId", code: "not_yours" }] });
  });

  /** Tables that are asked before it is known which collection a request is about. */
  const BEFORE_ANY = ["doings", "memberships"];

  it("the database itself shows a session the rows of the collection it has named, and no others", async () => {
    const role = await appRole.query("select rolsuper, rolbypassrls from pg_roles where rolname = current_user");
    expect(role.rows).toEqual([{ rolsuper: false, rolbypassrls: false }]);
    const tables = (await tablesWithCollections()).filter((table) => !BEFORE_ANY.includes(table));
    expect(tables.length).toBeGreaterThan(20);
    const count = async (table: string, named: string) => {
      await appRole.query("select set_config('wary.collection', $1, false)", [named]);
      return Number((await appRole.query<{ n: string }>(`select count(*) as n from ${table}`)).rows[0]!.n);
    };
    let rows = 0;
    for (const table of tables) {
      expect([table, await count(table, "")]).toEqual([table, 0]);
      const own = await count(table, theirs.collection.id);
      rows += own;
      const { rows: all } = await admin.query<{ n: string }>(
        `select count(*) as n from ${table} where collection_id = $1`,
        [theirs.collection.id],
      );
      expect([table, own]).toEqual([table, Number(all[0]!.n)]);
    }
    expect(rows).toBeGreaterThan(10);
    await appRole.query("select set_config('wary.collection', $1, false)", [mine.collection.id]);
    await expect(
      appRole.query(
        "insert into places (collection_id, id, name, kind) values ($1, gen_random_uuid(), 'Smuggled', 'room')",
        [theirs.collection.id],
      ),
    ).rejects.toThrow(/row-level security/);
    expect((await appRole.query("update plants set name = 'Mine' where id = $1", [ids.plant])).rowCount).toBe(0);
    expect((await appRole.query("delete from plants where id = $1", [ids.plant])).rowCount).toBe(0);
  });

  it("every key of what belongs to a collection begins with the collection", async () => {
    const { rows } = await admin.query<{ table: string; name: string; first: string }>(
      `select c.conrelid::regclass::text as table, c.conname as name, a.attname as first
       from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
       where c.contype in ('p', 'u', 'f') and c.connamespace = 'public'::regnamespace
       union
       select i.indrelid::regclass::text, i.indexrelid::regclass::text, a.attname
       from pg_index i join pg_class k on k.oid = i.indexrelid
       join pg_attribute a on a.attrelid = i.indrelid and a.attnum = i.indkey[0]
       where i.indisunique and k.relnamespace = 'public'::regnamespace`,
    );
    const tables = await tablesWithCollections();
    // Who comes in is kept once for all collections, and copied to each machine where they are spread.
    const exempt = ["doings", "memberships_account_id_fkey"];
    const wrong = rows.filter(
      ({ table, name, first }) =>
        tables.includes(table) && first !== "collection_id" && !exempt.includes(table) && !exempt.includes(name),
    );
    expect(wrong).toEqual([]);
  });
});

/** What a command comes to, as whoever asks for it is told. */
async function tried(command: (context: Context) => Promise<Outcome<unknown>>, context: Context) {
  try {
    return await command(context);
  } catch (error) {
    if (error instanceof NotAllowed) return { ok: false, problems: [{ path: "", code: "not_allowed" }] };
    throw error;
  }
}

/** What a read gives; undefined where the role has no right to it. */
async function allowed(read: (context: Context) => Promise<unknown>, context: Context): Promise<unknown> {
  try {
    return (await read(context)) ?? null;
  } catch (error) {
    if (error instanceof NotAllowed) return undefined;
    throw error;
  }
}
