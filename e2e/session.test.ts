import pg from "pg";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addPlace } from "../src/operations/places/commands/addPlace";
import { addPlants } from "../src/operations/plants/commands/addPlants";
import { expectOk } from "../src/operations/shared/outcome";
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
    await page.choose("Which plants", `Orchid bench: ${ORCHIDS}`);
    await page.select("What you do", "Smothering oil");
    await page.sees("Oil 1 %, thin or soft leaves: 1.2 L for 20 plants");
    await page.sees("Oil 2 %, thick leathery leaves: 1.2 L for 20 plants");
    await page.press("All done: 40 plants");
    await page.sees("Recorded for 40 plants.");
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
    expect(await page.text()).not.toContain("you have read before");
    for (const line of await page.driver.findElements({ css: "main [aria-label=Cautions] li" })) {
      await page.show(line);
    }
    await page.offline(true);
    await page.press("All done: 40 plants");
    // Forty sprays, and the fan that is waited for.
    await page.sees("41 entries are kept in this browser");
    await page.offline(false);
    await stand(
      [
        { mix: "oil1", n: 20 },
        { mix: "oil2", n: 20 },
      ],
      "what was kept did not arrive",
    );
    await page.press("Undo");
    await page.sees("you have read before");
    await stand(none, "they were not taken back");
  });

  it("what plans ask for of one mix is one press too, each plant carrying out its own step", async () => {
    const steps = async () => {
      const client = new pg.Client(app.databaseUrl);
      await client.connect();
      const sql = `select count(*)::int as n from acts a join plants p on p.id = a.plant_id
        where p.code in ('L08', 'L10') and a.voided_at is null and a.step_id is not null and a.recorded_at > now() - interval '10 minutes'`;
      return client
        .query<{ n: number }>(sql)
        .then(({ rows }) => rows[0]!.n)
        .finally(() => client.end());
    };
    await page.open("/today");
    await page.press("Start");
    await page.arrives(/^\/session\/due\/soapMild$/);
    await page.sees("L08 Painted croton");
    const before = await steps();
    await page.press("All done: 2 plants");
    await page.sees("Recorded for 2 plants.");
    await page.eventually(async () => (await steps()) === before + 2, "their steps are not carried out");
    // Long after the page has heard that nothing is due any more, it can be taken back.
    await page.driver.sleep(6000);
    await page.press("Undo");
    await page.eventually(async () => (await steps()) === before, "they were not taken back");
  });
});
