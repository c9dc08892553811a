import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { openApplication, type Application } from "./support/application";
import type { Page } from "./support/page";

const unplanned = `/cases/${idOf("case", "L04", "softScale")}`;

/** A keeper who has just found something, and weighs what to do. */
describe("the first decision", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
  });
  afterAll(() => app.close());
  const beforeGivingUp = async () => {
    const text = await page.text();
    const others = ["Squash and watch", "Follow the full programme", "Unpot and wash", "Take a clean cutting"];
    return others.filter((way) => text.indexOf(way) < text.indexOf("Give the plant up")).length;
  };
  const proposed = async () => /Suggested: ([^.]+)/.exec(await page.text())?.[1];

  it("is asked of a case without a plan, and shows the ways side by side with one proposal and its reason", async () => {
    await page.open(unplanned);
    await page.press("What first?");
    await page.arrives(/\/decide$/);
    await page.settled();
    await page.sees("Suggested:");
    const text = await page.text();
    for (const way of ["Squash and watch", "Follow the full programme", "Unpot and wash", "Give the plant up"])
      expect(text).toContain(way);
    expect(text).toContain("Put it outdoors, to rain and predators: not at this time of year.");
    expect(text).toContain("Chance of clean looks afterwards");
  });

  it("weighs what the plant is worth, and where it is meanwhile", async () => {
    await page.press("Irreplaceable");
    await page.settled();
    await page.sees("Suggested:");
    expect(await proposed()).not.toBe("give the plant up");
    const loved = await beforeGivingUp();
    await page.press("Replaceable");
    await page.settled();
    await page.sees("Suggested:");
    // Of a light case nobody gives up a plant: it is told last, whatever the plant is worth.
    expect(await beforeGivingUp()).toBe(loved);
    await page.press("Irreplaceable");
    await page.settled();
    await page.press("Choose this");
    await page.arrives(/^\/(cases|plants)\/[0-9a-f-]{36}\/(plan|act|unpot|blitz)$/);
  });

  it("the plan says what hands do before any bottle is opened, in its order", async () => {
    await page.open(`${unplanned}/plan`);
    await page.settled();
    await page.sees("before you open a bottle");
    await page.unfold("before you open a bottle");
    await page.sees("Pick off and squash what you see");
    const text = await page.text();
    expect(text.indexOf("Pick off and squash")).toBeLessThan(text.indexOf("Cover the mix with paper or film"));
  });

  it("begins with the word on the plant's label", async () => {
    await page.open(`/plants/${idOf("plant", "L04")}/edit`);
    await page.press("Irreplaceable");
    await page.press("Save");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.open(`${unplanned}/decide`);
    const pressed = await page.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('main [aria-pressed=true]')].map((one) => one.textContent)",
    );
    expect(pressed).toContain("Irreplaceable");
  });

  it("everything in one day is written down with one press, without what its tick was taken off", async () => {
    await page.open(`${unplanned}/blitz`);
    await page.settled();
    await page.sees("1. Pick off and squash what you see");
    const secondTick = "(//main//input[@type='checkbox'])[2]";
    await page.pressAt(secondTick);
    await page.press("Done: record it all");
    await page.arrives(/^\/cases\/[0-9a-f-]{36}$/);
    await page.sees("Unpotted");
    const text = await page.text();
    expect(text).not.toContain("Pruned");
  });
});
