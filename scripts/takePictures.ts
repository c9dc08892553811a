// Takes the pictures in docs/screenshots from a running demo: `npm start` in one terminal, `npm run pictures` in another.
import { mkdirSync, writeFileSync } from "node:fs";
import path from "node:path";
import { idOf } from "../demo/loadDemo";
import { Page } from "../e2e/support/page";
import { laptop, openBrowser, phone, type Size } from "../e2e/support/browser";

const base = process.env["ADDRESS"] ?? "http://127.0.0.1:3180";
const folder = path.resolve(import.meta.dirname, "../docs/screenshots");
/** Long enough for the heaviest comparison and its drawing. */
const SETTLE_MS = 3000;

/** A walk over everything, and on to the find that is named on its first plant. */
const onWalk = ["Everything: 51", "Start"];
const naming = [...onWalk, "Found something", "White cottony tufts in joints or on the underside"];

/** The views shown in the README: file name, address, size, theme, and what is pressed before the picture. */
const views: readonly (readonly [
  name: string,
  address: string,
  size: Size,
  theme: "light" | "dark",
  presses?: readonly string[],
])[] = [
  ["today", "/today", laptop, "light"],
  ["today-phone", "/today", phone, "light"],
  ["benches", "/benches", laptop, "light"],
  ["plant", `/plants/${idOf("plant", "L03")}`, laptop, "light"],
  ["case", `/cases/${idOf("case", "L08", "spiderMite")}`, laptop, "light"],
  ["plan", `/cases/${idOf("case", "L04", "softScale")}/plan`, laptop, "light"],
  ["decide", `/cases/${idOf("case", "L04", "softScale")}/decide`, laptop, "light"],
  ["walk-phone", "/walk", phone, "light", onWalk],
  ["session-phone", "/session?who=atRisk", phone, "light"],
  ["around", `/cases/${idOf("case", "L04", "softScale")}/around`, laptop, "light"],
  ["tonight-night", "/walk/tonight", laptop, "dark"],
  ["naming-phone", "/walk", phone, "light", naming],
  ["pest", "/almanac/pests/mealybug", laptop, "light"],
  ["ledger", "/ledger", laptop, "light"],
  ["mixing", "/mixing", laptop, "light"],
  ["life-cycles", "/almanac/life-cycle", laptop, "light"],
  ["gnats", `/benches/places/${idOf("place", "bath")}/gnats`, laptop, "light"],
  ["replay", "/benches/replay", laptop, "light", ["−1 week"]],
  ["calendar-phone", "/calendar", phone, "dark"],
];
mkdirSync(folder, { recursive: true });
const browser = await openBrowser();
try {
  await browser.driver.get(`${base}/today`);
  const page = new Page(browser.driver, base);
  for (const [name, address, size, theme, presses = []] of views) {
    await browser.driver.executeScript("localStorage.setItem('wary-petal-theme', arguments[0])", theme);
    await browser.resize(size);
    await page.open(address);
    for (const press of presses) await page.press(press);
    await new Promise((resolve) => setTimeout(resolve, SETTLE_MS));
    writeFileSync(path.join(folder, `${name}.png`), Buffer.from(await browser.driver.takeScreenshot(), "base64"));
    console.log(name);
  }
} finally {
  await browser.close();
}
