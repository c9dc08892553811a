import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { openApplication, type Application } from "./support/application";
import type { Page } from "./support/page";

const plant = `/plants/${idOf("plant", "L03")}`;

/** Something on a plant that nobody can name, up to its name. */
describe("a case without a name", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
  });
  afterAll(() => app.close());
  const reloadedUntil = (text: string) =>
    page.eventually(async () => {
      await page.reload();
      return (await page.text()).includes(text);
    }, `the plant does not say: ${text}`);

  it("signs that speak for two are kept open", async () => {
    await page.open(`${plant}/name`);
    await page.press("Pale pin-prick dots on the leaf");
    await page.press("Silvery or bronzed streaks, papery patches");
    await page.press("Leave it unnamed for now");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await reloadedUntil("Signs not named yet");
    expect(await page.text()).toContain("Left unnamed");
  });

  it("it says what it may be, what decides and when, and what is good against all of it", async () => {
    await page.press("Signs not named yet");
    await page.arrives(/\/unnamed$/);
    await page.sees("By its signs:");
    await page.sees("Decide by");
    await page.settled();
    await page.sees("Whatever it is");
    await page.sees("gives it a few better days");
  });

  it("what is good against all of it is taken with one press, and falls due", async () => {
    const [take] = /Take the first: .+/.exec(await page.text())!;
    await page.press(take);
    await page.sees("Chosen until then");
    await page.open("/today");
    await page.sees("unnamed pest, due today");
    await page.open(`${plant}/unnamed`);
  });

  it("named, it is a case of its own, and nothing stands open any more", async () => {
    await page.press("Name it");
    await page.arrives(/\/name$/);
    await page.select("I know what it is", "Spider mites");
    await page.press("Light: 3–10");
    await page.press("Leaf undersides");
    await page.press("Save the find");
    await page.sees("To the plant");
    await page.press("To the plant");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await reloadedUntil("infested");
    expect(await page.text()).not.toContain("Signs not named yet");
    await page.open(`${plant}/unnamed`);
    await page.sees("no unnamed signs");
  });
});
