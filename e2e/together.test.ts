import getPort from "get-port";
import type { Driver } from "selenium-webdriver/chrome";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { startServer } from "../scripts/lib/startServer";
import { openApplication, type Application } from "./support/application";
import { laptop, openBrowser, phone, type Browser } from "./support/browser";
import { Page } from "./support/page";

/** A phone and a laptop on one walk, each at a process of its own. */
describe("two devices on one walk", () => {
  let app: Application;
  let second: Browser;
  let stop: () => Promise<void>;
  let phonePage: Page;
  let laptopPage: Page;
  let walk: string;
  beforeAll(async () => {
    app = await openApplication(phone);
    const port = await getPort({ host: "127.0.0.1" });
    stop = await startServer(port, app.appUrl);
    second = await openBrowser(laptop);
    phonePage = app.page;
    laptopPage = new Page(second.driver, `http://127.0.0.1:${port}`);
  });
  afterAll(async () => {
    await second.close();
    await stop();
    await app.close();
  });

  const done = (page: Page) =>
    page.driver.executeScript<string>("return document.querySelector('.walk-head .small')?.textContent ?? ''");
  const shows = (page: Page, count: number) =>
    page.eventually(async () => (await done(page)).startsWith(`${count} of `), `never showed ${count} done`);

  it("each sees within seconds what the other presses, and nothing moves away under a finger", async () => {
    await phonePage.open("/walk");
    await phonePage.press("Everything: 51");
    await phonePage.press("Start");
    walk = await phonePage.arrives(/^\/walk\/[0-9a-f-]{36}$/);
    await phonePage.sees("Nothing found, next");
    await laptopPage.open(walk);
    await laptopPage.sees("Nothing found, next");
    const first = await phonePage.heading();
    expect(await laptopPage.heading()).toBe(first);

    await phonePage.press("Nothing found, next");
    await laptopPage.sees("Just recorded on another device: nothing found.");
    expect(await laptopPage.heading()).toBe(first);
    await shows(laptopPage, 1);
    await laptopPage.press("Continue");
    await laptopPage.sees("Nothing found, next");

    const next = await laptopPage.heading();
    expect(await phonePage.heading()).toBe(next);
    await laptopPage.press("Nothing found, next");
    await phonePage.sees("Just recorded on another device: nothing found.");
    await shows(phonePage, 2);
    // What is taken back is one's own: the other's look stays.
    await phonePage.press("Undo");
    await shows(phonePage, 1);
    await shows(laptopPage, 1);
    expect(await phonePage.heading()).toBe(first);
  });

  it("where no word comes through, it is asked for", async () => {
    const deaf = "globalThis.EventSource = class { static CLOSED = 2; readyState = 0; close() {} };";
    await (second.driver as Driver).sendDevToolsCommand("Page.addScriptToEvaluateOnNewDocument", { source: deaf });
    await laptopPage.open(walk);
    await laptopPage.sees("Nothing found, next");
    await phonePage.press("Nothing found, next");
    await laptopPage.eventually(async () => (await done(laptopPage)).startsWith("2 of "), "never asked");
  });

  it("the list of walks and today's page follow too", async () => {
    await laptopPage.open("/walk");
    await laptopPage.sees("2 of ");
    await phonePage.press("Nothing found, next");
    await laptopPage.eventually(async () => (await laptopPage.text()).includes("3 of "), "never followed");
  });
});
