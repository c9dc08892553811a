import { By, Key } from "selenium-webdriver";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import sharp from "sharp";
import ICAL from "ical.js";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import { addDays } from "../src/core/shared/days";
import type { GnatWayId } from "../src/core/acts/gnatWayIds";
import { gnatWays } from "../src/core/acts/gnatWays";
import { addPlace } from "../src/operations/places/commands/addPlace";
import { beginProgramme } from "../src/operations/seasons/commands/beginProgramme";
import { countTraps } from "../src/operations/seasons/commands/countTraps";
import { endProgramme } from "../src/operations/seasons/commands/endProgramme";
import { today, type Context } from "../src/operations/shared/context";
import { groupAsked, readGroup } from "../src/operations/sessions/queries/readGroup";
import { movePlant } from "../src/operations/plants/commands/movePlant";
import { expectOk } from "../src/operations/shared/outcome";
import { recordAct } from "../src/operations/acts/commands/recordAct";
import { drawCard } from "../src/imaging/tests/drawCard";
import { openApplication, type Application } from "./support/application";
import { brokenRules } from "./support/axe";
import { laptop, phone } from "./support/browser";
import type { Page } from "./support/page";

const ago = (context: Context, days: number): Context => ({
  ...context,
  now: new Date(context.now.getTime() - days * 86_400_000),
});
const size = { pots: 7, drenchMl: 1500, cards: 1 };
/** A drawn card in a file, and how many flies lie on it. */
async function photoOfCard() {
  const { frame, drawn } = await drawCard(3, "used");
  const { width, height } = frame;
  const file = path.join(mkdtempSync(path.join(tmpdir(), "wary-card-")), "card.png");
  await sharp(Buffer.from(frame.data), { raw: { width, height, channels: 4 } })
    .png()
    .toFile(file);
  return { file, flies: drawn.filter(({ kind }) => kind === "fly").length };
}

const act = (context: Context, way: GnatWayId, placeId: string) => {
  const filed = { plantId: null, placeId, caseId: null, stepId: null };
  return recordAct(context, {
    id: uuidv7(),
    ...filed,
    act: gnatWays[way].act(size),
    at: context.now,
    note: "",
    alreadyDone: false,
  });
};

