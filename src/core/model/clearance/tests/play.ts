import type { InspectionEvent, TreatmentEvent } from "../../population/events";
import type { CaseHistory } from "../history";
import type { Scenario } from "../scenarios";
import { poisson, type Dice } from "./dice";
import { hitChance, HOPELESS, stepOf, stepOn, typesOf, type Animal, type Rules } from "./lives";

/** An exponential variate of mean 1: what animals that share their fate share. */
const sharedFate = (dice: Dice) => -Math.log(1 - dice.uniform());

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
