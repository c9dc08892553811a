// How long it takes to learn a keeper's numbers from two years of 5,000 plants, and to take them up again after one more find. Prints a table.
import { learnedOf, type ShownReach } from "../../src/core/record/cases/techniqueHand";
import { learnedSightOf, sightBefore } from "../../src/core/record/cases/keepersEye";
import { sightPairs, type SightLook } from "../../src/core/record/cases/sightPairs";
import { passingFrom } from "../../src/core/model/learning/passing";
import { addDays, type Day } from "../../src/core/shared/days";
import { diceFrom } from "../../src/core/model/clearance/tests/dice";

const PLANTS = 5000;
const WEEKS = 104;
/** One plant in ten is found infested, half of them are closed. */
const FOUND = 500;
const CLOSED = 250;
const BEGUN = "2024-12-01" as Day;
const beginning = { numbers: "mixed", toldElsewhere: null } as const;
const dice = diceFrom(3).uniform;

function measure<T>(what: string, limitMs: number, work: () => T): T {
  const from = performance.now();
  const done = work();
  const took = performance.now() - from;
  console.log(
    `${what.padEnd(64)} ${took.toFixed(0).padStart(6)} ms   limit ${limitMs} ms   ${took < limitMs ? "ok" : "TOO SLOW"}`,
  );
  if (took >= limitMs) process.exitCode = 1;
  return done;
}

/** A look each week, by eye; beside each find one with lamp and loupe the day after. */
const looks: SightLook[] = [];
for (let plant = 0; plant < PLANTS; plant++) {
  const foundIn = plant < FOUND ? Math.floor(WEEKS * dice()) : null;
  for (let week = 0; week < WEEKS; week++) {
    const day = addDays(BEGUN, 7 * week);
    const at = new Date(`${day}T19:00:00Z`);
    const look: SightLook = {
      ...{ plantId: `p${plant}`, growthForm: "trailingVine", day, at, tool: "eye", spots: ["axil", "underside"] },
      ...{ keeper: "k", name: "K", finds: [] },
    };
    const find = { pest: "mealybug", spots: [], animals: 1 + Math.floor(6 * dice()), removed: false } as const;
    looks.push(week === foundIn && dice() < 0.4 ? { ...look, finds: [find] } : look);
    const next = addDays(day, 1);
    if (week === foundIn)
      looks.push({ ...look, tool: "loupe", day: next, at: new Date(`${next}T19:00:00Z`), finds: [find] });
  }
}
const shown: ShownReach[] = Array.from({ length: CLOSED }, (_, i) => {
  const weights = [dice(), dice(), dice()] as [number, number, number];
  const sum = weights.reduce((all, one) => all + one, 0);
  const reach = { technique: "spray" as const, weights: weights.map((one) => one / sum) as [number, number, number] };
  const at = new Date(Date.parse(BEGUN) + 86_400_000 * (100 + i));
  return { at, recordedBy: "K", recordedAccount: null, reach, voidReason: null };
});

const pairs = measure(`${looks.length} looks: which were beside a find`, 60_000, () => sightPairs(looks, () => []));
measure(`what ${pairs.length} of them tell of the eye`, 1000, () =>
  learnedSightOf({ keeper: "k", tool: "eye" }, pairs, beginning),
);
measure("the same for a case that began later", 1000, () =>
  sightBefore(new Date("2026-11-01"), pairs, beginning)({ keeper: "k", tool: "eye" }),
);
measure(`what ${CLOSED} closed cases tell of the hand`, 1000, () =>
  learnedOf({ technique: "spray", keeper: "K" }, shown, beginning),
);
const found = Array.from({ length: 300 }, () => ({ passed: 0.02 * dice(), other: 0.01 }));
measure(`what ${found.length} finds tell of passing`, 1000, () =>
  passingFrom({ looks: PLANTS * WEEKS, expected: 4000, quiet: 3900, found }, "mixed"),
);
