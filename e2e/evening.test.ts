import pg from "pg";
import { By } from "selenium-webdriver";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { idOf } from "../demo/loadDemo";
import type { PlannedDose } from "../src/core/record/facts/kinds/programme";
import { adoptPlan } from "../src/operations/cases/commands/adoptPlan";
import { today, type Context } from "../src/operations/shared/context";
import { expectOk } from "../src/operations/shared/outcome";
import { recordLook } from "../src/operations/looks/commands/recordLook";
import { openApplication, type Application } from "./support/application";
import { phone } from "./support/browser";
import type { Page } from "./support/page";

const soap = { mix: "soapMild", technique: "spray" } as const;
const bath = { mix: "soapMild", technique: "dunk" } as const;
const dab = { mix: "alcoholQuarter", technique: "dab" } as const;
const neem = { mix: "neemUsual", technique: "spray" } as const;
/** Ten plants beside the two of the demo that are due: three mixes, one plant dunked. */
const plans: readonly (readonly [code: string, dose: PlannedDose])[] = [
  ...(["L09", "L11"] as const).map((code) => [code, soap] as const),
  ["L12", bath],
  ...(["L13", "L15", "R16"] as const).map((code) => [code, dab] as const),
  ...(["L06", "L07", "L16", "R18"] as const).map((code) => [code, neem] as const),
];

async function planTonight(context: Context): Promise<void> {
  for (const [code, dose] of plans) {
    const plantId = idOf("plant", code);
    const caseId = uuidv7();
    const find = { id: uuidv7(), caseId, pest: "mealybug", severity: "light", count: 4, removed: false } as const;
    const look = { id: uuidv7(), plantId, tool: "lamp", spots: ["axil"], note: "", finds: [find] } as const;
    expectOk(await recordLook(context, { ...look, at: context.now, spots: [...look.spots], finds: [...look.finds] }));
    const dates = [today(context)];
    const chosen = { mix: "soapMild", technique: "spray", basis: "own", dates, doses: [dose] } as const;
    expectOk(await adoptPlan(context, { id: uuidv7(), caseId, ...chosen, doses: [...chosen.doses] }));
  }
}

/** An evening of twelve plants in three mixes with a bath, on the phone, broken off twice and with the line cut. */
describe("an evening", () => {
  let app: Application;
  let page: Page;
  beforeAll(async () => {
    app = await openApplication(phone, { keepsPages: true });
    page = app.page;
    await planTonight(await app.context());
  });
  afterAll(() => app.close());

  const acts = async () => {
    const client = new pg.Client(app.databaseUrl);
    await client.connect();
    const sql = `select act ->> 'mix' as mix, act ->> 'technique' as technique, step_id as step from acts
      where recorded_at > now() - interval '1 hour' and voided_at is null`;
    return (await client.query<{ mix: string; technique: string; step: string }>(sql).finally(() => client.end())).rows;
  };
  const heading = () =>
    page.driver.executeScript<string>("return document.querySelector('main .session-plant')?.textContent ?? ''");
  /** Presses through the plants of a session, so many of them. */
  const treat = async (many: number) => {
    for (let i = 0; i < many; i++) {
      const before = await heading();
      await page.press("Done, next");
      await page.eventually(async () => (await heading()) !== before, `${before} stays`);
    }
  };

  it("is planned: what fits, in three batches, with one bath and what its leftover serves", async () => {
    await page.open("/today");
    await page.press("Plan the evening");
    await page.arrives(/^\/evening$/);
    await page.fill("From", "18:00");
    await page.fill("Until", "23:00");
    await page.sees("12 plants, ");
    await page.sees("One bath of");
    await page.sees("What is left, strained, is enough for");
    await page.fill("Until", "18:30");
    await page.sees("for lack of time");
    await page.fill("Until", "23:00");
    await page.fill("Pots that can dry at the same time", "5");
    await page.sees("for lack of drying space");
    await page.fill("Pots that can dry at the same time", "12");
    await page.sees("12 plants, ");
    // A page that was opened while the worker began to stand before pages has none: the next one has.
    await page.eventually(async () => {
      if (await page.driver.executeScript<boolean>("return navigator.serviceWorker.controller !== null")) return true;
      await new Promise((resolve) => setTimeout(resolve, 2000));
      await page.reload();
      return false;
    }, "no worker stands before the pages");
  });

  it("the first mix, with the line cut in the middle, and the page closed and opened again without it", async () => {
    await page.open("/session/due/soapMild");
    await page.found(By.css("[aria-label='Wear, and have ready']"), "nothing is said of what to wear");
    await page.press("Plant by plant");
    await page.sees("0 of 5");
    await treat(2);
    await page.eventually(async () => (await acts()).length === 2, "the first two were not sent");
    await page.open("/session/due/soapMild");
    await page.sees("Plant by plant");
    await page.offline(true);
    await page.press("Plant by plant");
    await treat(1);
    await page.sees("kept in this browser");
    // Broken off: the page is closed and opened without a line, and goes on where it was.
    await page.open("/session/due/soapMild");
    await page.press("Plant by plant");
    await treat(2);
    await page.sees("All done.");
    await page.offline(false);
    await page.eventually(async () => (await acts()).length === 5, "what was kept did not arrive");
  });

  it("the other two mixes, broken off between them; twelve acts stand, each step once, one of them a dunk", async () => {
    // What is dabbed is done plant by plant, and nothing else is offered.
    await page.open("/session/due/alcoholQuarter");
    await treat(1);
    await page.press("Back to Today");
    await page.arrives(/^\/today$/);
    await page.open("/session/due/alcoholQuarter");
    await treat(2);
    await page.sees("All done.");
    await page.open("/session/due/neemUsual");
    await page.press("Plant by plant");
    await treat(4);
    await page.sees("All done.");
    await page.eventually(async () => (await acts()).length === 12, "twelve acts do not stand");
    const all = await acts();
    expect(new Set(all.map(({ step }) => step)).size).toBe(12);
    expect(all.filter(({ technique }) => technique === "dunk")).toHaveLength(1);
    await page.open("/evening");
    await page.sees("Nothing is due tonight");
    // What each is waited for is on every page.
    await page.sees("drying by the fan until");
  });
});
