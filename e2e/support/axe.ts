import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Result } from "axe-core";
import type { WebDriver } from "selenium-webdriver";

const source = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** The rules of accessibility that what is on the screen breaks, each with the elements; empty where it breaks none. */
export async function brokenRules(driver: WebDriver): Promise<string[]> {
  if (!(await driver.executeScript<boolean>("return 'axe' in window"))) await driver.executeScript(source);
  const violations = await driver.executeAsyncScript<Result[]>(
    "const done = arguments[0]; axe.run(document, { resultTypes: ['violations'], preload: false }).then((all) => done(all.violations));",
  );
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(" ")}`);
}
