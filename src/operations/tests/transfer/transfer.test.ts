import { createWriteStream, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { execFileSync } from "node:child_process";
import { tmpdir } from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { roleIds } from "@/core/access/roles";
import { loadDemo } from "../../../../demo/loadDemo";
import * as collections from "@/db/stores/collections";
import { addPhoto } from "../../looks/commands/addPhoto";
import { addPlant } from "../../plants/commands/addPlants";
import { contextOf, NotAllowed, openCollections, type Context } from "../../shared/context";
import { deriveStale } from "../../plants/commands/deriveStale";
import { judgeStale } from "../../cases/commands/judgeStale";
import { expectOk } from "../../shared/outcome";
import { readBenches } from "../../places/queries/readBenches";
import { readCase } from "../../cases/queries/readCase";
import { readClimate } from "../../climate/queries/readClimate";
import { readGnatRoom } from "../../seasons/queries/readGnatRoom";
import { readPlaces } from "../../places/queries/readPlaces";
import { readRooms } from "../../seasons/queries/readRooms";
import { readCases } from "../../cases/queries/readCases";
import { readPlant } from "../../plants/queries/readPlant";
import { readToday } from "../../plants/queries/readToday";
import { recordLook } from "../../looks/commands/recordLook";
import { exportCollection } from "../../transfer/exportCollection";
import { FileProblem, importCollection, readHead, Stopped } from "../../transfer/importCollection";
import { voidFact } from "../../record/commands/voidFact";
import { aPlant, aLook, freshCollection, plantOn } from "../builders";

const NOW = new Date("2026-11-24T18:00:00Z");
const folder = mkdtempSync(path.join(tmpdir(), "wary-transfer-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const named = (name: string) => path.join(folder, name);

async function exported(context: Context, name: string): Promise<string> {
  await pipeline(exportCollection(context), createWriteStream(named(name)));
  return named(name);
}

/** What a zip program reads in an entry. */
const entry = (file: string, name: string) => execFileSync("unzip", ["-p", file, name], { maxBuffer: 1e8 }).toString();

async function derived(context: Context): Promise<void> {
  await deriveStale(context);
  await judgeStale(context);
}

/** What the pages show, the ids of collections apart. */
async function pages(context: Context): Promise<unknown> {
  const benches = await readBenches(context);
  const plants = benches.flatMap((room) => room.benches.flatMap((bench) => bench.plants.map(({ id }) => id)));
  const { open, closed } = (await readCases(context)) as unknown as Record<
    string,
    readonly { caseId?: string; id?: string }[]
  >;
  const cases = [...(open ?? []), ...(closed ?? [])].map(({ caseId, id }) => caseId ?? id!);
  const all = {
    today: await readToday(context),
    benches,
    plants: await Promise.all(plants.map((id) => readPlant(context, id))),
    cases: await Promise.all(cases.map((id) => readCase(context, id))),
    rooms: await readRooms(context, 60),
    // Devices belong to a house, and are no part of the file; the days they told are.
    air: await Promise.all(
      (await readPlaces(context)).map(async ({ id }) => [
        await readGnatRoom(context, id),
        { ...(await readClimate(context, id)), sensors: [] },
      ]),
    ),
  };
  // Versions count how often something was derived, which the way it came decides.
  return JSON.parse(
    JSON.stringify(all, (key, value: unknown) => (key === "factsVersion" || key === "carries" ? 0 : value)),
  );
}

describe("a collection as a file", () => {
  let demo: Context;
  let file: string;
  let photo: Buffer;
  let mother: string;

  beforeAll(async () => {
    const url = inject("appUrl");
    await loadDemo(url, NOW);
    const collection = (await openCollections(url)).find(({ isDemo }) => isDemo)!;
    demo = contextOf(url, collection, { actor: "Tester", role: "owner", now: NOW });
    photo = await sharp({ create: { width: 9, height: 7, channels: 3, background: "#a0c" } })
      .jpeg()
      .toBuffer();
    const plant = (await readBenches(demo))[0]!.benches.flatMap((bench) => bench.plants)[0]!;
    const look = aLook(plant.id, 0);
    mother = plant.id;
    expectOk(await addPlant(demo, aPlant(plant.placeId, { motherId: mother, code: "CUT" })));
    expectOk(await recordLook(demo, look));
    expectOk(await addPhoto(demo, { id: uuidv7(), lookId: look.id, bytes: photo }));
    expectOk(await voidFact(demo, { kind: "look", factId: look.id, reason: "the plant beside it" }));
    await derived(demo);
    file = await exported(demo, "demo.zip");
  }, 120_000);

  it("is a zip that other programs read: lines of JSON by kind, pictures as they are, its schema beside them", () => {
    const head = JSON.parse(entry(file, "collection.json")) as { format: string; collection: { name: string } };
    expect(head).toMatchObject({ format: "wary-petal.collection", collection: { name: demo.collection.name } });
    const looks = entry(file, "facts/look.jsonl")
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line) as { voidReason: string });
    expect(looks.length).toBeGreaterThan(400);
    expect(looks.filter(({ voidReason }) => voidReason === "the plant beside it")).toHaveLength(1);
    const schema = JSON.parse(entry(file, "schema.json")) as { entries: object };
    expect(Object.keys(schema.entries)).toContain("facts/look.jsonl");
    expect(execFileSync("unzip", ["-tq", file]).toString()).toContain("No errors detected");
    const secret = /passphrase|token_hash|recovery/i;
    expect(entry(file, "*")).not.toMatch(secret);
  });

  it("brought into an empty one it gives the same pages, judgements and digests; again it changes nothing", async () => {
    const other: Context = { ...demo, collection: { ...demo.collection, id: uuidv7(), isDemo: false } };
    await collections.add({ sequelize: other.sequelize, transaction: undefined }, other.collection, NOW);
    const steps: number[] = [];
    const came = await importCollection(other, file, (done, of) => steps.push(done / of));
    expect(came).toMatchObject({ struckOut: 0, known: 0, renamed: [] });
    expect(came.added).toBeGreaterThan(500);
    expect(steps.at(-1)).toBe(1);
    expect(steps).toEqual(steps.toSorted((a, b) => a - b));
    await derived(other);
    const shown = await pages(other);
    expect(shown).toEqual(await pages(demo));
    const digests = (name: string) => JSON.parse(entry(name, "digests.json")) as object;
    expect(digests(await exported(other, "again.zip"))).toEqual(digests(file));
    expect(await importCollection(other, file)).toMatchObject({ added: 0, struckOut: 0, renamed: [] });
    await derived(other);
    expect(await pages(other)).toEqual(shown);
  }, 120_000);

  it("brought into a running one what is there stays; a code that is borne already is told apart and named", async () => {
    const { context, shelf } = await freshCollection({}, NOW);
    const mine = await plantOn(context, shelf, { code: "l04", name: "My own" });
    const came = await importCollection(context, file);
    expect(came.renamed).toEqual([{ from: "L04", to: "L04-2" }]);
    await derived(context);
    expect((await readPlant(context, mine))!.plant).toMatchObject({ code: "l04", name: "My own" });
    // The other way round in time: struck out there after it had come here.
    const plants = (await readBenches(context)).flatMap((room) => room.benches.flatMap((bench) => bench.plants));
    const theirs = plants.find(({ code }) => code === "L04-2")!;
    const look = aLook(theirs.id, 0);
    expectOk(await recordLook(demo, look));
    await importCollection(context, await exported(demo, "more.zip"));
    expectOk(await voidFact(demo, { kind: "look", factId: look.id, reason: "mistaken" }));
    expect(await importCollection(context, await exported(demo, "struck.zip"))).toMatchObject({
      added: 0,
      struckOut: 1,
    });
  }, 120_000);

  it("stopped, damaged, cut off or of another kind, nothing of it comes in, and it says where", async () => {
    const { context } = await freshCollection({}, NOW);
    const before = await pages(context);
    const refused = async (name: string, why: RegExp) => {
      await expect(importCollection(context, named(name))).rejects.toThrow(why);
      await expect(importCollection(context, named(name))).rejects.toThrow(FileProblem);
      expect(await pages(context)).toEqual(before);
    };
    let asked = 0;
    await expect(importCollection(context, file, undefined, () => ++asked < 3)).rejects.toThrow(Stopped);
    expect(await pages(context)).toEqual(before);
    writeFileSync(named("cut.zip"), readFileSync(file).subarray(0, statSync(file).size - 300));
    await refused("cut.zip", /the file/);
    writeFileSync(named("text.zip"), "no zip at all");
    await refused("text.zip", /the file/);
    // Changed with a zip program, as somebody would.
    const changed = (
      name: string,
      edit: (lines: string) => string,
      inEntry = "facts/look.jsonl",
      undigested = false,
    ) => {
      const work = mkdtempSync(path.join(folder, "w-"));
      execFileSync("unzip", ["-q", file, "-d", work]);
      writeFileSync(path.join(work, inEntry), edit(readFileSync(path.join(work, inEntry), "utf8")));
      if (undigested) writeFileSync(path.join(work, "digests.json"), "{}");
      execFileSync("zip", ["-qr", named(name), "."], { cwd: work });
    };
    changed("edited.zip", (lines) => lines.replace('"note":""', '"note":"slipped in"'));
    await refused("edited.zip", /facts\/look\.jsonl: it is not as it was written/);
    changed("shape.zip", (lines) => lines.replace('"tool":"lamp"', '"tool":"telescope"'));
    await refused("shape.zip", /facts\/look\.jsonl, line \d+: tool/);
    changed("garbled.zip", (lines) => `{"id":\n${lines}`);
    await refused("garbled.zip", /line 1: it is no JSON/);
    const orphan = (lines: string) => lines.replace(`"motherId":"${mother}"`, `"motherId":"${uuidv7()}"`);
    changed("orphan.zip", orphan, "plants.jsonl", true);
    await refused("orphan.zip", /plants\.jsonl: a cutting comes from a plant that is neither/);
    const strange = (lines: string) => lines.replace('"inherits":{}', '"inherits":{"moth":2}');
    changed("strange.zip", strange, "plants.jsonl", true);
    await refused("strange.zip", /plants\.jsonl, line 1: inherits/);
    changed("newer.zip", (text) => text.replace('"version": 2', '"version": 3'), "collection.json");
    await refused("newer.zip", /newer version/);
    expect((await readHead(file)).head.collection.name).toBe(demo.collection.name);
  }, 120_000);

  it("only who may read it takes it out, and only its owner brings something in", async () => {
    for (const role of roleIds.filter((one) => one !== "owner"))
      await expect(importCollection({ ...demo, role }, file)).rejects.toThrow(NotAllowed);
    expect(() => exportCollection({ ...demo, role: "sitter" })).toThrow(NotAllowed);
  });

  it("whoever stops taking it stops the reading", async () => {
    const stream = exportCollection(demo);
    await new Promise((resolve) => stream.once("data", resolve));
    stream.destroy();
    // The transaction is over: a writer that it would have held up goes on.
    await expect.poll(async () => (await readToday(demo)).plants).toBeGreaterThan(40);
  });
});
