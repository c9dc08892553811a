import getPort from "get-port";
import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { startServer } from "../scripts/lib/startServer";
import { openApplication, type Application } from "./support/application";
import { phone } from "./support/browser";
import { Page } from "./support/page";

/** A phone in a cellar: the server is gone, the browser is opened anew. */
describe("without a connection", () => {
  let app: Application;
  let page: Page;
  let port: number;
  let stop: () => Promise<void>;

  beforeAll(async () => {
    app = await openApplication(phone, { keepsPages: true });
    port = await getPort({ host: "127.0.0.1" });
    stop = await startServer(port, app.appUrl);
    page = new Page(app.browser.driver, `http://127.0.0.1:${port}`);
  });
  afterAll(async () => {
    await stop();
    await app.close();
  });

  let before: number;
  const looks = async () => {
    const client = new pg.Client(app.databaseUrl);
    await client.connect();
    const { rows } = await client.query<{ n: number }>(
      "select count(*)::int as n from looks where walk_id is not null",
    );
    await client.end();
    return rows[0]!.n;
  };
  const keptPages = () =>
    page.driver.executeAsyncScript<string[]>(
      `const done = arguments[0];
       caches.open("wary-pages").then((cache) => cache.keys()).then((all) => done(all.map((one) => new URL(one.url).pathname)));`,
    );

  it("a walk is begun, and the pages are kept", async () => {
    await page.open("/walk");
    await page.press("Start");
    await page.arrives(/^\/walk\/[0-9a-f-]+$/);
    await page.open("/today");
    const lemon = `/plants/${idOf("plant", "L04")}`;
    await page.eventually(async () => (await keptPages()).includes(lemon), "pages were not kept");
    const kept = await keptPages();
    expect(kept).toEqual(expect.arrayContaining(["/today", "/walk", "/mixing", "/almanac", "/benches"]));
    expect(kept.some((path) => /^\/walk\/[0-9a-f-]{36}$/.test(path))).toBe(true);
    await page.eventually(
      () => page.driver.executeScript<boolean>("return navigator.serviceWorker.controller !== null"),
      "no worker stands before the pages",
    );
  });

  it("opens from a cold start, walks on, and says what is not kept", async () => {
    const walk = (await keptPages()).find((path) => /^\/walk\/[0-9a-f-]{36}$/.test(path))!;
    before = await looks();
    await stop();
    await page.driver.switchTo().newWindow("tab");
    await page.open("/today");
    await page.sees("No connection just now. This page is as it was on");
    await page.sees("Today,");
    await page.open("/mixing");
    await page.sees("Mixing");
    await page.open("/settings");
    await page.sees("This page is not saved on this device.");
    await page.open(walk);
    await page.press("Nothing found, next");
    await page.sees("1 entry is kept in this browser");
  });

  it("and what was written down meanwhile arrives, once", async () => {
    stop = await startServer(port, app.appUrl);
    await page.open("/today");
    await page.eventually(async () => (await looks()) > before, "it was never sent");
    await page.eventually(async () => !(await page.text()).includes("kept in this browser"), "still kept");
    expect(await looks()).toBe(before + 1);
  });
});
