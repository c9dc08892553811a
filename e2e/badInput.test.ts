import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { openApplication, type Application } from "./support/application";
import { daysAgo, type Page } from "./support/page";
import { idOf, written } from "./support/rows";

const LONG = "x".repeat(10_000);
const MARKUP = `<img src=x onerror="document.title='run'"><b>bold</b>`;
const future = `${daysAgo(-3)}T10:00`;
const inFuture = "This is in the future. Record only what has happened.";
const number = "Enter a number, such as 250 or 0.5.";
const required = "Fill this in.";

let app: Application;
let page: Page;
let before: Record<string, string>;
beforeAll(async () => {
  app = await openApplication();
  page = app.page;
});
afterAll(() => app.close());
beforeEach(async () => {
  before = await written(app.databaseUrl);
});

const plant = () => idOf(app.databaseUrl, "select id from plants where code = 'L02'");
const openCase = () =>
  idOf(app.databaseUrl, "select c.id from cases c join plants p on p.id = c.plant_id where p.code = 'L10'");
const path = async (before: string, id: Promise<string>, after = "") => `/${before}/${await id}${after}`;

interface Form {
  readonly form: string;
  readonly at: () => Promise<string>;
  /** Done once before anything is typed. */
  readonly first?: (page: Page) => Promise<void>;
  readonly good: Readonly<Record<string, string>>;
  readonly submit: string;
  /** A field, what is put into it, and what the page must answer. */
  readonly bad: readonly (readonly [field: string, value: string, problem: string])[];
}

