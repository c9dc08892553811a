// How fast a walk goes: starting one over 5,000 plants, the press to the next plant among 400, naming. Prints a table.
import { By, until } from "selenium-webdriver";
import { v7 as uuidv7 } from "uuid";
import { inQuestion, testsByWorth } from "../../src/core/advice/diagnosis/expectedInformation";
import { posteriorOf } from "../../src/core/advice/diagnosis/posterior";
import { priorsFor } from "../../src/core/advice/diagnosis/priors";
import type { Observations } from "../../src/core/knowledge/signs/signs";
import { verdictOf } from "../../src/core/advice/diagnosis/verdict";
import { now } from "../../src/clock";
import { connect } from "../../src/db/connection";
import type { Context } from "../../src/operations/shared/context";
import { expectOk } from "../../src/operations/shared/outcome";
import { readWalk } from "../../src/operations/walks/queries/readWalk";
import { startWalk } from "../../src/operations/walks/commands/startWalk";
import { openBrowser, phone } from "../../e2e/support/browser";
import { startServer } from "../lib/startServer";
import { buildLargeCollection } from "./largeCollection";
import { withDatabase } from "./withDatabase";

const PORT = 3198;
const PRESSES = 60;
const FRAME_MS = 1000 / 60;

function report(what: string, times: readonly number[], limitMs: number): void {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
  const verdict = at(0.95) < limitMs ? "ok" : "TOO SLOW";
  console.log(
    `${what.padEnd(52)} p50 ${at(0.5).toFixed(1).padStart(7)} ms   p95 ${at(0.95).toFixed(1).padStart(7)} ms   limit ${limitMs.toFixed(0)} ms   ${verdict}`,
  );
  if (at(0.95) >= limitMs) process.exitCode = 1;
}

const begin = async (context: Context) =>
  expectOk(
    await startWalk(context, { id: uuidv7(), scope: "everything", placeId: null, tool: "lamp", round: "likely" }),
  ).id;

/** From the press to the next plant's name on the screen, as the page itself sees it. */
const press = `
  const done = arguments[arguments.length - 1];
  const name = () => document.querySelector(".walk h1").textContent;
  const before = name();
  const button = [...document.querySelectorAll(".walk-presses button")].at(-1);
  const begin = performance.now();
  const seen = () => (name() === before ? requestAnimationFrame(seen) : requestAnimationFrame(() => done(performance.now() - begin)));
  button.click();
  seen();`;

await withDatabase("wary_benchmark_walk_large", async (url, appUrl) => {
  const { context } = await buildLargeCollection(connect(url), now(), {
    plants: 5000,
    shelves: 120,
    weeks: 20,
    openCases: 20,
  });
  const starts: number[] = [];
  const stopServer = await startServer(PORT, appUrl);
  const pages: number[] = [];
  try {
    for (let i = 0; i < 6; i++) {
      const from = performance.now();
      const id = await begin(context);
      await readWalk(context, id);
      starts.push(performance.now() - from);
      const asked = performance.now();
      const bytes = (await (await fetch(`http://127.0.0.1:${PORT}/walk/${id}`)).arrayBuffer()).byteLength;
      pages.push(performance.now() - asked);
      if (i === 0) console.log(`The page of a walk over 5,000 plants is ${(bytes / 1e6).toFixed(1)} MB.`);
    }
  } finally {
    await stopServer();
  }
  report("start a walk over 5,000 plants and read it", starts.slice(1), 1000);
  report("the page of a walk over 5,000 plants", pages.slice(1), 2000);
});

await withDatabase("wary_benchmark_walk", async (url, appUrl) => {
  const { context } = await buildLargeCollection(connect(url), now(), {
    plants: 400,
    shelves: 20,
    weeks: 20,
    openCases: 0,
  });
  const id = await begin(context);
  const stopServer = await startServer(PORT, appUrl);
  const browser = await openBrowser(phone);
  try {
    const { driver } = browser;
    await driver.get(`http://127.0.0.1:${PORT}/walk/${id}`);
    await driver.wait(until.elementLocated(By.css(".walk-presses button:last-child")), 20_000);
    const times: number[] = [];
    for (let i = 0; i < PRESSES; i++) times.push(await driver.executeAsyncScript<number>(press));
    report("press to the next of 400 plants, phone size", times, 100);
  } finally {
    await browser.close();
    await stopServer();
  }
});

const priors = priorsFor({ form: "clumpingFoliage", meanC: 22, season: "winter", nearby: { mealybug: "place" } });
const observed: Observations = {
  cottonTufts: "present",
  stickyFilm: "absent",
  stippling: "present",
  yellowing: "present",
};
const naming = Array.from({ length: 200 }, () => {
  const from = performance.now();
  const posterior = posteriorOf(priors, observed);
  verdictOf(posterior, inQuestion(posterior, priors), testsByWorth(posterior, priors, "clumpingFoliage", observed), 4);
  return performance.now() - from;
});
report("naming: posterior, tests by worth, verdict", naming.slice(50), FRAME_MS);
