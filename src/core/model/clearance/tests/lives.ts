import type { TreatmentEvent, InspectionEvent } from "../../population/events";
import { layoutOf } from "../../population/layout";
import { SITES } from "../../population/sites";
import { stableGrowth } from "../../population/stable";
import { stepFor } from "../../population/step";
import type { CaseHistory } from "../history";
import { allScenarios, type Scenario } from "../scenarios";
import { poisson, type Dice } from "./dice";

/**
 * The rules of the model lived out animal by animal with dice: nothing here is shared with the recursions, so that the two can be
 * held against each other. Slow: for tests, benchmarks and keepers that are played.
 */
/** 0 open, 1 sheltered, 2 deep. */
type Site = 0 | 1 | 2;
const sitesThere: readonly Site[] = [0, 1, 2];

export interface Animal {
  site: Site;
  stage: number;
  part: number;
  /** Sits where neither eye nor hand nor spray comes. */
  hidden?: boolean;
}

export interface Rules {
  readonly history: CaseHistory;
  readonly scenario: Scenario;
  readonly dt: number;
  readonly dice: Dice;
}

/** A population so large that it will not end by itself, nor stay unseen. */
export const HOPELESS = 3000;

/** Types in their order: by stage and part, the three sites of each side by side. */
export function typesOf({ history: { pest } }: Rules): Animal[] {
  return pest.stages.flatMap(({ substages }, stage) =>
    Array.from({ length: substages }, (_, part) => part).flatMap((part) =>
      sitesThere.map((site) => ({ site, stage, part })),
    ),
  );
}

export const stepOf = (days: number, dt: number) => Math.round(days / dt);

/** Hit where the hand went; what it misses there depends on the scenario, but for what sits deep. */
export function hitChance(
  { history: { pest }, scenario }: Rules,
  event: TreatmentEvent,
  { site, stage }: Animal,
): number {
  const { where } = pest.stages[stage]!;
  const there = event.touch ? event.touch[stage]! : event.reach[where];
  const usual = there ? there[site] : 0;
  const hit = site === 2 || usual === 0 ? usual : 1 - Math.min(1, (1 - usual) * scenario.escape);
  return hit * (event.cover?.[where]?.[site] ?? 1);
}

