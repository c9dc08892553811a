import { execFileSync } from "node:child_process";
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import sharp from "sharp";
import * as collections from "@/db/stores/collections";
import { ownDatabase, type OwnDatabase } from "@/db/testing/ownDatabase";
import { addPhoto } from "../../looks/commands/addPhoto";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { openCollections, type Context } from "../../shared/context";
import { deriveStale } from "../../plants/commands/deriveStale";
import { collectionsOpenTo } from "../../access/session";
import { makeOwner } from "../../access/door";
import { judgeStale } from "../../cases/commands/judgeStale";
import { expectOk } from "../../shared/outcome";
import { readBenches } from "../../places/queries/readBenches";
import { readPlant } from "../../plants/queries/readPlant";
import { reckonCarriage } from "../../plants/commands/reckonCarriage";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { restore } from "../../transfer/backUp";
import { exportCollection } from "../../transfer/exportCollection";
import { FileProblem, importCollection } from "../../transfer/importCollection";
import { aFind, aLook, aPlan, aSpray, freshCollection, NOW, plantOn } from "../builders";

const folder = mkdtempSync(path.join(tmpdir(), "wary-refused-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

type Line = Record<string, unknown>;
type Edit = (lines: Line[]) => void;

describe("a file may write nothing that no form may", () => {
  let own: OwnDatabase;
  let context: Context;
  let file: string;
  beforeAll(async () => {
    own = await ownDatabase(inject("templateUrl"));
    const fresh = await freshCollection({ name: "Sound" }, NOW, own.appUrl);
    context = fresh.context;
    const plant = await plantOn(context, fresh.shelf);
    const find = aFind({ stages: ["adult"] });
    const look = aLook(plant, 9, { finds: [find] });
    expectOk(await recordLook(context, look));
    expectOk(await adoptPlan(context, aPlan(find.caseId, ["2026-11-25", "2026-12-02"])));
    expectOk(await recordAct(context, aSpray(plant, find.caseId, 3)));
    const bytes = await sharp({ create: { width: 9, height: 7, channels: 3, background: "#a0c" } })
      .jpeg()
      .toBuffer();
    expectOk(await addPhoto(context, { id: uuidv7(), lookId: look.id, bytes }));
    file = path.join(folder, "sound.zip");
    await pipeline(exportCollection(context), createWriteStream(file));
  });
  afterAll(() => own.drop());

  /** The file with the lines of an entry changed by hand, and its digests taken away. */
  const edited = (entry: string, edit: Edit): string => {
    const work = mkdtempSync(path.join(folder, "w-"));
    execFileSync("unzip", ["-q", file, "-d", work]);
    const at = path.join(work, entry);
    const lines = readFileSync(at, "utf8")
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line) as Line);
    edit(lines);
    // What stands under the name of a prototype is written as such.
    writeFileSync(at, lines.map((line) => `${JSON.stringify(line).replaceAll('"PROTO"', '"__proto__"')}\n`).join(""));
    writeFileSync(path.join(work, "digests.json"), "{}");
    const name = path.join(folder, `${uuidv7()}.zip`);
    execFileSync("zip", ["-qr", name, "."], { cwd: work });
    return name;
  };
  const set =
    (name: string, value: unknown): Edit =>
    (lines) =>
      void (lines[0]![name] = value);
  const inFirst =
    (list: string, name: string, value: unknown): Edit =>
    (lines) =>
      void ((lines.find((line) => (line[list] as Line[]).length > 0)![list] as Line[])[0]![name] = value);

  const nonsense: readonly (readonly [what: string, entry: string, edit: Edit])[] = [
    ["a growth form that there is not", "plants.jsonl", set("growthForm", "tree")],
    ["a growth form of the language", "plants.jsonl", set("growthForm", "PROTO")],
    ["care that nobody takes", "plants.jsonl", set("careAdded", ["PROTO"])],
    ["a name that turns the direction of writing", "plants.jsonl", set("name", "Fern\u202e nrefdrib")],
    ["a code without an end", "plants.jsonl", set("code", "x".repeat(40))],
    ["a day before there were records", "plants.jsonl", set("acquiredOn", "0001-01-01")],
    ["the year 9998", "plants.jsonl", set("acquiredOn", "9998-12-31")],
    ["a pot of no width", "plants.jsonl", set("potCm", 0)],
    ["an archiving in the year 1", "plants.jsonl", set("archivedAt", "0001-01-01T00:00:00Z")],
    ["a look of the year 1900", "facts/look.jsonl", set("at", "1900-01-01T12:00:00Z")],
    ["a look of the year 9998", "facts/look.jsonl", set("at", "9998-01-01T12:00:00Z")],
    ["a life stage of nonsense", "facts/look.jsonl", inFirst("finds", "stages", ["PROTO"])],
    ["more animals than can be counted", "facts/look.jsonl", inFirst("finds", "count", 1e9)],
    ["a note with controls", "facts/look.jsonl", set("note", "a\u0000b")],
    [
      "a find that two looks have",
      "facts/look.jsonl",
      (lines) => void lines.push({ ...lines.find(({ finds }) => (finds as Line[]).length > 0)!, id: uuidv7() }),
    ],
    ["a find that is no id", "facts/look.jsonl", inFirst("finds", "caseId", "no id")],
    [
      "five thousand steps",
      "facts/programme.jsonl",
      (lines) =>
        void (lines[0]!.steps = Array.from({ length: 5000 }, () => ({
          id: uuidv7(),
          kind: "treat",
          dueOn: "2026-12-01",
          dose: { work: "shower" },
        }))),
    ],
    ["a step in the year 9998", "facts/programme.jsonl", inFirst("steps", "dueOn", "9998-01-01")],
    ["a promise above one", "facts/programme.jsonl", set("pOver", 7)],
    ["a mix that there is not", "facts/act.jsonl", (lines) => void ((lines[0]!.act as Line).mix = "PROTO")],
    ["a spray of no end", "facts/act.jsonl", (lines) => void ((lines[0]!.act as Line).volumeMl = 1e12)],
    ["a slot beyond all shelves", "facts/placement.jsonl", set("slot", 1e300)],
    ["warmth that nothing lives through", "facts/reading.jsonl", set("celsius", 4000)],
    ["a picture of no size", "facts/photo.jsonl", set("width", 0)],
    ["a kind of place that there is not", "places.jsonl", set("kind", "PROTO")],
    [
      "two places that stand in each other",
      "places.jsonl",
      (lines) => {
        const [one, two] = lines as [Line, Line];
        [one.kind, two.kind, one.parentId, two.parentId] = ["shelf", "cabinet", two.id, one.id];
      },
    ],
    [
      "a place that stands in itself",
      "places.jsonl",
      (lines) => {
        const [one] = lines as [Line];
        [one.kind, one.parentId] = ["tray", one.id];
      },
    ],
    [
      "a shelf in a bag",
      "places.jsonl",
      (lines) => {
        const [one, two] = lines as [Line, Line];
        [two.kind, two.parentId, one.kind, one.parentId] = ["isolation", null, "shelf", two.id];
      },
    ],
  ];

  it.each(nonsense)(
    "%s: it is refused with its place in the file, and nothing has come in",
    async (_what, entry, edit) => {
      const other = (await freshCollection({ name: "Other" }, NOW, own.appUrl)).context;
      const before = await readBenches(other);
      const importing = importCollection(other, edited(entry, edit));
      await expect(importing).rejects.toThrow(FileProblem);
      await expect(importing).rejects.toThrow(entry);
      expect(await readBenches(other)).toEqual(before);
    },
  );

  it("unchanged it comes in, and everything that follows from it does", async () => {
    const other = (await freshCollection({ name: "Other" }, NOW, own.appUrl)).context;
    await importCollection(
      other,
      edited("facts/look.jsonl", () => {}),
    );
    await deriveStale(other);
    expect(await judgeStale(other)).toBe(1);
    expect(await reckonCarriage(other)).toBe(1);
  });

  it("restored where there are owners, it belongs to whoever owns the installation; a broken one makes nothing", async () => {
    const there = await ownDatabase(inject("templateUrl"));
    try {
      const caller = { databaseUrl: there.appUrl, address: "10.0.0.1", now: NOW };
      const ada = { id: uuidv7(), name: "Ada", passphrase: "lamp moss kettle orchid", device: "Laptop" };
      expectOk(await makeOwner(caller, ada));
      await expect(restore(there.appUrl, edited("plants.jsonl", set("growthForm", "tree")), NOW)).rejects.toThrow(
        FileProblem,
      );
      expect(await openCollections(there.appUrl)).toEqual([]);
      const back = await restore(there.appUrl, file, NOW);
      const asker = { accountId: ada.id, name: "Ada", deviceId: uuidv7(), device: "" };
      const open = await collectionsOpenTo(there.appUrl, { open: false, asker }, NOW);
      expect(open.map(({ collection, role }) => [collection.id, role])).toEqual([[back.collection.id, "owner"]]);
      const [room] = await readBenches(back);
      expect((await readPlant(back, room!.benches.flatMap(({ plants }) => plants)[0]!.id))!.record.looks).toHaveLength(
        1,
      );
    } finally {
      await there.drop();
    }
  });

  it("pictures of half a megabyte come in by the hundred", async () => {
    const heavy = (await freshCollection({ name: "Pictures" }, NOW, own.appUrl)).context;
    const shelf = (await readBenches(heavy))[0]!.place.id;
    const plantId = await plantOn(heavy, shelf);
    // Noise does not pack: what is written weighs what it weighs.
    const noise = await sharp({
      create: {
        width: 700,
        height: 700,
        channels: 3,
        noise: { type: "gaussian", mean: 128, sigma: 60 },
        background: "#000",
      },
    })
      .jpeg({ quality: 95 })
      .toBuffer();
    for (let i = 0; i < 20; i++) {
      const look = aLook(plantId, i + 1);
      expectOk(await recordLook(heavy, look));
      for (let n = 0; n < 6; n++) expectOk(await addPhoto(heavy, { id: uuidv7(), lookId: look.id, bytes: noise }));
    }
    const zip = path.join(folder, "heavy.zip");
    await pipeline(exportCollection(heavy), createWriteStream(zip));
    const other = (await freshCollection({ name: "Back" }, NOW, own.appUrl)).context;
    await importCollection(other, zip);
    const [plant] = (await readBenches(other)).flatMap((room) => room.benches.flatMap(({ plants }) => plants));
    expect((await readPlant(other, plant!.id))!.photos).toHaveLength(120);
    expect(
      await collections.find({ sequelize: other.sequelize, transaction: undefined }, other.collection.id),
    ).not.toBeNull();
  }, 120_000);
});
