import { unpottingSteps } from "../src/wording/advice/seasons/roots";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { openApplication, type Application } from "./support/application";
import { daysAgo, type Page } from "./support/page";

const at = (days: number, time = "18:00") => `${daysAgo(days)}T${time}`;

/** Root mealybugs on one plant, from the find to clear. */
describe("a root case", () => {
  let app: Application;
  let page: Page;
  let plant: string;
  let aCase: string;
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
  });
  afterAll(() => app.close());

  it("is found on the roots of a plant of its own", async () => {
    await page.open("/benches/places/new");
    await page.fill("Name", "Workbench");
    await page.fill("About how warm, °C", "26");
    await page.press("Add the place");
    await page.arrives(/^\/benches$/);
    await page.open("/plants/new");
    await page.fill("Code on the label", "Q91");
    await page.fill("Name", "Window haworthia");
    await page.fill("Genus", "Haworthia");
    await page.fill("Pot width, cm", "11");
    await page.fill("Acquired on", daysAgo(300));
    await page.select("Where it stands", "Workbench");
    await page.press("Add the plant");
    plant = await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.press("Look");
    await page.press("Unpotted, rinsed over a tray");
    await page.press("All of them");
    await page.press("Found something");
    await page.select("Pest", "Root mealybugs");
    await page.fill("Or the number you counted", "4");
    await page.fill("When", at(200));
    await page.press("Save the find");
    aCase = await page.arrives(/^\/cases\/[0-9a-f-]{36}$/);
  });

  it("has a plan that reaches what its keeper wants, and alcohol is left out with its reason", async () => {
    await page.press("Make a plan");
    await page.fill("First treatment", daysAgo(200));
    await page.settled();
    await page.sees("Unpotted and washed");
    await page.press("Show everything, also what is not tolerated");
    await page.sees("alcohol kills roots, and misses what sits between them");
    const refused = await page.text();
    expect(refused).not.toContain("Soap, sprayed");
    // The way of least work stands open, and its cautions until something is done are one line.
    await page.unfold("to read before you treat");
    await page.sees("Bin the old mix");
    await page.press("Adopt this plan");
    await page.arrives(/^\/cases\/[0-9a-f-]{36}$/);
    await page.sees("Unpot and wash the roots");
  });

  it("is unpotted step by step; what was pressed stays pressed, whatever comes between", async () => {
    await page.press("Unpot");
    await page.arrives(/\/unpot$/);
    await page.press(unpottingSteps.layOut);
    await page.press(unpottingSteps.tipOut);
    await page.open(aCase);
    await page.open(`${plant}/unpot`);
    await page.sees("Not ticked yet: 10 steps");
    await page.press("Half");
    // Of a usual pot of 11 cm half the roots and a quarter more: 0.625 of its mix, and the next width up is 10 cm.
    expect(await page.valueOf("New pot, width, cm")).toBe("10");
    await page.sees("No water for 4 days");
    await page.fill("When", at(200, "19:00"));
    await page.press("Unpotted and washed");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("50 % of the roots left, into a pot of 10 cm, mineral mix, dry for 4 days");
    await page.sees("10 cm");
  });

  it("the second time, and three clean looks at the roots: it is clear", async () => {
    await page.open(`${plant}/unpot`);
    await page.fill("When", at(172));
    await page.press("Unpotted and washed");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    for (const days of [120, 80, 40, 8]) {
      await page.open(`${plant}/look`);
      await page.press("Unpotted, rinsed over a tray");
      await page.press("All of them");
      await page.fill("When", at(days));
      await page.press("Nothing found");
      await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    }
    await page.open(aCase);
    await page.sees("This may be called clear");
    await page.press("Close the case");
    await page.arrives(/\/close$/);
    await page.press("Close the case");
    await page.arrives(/^\/cases\/[0-9a-f-]{36}$/);
    await page.sees("clear");
  });
});
