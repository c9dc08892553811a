// Three hundred drawn sticky cards, a third of them clean, used and hard: how many of the flies are found, how much of what is ringed is
// one, and how long a card takes. Ends with 1 where a grade is below its line.
import { grades } from "../../src/imaging/tests/drawCard";
import { scoreOf } from "../../src/imaging/tests/score";

const CARDS = 100;
const LEAST = { clean: 0.9, used: 0.9, hard: 0.75 } as const;

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
let held = true;
for (const grade of grades) {
  const begun = performance.now();
  const { flies, thrips, unfound } = await scoreOf(grade, CARDS);
  const seconds = (performance.now() - begun) / 1000 / CARDS;
  held &&= Math.min(flies.recall, flies.precision) >= LEAST[grade];
  console.log(
    `${grade}: flies found ${percent(flies.recall)}, rings right ${percent(flies.precision)}; ` +
      `thrips ${percent(thrips.recall)} and ${percent(thrips.precision)}; ` +
      `${unfound} cards not found; ${seconds.toFixed(1)} s a card, drawing it included`,
  );
}
process.exitCode = held ? 0 : 1;
