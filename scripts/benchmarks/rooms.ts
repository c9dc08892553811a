// How long a wintering of 300 plants, a room of gnats and a year of readings take to reckon. Prints a table.
import { availableParallelism, cpus } from "node:os";
import { day as dayOf, addDays } from "../../src/core/shared/days";
import { daysFrom, screened } from "../../src/core/climate/samples";
import { inBatches } from "../../src/core/advice/seasons/batches";
import { judgeGnats } from "../../src/core/advice/seasons/gnats/judge";

const verdict = (ok: boolean) => {
  if (!ok) process.exitCode = 1;
  return ok ? "ok" : "TOO SLOW";
};
const first = dayOf("2026-09-01");

function measure(name: string, limitMs: number, work: () => void): void {
  const took: number[] = [];
  for (let i = 0; i < 7; i++) {
    const begin = performance.now();
    work();
    took.push(performance.now() - begin);
  }
  const middle = took.toSorted((a, b) => a - b)[3]!;
  console.log(
    `${name.padEnd(58)} ${middle.toFixed(1).padStart(8)} ms   limit ${limitMs} ms   ${verdict(middle < limitMs)}`,
  );
}

console.log(`Rooms and seasons; ${availableParallelism()} cores (${cpus()[0]?.model.trim()}).`);
const plants = Array.from({ length: 300 }, (_, i) => ({
  ...{ plantId: `p${i}`, minutes: 12 + (i % 20), dries: i % 9 !== 0, weight: (i * 37) % 101 },
}));
const evenings = Array.from({ length: 42 }, (_, i) => addDays(first, i));
measure("a wintering of 300 plants in 42 evenings", 1000, () => {
  inBatches(plants, evenings, { minutes: 90, helpers: 1, dryingPots: 8 });
});
const room = {
  weights: Array.from({ length: 60 }, (_, i) => 1 + (i % 7)),
  dailyMeanC: [22],
  effects: [{ fromDay: 0, untilDay: 120, pots: [0, 1, 2], dailyHazard: [0.1, 0.1, 0] as const, layFactor: 0.2 }],
  treatments: [7, 14, 21].map((atDay) => ({ atDay, pots: [0, 1, 2, 3], kill: [0, 0.7, 0] as const })),
  traps: [{ fromDay: 0, untilDay: 200, perDay: 0.08, counted: true }],
  cards: Array.from({ length: 12 }, (_, i) => ({ atDay: 7 * i, overDays: 7, count: 20 - i })),
  slices: [],
};
measure("a room of 60 pots, twelve weeks of counts", 1500, () => {
  judgeGnats(room, 84);
});
const samples = Array.from({ length: 52_560 }, (_, i) => ({
  ...{
    at: new Date(Date.parse("2026-01-01T00:00:00Z") + i * 600_000),
    celsius: 20 + Math.sin(i / 23),
    humidity: 50 + (i % 7),
  },
}));
measure("a year of readings every ten minutes, into days", 1000, () => {
  daysFrom(screened(samples, new Date("2027-01-02T00:00:00Z")), (at) => dayOf(at.toISOString().slice(0, 10)));
});
