import pg from "pg";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { ownDatabase, type OwnDatabase } from "@/db/testing/ownDatabase";
import type { Context } from "../../shared/context";
import { readBenches } from "../../places/queries/readBenches";
import { readCase } from "../../cases/queries/readCase";
import { readCases } from "../../cases/queries/readCases";
import { readForAdding } from "../../plants/queries/readForAdding";
import { readNaming } from "../../looks/queries/readNaming";
import { readPlace } from "../../places/queries/readPlace";
import { readPlaces } from "../../places/queries/readPlaces";
import { readPlant } from "../../plants/queries/readPlant";
import { readSigns } from "../../looks/queries/readSigns";
import { readToday } from "../../plants/queries/readToday";
import { readWalk } from "../../walks/queries/readWalk";
import { readWalks } from "../../walks/queries/readWalks";
import { startWalk } from "../../walks/commands/startWalk";
import { aSpray, freshCollection, openCaseOn, plantOn } from "../builders";
import { expectOk } from "../../shared/outcome";
import { recordAct } from "../../acts/commands/recordAct";
import { v7 as uuidv7 } from "uuid";

/** Every view a page reads, by its name. */
const views = [
  "today",
  "benches",
  "cases",
  "case",
  "plant",
  "place",
  "places",
  "adding",
  "naming",
  "walks",
  "walk",
  "signs",
] as const;

describe("reading a page", () => {
  let own: OwnDatabase;
  let watcher: pg.Client;
  let read: Record<(typeof views)[number], () => Promise<unknown>>;
  let context: Context;
  beforeAll(async () => {
    // What others hold in a database they share would be taken for the page's.
    own = await ownDatabase(inject("templateUrl"));
    watcher = new pg.Client(own.ownerUrl);
    await watcher.connect();
    const fresh = await freshCollection({}, undefined, own.appUrl);
    ({ context } = fresh);
    const plantId = await plantOn(context, fresh.shelf);
    await plantOn(context, fresh.shelf);
    const caseId = await openCaseOn(context, plantId, 9);
    expectOk(await recordAct(context, aSpray(plantId, caseId, 8)));
    const walkId = uuidv7();
    const walk = { id: walkId, scope: "everything", placeId: null, tool: "lamp", round: "likely" } as const;
    expectOk(await startWalk(context, walk));
    read = {
      today: () => readToday(context),
      benches: () => readBenches(context),
      cases: () => readCases(context),
      case: () => readCase(context, caseId),
      plant: () => readPlant(context, plantId),
      place: () => readPlace(context, fresh.shelf),
      places: () => readPlaces(context),
      adding: () => readForAdding(context),
      naming: async () => readNaming(context, (await readPlant(context, plantId))!),
      walks: () => readWalks(context),
      walk: () => readWalk(context, walkId),
      signs: () => readSigns(context),
    };
  });
  afterAll(async () => {
    await watcher.end();
    await own.drop();
  });

  /** What this database's sessions hold at a moment: advisory locks, rows, and tables locked against writing. Its own upkeep apart. */
  const held = async () => {
    const { rows } = await watcher.query<{ locktype: string; mode: string; relation: string | null }>(
      `select l.locktype, l.mode, l.relation::regclass::text as relation from pg_locks l
       join pg_stat_activity a on a.pid = l.pid and a.backend_type = 'client backend'
       where l.pid <> pg_backend_pid() and l.database = (select oid from pg_database where datname = current_database())
         and (l.locktype in ('advisory', 'tuple') or l.mode not in ('AccessShareLock'))`,
    );
    return rows;
  };

  it.each(views)("%s takes no lock and writes nothing, while everything it reads is being written", async (name) => {
    // Another session holds what commands hold: a page that waited for any of it would never come.
    const other = new pg.Client(own.ownerUrl);
    await other.connect();
    try {
      await other.query("begin");
      await other.query("select 1 from plants for update");
      await other.query("update plant_states set facts_version = facts_version");
      await other.query("select pg_advisory_xact_lock(hashtextextended($1, 0))", [context.collection.id]);
      const before = await held();
      // What is watched for would be seen.
      expect(before.map(({ locktype }) => locktype)).toContain("advisory");
      const seen: unknown[] = [];
      let done = false;
      const watching = (async () => {
        while (!done) seen.push(...(await held()).filter((lock) => !before.some((b) => same(b, lock))));
      })();
      await read[name]();
      done = true;
      await watching;
      expect(seen).toEqual([]);
      const written = await watcher.query<{ xid: string | null }>(
        "select backend_xid::text as xid from pg_stat_activity where datname = current_database() and pid not in (pg_backend_pid(), $1) and backend_xid is not null",
        [(other as unknown as { processID: number }).processID],
      );
      expect(written.rows).toEqual([]);
    } finally {
      await other.query("rollback");
      await other.end();
    }
  });
});

const same = (a: object, b: object) => JSON.stringify(a) === JSON.stringify(b);
