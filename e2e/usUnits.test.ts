import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { openApplication, type Application } from "./support/application";
import { laptop } from "./support/browser";
import type { Page } from "./support/page";
import { daysAgo } from "./support/page";
import { idOf, numberOf } from "./support/rows";

/** Whoever thinks in inches, degrees Fahrenheit and fluid ounces types and reads them; what is kept is metric. */
describe("a keeper in the United States", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication(laptop);
    page = app.page;
  });
  afterAll(() => app.close());

  const one = (sql: string) => numberOf(app.databaseUrl, sql);
  const place = () => idOf(app.databaseUrl, "select id from places where name = 'Bathroom sill'");
  const plant = () => idOf(app.databaseUrl, "select id from plants where code = 'L02'");

  it("says so once, and is asked in inches", async () => {
    await page.open("/settings");
    await page.press("US");
    await page.press("Save");
    await page.sees("Saved.");
    // Spoons go with the units.
    expect(await one("select count(*)::int as n from collections where units = 'us' and spoons = 'us'")).toBe(1);
    await page.open(`/plants/${await plant()}/edit`);
    await page.fill("Pot width, inches", "6");
    await page.press("Save");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("6 in");
    // An inch is exactly 2.54 cm; widths are kept to the millimetre.
    expect(await one("select pot_cm::float8 as n from plants where code = 'L02'")).toBe(15.2);
  });

  it("tells the warmth in degrees Fahrenheit, and what a max–min thermometer says", async () => {
    await page.open(`/benches/places/${await place()}/climate`);
    await page.fill("How warm, °F", "68");
    await page.press("Save");
    const reading = "select celsius::float8 as n from readings order by recorded_at desc limit 1";
    await page.eventually(async () => (await one(reading)) === 20, "68 °F are not 20 °C");
    await page.fill("Lowest, °F", "59");
    await page.fill("Highest, °F", "77");
    await page.fill("Day", daysAgo(1));
    await page.press("Save the day");
    await page.sees("1 day new");
    expect(await one("select mean_c::float8 as n from climate_days order by recorded_at desc limit 1")).toBe(20);
    expect(await one("select max_c::float8 as n from climate_days order by recorded_at desc limit 1")).toBe(25);
    expect(await page.text()).not.toMatch(/\d °C/);
  });

  it("measures in fluid ounces and spoons, and nothing that is something is told as none", async () => {
    await page.open("/mixing");
    expect(await page.valueOf("Amount to make, US fl oz")).toBe("16");
    await page.sees("Makes 16 US fl oz (473 mL)");
    await page.open(`/plants/${await plant()}/act`);
    await page.select("How", "Spray to run-off");
    // A pot of 6 inches takes about 80 mL of spray.
    await page.eventually(async () => (await page.valueOf("How much, US fl oz")) === "2.71", "not 80 mL in ounces");
    await page.fill("How much, US fl oz", "3");
    await page.press("Save");
    const volume = "select (act ->> 'volumeMl')::float8 as n from acts order by recorded_at desc limit 1";
    await page.eventually(
      async () => Math.abs(((await one(volume)) ?? 0) - 88.72) < 0.01,
      "3 US fl oz are not 88.7 mL",
    );
  });

  it("takes what a label asks for in teaspoons a quart, and keeps it in millilitres a litre", async () => {
    await page.open("/mixing/cupboard/new");
    await page.fill("Name", "Green bottle");
    await page.fill("Label rate, US teaspoons per US quart of water", "2");
    await page.sees("That is 10.4 mL per litre of water.");
    await page.fill("Bottle size, US fl oz", "8");
    await page.press("Add it to the cupboard");
    await page.arrives(/cupboard$/);
    await page.sees("2 US tsp per US quart");
  });
});
