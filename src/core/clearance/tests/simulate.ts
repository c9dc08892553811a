import type { Layout } from "../../population/layout";
import type { Pest } from "../../pests/pests";
import type { CaseHistory } from "../history";
import type { Anchor } from "../anchor";
import type { Scenario } from "../scenarios";

/**
 * The rules of the model played out animal by animal with dice: nothing here is shared with the recursions, so that the two
 * can be held against each other. Slow, and for tests only.
 */
export interface Dice {
  /** Uniform in [0, 1). */
  readonly uniform: () => number;
}

/** Seeded dice. Source: the xorshift128 generator, Marsaglia 2003, from memory. */
export function diceFrom(seed: number): Dice {
  let [x, y, z, w] = [123456789 ^ seed, 362436069, 521288629, 88675123];
  const uniform = () => {
    const t = x ^ (x << 11);
    [x, y, z] = [y, z, w];
    w = w ^ (w >>> 19) ^ t ^ (t >>> 8);
    return (w >>> 0) / 4294967296;
  };
  for (let i = 0; i < 50; i++) uniform();
  return { uniform };
}

/** Knuth 1969: multiply uniforms until they fall below e^−mean. */
function poisson({ uniform }: Dice, mean: number): number {
  if (mean > 30) return poisson({ uniform }, mean / 2) + poisson({ uniform }, mean / 2);
  const limit = Math.exp(-mean);
  let n = 0;
  for (let product = uniform(); product > limit; product *= uniform()) n++;
  return n;
}

/** Marsaglia and Tsang 2000, for shapes of at least 1; mean 1. */
function gammaOfMeanOne(dice: Dice, shape: number): number {
  const d = shape - 1 / 3;
  for (;;) {
    const normal = Math.sqrt(-2 * Math.log(1 - dice.uniform())) * Math.cos(2 * Math.PI * dice.uniform());
    const v = (1 + normal / Math.sqrt(9 * d)) ** 3;
    if (v > 0 && Math.log(1 - dice.uniform()) < 0.5 * normal * normal + d - d * v + d * Math.log(v)) {
      return (d * v) / shape;
    }
  }
}

interface Animal {
  sheltered: boolean;
  stage: number;
  part: number;
}

export interface Played {
  /** Share of the runs in which no look saw anything. */
  readonly unseen: number;
  /** Share of the runs in which nothing was left and no look saw anything. */
  readonly goneUnseen: number;
  /** Mean number left, with its standard error. */
  readonly left: number;
  readonly leftError: number;
}

/** A population so large that it will not end by itself; no need to follow it further. */
const HOPELESS = 3000;

/** Plays a case from its last find on, `runs` times. Only whole numbers of seen animals can be played. */
export function play(
  history: CaseHistory,
  layout: Layout,
  { anchor, anchorStep, afterEvent }: { anchor: Anchor; anchorStep: number; afterEvent: number },
  scenario: Scenario,
  endStep: number,
  dt: number,
  runs: number,
  dice: Dice,
): Played {
  let unseen = 0;
  let goneUnseen = 0;
  let sum = 0;
  let squares = 0;
  for (let run = 0; run < runs; run++) {
    const outcome = playOnce(history, layout, anchor, anchorStep, afterEvent, scenario, endStep, dt, dice);
    if (!outcome.seen) unseen++;
    if (!outcome.seen && outcome.left === 0) goneUnseen++;
    sum += outcome.left;
    squares += outcome.left ** 2;
  }
  const left = sum / runs;
  const leftError = Math.sqrt(Math.max(0, squares / runs - left * left) / runs);
  return { unseen: unseen / runs, goneUnseen: goneUnseen / runs, left, leftError };
}

