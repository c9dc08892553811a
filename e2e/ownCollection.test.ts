import { readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { pathToFileURL } from "node:url";
import type { Driver } from "selenium-webdriver/chrome";
import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { nextCodes } from "../src/core/knowledge/plants/codes";
import { openApplicationWith, type Application } from "./support/application";
import { newProfile, openBrowser, phone, type Browser } from "./support/browser";
import { Page } from "./support/page";

const ZONE = "America/Los_Angeles";
/** 23:30 of a Tuesday evening there; the next day in UTC. */
const EVENING = new Date("2026-11-25T07:30:00Z");
const clock = path.resolve(import.meta.dirname, "support/clock.mjs");
const shift = String(EVENING.getTime() - Date.now());

const names = ["Monstera deliciosa", "Hoya carnosa", "Aloe vera", "Crassula ovata", "Ficus elastica", "the tall one"];
const list = Array.from({ length: 30 }, (_, i) => names[i % names.length]!);

/** A keeper on the west coast, in the evening, with a phone: from nothing to the first find. */
describe("a collection of one's own", () => {
  let app: Application;
  let phoneInHand: Browser;
  let page: Page;
  const profile = newProfile();

  const pickUp = async () => {
    phoneInHand = await openBrowser(phone, profile);
    const driver = phoneInHand.driver as Driver;
    const tell = (command: string, how: object) => driver.sendDevToolsCommand(command, how);
    await tell("Emulation.setTimezoneOverride", { timezoneId: ZONE });
    const source = `globalThis.waryTestClockMs = ${shift};\n${readFileSync(clock, "utf8")}`;
    await tell("Page.addScriptToEvaluateOnNewDocument", { source });
    page = new Page(driver, app.page.base);
  };
  const ask = async <T extends object>(sql: string): Promise<T[]> => {
    const client = new pg.Client(app.databaseUrl);
    await client.connect();
    return client
      .query(sql)
      .then(({ rows }) => rows as T[])
      .finally(() => client.end());
  };
  const own = "(select id from collections where not is_demo)";

  beforeAll(async () => {
    app = await openApplicationWith(
      { NODE_OPTIONS: `--import ${pathToFileURL(clock).href}`, WARY_TEST_CLOCK_MS: shift },
      phone,
    );
    await pickUp();
  });
  afterAll(async () => {
    await phoneInHand.close();
    await app.close();
    rmSync(profile, { recursive: true, force: true });
  });

  it("begins with a name, what there is to look with, a room and its warmth", async () => {
    await page.open("/");
    await page.arrives(/^\/begin$/);
    // The browser says it once its script runs.
    await page.eventually(
      async () => (await page.valueOf("Time zone")) === ZONE,
      "the browser's own zone was never proposed",
    );
    await page.press("Start");
    await page.sees("Fill this in.");
    await page.fill("Name of your collection", "Hillside");
    await page.fill("Name of this device", "My phone");
    await page.press("A lamp");
    await page.fill("About how warm it is there, °C", "22");
    await page.press("Start");
    await page.arrives(/^\/plants\/several$/);
  });

  it("thirty plants come from a pasted list, with codes in sequence and the forms of the genera known", async () => {
    await page.fill("One plant per line", list.join("\n"));
    await page.press("Put them in the table");
    await page.sees("30 plants below.");
    // Nobody knows that name: it is asked once for all five.
    await page.sees("What are these?");
    await page.select("the tall one, 5 rows", "Woody shrub");
    await page.press("Add 30 plants");
    await page.arrives(/^\/benches$/);
    await page.sees("30 plants");
    const plants = await ask<{ code: string; form: string; by: string }>(
      `select code, growth_form as form, recorded_by as by from plants where collection_id = ${own} order by code`,
    );
    expect(plants.map(({ code }) => code)).toEqual(nextCodes([], 30));
    expect(plants[0]).toMatchObject({ form: "climbingAroid", by: "My phone" });
  });

  it("a file says row by row what is wrong, and nothing of it is written before all is right", async () => {
    await page.open("/plants/several");
    const rows = ["code,name,pot,place", "P01,Twice,12,Windowsill", "Q1,Wide,wide,Attic", "Q2,Good,9,Windowsill"];
    await page.fill("One plant per line", rows.join("\n"));
    await page.press("Put them in the table");
    await page.sees("3 rows need your attention first.");
    await page.sees("Add it as a shelf of Living room");
    await page.select("Twice", "Fern");
    await page.select("Wide", "Fern");
    await page.select("Good", "Fern");
    await page.sees("2 rows need your attention first.");
    await page.sees("Another plant has this code. Choose a different one.");
    await page.sees("Choose one from the list.");
    await page.press("Add 3 plants");
    await page.sees("2 rows need your attention first.");
    const [count] = await ask<{ n: number }>(`select count(*)::int as n from plants where collection_id = ${own}`);
    expect(count!.n).toBe(30);
  });

  it("a find at 23:30 with the line cut, and the browser closed: it is there once, on its own day", async () => {
    await page.open("/walk");
    await page.press("Everything: 30");
    await page.press("Start");
    await page.sees("Nothing found, next");
    await page.offline(true);
    await page.press("Found something");
    await page.press("Mealybugs");
    await page.press("Light: 3–10");
    await page.press("Save the find");
    await page.sees("Who stood near");
    await page.press("Under a bag, where it is");
    await page.sees("No connection: 2 entries are kept in this browser");
    expect(await ask(`select id from looks where collection_id = ${own}`)).toEqual([]);
    await phoneInHand.close();

    await pickUp();
    await page.open("/today");
    await page.sees("Found, no plan yet");
    await page.eventually(
      async () => (await ask(`select id from placements where collection_id = ${own}`)).length === 31,
      "what was pressed with the line cut never arrived",
    );
    const looks = await ask<{ at: Date; by: string }>(
      `select happened_at as at, recorded_by as by from looks where collection_id = ${own}`,
    );
    expect(looks).toHaveLength(1);
    expect(Math.abs(looks[0]!.at.getTime() - EVENING.getTime())).toBeLessThan(15 * 60_000);
    expect(looks[0]!.by).toBe("My phone");
    await page.open("/cases");
    await page.sees("mealybugs since Tue 24 Nov");
    await page.press("Open");
    await page.sees("Tue 24 Nov 2026, My phone");
    await page.sees("likely over");
  });

  it("the demo is another collection: chosen, put back, removed, and what is one's own stays", async () => {
    await page.open("/begin");
    await page.press("Show the demo");
    await page.arrives(/^\/today$/);
    await page.sees("Demo: plants and keepers are made up.");
    await page.sees("The Lamp House");
    const looks = async () =>
      (await ask<{ n: number }>("select count(*)::int as n from looks where collection_id <> " + own))[0]!.n;
    const before = await looks();
    await ask(
      `update looks set voided_at = now(), void_reason = 'played with' where collection_id <> ${own} and voided_at is null`,
    );
    await page.open("/begin");
    await page.press("Reset the demo");
    await page.press("Reset it");
    await page.sees("Recording a year");
    await page.arrives(/^\/today$/);
    await page.sees("The Lamp House");
    expect(await looks()).toBe(before);
    expect(await ask(`select id from looks where void_reason = 'played with'`)).toEqual([]);

    await page.open("/begin");
    await page.press("Remove");
    await page.press("Remove it");
    await page.eventually(
      async () => (await ask("select id from collections where is_demo")).length === 0,
      "the demo is still there",
    );
    // The page hears of it later than the database, and loads itself anew then.
    await page.eventually(async () => !(await page.text()).includes("Remove it"), "the page never heard of it");
    await page.open("/");
    await page.arrives(/^\/today$/);
    await page.sees("Hillside");
    expect(await page.text()).not.toContain("Demo: plants");
    expect(await ask(`select id from looks where collection_id = ${own}`)).toHaveLength(1);
  });
});
