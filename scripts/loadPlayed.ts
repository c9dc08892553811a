// Loads two years of a played keeper, whose true numbers it prints and the record does not know.
import { parseArgs } from "node:util";
import { loadPlayedKeeper, removePlayedKeeper } from "../demo/playedKeeper";
import { now } from "../src/clock";
import { disconnect } from "../src/db/connection";
import { databaseUrl } from "../src/env";

const { values } = parseArgs({
  options: {
    misses: { type: "string", default: "2" },
    sees: { type: "string", default: "0.6" },
    remove: { type: "boolean", default: false },
  },
});
const truth = { misses: Number(values.misses), sees: Number(values.sees) };
const within = (n: number, from: number, until: number) => n >= from && n <= until;

async function carryOut(): Promise<string> {
  if (values.remove)
    return (await removePlayedKeeper(databaseUrl(), truth))
      ? "The played keeper was removed."
      : "There is none with these numbers.";
  const { plants } = await loadPlayedKeeper(databaseUrl(), now(), truth);
  return plants === 0
    ? "A played keeper with these numbers is there already."
    : `A played keeper with ${plants} plants was added. Their sprays miss ${truth.misses} times as much as we suppose, and with the lamp they see ${truth.sees} of it: compare what the ledger has learned. The same with --remove removes it.`;
}

if (!within(truth.misses, 0.2, 5) || !within(truth.sees, 0.1, 1.5)) {
  console.error(
    "--misses is how many times as much as supposed sprays miss, 0.2 to 5; --sees how much of it the lamp shows, 0.1 to 1.5.",
  );
  process.exitCode = 1;
} else
  try {
    console.log(await carryOut());
  } finally {
    await disconnect(databaseUrl());
  }
