// A phone that dies: the browser is killed over and over in the middle of a walk. What was pressed is there, once.
import { readdirSync, readFileSync, rmSync } from "node:fs";
import { setTimeout as pause } from "node:timers/promises";
import { newProfile, openBrowser, phone } from "../../e2e/support/browser";
import { Page } from "../../e2e/support/page";
import { verdict, withTarget } from "./target";

const KILLS = Number(process.env["FAULTS_BROWSER_KILLS"] ?? 60);
/** What was pressed is in the browser's own store after so long at most, ms. */
const STORED_MS = 300;
const PRESSES = 35;

await withTarget("wary_faults_browser", async ({ base, query }) => {
  const profile = newProfile();
  let pressed = 0;
  let walk = "";
  let onWalk = PRESSES;
  try {
    for (let kill = 0; kill < KILLS; kill++) {
      const browser = await openBrowser(phone, profile);
      const page = new Page(browser.driver, base);
      if (onWalk >= PRESSES) {
        await page.open("/walk");
        await page.sees("Everything: ");
        await page.press(/Everything: \d+/.exec(await page.text())![0]);
        await page.press("Start");
        walk = await page.arrives(/^\/walk\/[0-9a-f-]{36}$/);
        onWalk = 0;
      } else await page.open(walk);
      for (let n = 0; n < 1 + (kill % 3); n++) {
        await page.driver.wait(async () => /Nothing found, next|Cleaned, continue/.test(await page.text()), 20_000);
        if ((await page.text()).includes("Cleaned, continue")) await page.press("Cleaned, continue");
        await page.press("Nothing found, next");
        pressed++;
        onWalk++;
      }
      await pause(STORED_MS);
      killAll(profile);
      await browser.driver.quit().catch(() => {});
    }
    const browser = await openBrowser(phone, profile);
    await new Page(browser.driver, base).open("/today");
    const count = async () =>
      (await query<{ n: number }>("select count(*)::int as n from looks where walk_id is not null"))[0]!.n;
    for (let tries = 0; tries < 60 && (await count()) < pressed; tries++) await pause(500);
    await browser.driver.quit();
    const there = await count();
    verdict(`${KILLS} kills of the browser, ${pressed} presses: ${there} there`, there === pressed);
  } finally {
    killAll(profile);
    rmSync(profile, { recursive: true, force: true });
  }
});

/** Kills every process of the browser that keeps its things there. */
function killAll(profile: string): void {
  for (const pid of readdirSync("/proc").filter((name) => /^\d+$/.test(name))) {
    try {
      const line = readFileSync(`/proc/${pid}/cmdline`, "utf8");
      if (line.includes("chromium") && line.includes(profile)) process.kill(Number(pid), "SIGKILL");
    } catch {
      // It has ended by itself.
    }
  }
}