const forms: readonly Form[] = [
  {
    form: "a new place",
    at: async () => "/benches/places/new",
    good: { Name: "Landing", "About how warm, °C": "20" },
    submit: "Add the place",
    bad: [
      ["Name", "", required],
      ["Name", LONG, "Too long: 60 characters at most."],
      ["About how warm, °C", "", "Say about how warm it is there, or choose a room for it to stand in."],
      ["About how warm, °C", "warm", number],
      ["About how warm, °C", "-40", "It must be -10 or more."],
      ["About how warm, °C", "1e6", "It must be 45 or less."],
    ],
  },
  {
    form: "a place changed",
    at: () => path("benches/places", idOf(app.databaseUrl, "select id from places where name = 'Bathroom sill'")),
    good: { Name: "Bathroom sill" },
    submit: "Save",
    bad: [
      ["Name", "   ", required],
      ["Name", "\u200b", required],
    ],
  },
  {
    form: "a reading",
    at: () => path("benches/places", idOf(app.databaseUrl, "select id from places where name = 'Bathroom sill'")),
    good: { "How warm, °C": "22", When: `${daysAgo(1)}T10:00` },
    submit: "Save",
    bad: [
      ["How warm, °C", "", required],
      ["How warm, °C", "22 °C", number],
      ["How warm, °C", "60", "It must be 45 or less."],
      ["When", future, inFuture],
    ],
  },
  {
    form: "a new plant",
    at: async () => "/plants/new",
    good: { "Code on the label": "X99", Name: "Nobody", Genus: "Hoya", "Pot width, cm": "12" },
    submit: "Add the plant",
    bad: [
      ["Code on the label", "", required],
      ["Code on the label", "l02", "Another plant has this code. Choose a different one."],
      ["Name", LONG, "Too long: 80 characters at most."],
      ["Pot width, cm", "-3", "It must be 1 or more."],
      ["Pot width, cm", "99999", "It must be 200 or less."],
      ["Pot width, cm", "big", number],
      ["Acquired on", daysAgo(-3), inFuture],
    ],
  },
  {
    form: "a plant changed",
    at: () => path("plants", plant(), "/edit"),
    good: { "Code on the label": "L02", "Pot width, cm": "12" },
    submit: "Save",
    bad: [
      ["Code on the label", "L01", "Another plant has this code. Choose a different one."],
      ["Pot width, cm", "0", "It must be 1 or more."],
      ["Seller", LONG, "Too long: 80 characters at most."],
    ],
  },
  {
    form: "a look",
    at: () => path("plants", plant(), "/look"),
    first: async (page) => {
      await page.press("All of them");
      await page.press("Found something");
      await page.select("Pest", "Mealybugs");
    },
    good: { "Or the number you counted": "4", When: `${daysAgo(1)}T10:00`, Note: "" },
    submit: "Save the find",
    bad: [
      ["When", future, inFuture],
      ["When", "", "Enter a date and time."],
      ["Or the number you counted", "-1", "It must be 1 or more."],
      ["Or the number you counted", "a few", number],
      ["Or the number you counted", "2.5", "Enter a whole number."],
      ["Or the number you counted", "99999999", "It must be 100000 or less."],
      ["Note", LONG, "Too long: 2000 characters at most."],
    ],
  },
  {
    form: "setting apart",
    at: () => path("plants", plant(), "/apart"),
    good: { When: `${daysAgo(1)}T10:00` },
    submit: "Set apart",
    bad: [
      ["When", future, inFuture],
      ["When", "", "Enter a date and time."],
    ],
  },
  {
    form: "a move",
    at: () => path("plants", plant(), "/move"),
    good: { When: `${daysAgo(1)}T10:00` },
    submit: "Move it",
    bad: [["When", future, inFuture]],
  },
  {
    form: "a plan",
    at: () => path("cases", openCase(), "/plan"),
    first: async (page) => {
      // The ways are listed when they are reckoned, above this one.
      await page.settled();
      await page.press("Your own plan: any remedy, any dates");
      await page.settled();
      await page.press("Your own dates");
    },
    good: { "First treatment": daysAgo(-1), "Every … days (1–60)": "7", "How often (1–24)": "3" },
    submit: "Adopt this plan",
    bad: [
      ["First treatment", "", "Enter a date."],
      ["First treatment", daysAgo(300), "This is before the case began. Check the day."],
      ["Every … days (1–60)", "weekly", "Choose at least one."],
      ["Every … days (1–60)", "-7", "Choose at least one."],
      ["How often (1–24)", "1000", "Choose at least one."],
    ],
  },
  {
    form: "a treatment",
    at: () => path("cases", openCase(), "/treat"),
    good: { "How much, mL": "80", When: `${daysAgo(1)}T19:00`, Note: "" },
    submit: "Treated",
    bad: [
      ["How much, mL", "", required],
      ["How much, mL", "-5", "It must be 0.1 or more."],
      ["How much, mL", "1000000", "It must be 20000 or less."],
      ["How much, mL", "a cup", number],
      ["When", future, inFuture],
      ["When", `${daysAgo(200)}T19:00`, "This is before the case began. Check the day."],
      ["Note", LONG, "Too long: 2000 characters at most."],
    ],
  },
  {
    form: "a closing",
    at: () => path("cases", openCase(), "/close"),
    good: { When: `${daysAgo(1)}T10:00`, Note: "" },
    first: (page) => page.press("Given up"),
    submit: "Close the case",
    bad: [
      ["When", future, inFuture],
      ["Note", LONG, "Too long: 2000 characters at most."],
    ],
  },
  {
    form: "settings",
    at: async () => "/settings",
    good: {
      "Look at every plant every … days": "7",
      "Your bottle of alcohol, %": "96",
      "Time zone": "Europe/Lisbon",
    },
    submit: "Save",
    bad: [
      ["Name of the collection", "", required],
      ["Look at every plant every … days", "0", "It must be 1 or more."],
      ["Look at every plant every … days", "weekly", number],
      ["Look at every plant every … days", "1.5", "Enter a whole number."],
      ["Your bottle of alcohol, %", "120", "It must be 100 or less."],
      ["Call clear at … %", "50", "It must be 90 or more."],
      ["Days between treatments, at least", "often", number],
      ["Time zone", "Mars/Olympus", "There is no such time zone. Europe/Lisbon is one."],
    ],
  },
];