/** Rooms and seasons, as a keeper meets them on a laptop. */
describe("rooms and seasons", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication(laptop);
    page = app.page;
  });
  afterAll(() => app.close());

  it("a room of gnats begins with a card, and its first count", async () => {
    await page.open(`/benches/places/${idOf("place", "ledgeWest")}`);
    await page.press("Gnats");
    await page.arrives(/gnats$/);
    await page.sees("No flies counted yet");
    await page.press("Start");
    await page.sees("Due now");
    await page.sees("Yellow cards");
    await page.pressNamed("Do: Yellow cards");
    await page.sees("Hang cards where no pet");
    await page.press("Done");
    await page.sees("count in 7 days");
    await page.press("Count on a photo");
    await page.select("Size of the card", "7.5 × 10 cm");
    const { file, flies } = await photoOfCard();
    await (await page.field("Photo of the card")).sendKeys(file);
    await page.sees(`${flies} flies on card 1`);
    expect(await brokenRules(page.driver)).toEqual([]);
    // One of them is dirt.
    await page.pressNamed("1: a fly");
    await page.sees(`${flies - 1} flies on card 1`);
    expect(await page.valueOf("Flies on all cards together")).toBe(String(flies - 1));
    await page.press("Save");
    await page.sees(`: ${flies - 1} flies`);
    await page.sees("Too early to tell");
    await page.sees("On the cards, week by week");
    await page.open("/today");
    await page.sees("Lamp-room ledge, west: dry top");
  });

  it("is told whether it works, and called over after weeks of empty cards", async () => {
    const context = await app.context();
    const placeId = idOf("place", "rackTop");
    const begun = ago(context, 119);
    const chosen = { programme: "gnats" as const, ways: ["dryTop", "larvicide", "cards"] as GnatWayId[] };
    expectOk(await beginProgramme(begun, { id: uuidv7(), placeId, chosen }));
    for (const way of chosen.ways) expectOk(await act(begun, way, placeId));
    for (const [week, flies] of [14, 9, 3, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0].entries()) {
      const then = ago(context, 112 - 7 * week);
      const counted = { id: uuidv7(), placeId, plantId: null, what: "cards" as const, days: 7, count: flies };
      expectOk(await countTraps(then, { ...counted, at: then.now }));
      if (week < 10) expectOk(await act(then, "larvicide", placeId));
      if (week % 4 === 3) expectOk(await act(then, "cards", placeId));
    }
    await page.open(`/benches/places/${placeId}/gnats`);
    await page.sees("the chance that none is left is");
    await page.fill("Flies on all cards together", "0");
    await page.press("Save");
    await page.sees("Saved.");
    await page.sees("It is probably over");
    await page.press("Say it is over");
    await page.sees("Start against them");
    await page.open(`/benches/places/${placeId}`);
    await page.sees("Gnats in the room: over");
  });

  it("a wintering that is begun late says who does not fit, and goes on plant by plant", async () => {
    const context = await app.context();
    const terrace = uuidv7();
    const place = { id: terrace, name: "Lee terrace", kind: "outdoors" as const, parentId: null, celsius: 13 };
    expectOk(await addPlace(context, { ...place, readingId: uuidv7() }));
    for (const code of ["L06", "L07", "L11", "L12", "L13"])
      expectOk(
        await movePlant(context, { id: uuidv7(), plantId: idOf("plant", code), placeId: terrace, at: context.now }),
      );
    // The demo's own has its form on the same page.
    const own = { programme: "wintering" as const, placeId: idOf("place", "terrace"), outcome: "stopped" as const };
    expectOk(await endProgramme(context, { id: uuidv7(), ...own, note: "" }));
    await page.open("/today");
    await page.press("In for winter");
    await page.arrives(/^\/wintering$/);
    await page.select("From", "Lee terrace (5 plants)");
    await page.select("To", "Stairwell (0 plants)");
    await page.fill("In by", addDays(today(context), 3));
    await page.fill("Pots that can dry at the same time", "1");
    await page.press("Start");
    await page.sees("0 of 5 are ready");
    await page.sees("Do not fit on any evening before the move");
    await page.fill("Pots that can dry at the same time", "6");
    await page.fill("Minutes per evening", "240");
    await page.press("Save this");
    await page.press("Start, step by step or plant by plant");
    await page.arrives(/^\/session$/);
    // One step for all of them, taken back, and done again.
    await page.sees("0 of 5");
    await page.press("Inspect: all done: 5 plants");
    await page.sees("Inspect: recorded for 5 plants.");
    await page.press("Undo");
    await page.pressNamed("Done: L06");
    await page.sees("L06: recorded for one plant.");
    // Everything on one plant after the other; what is not needed by all is not pressed with it.
    await page.press("Plant by plant");
    for (const code of ["L06", "L07"]) {
      const there = By.xpath(`//main//article[starts-with(@aria-label, "${code} ")]`);
      await page.found(there, `${code} is not the next one`);
      await page.press("Done, next");
    }
    // A page that is left within the same moment may not have kept the press yet.
    const arrived = async (one: string) => {
      const { plants } = await readGroup(await app.context(), groupAsked("winter", terrace));
      return plants.find(({ code }) => code === one)!.lately.looked;
    };
    await page.eventually(async () => (await arrived("L06")) && (await arrived("L07")), "the presses never arrived");
    await page.eventually(async () => {
      await page.open("/wintering");
      return (await page.text()).includes("2 of 5 are ready");
    }, "two plants were never ready");
    const { plants: there } = await readGroup(await app.context(), groupAsked("winter", terrace));
    const ready = there.find(({ code }) => code === "L06")!.lately;
    expect(ready.acts.map(({ act: one }) => one.kind).toSorted()).toEqual([
      ...["clean", "contact", "drench", "mechanical", "mechanical"],
    ]);
    expect(ready.looked).toBe(true);
    await page.open("/today");
    await page.sees("Lee terrace: prepare 3 plants for winter");
  });

  it("a calendar elsewhere reads what is due from a private address, until it is ended", async () => {
    await page.open("/calendar");
    await page.sees("Look at ");
    await page.fill("For which calendar", "Kitchen");
    await page.press("Create a link");
    await page.sees("Shown only once, so copy it now");
    const [address] = /http:\S+\.ics/.exec(await page.text())!;
    const answer = await fetch(address);
    expect([answer.status, answer.headers.get("content-type")]).toEqual([200, "text/calendar; charset=utf-8"]);
    const events = new ICAL.Component(ICAL.parse(await answer.text())).getAllSubcomponents("vevent");
    const summaries = events.map((one) => new ICAL.Event(one).summary);
    expect(summaries).toContain("Lee terrace: bring 5 plants in");
    expect(summaries.some((one) => one.startsWith("L08: soap wash"))).toBe(true);
    await page.pressNamed("Revoke Kitchen");
    await page.eventually(async () => (await fetch(address)).status === 404, "it is still answered");
  });

  it("rounds say what they are worth before they are begun, and predators stand in their way", async () => {
    await page.open("/prevention");
    await page.sees("Plants saved");
    await page.press("Soap wash, mild (5 mL per litre)");
    await page.press("All that tolerate it");
    await page.select("From", "January");
    await page.select("Until the end of", "December");
    await page.press("Start");
    await page.sees("fit tonight");
    await page.select("Where", "Lamp-room ledge, east");
    await page.press("Start");
    await page.sees("would spray");
  });
});

