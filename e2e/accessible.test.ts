import AxeBuilder from "@axe-core/webdriverjs";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { openApplication, type Application } from "./support/application";
import { laptop, phone } from "./support/browser";

const plant = `/plants/${idOf("plant", "L08")}`;
const aCase = `/cases/${idOf("case", "L08", "spiderMite")}`;
const addresses = [
  "/today",
  "/benches",
  "/benches/places/new",
  "/plants/new",
  plant,
  `${plant}/look`,
  `${plant}/move`,
  `/plants/${idOf("plant", "L04")}/apart`,
  "/cases",
  aCase,
  `${aCase}/plan`,
  `${aCase}/treat`,
  `${aCase}/close`,
  "/mixing",
  "/almanac",
  "/almanac/life-cycle",
  "/settings",
];

/** WCAG 2.2 AA as far as a program can tell, and nothing wider than the screen. */
describe.each([
  ["a laptop by day", laptop, "light"],
  ["a phone at night", phone, "dark"],
] as const)("on %s", (_where, size, theme) => {
  let app: Application;
  beforeAll(async () => {
    app = await openApplication(size);
    await app.page.open("/today");
    await app.page.driver.executeScript("localStorage.setItem('wary-petal-theme', arguments[0])", theme);
  });
  afterAll(() => app.close());

  it.each(addresses)("%s", async (address) => {
    const { page } = app;
    await page.open(address);
    // What is reckoned in the browser belongs to the page.
    await page.settled();
    const { violations } = await new AxeBuilder(page.driver).analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes.map((node) => node.html).join(" ")}`)).toEqual([]);
    expect(await page.driver.executeScript("return document.documentElement.scrollWidth")).toBeLessThanOrEqual(
      size.width,
    );
  });
});
