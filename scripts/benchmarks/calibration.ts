// Whether the chances are true: keepers are played from the model's own rules, and what is said of each is held against what was
// so. Then the same with the world other than the model believes. Prints Brier scores and reliability tables.
import { diceFrom } from "../../src/core/model/clearance/tests/dice";
import { asBelieved, keeper, pests, shareOver, type Said, type World } from "./judgedKeeper";

const KEEPERS = Number(process.env["KEEPERS"] ?? 1000);
const ROWS = 10;

const worlds: readonly World[] = [
  asBelieved,
  { ...asBelieved, name: "kill 20 % lower", kill: 0.8 },
  { ...asBelieved, name: "sight 30 % lower", see: 0.7 },
  { ...asBelieved, name: "2 °C warmer", warmerC: 2 },
  { ...asBelieved, name: "the deep share doubled", deep: 2 },
  { ...asBelieved, name: "5 % where nothing comes", hidden: 0.05 },
  { ...asBelieved, name: "stages 1.3 times as long", slower: 1.3 },
  { name: "all at once", kill: 0.8, miss: 1, see: 0.7, warmerC: 2, deep: 2, hidden: 0.05, slower: 1.3, wanted: 88 },
];
/** Who follows the plan, and who stops half-way. */
const keepers = ["follows the plan", "stops half-way"] as const;

for (const [w, world] of worlds.entries()) {
  for (const [k, who] of keepers.entries()) {
    const dice = diceFrom(7000 + 10 * w + k);
    const said: Said[] = [];
    for (let i = 0; i < KEEPERS; i++) said.push(...keeper(dice, world, { follows: k === 0 }).said);
    const brier = said.reduce((sum, { p, over }) => sum + (p - Number(over)) ** 2, 0) / said.length;
    const clear = said.filter((one) => one.clear);
    const verdict = shareOver(clear) >= world.wanted ? "ok" : "TOO FEW";
    console.log(
      `\n${world.name}; ${who}: ${KEEPERS} keepers, ${said.length} clean looks, Brier ${brier.toFixed(3)}\n` +
        `the whole rule for clear: ${clear.length} looks, really over ${shareOver(clear).toFixed(1)} % (wanted ${world.wanted})   ${verdict}`,
    );
    if (verdict !== "ok") process.exitCode = 1;
    for (const pest of pests) {
      const its = clear.filter((one) => one.pest === pest);
      if (its.length > 0 && shareOver(its) < world.wanted)
        console.log(`  ${pest}: ${its.length} looks, over ${shareOver(its).toFixed(1)} %`);
    }
    for (let row = 0; row < ROWS; row++) {
      const there = said.filter(({ p }) => Math.min(ROWS - 1, Math.floor(p * ROWS)) === row);
      if (there.length === 0) continue;
      const mean = there.reduce((sum, { p }) => sum + p, 0) / there.length;
      console.log(
        `  said ${(10 * row).toString().padStart(3)}–${10 * row + 10} %: ${there.length.toString().padStart(6)} looks, in the mean ${(100 * mean).toFixed(1).padStart(5)} %, over ${shareOver(there).toFixed(1).padStart(5)} %`,
      );
    }
  }
}
