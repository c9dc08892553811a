import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Papa from "papaparse";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readBenches } from "../src/operations/places/queries/readBenches";
import { openApplicationWith, type Application } from "./support/application";

/** A keeper saves everything as a file, brings it into a collection of her own, and backs that up. */
describe("in and out", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "wary-in-and-out-"));
  const backups = path.join(folder, "backups");
  let app: Application;
  const file = path.join(folder, "demo.zip");

  beforeAll(async () => {
    app = await openApplicationWith({ BACKUP_FOLDER: backups });
  });
  afterAll(async () => {
    await app.close();
    rmSync(folder, { recursive: true, force: true });
  });
  const get = async (where: string) => {
    const answer = await fetch(app.page.base + where);
    expect([where, answer.status]).toEqual([where, 200]);
    return Buffer.from(await answer.arrayBuffer());
  };

  it("the file and the tables are saved", async () => {
    const { page } = app;
    await page.open("/settings");
    await page.press("The whole collection as a file, spreadsheets, backups");
    await page.sees("Save the file");
    await page.sees("The demo is made up and is not backed up.");
    writeFileSync(file, await get("/settings/data/export"));
    const plants = (await readBenches(await app.context())).flatMap((room) =>
      room.benches.flatMap((bench) => bench.plants.map(({ code }) => code)),
    );
    const codes: string[] = [];
    // RFC 4180: every record has as many fields as the header, each line ends with CR LF.
    for (const table of ["plants", "looks", "finds", "acts"]) {
      const text = (await get(`/settings/data/csv/${table}.csv`)).toString("utf8");
      expect(text.endsWith("\r\n")).toBe(true);
      const read = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
      expect([table, read.errors]).toEqual([table, []]);
      // One plant of the demo has left: it stands in the table and no longer on a bench.
      if (table === "plants") codes.push(...read.data.map(({ code }) => code!));
      else expect(read.data.every(({ plant, place }) => codes.includes(plant!) || place !== "")).toBe(true);
    }
    expect(codes).toEqual(expect.arrayContaining(plants));
  });

  it("a file that is none is refused in words, and one that is comes into a collection of her own, once", async () => {
    const { page } = app;
    await page.open("/begin");
    await page.fill("Name of your collection", "Windowsills");
    await page.fill("Name of this device", "Laptop");
    await page.fill("Time zone", "Europe/Lisbon");
    await page.fill("About how warm it is there, °C", "21");
    await page.press("Start");
    await page.arrives(/^\/plants\/several$/);
    await page.open("/settings/data");
    const bad = path.join(folder, "bad.zip");
    writeFileSync(bad, "this is no zip");
    await (await page.field("Collection file")).sendKeys(bad);
    await page.press("Import");
    await page.sees("Nothing was imported. the file:");
    await page.open("/settings/data");
    await (await page.field("Collection file")).sendKeys(file);
    await page.press("Import");
    await page.sees("0 known already, 0 struck out.");
    await page.press("Import");
    await page.sees("0 new,");
    await page.open("/cases");
    await page.sees("L04");
  });

  it("tables come in too: those saved here are known, one kept by hand is new, a row that is wrong is told", async () => {
    const { page } = app;
    await page.open("/settings/data");
    for (const table of ["looks", "finds", "acts"]) {
      const csv = path.join(folder, `${table}.csv`);
      writeFileSync(csv, await get(`/settings/data/csv/${table}.csv`));
      await (await page.field(table[0]!.toUpperCase() + table.slice(1))).sendKeys(csv);
    }
    await page.press("Import the tables");
    await page.sees("0 new,");
    const own = path.join(folder, "own.csv");
    const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
    writeFileSync(own, `plant;at;pest;count\nL02;${yesterday};mealybug;3\nZ99;${yesterday};greenfly;1\n`);
    await page.open("/settings/data");
    await (await page.field("Finds")).sendKeys(own);
    await page.press("Import the tables");
    await page.sees("finds, row 2: plant: there is nothing with this name here.");
    writeFileSync(own, `plant;at;pest;count\nL02;${yesterday};mealybug;3\n`);
    await page.open("/settings/data");
    await (await page.field("Finds")).sendKeys(own);
    await page.press("Import the tables");
    await page.sees("1 new, 0 known already.");
    await page.open("/cases");
    await page.sees("L02");
  });

  it("what other keepers' records have taught is read in once, shown beside hers, and forgotten", async () => {
    const { page } = app;
    await page.open("/ledger/taught");
    const none = path.join(folder, "none.json");
    writeFileSync(none, "{}");
    await (await page.field("Experience file")).sendKeys(none);
    await page.press("Import");
    await page.sees("Nothing was imported.");
    const others = path.resolve("docs/experience-example.json");
    for (let i = 0; i < 2; i++) {
      await page.open("/ledger/taught");
      await (await page.field("Experience file")).sendKeys(others);
      await page.press("Import");
      await page.sees("Imported: 2 other keepers.");
    }
    await page.sees("From 2 other keepers with 23 cases.");
    await page.sees("your record with other keepers' says");
    await page.press("Forget other keepers' experience");
    await page.sees("Import a file that another keeper or a club has shared.");
  });

  it("and is backed up by itself", async () => {
    const { page } = app;
    await page.eventually(async () => {
      await page.open("/settings/data");
      return (await page.text()).includes("restored and checked");
    }, "no backup was made");
  });
});