describe("bad input is refused, said where it is, and loses nothing", () => {
  it.each(forms)("$form", async ({ at, first, good, submit, bad }) => {
    await page.open(await at());
    await first?.(page);
    for (const [field, value, problem] of bad) {
      for (const [label, right] of Object.entries(good)) await page.fill(label, right);
      const kept = await page.valueOf(field);
      await page.fill(field, value);
      await page.press(submit);
      await page.sees(problem);
      expect(await page.problems()).toEqual([problem]);
      expect(await page.valueOf(field)).toBe(value);
      for (const [label, right] of Object.entries(good)) {
        if (label !== field) expect(await page.valueOf(label)).toBe(right);
      }
      await page.fill(field, kept);
    }
    expect(await written(app.databaseUrl)).toEqual(before);
  });

  it("a look at nothing, an outcome not chosen, and a reason not given", async () => {
    await page.open(await path("plants", plant(), "/look"));
    await page.fill("Note", "typed");
    await page.press("Nothing found");
    await page.sees("Choose at least one.");
    expect(await page.valueOf("Note")).toBe("typed");

    await page.open(await path("cases", openCase(), "/close"));
    await page.fill("Note", "typed");
    await page.press("Close the case");
    await page.sees("Choose one from the list.");
    expect(await page.valueOf("Note")).toBe("typed");

    await page.open(await path("plants", plant()));
    await page.pressAt("//*[contains(@class, 'record')]//summary");
    await page.press("Strike out");
    await page.sees(required);
    expect(await written(app.databaseUrl)).toEqual(before);
  });

  it("an id that nothing bears, and one that is none", async () => {
    await page.open("/plants/new");
    for (const [label, right] of Object.entries(forms.find(({ form }) => form === "a new plant")!.good))
      await page.fill(label, right);
    const place = await page.field("Where it stands");
    for (const [id, problem] of [
      ["0198c0de-0000-7000-8000-000000000000", "This no longer exists. Go back and choose again."],
      ["shelf", "Choose one from the list."],
    ] as const) {
      await page.driver.executeScript("arguments[0].options[0].value = arguments[1]", place, id);
      await page.fill("Name", "Nobody");
      await page.driver.executeScript(
        "arguments[0].selectedIndex = 0; arguments[0].dispatchEvent(new Event('change', { bubbles: true }))",
        place,
      );
      await page.press("Add the plant");
      await page.sees(problem);
      expect(await page.valueOf("Name")).toBe("Nobody");
    }
    for (const nowhere of [
      "/plants/L02",
      "/cases/0198c0de-0000-7000-8000-000000000000",
      "/session/due/bleach",
      "/nothing",
    ]) {
      await page.open(nowhere);
      await page.sees("Page not found");
    }
    expect(await written(app.databaseUrl)).toEqual(before);
  });

  it("markup is text: shown as it was typed, and never run", async () => {
    await page.open(await path("plants", plant(), "/edit"));
    await page.fill("Name", MARKUP);
    await page.press("Save");
    await page.arrives(/^\/plants\/[0-9a-f-]{36}$/);
    expect(await page.driver.findElement({ css: "h1" }).getText()).toBe(MARKUP);
    expect(await page.driver.findElements({ css: "main b, main img" })).toEqual([]);
    expect(await page.driver.getTitle()).not.toBe("run");
  });

  it("a page from before the application was renewed says so; loaded anew it has what was typed", async () => {
    await page.open("/benches/places/new");
    await page.fill("Name", "Landing");
    await page.fill("About how warm, °C", "20");
    // What it sends to is named otherwise in the next build.
    await page.driver.executeScript(`const send = window.fetch;
      window.fetch = (to, init) => {
        const headers = new Headers(init?.headers);
        if (headers.has("next-action")) headers.set("next-action", "00".repeat(21));
        return send(to, { ...init, headers });
      };`);
    await page.press("Add the place");
    await page.sees("The application was updated after you opened this page.");
    await page.reload();
    await page.eventually(async () => (await page.valueOf("Name")) === "Landing", "what was typed is gone");
    expect(await page.valueOf("About how warm, °C")).toBe("20");
    expect(await written(app.databaseUrl)).toEqual(before);
    await page.press("Add the place");
    await page.arrives(/^\/benches/);
    await page.sees("Landing");
  });

  it("at the mixing desk the amounts wait until the numbers are right", async () => {
    await page.open("/mixing");
    await page.sees("365 mL");
    for (const value of ["", "-1", "0", "a lot", "1e9"]) {
      await page.fill("Amount to make, mL", value);
      await page.sees("Enter a number from 1 to 20000.");
      expect(await page.text()).not.toContain("Makes");
      expect(await page.valueOf("Amount to make, mL")).toBe(value);
    }
    await page.fill("Amount to make, mL", "500");
    await page.fill("Your bottle, % alcohol", "50");
    await page.sees("this mix needs 70 %");
  });
});