function playOnce(
  history: CaseHistory,
  layout: Layout,
  anchor: Anchor,
  anchorStep: number,
  afterEvent: number,
  scenario: Scenario,
  endStep: number,
  dt: number,
  dice: Dice,
): { seen: boolean; left: number } {
  const { pest, events, dailyMeanC, sites } = history;
  let animals = begin(pest, layout, anchor, dice);
  let seen = false;
  const stepOf = (days: number) => Math.round(days / dt);
  // Those of one step in the order recorded, and only what came after the anchor.
  const coming = [...events.entries()]
    .filter(([i, e]) => e.kind !== "lasting" && (stepOf(e.atDays) > anchorStep || i > afterEvent))
    .filter(([, e]) => stepOf(e.atDays) >= anchorStep)
    .map(([, event]) => event);
  for (let step = anchorStep; step <= endStep; step++) {
    for (const event of coming) {
      if (stepOf(event.atDays) !== step) continue;
      if (event.kind === "treatment") {
        animals = animals.filter((animal) => {
          const stage = pest.stages[animal.stage]!;
          const hit = event.reach[stage.where]?.[animal.sheltered ? 1 : 0] ?? 0;
          const missed = Math.min(1, (1 - hit) * scenario.escape);
          return dice.uniform() >= event.kill[animal.stage]![scenario.column] * (1 - missed);
        });
      } else if (event.kind === "inspection") {
        for (const animal of animals) {
          if (dice.uniform() < event.see[animal.stage]![animal.sheltered ? 1 : 0]) seen = true;
        }
      }
    }
    if (step === endStep || animals.length > HOPELESS) break;
    const meanC = dailyMeanC[Math.min(Math.floor(step * dt + 1e-9), dailyMeanC.length - 1)]!;
    const warmth = Math.max(0, Math.min(meanC, pest.upperC) - pest.lowerC);
    const active = events.flatMap((e) =>
      e.kind === "lasting" && stepOf(e.atDays) <= step && step < stepOf(e.untilDays) ? [e.effect] : [],
    );
    const next: Animal[] = [];
    for (const animal of animals) {
      const stage = pest.stages[animal.stage]!;
      const layFactor = active.reduce((product, effect) => product * effect.layFactor, 1);
      const laid = ((stage.femaleEggs ?? 0) * scenario.eggs * warmth * dt * layFactor) / stage.degreeDays;
      const daughters = laid > 0 ? poisson(dice, laid) : 0;
      for (let i = 0; i < daughters; i++) next.push({ sheltered: animal.sheltered, stage: 0, part: 0 });
      const hazard = active.reduce((total, effect) => total + effect.dailyHazard[animal.stage]!, 0);
      if (dice.uniform() >= Math.exp(-(stage.dailyDeath + hazard) * dt)) continue;
      if (stage.mobile) {
        const share = animal.sheltered ? 1 - sites.shelteredShare : sites.shelteredShare;
        if (dice.uniform() < 1 - Math.exp(-sites.mixPerDay * share * dt)) animal.sheltered = !animal.sheltered;
      }
      if (dice.uniform() < (stage.substages * warmth * dt) / stage.degreeDays) {
        animal.part++;
        if (animal.part === stage.substages) {
          animal.stage++;
          animal.part = 0;
        }
      }
      if (animal.stage < pest.stages.length) next.push(animal);
    }
    animals = next;
  }
  return { seen, left: animals.length };
}

function begin(pest: Pest, layout: Layout, anchor: Anchor, dice: Dice): Animal[] {
  const animals: Animal[] = [];
  const factor = gammaOfMeanOne(dice, anchor.shape);
  const typeOf = (site: number, i: number): Animal => {
    let stage = 0;
    let part = i;
    while (part >= pest.stages[stage]!.substages) part -= pest.stages[stage++]!.substages;
    return { sheltered: site === 1, stage, part };
  };
  for (let site = 0; site < 2; site++) {
    for (let i = 0; i < layout.substages; i++) {
      const n = poisson(dice, anchor.unseen[site * layout.stride + i]! * factor);
      for (let k = 0; k < n; k++) animals.push(typeOf(site, i));
    }
  }
  for (let k = 0; k < anchor.seen; k++) {
    let at = dice.uniform();
    let type = 0;
    while (type < layout.length - 1 && (at -= anchor.seenShares[type]!) >= 0) type++;
    const site = type >= layout.stride ? 1 : 0;
    animals.push(typeOf(site, Math.min(type - site * layout.stride, layout.substages - 1)));
  }
  return animals;
}
