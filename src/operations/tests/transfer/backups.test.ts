import { mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, inject, it, vi } from "vitest";
import { ownDatabase, type OwnDatabase } from "@/db/testing/ownDatabase";
import * as collections from "@/db/stores/collections";
import type { Context } from "../../shared/context";
import { readTroubles } from "../../shared/fence";
import { deriveStale } from "../../plants/commands/deriveStale";
import { readBenches } from "../../places/queries/readBenches";
import { backUp, restore } from "../../transfer/backUp";
import { backupsOf, isDue } from "../../transfer/backups";
import { freshCollection, NOW, plantOn } from "../builders";

const folder = mkdtempSync(path.join(tmpdir(), "wary-backups-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const settings = { folder, keep: 3 };
const hours = (n: number) => new Date(NOW.getTime() + 3_600_000 * n);

describe("backups", () => {
  let own: OwnDatabase;
  let url: string;
  let context: Context;
  beforeAll(async () => {
    // Every collection of a database is backed up: this one holds no others.
    own = await ownDatabase(inject("templateUrl"));
    url = own.appUrl;
    const fresh = await freshCollection({ name: "Kept" }, NOW, url);
    context = fresh.context;
    await plantOn(context, fresh.shelf, { code: "B01" });
  });
  afterAll(() => own.drop());
  const mine = async () => (await backupsOf(context.collection.id, folder)).map(({ at }) => at);

  it("are made when a night has passed since the last good one, and so many are kept", async () => {
    expect(await isDue(context.collection, folder, NOW)).toBe(true);
    expect((await backUp(url, settings, NOW)).length).toBe(1);
    expect(await mine()).toHaveLength(1);
    // 18:00 in Lisbon: the next 03:00 is nine hours on.
    expect(await isDue(context.collection, folder, hours(8.9))).toBe(false);
    expect(await isDue(context.collection, folder, hours(9.1))).toBe(true);
    for (const day of [1, 2, 3, 4]) await backUp(url, settings, hours(24 * day));
    expect(await mine()).toEqual([hours(96), hours(72), hours(48)]);
    expect(await isDue(context.collection, folder, hours(96))).toBe(false);
  }, 120_000);

  it("the file brings back what was lost, and leaves no scratch behind", async () => {
    const file = path.join(folder, (await backupsOf(context.collection.id, folder))[0]!.file);
    const { sequelize } = context;
    await sequelize.transaction((transaction) => collections.remove({ sequelize, transaction }, context.collection.id));
    const back = await restore(url, file, NOW);
    await deriveStale(back);
    const plants = (await readBenches(back)).flatMap((room) => room.benches.flatMap((bench) => bench.plants));
    expect(plants.map(({ code }) => code)).toEqual(["B01"]);
    const [scratch] = await sequelize.query("select datname from pg_database where datname like 'wary_scratch_%'");
    expect(scratch).toEqual([]);
  });

  it("what could not be restored is no backup", async () => {
    writeFileSync(path.join(folder, `${context.collection.id}-20990101T0000.zip.unchecked`), "half a file");
    expect((await mine())[0]).toEqual(hours(96));
    const noFolder = path.join(folder, `${context.collection.id}-20990101T0000.zip.unchecked`, "in a file");
    await expect(backUp(url, { folder: noFolder, keep: 3 }, NOW, true)).rejects.toThrow();
    // By itself it is noted with the collection, and tried again later and later, not each minute.
    const told = vi.spyOn(console, "error").mockImplementation(() => {});
    expect(await backUp(url, { folder: noFolder, keep: 3 }, NOW)).toEqual([]);
    expect(await readTroubles(context)).toMatchObject([{ work: "backup", times: 1 }]);
    expect(await backUp(url, { folder: noFolder, keep: 3 }, NOW)).toEqual([]);
    expect(await readTroubles(context)).toMatchObject([{ work: "backup", times: 1 }]);
    told.mockRestore();
    expect(readdirSync(folder).filter((name) => name.endsWith(".unchecked"))).toHaveLength(1);
  });
});