/** One step of all animals: lay, die, change sides, grow. */
export function stepOn({ history, scenario, dt, dice }: Rules, animals: readonly Animal[], step: number): Animal[] {
  const { pest, events, dailyMeanC, sites } = history;
  const meanC = dailyMeanC[Math.min(Math.floor(step * dt + 1e-9), dailyMeanC.length - 1)]!;
  const warmth = Math.max(0, Math.min(meanC, pest.upperC) - pest.lowerC);
  const begun = events.filter(
    (e) => e.kind === "lasting" && stepOf(e.atDays, dt) <= step && step < stepOf(e.untilDays, dt),
  );
  const effects = begun
    .toSorted((a, b) => a.atDays - b.atDays)
    .flatMap((e) => (e.kind === "lasting" ? [e.effect] : []));
  // What is renewed counts once, as it was put on last.
  const active = effects.filter(
    ({ renews }, i) => renews === undefined || !effects.slice(i + 1).some((later) => later.renews === renews),
  );
  const met = ({ cover }: (typeof active)[number], site: Site) => (cover ? cover[site] : 1);
  const next: Animal[] = [];
  for (const animal of animals) {
    const stage = pest.stages[animal.stage]!;
    const layFactor = active.reduce((all, one) => all * (1 - met(one, animal.site) * (1 - one.layFactor)), 1);
    const laid = ((stage.femaleEggs ?? 0) * scenario.eggs * warmth * dt * layFactor) / stage.degreeDays;
    const daughters = laid > 0 ? poisson(dice, laid) : 0;
    for (let i = 0; i < daughters; i++) next.push({ site: animal.site, stage: 0, part: 0 });
    const hazard = active.reduce((sum, one) => sum + one.dailyHazard[animal.stage]! * met(one, animal.site), 0);
    if (dice.uniform() >= Math.exp(-(stage.dailyDeath + hazard) * dt)) continue;
    if (stage.mobile) {
      const { shelteredShare: sheltered, deepShare } = sites;
      const places = [1 - sheltered, sheltered * (1 - deepShare), sheltered * deepShare];
      const others = 1 - places[animal.site]!;
      if (dice.uniform() < 1 - Math.exp(-sites.mixPerDay * others * dt)) {
        let at = dice.uniform() * others;
        animal.site = sitesThere.find((site) => site !== animal.site && (at -= places[site]!) < 0) ?? animal.site;
      }
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
  return next;
}

/** A population that is lived on from moment to moment by whoever asks. */
export interface Life {
  /** How many are seen in a look with these chances; nothing happens to them. */
  readonly look: (see: InspectionEvent["see"]) => number;
  readonly treat: (event: TreatmentEvent) => void;
  /** So many animals come, each of a type drawn from these shares. */
  readonly come: (count: number, shares: readonly number[]) => void;
  readonly pass: (days: number) => void;
  readonly left: () => number;
  /** More than anybody need follow. */
  readonly hopeless: () => boolean;
}

/**
 * A population of so many animals in the given shares by type, in one scenario, at the first day's warmth for ever. Of those born so
 * many sit where nothing comes, `hidden` of all, until they grow up elsewhere: never.
 */
export function liveOn(
  history: CaseHistory,
  shares: readonly number[],
  dt: number,
  scenario: Scenario,
  dice: Dice,
  begun: number,
  hidden = 0,
): Life {
  const rules = { history, scenario, dt, dice };
  const types = typesOf(rules);
  const hide = (animal: Animal): Animal => {
    animal.hidden ??= hidden > 0 && dice.uniform() < hidden;
    return animal;
  };
  const some = (count: number, of: readonly number[]): Animal[] =>
    Array.from({ length: count }, () => {
      let at = dice.uniform();
      return hide({ ...(types.find((_, i) => (at -= of[i]!) < 0) ?? types.at(-1)!) });
    });
  let animals = some(begun, shares);
  return {
    come(count, of) {
      animals.push(...some(count, of));
    },
    look: (see) =>
      animals.filter(({ stage, site, hidden: away }) => !away && dice.uniform() < see[stage]![site]).length,
    treat(event) {
      animals = animals.filter(
        (animal) =>
          animal.hidden ||
          dice.uniform() >= event.kill[animal.stage]![scenario.column] * hitChance(rules, event, animal),
      );
    },
    pass(days) {
      for (let step = 0; step < Math.round(days / dt) && animals.length <= HOPELESS; step++)
        animals = stepOn(rules, animals, 0).map(hide);
    },
    left: () => animals.length,
    hopeless: () => animals.length > HOPELESS,
  };
}

/** A colony of so many in the shares of a growing population, as {@link liveOn} has it live. */
export function colonyOf(begun: number, history: CaseHistory, scenario: Scenario, dice: Dice, hidden = 0): Life {
  const layout = layoutOf(history.pest);
  const dt = stepFor(layout, history.dailyMeanC[0]!, history.timeStepDays);
  const { shares } = stableGrowth(layout, history.sites, history.dailyMeanC[0]!, dt);
  return liveOn(history, [...shares], dt, scenario, dice, begun, hidden);
}

/** One of the nine ways the world may be, drawn as the model believes, with treatments that miss `misses` times as much. */
export function drawnScenario({ uniform }: Dice, misses = 1): Scenario {
  let at = uniform();
  const scenario = allScenarios.find(({ prior }) => (at -= prior) < 0) ?? allScenarios.at(-1)!;
  return { ...scenario, escape: scenario.escape * misses };
}

/** Stages that move, in the shares of a growing population, at the plant's own places. */
export function founderShares(
  shares: readonly number[],
  layout: ReturnType<typeof layoutOf>,
  places: readonly number[],
): number[] {
  const moving = shares.map((share, i) => (layout.pest.stages[layout.stageOf[i] ?? 0]!.mobile ? share : 0));
  const total = moving.reduce((sum, share) => sum + share, 0);
  return moving.map((_, i) => {
    const first = i - (i % SITES);
    const here = (moving[first] ?? 0) + (moving[first + 1] ?? 0) + (moving[first + 2] ?? 0);
    return (here * places[i % SITES]!) / total;
  });
}
