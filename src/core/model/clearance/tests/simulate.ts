import type { InspectionEvent, TreatmentEvent } from "../../population/events";
import type { layoutOf } from "../../population/layout";
import { SITES } from "../../population/sites";
import type { CaseHistory } from "../history";
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
export function poisson({ uniform }: Dice, mean: number): number {
  if (mean > 30) return poisson({ uniform }, mean / 2) + poisson({ uniform }, mean / 2);
  const limit = Math.exp(-mean);
  let n = 0;
  for (let product = uniform(); product > limit; product *= uniform()) n++;
  return n;
}

/** An exponential variate of mean 1: what animals that share their fate share. */
const sharedFate = (dice: Dice) => -Math.log(1 - dice.uniform());

/** 0 open, 1 sheltered, 2 deep. */
type Site = 0 | 1 | 2;
const sitesThere: readonly Site[] = [0, 1, 2];

interface Animal {
  site: Site;
  stage: number;
  part: number;
  /** Sits where neither eye nor hand nor spray comes. */
  hidden?: boolean;
}

/** What is believed of the animals at a look, by the rules (not by the recursions): numbers by site, stage and part. */
interface Belief {
  /** Expected animals by type that one factor scales all together. */
  readonly together: readonly number[];
  /** Animals seen and left alive that stand by themselves, and of which type each is likely to be. */
  readonly single: number;
  readonly seenShares: readonly number[];
}

/** A figure of the simulation with its standard error. */
export interface Figure {
  readonly mean: number;
  readonly error: number;
}

export interface Played {
  /** How likely no look since the last find sees anything. */
  readonly unseen: Figure;
  /** How likely nothing is left and no look since the last find saw anything. */
  readonly goneUnseen: Figure;
  /** Expected number left where no look since the last find saw anything. */
  readonly left: Figure;
}

interface Rules {
  readonly history: CaseHistory;
  readonly scenario: Scenario;
  readonly dt: number;
  readonly dice: Dice;
}

/** A population so large that it will not end by itself, nor stay unseen. */
const HOPELESS = 3000;

/**
 * Plays a case from its first find on. What is believed there is drawn anew in every batch, lived through animal by animal to the
 * next look, and what that look makes of it is worked out from the animals counted: from them, and not from the recursions, the
 * beliefs at all later finds follow. `shares` by type are those of a growing population. Only whole numbers of seen animals can
 * be played.
 */
export function play(
  history: CaseHistory,
  shares: readonly number[],
  scenario: Scenario,
  endStep: number,
  { dt, batches, runs }: { dt: number; batches: number; runs: number },
  dice: Dice,
): Played {
  const rules = { history, scenario, dt, dice };
  const events = [...history.events.entries()]
    .filter(([, event]) => event.kind !== "lasting")
    .map(([index, event]) => ({
      event: event as InspectionEvent | TreatmentEvent,
      step: stepOf(event.atDays, dt),
      index,
    }))
    .filter(({ step }) => step <= endStep)
    .toSorted((a, b) => a.step - b.step || a.index - b.index);
  const isFind = ({ event }: (typeof events)[number]) => event.kind === "inspection" && event.found > 0;
  const first = events.findIndex(isFind);
  const last = events.findLastIndex(isFind);

  const each = Array.from({ length: batches }, () => {
    let belief = firstBelief(rules, shares, events[first]!.event as InspectionEvent);
    let atLast = belief;
    let from = first;
    for (let i = first + 1; i < events.length; i++) {
      const { event, step } = events[i]!;
      if (event.kind !== "inspection") continue;
      const between = { begin: events[from]!.step, events: events.slice(from + 1, i), end: step };
      belief = laterBelief(rules, counted(rules, belief, between, runs), event);
      from = i;
      if (i === last) atLast = belief;
    }
    const since = { begin: events[last]!.step, events: events.slice(last + 1), end: endStep };
    let unseen = 0;
    let goneUnseen = 0;
    let left = 0;
    for (let run = 0; run < runs; run++) {
      const lived = live(rules, drawn(rules, atLast), since, HOPELESS);
      if (lived.seen) continue;
      unseen++;
      left += lived.animals.length;
      if (lived.animals.length === 0) goneUnseen++;
    }
    return { unseen: unseen / runs, goneUnseen: goneUnseen / runs, left: left / runs };
  });
  const unseen = figure(each.map((one) => one.unseen));
  const perLife = figure(each.map((one) => one.left)).mean / unseen.mean;
  return {
    unseen,
    goneUnseen: figure(each.map((one) => one.goneUnseen)),
    // The error of a quotient of means: that of what is left of its line through them.
    left: {
      mean: perLife,
      error: figure(each.map((one) => one.left - perLife * one.unseen)).error / unseen.mean,
    },
  };
}

function figure(values: readonly number[]): Figure {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
  return { mean, error: Math.sqrt(variance / values.length) };
}

const stepOf = (days: number, dt: number) => Math.round(days / dt);

/** Types in their order: by stage and part, the three sites of each side by side. */
function typesOf({ history: { pest } }: Rules): Animal[] {
  return pest.stages.flatMap(({ substages }, stage) =>
    Array.from({ length: substages }, (_, part) => part).flatMap((part) =>
      sitesThere.map((site) => ({ site, stage, part })),
    ),
  );
}

