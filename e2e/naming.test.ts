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
    await page.sees("Soft scale: how many, alive?");
    await page.press("Save the find");
    await page.sees("Choose how many there are, or enter a number.");
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
    const field = () => page.field("Add a photo (optional)");
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
    await page.sees("Named by you; the signs pointed to root mealybugs");
    await page.sees("Found: Soft scale, trace: 1–2 animals, adults, on stem or cane");
    await page.eventually(
      () => page.driver.executeScript<boolean>("return document.querySelector('main img')?.naturalWidth === 60"),
      "the photo never showed",
    );
    await page.open("/ledger");
    await page.sees("you overruled the odds");
  });

  it("the same leaf again stands beside the last photo, and what has opened since is looked at", async () => {
    await page.open(`/plants/${idOf("plant", "R16")}`);
    await page.press("Then and now: the same leaf again");
    await page.sees("There is one photo so far.");
    const again = path.join(folder, "again.png");
    await sharp({ create: { width: 60, height: 40, channels: 3, background: "#208040" } })
      .png()
      .toFile(again);
    await (await page.field("Or choose a file, or paste one")).sendKeys(again);
    await page.sees("What has opened since the last look?");
    await page.select("Looked with", "Lamp and loupe");
    await page.fill("New leaves since the last look, without marks", "2");
    await page.press("Nothing on it");
    await page.sees("is recorded, with its photo");
    await page.eventually(async () => {
      await page.reload();
      return (await page.text()).includes("Left then, right now");
    }, "the two never stood beside each other");
    const cut = "return getComputedStyle(document.querySelector('.pair-now')).clipPath";
    const before = await page.driver.executeScript<string>(cut);
    await page.ready("//input[@type='range']");
    await page.driver.executeScript(
      `const range = document.querySelector('input[type=range]');
       Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(range, '20');
       range.dispatchEvent(new Event('input', { bubbles: true }));`,
    );
    await page.eventually(
      async () => (await page.driver.executeScript<string>(cut)) !== before,
      "the line between them does not move",
    );
    await page.open(`/plants/${idOf("plant", "R16")}`);
    await page.sees("Lamp and loupe: newest leaf");
    await page.sees("2 new leaves without a mark");
  });

  it("a file that is no picture is refused with a reason, and the page goes on", async () => {
    await page.open(`/plants/${idOf("plant", "R16")}`);
    const text = path.join(folder, "text.jpg");
    writeFileSync(text, "this is no picture");
    const label = await page.driver.executeScript<string>(
      "return [...document.querySelectorAll('label')].find((one) => one.textContent.startsWith('Add a photo')).textContent",
    );
    await (await page.field(label)).sendKeys(text);
    await page.sees("Not saved: Photo, R16 Peace flag. This photo cannot be read. Choose a JPEG, PNG or WebP file.");
    // It is told until it has been seen, on every page.
    await page.open("/today");
    await page.sees("Not saved: Photo, R16 Peace flag. This photo cannot be read.");
    await page.press("Discard it");
    await page.eventually(async () => !(await page.text()).includes("Not saved"), "it stays unsaved");
    await page.open("/today");
    await page.sees("Set apart");
    expect(await page.text()).not.toContain("Not saved");
  });

  it("what was pressed on a plant is still there after a look at its signs", async () => {
    await page.open("/walk");
    await page.press("Everything: 51");
    await page.press("Start");
    await page.press("Old marks only");
    await page.press("Found something");
    await page.sees("What is on");
    await page.press("Back");
    await page.sees("Nothing found, next");
    expect(
      await page.driver.executeScript(
        "return document.querySelector('[aria-label=\"Quick notes\"] [aria-pressed=true]').textContent",
      ),
    ).toBe("Old marks only");
  });

  it("two pests at once: both are told one after the other, and both have a case", async () => {
    await page.open(`/plants/${idOf("plant", "R14")}/name`);
    await page.press("White cottony tufts in joints or on the underside");
    await page.press("Small dark flies on the mix or flying up");
    await page.sees("both at once");
    await page.press("Choose both: mealybugs and fungus gnats");
    await page.sees("Mealybugs: how many, alive?");
    await page.press("Light: 3–10");
    await page.press("Next: fungus gnats");
    await page.sees("Fungus gnats: how many, alive?");
    const count = await page.field("Or the number you counted");
    await count.sendKeys("many");
    await page.press("Save the find");
    await page.sees("Enter a whole number from 1 to 100000, or leave it empty.");
    await count.clear();
    await count.sendKeys("12");
    await page.press("Save the find");
    await page.sees("Plan against mealybugs");
    await page.sees("Plan against fungus gnats");
    await page.press("To the plant");
    await page.sees("Found: Fungus gnats, 12 live; Mealybugs, light: 3–10");
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
    await page.press("Everything: 51");
    await page.press("Start");
    await page.sees("Nothing found, next");
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
    await page.sees("1 of 51");
    await keys("x");
    await page.sees("Out of reach");
    await keys("u");
    await page.sees("0 of 51");
    await keys("f");
    await page.sees("What is on");
  });
});
