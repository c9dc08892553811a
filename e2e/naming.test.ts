import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { openApplication, type Application } from "./support/application";
import type { Page } from "./support/page";

describe("naming what is on a plant", () => {
  let app: Application;
  let page: Page;
  const folder = mkdtempSync(path.join(tmpdir(), "wary-photo-"));
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
  });
  afterAll(async () => {
    rmSync(folder, { recursive: true, force: true });
    await app.close();
  });

  const odds = () =>
    page.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('.odd')].map((one) => one.innerText.replace(/\\s+/g, ' '))",
    );

  it("odds re-sort as signs are pressed: there, not there, not looked for", async () => {
    await page.open(`/plants/${idOf("plant", "R18")}/name`);
    await page.sees("Press the signs you see.");
    const before = await odds();
    await page.press("Silvery or bronzed streaks, papery patches");
    await page.press("Tiny black varnish-like specks on the patches");
    await page.sees("Most likely thrips.");
    expect((await odds())[0]).toMatch(/^Thrips 9\d/);
    // Twice: looked for and not there. Three times: not looked for.
    await page.press("Silvery or bronzed streaks, papery patches");
    await page.press("Tiny black varnish-like specks on the patches");
    expect((await odds())[0]).not.toMatch(/^Thrips/);
    await page.press("Silvery or bronzed streaks, papery patches");
    await page.press("Tiny black varnish-like specks on the patches");
    expect(await odds()).toEqual(before);
  });

  it("two that look alike are said to be, with the test that may tell and with what it may be instead", async () => {
    await page.open(`/plants/${idOf("plant", "B02")}/name`);
    await page.press("Fixed bumps in rows on veins and stems");
    await page.sees("Scrape a bump with a fingernail");
    await page.sees("Spore cases of the fern: regular rows under the leaf");
    await page.sees("These signs do not tell soft scale and armoured scale apart. The test below may");
    await page.press("A bump lifts off as a dry shell, the animal beneath");
    await page.sees("Most likely armoured scale.");
  });

  it("the keeper's own word goes before the odds, and ends in set apart, who stood near, plan, photo, untyped", async () => {
    await page.open(`/plants/${idOf("plant", "R16")}`);
    await page.press("Name a pest");
    await page.press("White meal on roots or inside the pot wall");
    await page.select("I know what it is", "Soft scale");
    await page.sees("Soft scale: how many, live?");
    await page.press("Save the find");
    await page.sees("Press how many there are, or write a number.");
    await page.press("Trace: 1–2 animals");
    await page.press("Stem or cane");
    await page.press("Large domed bumps");
    await page.press("Save the find");
    await page.sees("At Lit rack, bottom: R17, R18, R19.");
    await page.press("Oil pantry");
    await page.sees("Set apart: Oil pantry.");
    await page.sees("Plan against soft scale");
    const large = path.join(folder, "large.jpg");
    writeFileSync(large, Buffer.alloc(10 * 1024 * 1024 + 1));
    const field = () => page.field("A photo, if you like");
    await (await field()).sendKeys(large);
    await page.sees("This photo is larger than 10 MB. Choose a smaller one.");
    const small = path.join(folder, "small.png");
    await sharp({ create: { width: 60, height: 40, channels: 3, background: "#804020" } })
      .png()
      .toFile(small);
    await (await field()).sendKeys(small);
    await page.sees("The photo is kept with the look.");
    await page.press("To the plant");
    await page.sees("infested, set apart");
    await page.sees("Named by you; the signs spoke for root mealybugs");
    await page.sees("Found: Soft scale, trace: 1–2 animals, adults, on stem or cane");
    await page.driver.wait(
      () => page.driver.executeScript<boolean>("return document.querySelector('main img')?.naturalWidth === 60"),
      10_000,
      "the photo never showed",
    );
    await page.open("/ledger");
    await page.sees("your own word went before the odds");
  });

  it("none of these is a look with nothing found", async () => {
    await page.open(`/plants/${idOf("plant", "R17")}/name`);
    await page.press("Yellowing, drooping, tips browning");
    await page.press("None of these");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("Looked: nothing found");
  });

  it("keys on a laptop: places, the far side, next, skip, undo, found", async () => {
    await page.open("/walk");
    await page.press("Everything: 47");
    await page.press("Begin");
    await page.sees("0 of 47");
    const keys = (...all: string[]) =>
      page.driver
        .actions()
        .sendKeys(...all)
        .perform();
    const pressed = () =>
      page.driver.executeScript<number>("return document.querySelectorAll('.spot-list [aria-pressed=true]').length");
    const before = await pressed();
    await keys("1");
    expect(await pressed()).toBe(before - 1);
    await keys("v");
    expect(
      await page.driver.executeScript("return document.querySelector('.far-side').getAttribute('aria-pressed')"),
    ).toBe("false");
    await keys("n");
    await page.sees("1 of 47");
    await keys("x");
    await page.sees("Out of reach");
    await keys("u");
    await page.sees("0 of 47");
    await keys("f");
    await page.sees("What is on");
  });
});
