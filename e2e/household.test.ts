import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectOk } from "../src/operations/shared/outcome";
import { recordLook } from "../src/operations/looks/commands/recordLook";
import { openApplication, type Application } from "./support/application";
import { idOf } from "./support/rows";
import type { Page } from "./support/page";

/** A keeper with a cat, and thrips on a plant. */
describe("who lives with the plants", () => {
  let app: Application;
  let page: Page;
  let plantId: string;
  const caseId = uuidv7();
  beforeAll(async () => {
    app = await openApplication();
    page = app.page;
    plantId = await idOf(app.databaseUrl, "select id from plants where code = 'L02'");
    const find = { id: uuidv7(), caseId, pest: "thrips", severity: "light", count: 4, removed: false } as const;
    const look = { id: uuidv7(), plantId, at: new Date(Date.now() - 86_400_000), tool: "lamp", note: "" } as const;
    expectOk(await recordLook(await app.context(), { ...look, spots: ["underside"], finds: [find] }));
  });
  afterAll(() => app.close());

  const plan = async () => {
    await page.open(`/cases/${caseId}/plan`);
    await page.settled();
    if ((await page.text()).includes("Show everything"))
      await page.press("Show everything, also what is not tolerated");
    await page.press("Your own plan: any remedy, any dates");
    return page.text();
  };
  const mixing = async () =>
    page.driver.executeScript<string[]>(
      "return [...arguments[0].options].map((one) => one.textContent)",
      await page.field("Remedy"),
    );

  it("before anybody says so, every remedy is there: those with rules of their own with their cautions", async () => {
    const text = await plan();
    expect(text).toContain("Spinosad once, then soap sprayed");
    expect(text).toContain("Pyrethrins once, then soap sprayed");
    await page.press("Pyrethrins");
    await page.sees("It harms cats, fish");
    await page.sees("Pests become resistant to it");
    await page.open("/mixing");
    expect(await mixing()).toEqual(expect.arrayContaining(["Pyrethrins", "Peppermint or cinnamon oil"]));
  });

  it("with a cat, pyrethrins and peppermint are proposed nowhere, and the act is refused with the reason", async () => {
    await page.open("/settings");
    await page.press("Cats");
    await page.press("Save");
    await page.sees("Saved.");
    const text = await plan();
    expect(text).toMatch(/Pyrethrins once, then soap sprayed\s+Left out: harms cats/);
    const buttons = await page.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('[aria-label=Remedy] button')].map((one) => one.textContent)",
    );
    expect(buttons).toContain("Spinosad");
    expect(buttons).not.toContain("Pyrethrins");
    expect(buttons).not.toContain("Peppermint or cinnamon oil");
    await page.open("/mixing");
    const offered = await mixing();
    expect(offered).toContain("Soap wash");
    expect(offered).not.toContain("Pyrethrins");

    await page.open(`/plants/${plantId}/act`);
    await page.select("Mix", "Pyrethrins, mixed as their label says");
    await page.sees("Cats live here, and this harms them");
    await page.sees("It has already been done; record it anyway");
  });

  it("predators are let loose, and a spray is told of before it is written down", async () => {
    await page.open(`/plants/${plantId}/act`);
    await page.select("What you do", "Release predators");
    await page.press("Save");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    await page.sees("live here until");
    await page.open(`/plants/${plantId}/act`);
    await page.sees("Beneficials you released still live here: this kills them too.");
  });
});