const seeOf = (rules: Rules, { see }: InspectionEvent) => typesOf(rules).map(({ site, stage }) => see[stage]![site]);

/** Those seen divide over the stages that the keeper named, over all where none was named. */
function sharesOfSeen(
  rules: Rules,
  m: readonly number[],
  see: readonly number[],
  { among }: InspectionEvent,
): number[] {
  const types = typesOf(rules);
  const each = m.map((n, i) => (among && !among.includes(types[i]!.stage) ? 0 : n * see[i]!));
  const all = each.reduce((sum, n) => sum + n, 0);
  return each.map((n) => (all > 0 ? n / all : 0));
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0);

/** As many animals as make the find likely, in the shares of a growing population; between a 200th and all of them show. */
function firstBelief(rules: Rules, shares: readonly number[], look: InspectionEvent): Belief {
  const see = seeOf(rules, look);
  const visible = dot(shares, see);
  const total = (1 + look.found) / (1 / 200 + visible);
  return beliefOf(
    shares.map((share, i) => total * share * (1 - see[i]!)),
    look,
    sharesOfSeen(rules, shares, see, look),
  );
}

/** Of those seen and left alive two stand by themselves; the rest share the fate of the unseen. */
function beliefOf(unseen: readonly number[], { removed, found }: InspectionEvent, seenShares: number[]): Belief {
  const left = removed ? 0 : found;
  const single = left > 2 ? 2 : left;
  return { together: unseen.map((n, i) => n + (left - single) * seenShares[i]!), single, seenShares };
}

/** The numbers counted, scaled by what the look found of them, the count being worth two animals beforehand. */
function laterBelief(rules: Rules, m: readonly number[], look: InspectionEvent): Belief {
  const see = seeOf(rules, look);
  const visible = dot(m, see);
  const scale = (2 + look.found) / (2 + visible);
  return beliefOf(
    m.map((n, i) => scale * n * (1 - see[i]!)),
    look,
    sharesOfSeen(rules, m, see, look),
  );
}

/** Animals as a belief has them. */
function drawn(rules: Rules, { together, single, seenShares }: Belief): Animal[] {
  const { dice } = rules;
  const types = typesOf(rules);
  const factor = sharedFate(dice);
  const animals = types.flatMap((type, i) =>
    Array.from({ length: poisson(dice, together[i]! * factor) }, () => ({ ...type })),
  );
  for (let k = 0; k < single; k++) {
    let at = dice.uniform();
    const type = types.find((_, i) => (at -= seenShares[i]!) < 0) ?? types.at(-1)!;
    animals.push({ ...type });
  }
  return animals;
}

interface Stretch {
  readonly begin: number;
  readonly events: readonly { readonly event: InspectionEvent | TreatmentEvent; readonly step: number }[];
  readonly end: number;
}

/** Mean numbers by type at the end of a stretch, over so many lives. */
function counted(rules: Rules, belief: Belief, stretch: Stretch, runs: number): number[] {
  const types = typesOf(rules);
  const indexOf = new Map(types.map((type, i) => [keyOf(type), i]));
  const sums = types.map(() => 0);
  for (let run = 0; run < runs; run++)
    for (const animal of live(rules, drawn(rules, belief), stretch, Infinity).animals)
      sums[indexOf.get(keyOf(animal))!]!++;
  return sums.map((sum) => sum / runs);
}

const keyOf = ({ site, stage, part }: Animal) => `${site} ${stage} ${part}`;

/** Lives through a stretch; more than `most` animals are not followed further. */
function live(rules: Rules, begun: Animal[], { begin, events, end }: Stretch, most: number) {
  const { scenario, dice } = rules;
  let animals = begun;
  let seen = false;
  for (let step = begin; ; step++) {
    for (const { event } of events.filter((one) => one.step === step)) {
      if (event.kind === "treatment") {
        animals = animals.filter(
          (animal) => dice.uniform() >= event.kill[animal.stage]![scenario.column] * hitChance(rules, event, animal),
        );
      } else {
        for (const animal of animals) if (dice.uniform() < event.see[animal.stage]![animal.site]) seen = true;
      }
    }
    if (step >= end || animals.length > most) return { animals, seen };
    animals = stepOn(rules, animals, step);
  }
}

/** Hit where the hand went; what it misses there depends on the scenario, but for what sits deep. */
function hitChance({ history: { pest }, scenario }: Rules, event: TreatmentEvent, { site, stage }: Animal): number {
  const { where } = pest.stages[stage]!;
  const there = event.touch ? event.touch[stage]! : event.reach[where];
  const usual = there ? there[site] : 0;
  const hit = site === 2 || usual === 0 ? usual : 1 - Math.min(1, (1 - usual) * scenario.escape);
  return hit * (event.cover?.[where]?.[site] ?? 1);
}

/** One step of all animals: lay, die, change sides, grow. */
function stepOn({ history, scenario, dt, dice }: Rules, animals: readonly Animal[], step: number): Animal[] {
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