describe("rooms on a phone", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication(phone);
    page = app.page;
  });
  afterAll(() => app.close());

  it("one shelf is in sight at a time: chosen by its name, and stepped to the next", async () => {
    await page.open("/benches");
    const inSight = () =>
      page.driver.executeScript<string[]>(
        `const { left, right } = document.querySelector(".shelves").getBoundingClientRect();
         return [...document.querySelectorAll("[data-shelf]")].filter((shelf) => {
           const box = shelf.getBoundingClientRect();
           return box.left < right - 5 && box.right > left + 5;
         }).map((shelf) => shelf.querySelector("a").textContent);`,
      );
    const sees = (name: string) => async () => {
      const there = await inSight();
      return there.length === 1 && there[0] === name;
    };
    await page.eventually(sees("Lamp-room ledge, east"), "not one shelf alone");
    await page.choose("Shelf", "Boat-shed bench");
    await page.eventually(sees("Boat-shed bench"), "the chosen shelf did not come");
    await page.pressNamed("The next shelf");
    await page.eventually(sees("Bathroom sill"), "the next shelf did not come");
  });

  it("rooms are carried over their plan, and lie there when it is opened again", async () => {
    await page.open("/benches/plan");
    const room = () => page.driver.findElement(By.css('section[aria-label="Bathroom"] .plan-name'));
    const where = async () => (await (await room()).getAttribute("aria-label")) ?? "";
    await page.eventually(async () => (await where()).includes("column 3, row 2"), "it is not where the demo has it");
    await (await room()).sendKeys(Key.ARROW_RIGHT);
    await page.eventually(async () => (await where()).includes("column 4, row 2"), "it did not move");
    // Where another lies the two change places.
    await (await room()).sendKeys(Key.ARROW_LEFT, Key.ARROW_LEFT);
    await page.eventually(async () => (await where()).includes("column 2, row 2"), "it did not move back");
    await page.sees("Saved.");
    const kept = async () => {
      await page.open("/benches/plan");
      return (await where()).includes("column 2, row 2") && (await page.text()).includes("Stairwell");
    };
    await page.eventually(kept, "it was not kept");
  });

  it("is pasted, comes in once, and shows where the trouble will be", async () => {
    const day = today(await app.context());
    const rows = Array.from({ length: 365 }, (_, i) => {
      const mean = 21 + 6 * Math.cos((2 * Math.PI * i) / 365);
      return `${addDays(day, i - 365)};${(mean - 3).toFixed(1).replace(".", ",")};${(mean + 4).toFixed(1).replace(".", ",")};41`;
    });
    const paste = async (lines: readonly string[]) => {
      await page.open(`/benches/places/${idOf("place", "rackTop")}/climate`);
      await page.press("Paste it, or choose a file");
      await page.fill("Pasted", ["date;min;max;humidity", ...lines].join("\n"));
      await page.press("Import");
    };
    await paste([...rows.slice(0, 5), "someday;1;2;40"]);
    await page.sees("Nothing was imported.");
    await page.sees("Row 6, date: is not a day or time");
    await paste(rows);
    await page.sees("365 days new, 0 known already.");
    await paste(rows);
    await page.sees("0 days new, 365 known already.");
    await page.sees("mites double in");
    await page.press("By month, as a table");
    await page.sees("Highest");
    await page.open("/benches/climate");
    await page.sees("Lit rack, top");
    await page.sees("dry air");
  });
});
