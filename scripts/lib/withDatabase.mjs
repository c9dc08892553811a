// Runs a script on the application's database: the one DATABASE_URL names, or the private one.
import { checkNode, ensureNodePackages, root } from "./packages.mjs";
import { startPostgres } from "./postgres.mjs";
import { atEnd, finish, main, must, run, Stop } from "./process.mjs";

/** @param {string} script @param {string[] | (() => string[])} args */
export function withDatabase(script, args) {
  main(async () => {
    checkNode();
    const given = typeof args === "function" ? args() : args;
    await ensureNodePackages();
    let url = process.env["DATABASE_URL"];
    if (!url) {
      const database = await startPostgres("postgres");
      atEnd(database.stop);
      url = database.url;
    }
    const ask = (/** @type {string} */ DATABASE_URL) => ({ env: { ...process.env, DATABASE_URL }, cwd: root });
    const prepared = await must(
      "The database could not be brought up to date.",
      process.execPath,
      ["--import", "tsx", "scripts/prepareDatabase.ts"],
      ask(url),
    );
    const lines = prepared.trim().split("\n");
    const appUrl = lines.find((line) => line.startsWith("url "))?.slice(4) ?? url;
    const { code } = await run(process.execPath, ["--import", "tsx", script, ...given], { ...ask(appUrl), show: true });
    if (code !== 0) throw new Stop("It did not come to its end.");
    await finish(0);
  });
}
