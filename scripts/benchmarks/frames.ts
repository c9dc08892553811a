// How smoothly a plant is carried over the benches of a large collection, and how smoothly its year is played back. Prints a line each.
import { Origin, type WebDriver } from "selenium-webdriver";
import { now } from "../../src/clock";
import { connect } from "../../src/db/connection";
import { openBrowser } from "../../e2e/support/browser";
import { startServer } from "../lib/startServer";
import { buildLargeCollection } from "./largeCollection";
import { withDatabase } from "./withDatabase";

const PORT = 3196;
const LARGE = { plants: 5000, shelves: 100, weeks: 26, openCases: 40 };
/** Sixty frames a second. */
const FRAME_MS = 1000 / 60;
const MOVES = 12;
const READY_MS = 30_000;
const PLAYED_MS = 15_000;

/** Notes the time between frames while something moves. */
const WATCH = `
  window.frames_ = [];
  let last = performance.now();
  const next = (at) => { window.frames_.push(at - last); last = at; window.watching = requestAnimationFrame(next); };
  window.watching = requestAnimationFrame(next);`;
const STOP = "cancelAnimationFrame(window.watching); return window.frames_;";

/** Prints how many frames a second there were while `move` ran. */
async function watched(driver: WebDriver, what: string, move: () => Promise<void>): Promise<void> {
  await driver.executeScript(WATCH);
  await move();
  const frames = (await driver.executeScript<number[]>(STOP)).slice(1).toSorted((a, b) => a - b);
  const at = (share: number) => frames[Math.floor(share * (frames.length - 1))]!;
  const mean = frames.reduce((sum, ms) => sum + ms, 0) / frames.length;
  const ok = mean < 1.1 * FRAME_MS;
  if (!ok) process.exitCode = 1;
  console.log(
    `${what}: ${(1000 / mean).toFixed(0)} frames a second, p95 ${at(0.95).toFixed(1)} ms a frame, longest ${at(1).toFixed(0)} ms   ${ok ? "ok" : "TOO SLOW"}`,
  );
}

async function carry(driver: WebDriver): Promise<void> {
  await driver.get(`http://127.0.0.1:${PORT}/benches`);
  await driver.wait(async () => (await driver.findElements({ css: "[data-plant] button" })).length > 0, READY_MS);
  const pots = await driver.findElements({ css: "[data-plant] button" });
  await driver.actions().move({ origin: pots[2]! }).press().move({ origin: Origin.POINTER, x: 12 }).perform();
  await watched(driver, `carrying a plant over ${LARGE.plants}, ${pots.length} on the page`, async () => {
    for (let i = 0; i < MOVES; i++)
      await driver
        .actions()
        .move({ origin: Origin.POINTER, x: i % 2 === 0 ? 600 : -600, y: i % 4 < 2 ? 60 : -60, duration: 500 })
        .perform();
  });
  await driver.actions().sendKeys("\uE00C").perform();
  await driver.actions().release().perform();
}

async function playBack(driver: WebDriver): Promise<void> {
  await driver.get(`http://127.0.0.1:${PORT}/benches/replay`);
  const play = { css: ".replay-bar button" };
  await driver.wait(async () => (await driver.findElements(play)).length > 0, READY_MS);
  const shown = (await driver.findElements({ css: ".replay-pot" })).length;
  await (await driver.findElement(play)).click();
  await watched(driver, `playing back the year of ${LARGE.plants}, ${shown} on the page`, () =>
    driver.sleep(PLAYED_MS),
  );
}

await withDatabase("wary_benchmark_frames", async (url, appUrl) => {
  await buildLargeCollection(connect(url), now(), LARGE);
  const stopServer = await startServer(PORT, appUrl);
  const { driver, close } = await openBrowser();
  try {
    await carry(driver);
    await playBack(driver);
  } finally {
    await close();
    await stopServer();
  }
});
process.exit();
