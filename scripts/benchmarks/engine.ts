// How fast the engine is here, and how much memory an assessment takes. Prints a table.
import { cpus } from "node:os";
import { assessFile } from "../../src/core/advice/clearance/assess";
import { coursesOn } from "../../src/core/advice/plans/coursesOnRecord";
import { compareFor } from "../../src/core/advice/plans/ask";
import { TRIAL_DAY, trialFile } from "../../src/core/advice/plans/trial";
import { drawCase } from "../../src/core/advice/plans/draw";
import { caseFile, type CaseFileInput } from "../../src/core/record/format/schema";
import { addDays, type Day } from "../../src/core/shared/days";
import { pests } from "../../src/core/knowledge/pests/pests";
import { spotsOf } from "../../src/core/knowledge/plants/growthForms";
import { layoutOf, nobody } from "../../src/core/model/population/layout";
import { backward, wayOf } from "../../src/core/model/population/passage";
import { treatedPlantOf } from "../../src/core/advice/tolerance/treatedPlant";
import { plainly } from "./plain";

const RUNS = 20;

function median(run: () => void, runs = RUNS): number {
  run();
  const times = Array.from({ length: runs }, () => {
    const begin = performance.now();
    run();
    return performance.now() - begin;
  });
  return times.toSorted((a, b) => a - b)[Math.floor(runs / 2)]!;
}

function report(what: string, value: number, unit: string, limit: number): void {
  const verdict = value < limit ? "ok" : "TOO MUCH";
  console.log(`${what.padEnd(58)} ${value.toFixed(2).padStart(8)} ${unit}   limit ${limit} ${unit}   ${verdict}`);
  if (value >= limit) process.exitCode = 1;
}

/** 120 days with 12 treatments and 16 looks, animals found twice. */
function longCase(asOfDay: number): CaseFileInput {
  const start = "2026-01-05" as Day;
  const day = (n: number) => addDays(start, n);
  const spots = [...spotsOf("clumpingFoliage")];
  const look = (n: number, found: number) => ({
    type: "inspection" as const,
    at: `${day(n)}T18:00:00Z`,
    found,
    removed: false,
    look: { with: "lamp" as const, spots },
  });
  const treat = (n: number) => ({
    type: "treatment" as const,
    at: `${day(n)}T19:00:00Z`,
    remedy: "alcohol70" as const,
    technique: "spray" as const,
  });
  return {
    format: "wary-petal.case",
    version: 1,
    pest: "mealybug",
    plant: { growthForm: "clumpingFoliage" },
    temperature: { from: start, dailyMeanC: Array.from({ length: asOfDay }, (_, i) => 20 + 3 * Math.sin(i / 9)) },
    events: [
      look(0, 23),
      ...Array.from({ length: 12 }, (_, i) => treat(5 * i)),
      look(30, 3),
      ...Array.from({ length: 14 }, (_, i) => look(62 + 4 * i, 0)),
    ].filter((event) => event.at < day(asOfDay)),
    asOf: day(asOfDay),
  };
}

const layout = layoutOf(pests.mealybug);
console.log(
  `Engine; ${cpus().length} cores (${cpus()[0]?.model.trim()}); mealybug: ${layout.types} types, 400 steps in 100 days.`,
);

const surroundings = {
  layout,
  sites: { shelteredShare: 0.4, deepShare: 0.2, mixPerDay: 0.2 },
  dailyMeanC: [22],
  dt: 0.25,
};
const way = wayOf(surroundings, [], 0, 400);
report(
  "one backward pass over 100 days",
  median(() => backward(way, 1, nobody(layout), 0, 400)),
  "ms",
  1,
);

const whole = caseFile.parse(longCase(120));
report(
  "assess: 120 days, 12 treatments, 16 looks, 9 scenarios",
  median(() => assessFile(whole)),
  "ms",
  60,
);

// The same case without its second find, by the engine and by the plain version.
const once = caseFile.parse({ ...longCase(120), events: longCase(120).events.filter((_, i) => i !== 13) });
const assessed = assessFile(once);
if (!assessed.ok) throw new Error(assessed.problems[0]!.message);
const { expanded, reckoning } = assessed;
const plain = () => plainly(expanded.history, reckoning.growth.shares, expanded.asOfDays, reckoning.timeline.dt);
const [plainClear, plainLeft] = plain();
const left = Object.values(assessed.assessment.expected).reduce((sum, n) => sum + n, 0);
const off = Math.max(Math.abs(plainClear - assessed.assessment.pClear), Math.abs(plainLeft / left - 1));
if (!(off < 1e-9)) throw new Error(`the plain version says otherwise, by ${off}`);
const scalar = median(plain);
const ours = median(() => assessFile(once));
console.log(`the same found once: ${ours.toFixed(2)} ms, by the plain version ${scalar.toFixed(2)} ms`);
report("against the plain version", ours / scalar, "×", 3);

const early = caseFile.parse(longCase(10));
const question = {
  first: addDays("2026-01-05" as Day, 10),
  workDays: [1, 2, 3, 4, 5, 6, 7],
  target: 0.9,
  courses: coursesOn([], addDays("2026-01-05" as Day, 10)),
  on: {
    bearer: treatedPlantOf(
      { genus: "Aspidistra", growthForm: "clumpingFoliage", potCm: 14, inBud: false, inFlower: false },
      [],
      "2026-01-05" as Day,
      "north",
    ),
    tool: "lamp" as const,
    washes: [],
  },
};
const compareAll = () => {
  for (const run = compareFor(early, question); !run.next().done;);
};
report("the whole comparison of plans for one case", median(compareAll, 5), "ms", 1000);

const trial = caseFile.parse(trialFile({ pest: "mealybug", form: "trailingVine", meanC: 22, found: 5.5 }));
const sprays = [0, 6, 13].map((n) => ({
  day: addDays(TRIAL_DAY, n),
  dose: { remedy: "alcohol", technique: "sprayAndSwab" } as const,
}));
const until = addDays(TRIAL_DAY, 51);
report(
  "one picture while dragging a treatment of a trial",
  median(() => drawCase(trial, sprays, until)),
  "ms",
  33,
);

// All that is allocated on the way, whether it is kept or not: no more than that is ever in use.
global.gc?.();
const inUse = () => process.memoryUsage().heapUsed + process.memoryUsage().arrayBuffers;
const before = inUse();
assessFile(whole);
report("memory of an assessment", (inUse() - before) / 1_048_576, "MB", 7);
