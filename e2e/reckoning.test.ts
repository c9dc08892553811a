import { Key } from "selenium-webdriver";
import type { Driver } from "selenium-webdriver/chrome";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { assessFile } from "../src/core/advice/clearance/assess";
import { drawCase } from "../src/core/advice/plans/draw";
import { readCaseFile } from "../src/core/record/format/read";
import { pClearIf } from "../src/core/advice/clearance/whatIf";
import { addDays, type Day } from "../src/core/shared/days";
import { openApplication, type Application } from "./support/application";
import type { Page } from "./support/page";

const running = `/cases/${idOf("case", "R01", "mealybug")}`;
const unplanned = `/cases/${idOf("case", "L04", "softScale")}`;
const nothing = { sprayMore: false, daysLate: 0, betterReach: false, cleanLook: null };

/** Keeps every worker a page starts, so that a test may ask it what the page asks. */
const KEEP_WORKERS = `
  const Plain = Worker;
  window.Worker = class extends Plain {
    constructor(...all) { super(...all); (window.kept ??= []).push(this); }
  };`;

/** What the engine says where a keeper reads it. */
describe("the engine in the application", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
    await (page.driver as Driver).sendDevToolsCommand("Page.addScriptToEvaluateOnNewDocument", {
      source: KEEP_WORKERS,
    });
  });
  afterAll(() => app.close());

  const fileOf = async (address: string) => {
    const text = await (await fetch(`${page.base}${address}/file`)).text();
    const read = readCaseFile(text);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return read.file;
  };

  /** Asks the page's own worker; the words of the message are those of the library that carries it. */
  const askWorker = (method: string, ...values: unknown[]) =>
    page.driver.executeAsyncScript<string>(
      `const [method, values, done] = [arguments[0], arguments[1], arguments[arguments.length - 1]];
       const worker = window.kept.at(-1);
       const id = "asked-" + method;
       worker.addEventListener("message", ({ data }) => data.id === id && done(JSON.stringify(data.value)));
       const argumentList = values.map((value) => ({ type: "RAW", value }));
       worker.postMessage({ id, type: "APPLY", path: [method], argumentList });`,
      method,
      values,
    );

  it("a case gives the same bytes on the server, in the page's worker and here", async () => {
    await page.open(running);
    await page.settled();
    const file = await fileOf(running);
    const here = pClearIf(file, nothing);
    expect(await askWorker("whatIf", file, nothing)).toBe(JSON.stringify(here));
    const assessed = assessFile(file);
    expect(assessed.ok && assessed.assessment.pClear).toBe(here);
    const until = addDays(file.asOf as Day, 10);
    const coming = [{ day: addDays(file.asOf as Day, 2), dose: { remedy: "soap", technique: "spray" } as const }];
    expect(await askWorker("draw", file, coming, until)).toBe(JSON.stringify(drawCase(file, coming, until)));
    // The sentence at the top is the server's.
    await page.sees(`${Math.round(here! * 100)} % likely over`);
  });

  it("what if: the certainty moves at once, and back", async () => {
    await page.open(running);
    await page.settled();
    expect(await page.text()).not.toContain("instead of");
    await page.press("One more treatment today, like the last");
    await page.sees("likely over instead of");
    await page.press("One more treatment today, like the last");
    await page.select("A look at the whole plant now finds nothing", "with lamp and loupe");
    await page.sees("likely over instead of");
  });

  it("a way chosen in the comparison is adopted with its dates and its promise", async () => {
    await page.open(`${unplanned}/plan`);
    await page.sees("Waiting alone comes to");
    await page.sees("least work");
    // The way of least work stands open, with its mix, dates, looks, reasons and cautions, and is told in one sentence.
    const row = await page.driver.findElement({ xpath: "//li[.//span[normalize-space()='least work']]" });
    const cells = (await row.getText()).replaceAll("\n", " ");
    const [, chance] = /(\d+ in 10) clean by /.exec(cells)!;
    await page.sees(`${chance} that the looks after it are clean, and then it is`);
    await page.sees("of what may survive");
    // Pressed, another way opens in its place, and the first closes.
    await page.press("Show everything, also what is not tolerated");
    await page.press("Soap, sprayed");
    await page.sees("Soap wash, mild (5 mL per litre)");
    const least = await row.findElement({ css: "button" });
    await page.show(least);
    await least.click();
    const opened = (await row.getText()).replaceAll("\n", " ");
    const dates = /Dates (.*?) Then look: /.exec(opened)![1]!.match(/\d+ [A-Z][a-z]{2}/g)!;
    await page.press("Adopt this plan");
    await page.arrives(/^\/cases\/[0-9a-f-]{36}$/);
    const text = await page.text();
    expect(text.match(/^Treat \w+/gm)!.length).toBe(dates.length);
    expect(text).toContain(`If you keep to it from today: ${chance} that the looks after it are clean`);
  });

  it("a worker that fails says so and is started anew when asked: nothing is reckoned for ever", async () => {
    const { identifier } = (await (page.driver as Driver).sendAndGetDevToolsCommand(
      "Page.addScriptToEvaluateOnNewDocument",
      {
        source: `
          const Kept = Worker;
          window.Worker = class extends Kept {
            constructor(...all) {
              super(...all);
              if (!window.healthy) queueMicrotask(() => this.dispatchEvent(new ErrorEvent("error")));
            }
          };`,
      },
    )) as unknown as { identifier: string };
    await page.open(running);
    await page.sees("It could not be worked out in this browser.");
    expect(await page.text()).not.toContain("Working it out …");
    await page.driver.executeScript("window.healthy = true");
    await page.press("Try again");
    await page.sees("The same as a table");
    await (page.driver as Driver).sendDevToolsCommand("Page.removeScriptToEvaluateOnNewDocument", { identifier });
  });

  it("in the life cycles a treatment is moved with the keys, and the chance follows", async () => {
    await page.open("/almanac/life-cycle");
    await page.settled();
    const said = async () => /(\d+|under 1|over 99) % likely over on day (\d+)/.exec(await page.text())!;
    const [, one] = await said();
    const sliders = () =>
      page.driver.findElements({
        xpath: "//section[.//h2[normalize-space()='Weekly and thorough']]//*[@role='slider']",
      });
    await page.select("A common routine", "Alcohol on days 0, 6 and 13");
    await page.eventually(async () => (await said())[1] !== one, "three treatments say no more than one");
    const [, , before] = await said();
    const last = (await sliders()).at(-1)!;
    await last.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await page.eventually(async () => Number((await said())[2]) === Number(before) + 2, "the day did not follow");
    expect(await last.getAttribute("aria-valuetext")).toBe("day 15");
    await page.select("A common routine", "Soap every 3 days for four weeks");
    expect(await sliders()).toHaveLength(10);
    // What sits deep can be dragged too: nothing there, and it is likelier over.
    const chance = async () => Number((await said())[1]);
    const [with_, deep] = [await chance(), await page.field("Out of reach of sprays")];
    await deep.sendKeys(Key.HOME);
    await page.eventually(async () => (await chance()) > with_, "without deep places it is no likelier over");
  });

  it("the almanac has a page for each pest and each remedy", async () => {
    await page.open("/almanac");
    // 450 degree-days above 10 °C at 22 °C: 37.5 days from egg to adult mealybug.
    await page.sees("adult after 38 days at 22 °C");
    await page.press("Mealybugs");
    await page.arrives(/^\/almanac\/pests\/mealybug$/);
    await page.sees("until adult");
    await page.sees("White cottony tufts");
    await page.sees("Hoya");
    await page.press("Alcohol on the spot");
    await page.arrives(/^\/almanac\/remedies\/alcohol$/);
    await page.sees("Strength and effect");
  });
});
