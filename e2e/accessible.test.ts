import AxeBuilder from "@axe-core/webdriverjs";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { laptop, openBrowser, phone, type Browser } from "./support/browser";
import { Page } from "./support/page";

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
  "/settings",
];

/** WCAG 2.2 AA as far as a program can tell, and nothing wider than the screen. */
describe.each([
  ["a laptop by day", laptop, "light"],
  ["a phone at night", phone, "dark"],
] as const)("on %s", (_where, size, theme) => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser(size);
    page = new Page(browser.driver);
    await page.open("/today");
    await browser.driver.executeScript("localStorage.setItem('wary-petal-theme', arguments[0])", theme);
  });
  afterAll(() => browser.close());

  it.each(addresses)("%s", async (address) => {
    await page.open(address);
    const { violations } = await new AxeBuilder(browser.driver).analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes.map((node) => node.html).join(" ")}`)).toEqual([]);
    expect(await browser.driver.executeScript("return document.documentElement.scrollWidth")).toBeLessThanOrEqual(
      size.width,
    );
  });
});
