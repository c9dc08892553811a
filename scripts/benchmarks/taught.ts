// Whether what a keeper's record teaches makes the judgement true again: keepers whose sprays miss more, or who see less, than we suppose live
// through as many cases as it takes; then cases are judged by our estimates, and by what their record has taught. Prints both.
import { diceFrom } from "../../src/core/model/clearance/tests/dice";
import { reachOf, type ReachWeights } from "../../src/core/model/learning/reach";
import { sightFrom, type SightTold } from "../../src/core/model/learning/sight";
import { asBelieved, keeper, shareOver, type Keeper, type Said, type World } from "./judgedKeeper";

const KEEPERS = Number(process.env["KEEPERS"] ?? 20);
const TEACHING = 15;
const JUDGED = Number(process.env["JUDGED"] ?? 20);
/** Of those that the whole rule calls clear so many must really be over once a record has taught, %. */
const WANTED = 97;

const works: Omit<Keeper, "follows"> = { dose: ["soap", "sprayAndSwab"], tool: "lamp" };
const worlds: readonly World[] = [
  { ...asBelieved, name: "as supposed" },
  { ...asBelieved, name: "sprays miss twice as much", miss: 2 },
  { ...asBelieved, name: "sees 30 % less with the lamp", see: 0.7 },
  { ...asBelieved, name: "misses twice as much, and sees 30 % less with the lamp", miss: 2, see: 0.7 },
];

for (const [t, world] of worlds.entries()) {
  const dice = diceFrom(9000 + t);
  const ours: Said[] = [];
  const own: Said[] = [];
  const sights: number[] = [];
  const reaches: ReachWeights[] = [];
  for (let k = 0; k < KEEPERS; k++) {
    const reach: ReachWeights[] = [];
    const sight: SightTold[] = [];
    while (reach.length < TEACHING) {
      const lived = keeper(dice, world, { ...works, follows: dice.uniform() < 0.5, looksTwice: true });
      if (lived.toldReach) reach.push(lived.toldReach);
      sight.push(...lived.toldSight);
    }
    const taught = {
      reach: reachOf(reach, [], "mixed")!.mean,
      sees: sightFrom(sight, [], "mixed")?.mean ?? 1,
    };
    reaches.push(taught.reach);
    sights.push(taught.sees);
    for (let i = 0; i < JUDGED; i++) {
      const follows = dice.uniform() < 0.5;
      ours.push(...keeper(dice, world, { ...works, follows }).said);
      own.push(...keeper(dice, world, { ...works, follows, ...taught }).said);
    }
  }
  const clear = (all: readonly Said[]) => all.filter((one) => one.clear);
  const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length;
  const verdict = shareOver(clear(own)) >= WANTED ? "ok" : "TOO FEW";
  console.log(
    `${world.name}: ${KEEPERS} keepers of ${TEACHING} cases learned to miss 2½ times as much in ${(100 * mean(reaches.map(([most]) => most))).toFixed(0)} %, to see ${mean(sights).toFixed(2)} of it\n` +
      `  by our estimates ${clear(ours).length} looks called clear, really over ${shareOver(clear(ours)).toFixed(1)} %; ` +
      `by what was taught ${clear(own).length}, over ${shareOver(clear(own)).toFixed(1)} % (wanted ${WANTED})   ${verdict}`,
  );
  if (verdict !== "ok") process.exitCode = 1;
}
