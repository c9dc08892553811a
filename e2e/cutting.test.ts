import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { openApplication, type Application } from "./support/application";
import { daysAgo, type Page } from "./support/page";

const mother = `/plants/${idOf("plant", "L04")}`;

/** A cutting, from a plant with soft scale to its own shelf. */
describe("a cutting", () => {
  let app: Application;
  let page: Page;
  let cutting: string;
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
  });
  afterAll(() => app.close());

  it("is one of the ways of the first decision, and filled in from its mother", async () => {
    await page.open(`/cases/${idOf("case", "L04", "softScale")}/decide`);
    await page.settled();
    await page.sees("Take a clean cutting");
    await page.open(mother);
    await page.press("Take a cutting");
    await page.arrives(/\/cutting$/);
    await page.sees("The mother plant has soft scale");
    expect(await page.valueOf("Genus")).toBe("Citrus");
    await page.fill("Acquired on", daysAgo(0));
    await page.select("Where it stands", "Oil pantry");
    await page.press("Add the plant");
    cutting = await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("Cut from");
    await page.sees("new here");
    await page.press("L04 Lemon from a pip");
    await page.sees("Cuttings from it");
  });

  it("carries what may have gone with it, and says from where; clean looks lead it to its own shelf", async () => {
    await page.open(cutting);
    await page.eventually(async () => {
      await page.reload();
      return (await page.text()).includes("the plant it was cut from");
    }, "nothing is told of what it inherits");
    await page.press("Look");
    await page.press("Lamp and loupe");
    await page.press("All of them");
    await page.press("Nothing found");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.press("Bring back");
    await page.select("To", "Stairwell");
    await page.press("Move it");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("Stairwell");
    expect(await page.text()).not.toContain("new here");
  });
});
