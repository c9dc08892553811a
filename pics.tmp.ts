import { writeFileSync } from "node:fs";
import { openBrowser, laptop, phone } from "./e2e/support/browser";
import { Page, daysAgo } from "./e2e/support/page";
const [script, out, size = "laptop"] = process.argv.slice(2);
const browser = await openBrowser(size === "phone" ? phone : laptop);
const page = new Page(browser.driver, "http://127.0.0.1:3190");
const { default: run } = await import(script!);
try { await run(page, daysAgo); } catch (e) { console.log(String(e)); }
await new Promise((r) => setTimeout(r, 1500));
writeFileSync(out!, Buffer.from(await browser.driver.takeScreenshot(), "base64"));
console.log((await page.text()).slice(0, 3500));
console.log(await browser.driver.getCurrentUrl());
await browser.close();
process.exit(0);
