import { By, Key, type WebElement } from "selenium-webdriver";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Day } from "../src/core/shared/days";
import { addPlace } from "../src/operations/places/commands/addPlace";
import { addPlant } from "../src/operations/plants/commands/addPlants";
import { expectOk } from "../src/operations/shared/outcome";
import { readBenches } from "../src/operations/places/queries/readBenches";
import { openApplication, type Application } from "./support/application";
import { laptop, phone } from "./support/browser";
import { daysAgo, type Page } from "./support/page";

/** The collection around the sick plant, as it is used: on the laptop and on the telephone. */
describe("what plants may carry, at the screen", () => {
  let app: Application;
  let page: Page;
  const ids: Record<string, string> = {};
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
    // A rack of two shelves, the upper of which drips onto the lower, in a room with its door shut.
    const context = await app.context();
    const place = async (name: string, over: Partial<Parameters<typeof addPlace>[1]>) => {
      const id = (ids[name] = uuidv7());
      const told = { id, name, readingId: uuidv7(), celsius: 22, parentId: null, kind: "shelf" as const };
      expectOk(await addPlace(context, { ...told, ...over }));
    };
    await place("Studio", { kind: "room", doorShut: true });
    const inStudio = { parentId: ids["Studio"]!, celsius: null };
    await place("Rack, low", inStudio);
    await place("Rack, high", { ...inStudio, dripsOn: ids["Rack, low"]! });
    await place("Cell", { kind: "isolation", roomFor: 3 });
    for (const [i, code] of ["H1", "H2", "H3", "D1", "D2"].entries()) {
      const id = (ids[code] = uuidv7());
      const placeId = ids[code.startsWith("H") ? "Rack, high" : "Rack, low"]!;
      const kind = { genus: "Hoya", growthForm: "trailingVine", potCm: 12 } as const;
      const told = { ...kind, code, name: "Rack vine", acquiredOn: daysAgo(60) as Day, seller: "", inFlower: false };
      expectOk(await addPlant(context, { id, placementId: uuidv7(), placeId, slot: i, ...told }));
    }
  });
  afterAll(() => app.close());

  const row = async (name: string) =>
    (await readBenches(await app.context()))
      .flatMap((room) => room.benches)
      .find(({ place }) => place.id === ids[name])!
      .plants.map(({ code }) => code);
  const pot = async (code: string): Promise<WebElement> => {
    const found = By.css(`[data-plant="${ids[code]}"] button`);
    const button = await page.found(found, `${code} does not stand there`);
    await page.show(button);
    return button;
  };
  const stand = async (name: string, codes: readonly string[]) => {
    await page.eventually(async () => (await row(name)).join() === codes.join(), `not as they should: ${name}`);
  };
  const openBenches = async () => {
    await page.open("/benches");
    await pot("H1");
  };

  it("a plant is moved by mouse within its shelf, and taken back", async () => {
    await openBenches();
    expect(await row("Rack, high")).toEqual(["H1", "H2", "H3"]);
    const [from, to] = [await pot("H1"), await pot("H3")];
    const { width } = await to.getRect();
    await page.driver
      .actions()
      .move({ origin: from })
      .press()
      .move({ origin: from, x: 15 })
      .move({ origin: to, x: Math.round(width / 3), duration: 300 })
      .release()
      .perform();
    await page.sees("H1 stands behind H3 on Rack, high.");
    await stand("Rack, high", ["H2", "H3", "H1"]);
    await page.press("Undo");
    await page.sees("It is back where it was.");
    await stand("Rack, high", ["H1", "H2", "H3"]);
  });

  it("by keyboard: space lifts it, arrows carry it along the row and to the shelf below", async () => {
    await openBenches();
    const press = (key: string) => page.driver.actions().sendKeys(key).perform();
    // A keeper looks before the next key: so does this, however slow the machine is.
    const said = "return [...document.querySelectorAll('[aria-live=polite]')].map((one) => one.textContent).join(' ')";
    const hears = (text: string) =>
      page.eventually(
        async () => (await page.driver.executeScript<string>(said)).includes(text),
        `never heard ${text}`,
      );
    const isUp = async () => (await page.driver.findElements(By.css(".pot-carried"))).length > 0;
    const lift = (code: string) =>
      page.eventually(async () => {
        if (await isUp()) return true;
        await page.driver.executeScript("arguments[0].focus()", await pot(code));
        await press(" ");
        return isUp();
      }, `${code} was never lifted`);
    const putDown = async (key: string) => {
      await press(key);
      await page.eventually(async () => !(await isUp()), "it was never put down");
    };
    await lift("H1");
    await press(Key.ARROW_RIGHT);
    await hears("H1 behind H2 on Rack, high");
    await putDown(" ");
    await page.sees("H1 stands behind H2 on Rack, high.");
    await stand("Rack, high", ["H2", "H1", "H3"]);
    await lift("H1");
    await press(Key.ARROW_UP);
    await hears("on Rack, low");
    await putDown(" ");
    await page.eventually(async () => (await row("Rack, low")).includes("H1"), "it did not go to the other shelf");
    expect(await row("Rack, high")).toEqual(["H2", "H3"]);
    // Lifted and let go with Escape it stays.
    await lift("H2");
    await press(Key.ARROW_RIGHT);
    await hears("H2 behind H3");
    await putDown(Key.ESCAPE);
    expect(await row("Rack, high")).toEqual(["H2", "H3"]);
  });

  it("by a finger held down on the telephone; a short press opens the card", async () => {
    await app.browser.resize(phone);
    await openBenches();
    const [from, to] = [await pot("H2"), await pot("H3")];
    const box = async (one: WebElement) =>
      page.driver.executeScript<{ x: number; y: number; width: number }>(
        "const { left, top, width, height } = arguments[0].getBoundingClientRect(); return { x: left + width / 2, y: top + height / 2, width };",
        one,
      );
    const [a, b] = [await box(from), await box(to)];
    const touch = (type: string, points: readonly { x: number; y: number }[]) =>
      (
        page.driver as unknown as { sendDevToolsCommand: (name: string, params: object) => Promise<void> }
      ).sendDevToolsCommand("Input.dispatchTouchEvent", { type, touchPoints: points });
    await touch("touchStart", [a]);
    await page.driver.sleep(500);
    const steps = 8;
    const target = { x: b.x + b.width / 3, y: b.y };
    for (let i = 1; i <= steps; i++) {
      await touch("touchMove", [{ x: a.x + ((target.x - a.x) * i) / steps, y: a.y + ((target.y - a.y) * i) / steps }]);
      await page.driver.sleep(30);
    }
    await touch("touchEnd", []);
    await stand("Rack, high", ["H3", "H2"]);
    await (await pot("H3")).click();
    await page.found(By.xpath("//*[@role='dialog']//a[normalize-space()='Open']"), "no card was opened");
    await app.browser.resize(laptop);
  });

  it("a find on the lower shelf came down from the upper one, which is found afterwards", async () => {
    const found = async (code: string, days: number, number: string) => {
      await page.open(`/plants/${ids[code]}/look`);
      await page.press("Unpotted, rinsed over a tray");
      await page.press("Roots");
      await page.press("Found something");
      await page.select("Pest", "Root mealybugs");
      await page.fill("Or the number you counted", number);
      await page.fill("When", `${daysAgo(days)}T00:00`);
      await page.press("Save the find");
      return page.arrives(/^\/cases\/[0-9a-f-]{36}$/);
    };
    const low = await found("D1", 0, "4");
    await found("H3", 0, "60");
    await page.open(`${low}/around`);
    await page.eventually(async () => {
      await page.open(`${low}/around`);
      return (await page.text()).includes("H3 above it, dripping");
    }, "the shelf above was never blamed");
    // It has given them to nobody itself: what stands beside it in a saucer of its own gets none of its water.
    await page.sees("Nothing stands next to it.");
    await page.eventually(async () => {
      await page.open(`/plants/${ids["D2"]}`);
      return (await page.text()).includes("H3 above it, dripping");
    }, "what stands beside it under the drip was never reckoned");
  });

  it("the year plays back: the days go on by themselves, and a find is drawn with its way", async () => {
    await page.open("/benches");
    await page.press("How it got here");
    await page.arrives(/replay$/);
    const shown = () => page.driver.executeScript<string>("return document.querySelector('.replay-day').textContent");
    const last = await shown();
    await page.sees("D1: root mealybugs found");
    await page.sees("most likely from H3");
    expect(await page.driver.findElements(By.css(".replay-ways path"))).not.toEqual([]);
    await page.pressNamed("Play the year");
    await page.eventually(async () => (await shown()) !== last, "it did not begin");
    const begun = await shown();
    await page.eventually(async () => (await shown()) !== begun, "it does not go on");
    await page.pressNamed("Stop");
    await page.press("+1 week");
  });

  it("an arrival, from the door to the shelf", async () => {
    await page.open("/plants/new");
    await page.fill("Code on the label", "A1");
    await page.fill("Name", "Newcomer");
    await page.fill("Genus", "Mammillaria");
    await page.fill("Pot width, cm", "9");
    await page.fill("Acquired on", daysAgo(16));
    await page.fill("Seller", "Cactus club swap");
    await page.select("Where it stands", "Cell");
    await page.press("Add the plant");
    const plant = await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("new here");
    await page.sees("Inspect it before it comes in");
    await page.sees("bare-root it");
    await page.press("Inspect it before it comes in");
    await page.sees("For a new arrival: check the wrapping");
    await page.fill("When", `${daysAgo(16)}T12:00`);
    await page.press("Nothing found");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("Inspected at the door on");
    await page.open("/arrivals");
    await page.sees("still unwashed");
    for (const days of [8, 1]) {
      await page.open(`${plant}/look?all=1`);
      await page.fill("When", `${daysAgo(days)}T12:00`);
      await page.press("Nothing found");
      await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    }
    await page.sees("2 of 2 clean looks");
    await page.eventually(async () => {
      await page.open(plant);
      return (await page.text()).includes("It may join on");
    }, "when it may join was never said");
    await page.press("Bring back");
    await page.select("To", "Rack, high");
    // Of one that hardly carries anything hardly any plant would catch something.
    await page.sees("from it within a month");
    await page.press("Move it");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    const text = await page.text();
    expect(text).not.toContain("new here");
  });

  it("the evening's looks, done in part on the telephone and resumed", async () => {
    await app.browser.resize(phone);
    await page.open("/walk/tonight?minutes=10");
    await page.sees("expected to carry something");
    await page.press("Start the walk");
    await page.sees("Nothing found, next");
    await page.press("Nothing found, next");
    await page.sees("1 of ");
    await page.press("Leave");
    await page.sees("Continue where you left off");
    await page.sees("Random sample");
    await page.press("Continue");
    await page.sees("1 of ");
    await page.sees("Nothing found, next");
    await app.browser.resize(laptop);
  });
});
