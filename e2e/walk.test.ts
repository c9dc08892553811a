import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import pg from "pg";
import { addPlace } from "../src/operations/places/commands/addPlace";
import { addPlant } from "../src/operations/plants/commands/addPlants";
import { expectOk } from "../src/operations/shared/outcome";
import { openApplication, type Application } from "./support/application";
import { openBrowser, phone } from "./support/browser";
import { Page } from "./support/page";

const PLANTS = 20;

describe("a walk with the telephone in one hand", () => {
  let app: Application;
  let page: Page;
  let walk: string;
  beforeAll(async () => {
    app = await openApplication(phone);
    page = app.page;
    // Two shelves of ten vines each, in a room of their own.
    const context = await app.context();
    const place = async (name: string, kind: "room" | "shelf", parentId: string | null) => {
      const id = uuidv7();
      expectOk(await addPlace(context, { id, name, kind, parentId, readingId: uuidv7(), celsius: 22 }));
      return id;
    };
    const room = await place("Gallery", "room", null);
    const shelves = [await place("Gallery, left", "shelf", room), await place("Gallery, right", "shelf", room)];
    for (let i = 1; i <= PLANTS; i++) {
      const plant = { code: `G${String(i).padStart(2, "0")}`, name: "Vine", genus: "Hoya", growthForm: "trailingVine" };
      const rest = { potCm: 15, acquiredOn: null, seller: "", inFlower: false } as const;
      const ids = { id: uuidv7(), placementId: uuidv7(), placeId: shelves[i <= PLANTS / 2 ? 0 : 1]! };
      expectOk(await addPlant(context, { ...ids, ...plant, ...rest, growthForm: "trailingVine" }));
    }
  });
  afterAll(() => app.close());

  const begin = async () => {
    await page.open("/walk");
    await page.press("One place");
    await page.select("Which place", `Gallery: ${PLANTS}`);
    await page.press("Start");
    await page.sees("Nothing found, next");
    return new URL(await page.driver.getCurrentUrl()).pathname;
  };
  const code = async () => (await page.heading()).split(" ")[0]!;
  const ask = async <T extends object>(sql: string): Promise<T> => {
    const client = new pg.Client(app.databaseUrl);
    await client.connect();
    return client
      .query(sql)
      .then(({ rows }) => rows[0] as T)
      .finally(() => client.end());
  };
  const landed = async () =>
    (await ask<{ n: number }>(`select count(*)::int as n from looks where walk_id = '${walk.split("/").at(-1)}'`)).n;
  const eventually = (what: () => Promise<boolean>, why: string) => page.eventually(what, why);
  const find = async (pest: string) => {
    await page.press("Found something");
    await page.press(pest);
    await page.press("Light: 3–10");
    await page.press("Save the find");
    await page.sees("Who stood near");
  };

  it("20 plants, 17 of them clean: one press for each clean one, and one for each border", async () => {
    walk = await begin();
    let presses = 0;
    let borders = 0;
    const order: string[] = [];
    for (let left = PLANTS; left > 0;) {
      if ((await page.heading()) === "Clean hands, clean tools") {
        await page.press("Cleaned, continue");
        borders++;
        continue;
      }
      const now = await code();
      order.push(now);
      left--;
      if (["G03", "G12", "G13"].includes(now)) {
        await find("Mealybugs");
        await page.press("Continue the walk");
      } else {
        await page.press("Nothing found, next");
        presses++;
      }
    }
    await page.sees("All plants done");
    expect(presses).toBe(17);
    // One after each find: clean plants follow the first, plants at risk the others.
    expect(borders).toBe(3);
    // The find on the left shelf sends its neighbours behind the clean ones on the right; with the find there all are at risk,
    // and the walk goes back along the shelves from where it stands.
    const run = (from: number, to: number) =>
      Array.from(
        { length: Math.abs(to - from) + 1 },
        (_, i) => `G${String(from + Math.sign(to - from) * i).padStart(2, "0")}`,
      );
    expect(order).toEqual(["G01", "G02", "G03", "G11", "G12", ...run(20, 13), ...run(4, 10)]);
    await page.sees("17 with nothing found, 3 with finds, 0 skipped.");
    await eventually(async () => (await landed()) === PLANTS, "not every look landed");
    await page.press("Finish the walk");
    await page.sees("The walk is finished.");
    // Some forty presses: a loaded machine takes its time over them.
  }, 240_000);

  it("undo goes back to any depth, a skip has its reason, and leaving keeps everything, on another device too", async () => {
    walk = await begin();
    const first = await code();
    await page.press("Nothing found, next");
    const second = await code();
    await page.press("Skip");
    await page.press("Out of reach");
    const third = await code();
    await page.press("Nothing found, next");
    for (const back of [third, second, first]) {
      await page.press("Undo");
      expect(await code()).toBe(back);
    }
    await page.press("New growth clean");
    await page.press("Nothing found, next");
    await page.press("Skip");
    await page.press("Wet or in the dark after treatment");
    await page.sees("2 of 20");
    await eventually(async () => (await landed()) === 3, "the looks did not land");
    await page.press("Leave");
    await page.sees("Continue where you left off");
    const other = await openBrowser(phone);
    try {
      const there = new Page(other.driver, page.base);
      await there.open("/walk");
      await there.sees("2 of 20 done");
      await there.press("Continue");
      await there.sees("2 of 20");
      await there.press("Nothing found, next");
      await there.sees("3 of 20");
      await there.eventually(async () => (await landed()) === 4, "four were not sent");
    } finally {
      await other.close();
    }
    await page.press("Continue");
    await page.sees("3 of 20");
    const { note } = await ask<{ note: string }>(
      `select note from looks where walk_id = '${walk.split("/").at(-1)}' and voided_at is null and note <> ''`,
    );
    expect(note).toBe("New growth clean");
  });

  it("a dead connection loses nothing that was pressed, not even over a new page, and nothing lands twice", async () => {
    walk = await begin();
    await page.press("Nothing found, next");
    await eventually(async () => (await landed()) === 1, "the first look did not land");
    await page.offline(true);
    await page.press("Nothing found, next");
    await page.press("Nothing found, next");
    await find("Thrips");
    await page.press("Oil pantry");
    await page.press("Continue the walk");
    await page.sees("No connection: 4 entries are kept in this browser");
    await page.sees("4 of 20");
    expect(await landed()).toBe(1);
    await page.offline(false);
    await eventually(async () => (await landed()) === 4, "what was pressed offline did not land");
    await page.eventually(
      async () => !(await page.text()).includes("No connection"),
      "it still says that there is no connection",
    );
    const stands = `select count(*)::int as n from plant_states s join looks k on k.plant_id = s.plant_id
      where k.walk_id = '${walk.split("/").at(-1)}' and s.apart`;
    // It is sent last: now nothing is waiting any more.
    await eventually(async () => (await ask<{ n: number }>(stands)).n === 1, "it was not set apart");

    // The server does it, but its answer never arrives: the page sends it again, then the page itself is lost.
    await page.driver.executeScript(`
      const real = window.fetch;
      window.fetch = async (...all) => {
        await real(...all);
        throw new TypeError("the line went dead");
      };`);
    await page.press("Cleaned, continue");
    await page.press("Nothing found, next");
    await page.press("Nothing found, next");
    await page.sees("3 entries are kept in this browser");
    await page.open(walk);
    await page.sees("6 of 20");
    await eventually(async () => (await landed()) === 6, "what an earlier page kept did not land");
    const { n } = await ask<{ n: number }>(
      `select count(*)::int as n from looks where plant_id in (select plant_id from looks where walk_id = '${walk.split("/").at(-1)}')
         and happened_at > now() - interval '1 day' and walk_id is null`,
    );
    expect(n).toBe(0);

    // Undo as far as the find: it is no longer found, and no longer set apart.
    await page.open(walk);
    await page.sees("6 of 20");
    await find("Thrips");
    await page.press("Under a bag, where it is");
    await eventually(async () => (await ask<{ n: number }>(stands)).n === 2, "it was not set apart");
    await page.press("Undo");
    await page.sees("6 of 20");
    await eventually(async () => (await ask<{ n: number }>(stands)).n === 1, "it is still set apart");
  });

  it("refuses to call a plant looked at when no place was, and tells the meter as places are pressed", async () => {
    await page.open("/walk");
    await page.press("One place");
    await page.select("Which place", `Gallery: ${PLANTS - 1}`);
    await page.press("Places I press");
    await page.press("Start");
    await page.sees("Chance you would have seen a light infestation: 0 %");
    await page.press("Nothing found, next");
    await page.sees("First press the places you looked at.");
    await page.press("Leaf undersides");
    await page.sees("Chance you would have seen a light infestation");
    expect(await page.text()).not.toContain("have seen a light infestation: 0 %");
  });

  it("a sheet filled in on paper is entered with one press per clean plant", async () => {
    await page.open(`${new URL(await page.driver.getCurrentUrl()).pathname}/sheet`);
    await page.sees("Look first at");
    expect(await page.driver.findElements({ css: ".sheet tbody tr .box" })).toHaveLength(2 * (PLANTS - 1));
    await page.press("Enter it afterwards");
    await page.sees(`0 of ${PLANTS - 1} entered.`);
    const codes = await page.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('[aria-label$=clean]')].map((one) => one.ariaLabel.split(' ')[0])",
    );
    for (const one of codes.slice(0, 5)) await page.pressNamed(`${one} clean`);
    await page.sees(`5 of ${PLANTS - 1} entered.`);
    await page.pressNamed(`${codes[5]} found`);
    await page.press("Spider mites");
    await page.press("Trace: 1–2 animals");
    await page.press("Save the find");
    await page.sees(`6 of ${PLANTS - 1} entered.`);
  });

  it("only pages of this application may send commands", async () => {
    const { id } = (await app.context()).collection;
    const send = (headers: Record<string, string>) =>
      fetch(`${page.base}/walk/deeds`, {
        method: "POST",
        headers: { "content-type": "application/json", "x-collection": id, ...headers },
        body: JSON.stringify({ kind: "end", input: { walkId: uuidv7() } }),
      });
    expect((await send({})).status).toBe(403);
    expect((await send({ origin: "http://elsewhere.example" })).status).toBe(403);
    const answer = await (await send({ origin: page.base })).json();
    expect(answer).toMatchObject({ ok: false, problems: [{ path: "walkId" }] });
  });
});
