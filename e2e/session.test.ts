import pg from "pg";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addPlace } from "../src/operations/addPlace";
import { addPlants } from "../src/operations/addPlants";
import { expectOk } from "../src/operations/outcome";
import { openApplication, type Application } from "./support/application";
import { phone } from "./support/browser";
import type { Page } from "./support/page";

const ORCHIDS = 40;

/** Forty orchids, half of them thin-leaved, sprayed in one go: a phone in one hand. */
describe("several plants at once", () => {
  let app: Application;
  let page: Page;
  let placeId: string;
  const acts = async () => {
    const client = new pg.Client(app.databaseUrl);
    await client.connect();
    const sql = `select a.act->>'mix' as mix, count(*)::int as n from acts a join plants p on p.id = a.plant_id
      where p.code like 'OR%' and a.voided_at is null group by 1 order by 1`;
    return client
      .query<{ mix: string; n: number }>(sql)
      .then(({ rows }) => rows)
      .finally(() => client.end());
  };
  const none: Awaited<ReturnType<typeof acts>> = [];
  const stand = (expected: typeof none, why: string) =>
    page.eventually(async () => JSON.stringify(await acts()) === JSON.stringify(expected), why);

  beforeAll(async () => {
    app = await openApplication(phone);
    page = app.page;
    const context = await app.context();
    placeId = uuidv7();
    const place = {
      id: placeId,
      name: "Orchid bench",
      kind: "shelf",
      parentId: null,
      celsius: 20,
      readingId: uuidv7(),
    };
    expectOk(await addPlace(context, place as Parameters<typeof addPlace>[1]));
    const plants = Array.from({ length: ORCHIDS }, (_, i) => ({
      ...{ id: uuidv7(), placementId: uuidv7(), placeId, code: `OR${i + 1}`, name: "Orchid" },
      ...(i % 2 === 0
        ? { genus: "Oncidium", growthForm: "pseudobulbOrchid" as const }
        : { genus: "Phalaenopsis", growthForm: "fanOrchid" as const }),
      ...{ potCm: 12, acquiredOn: null, seller: "", inFlower: false },
    }));
    expectOk(await addPlants(context, { plants }));
  });
  afterAll(() => app.close());

  it("forty orchids in two strengths: six presses, and each has its own line", async () => {
    await page.open("/today");
    await page.press("Several plants at once");
    await page.arrives(/^\/session$/);
    await page.choose("Who", `Orchid bench: ${ORCHIDS}`);
    await page.select("What you do", "Smothering oil");
    await page.sees("Oil 1 %, thin or soft leaves: 1.2 L for 20 plants");
    await page.sees("Oil 2 %, thick leathery leaves: 1.2 L for 20 plants");
    await page.press("All done: 40 plants");
    await page.sees("Written down for 40 plants.");
    await stand(
      [
        { mix: "oil1", n: 20 },
        { mix: "oil2", n: 20 },
      ],
      "forty acts do not stand",
    );
  });

  it("taken back it is taken back for all of them; with the line cut it waits, and arrives", async () => {
    await page.press("Undo");
    await stand(none, "they were not taken back");
    // A caution that was never on the screen is not read, though the press was made.
    await page.sees("All done: 40 plants");
    expect(await page.text()).not.toContain("that you have read before");
    for (const line of await page.driver.findElements({ css: "main [aria-label=Cautions] li" })) {
      await page.driver.executeScript("arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })", line);
      await page.driver.sleep(150);
    }
    await page.offline(true);
    await page.press("All done: 40 plants");
    await page.sees("40 entries are kept in this browser");
    await page.offline(false);
    await stand(
      [
        { mix: "oil1", n: 20 },
        { mix: "oil2", n: 20 },
      ],
      "what was kept did not arrive",
    );
    await page.press("Undo");
    await page.sees("that you have read before");
    await stand(none, "they were not taken back");
  });
});
