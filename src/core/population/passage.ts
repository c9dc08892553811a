import type { Layout } from "./layout";
import { ratesOf, stepBackward, stepForward, type LastingEffect, type Sites, type StepRates } from "./step";

/** A lasting effect in force from step `from` (included) until step `until` (excluded). */
export interface LastingSteps {
  readonly from: number;
  readonly until: number;
  readonly effect: LastingEffect;
}

/** A stretch of steps, `from` included and `to` excluded, in which warmth and lasting effects stand still. */
export interface Passage {
  readonly from: number;
  readonly to: number;
  readonly rates: StepRates;
}

export interface Surroundings {
  readonly layout: Layout;
  readonly sites: Sites;
  /** Mean temperature of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  /** Length of a step in days. */
  readonly dt: number;
}

/**
 * Cuts the steps from `from` to `to` into passages at which the rates change.
 * Throws RangeError when there is no temperature.
 */
export function passages(
  { layout, sites, dailyMeanC, dt }: Surroundings,
  lasting: readonly LastingSteps[],
  from: number,
  to: number,
): Passage[] {
  if (dailyMeanC.length === 0) throw new RangeError("there is no temperature");
  const meanCAt = (step: number) => {
    // A step that begins a hair before midnight by rounding belongs to the day it begins.
    const day = Math.floor(step * dt + 1e-9);
    return dailyMeanC[Math.min(Math.max(day, 0), dailyMeanC.length - 1)]!;
  };
  const changes = new Set<number>();
  for (const { from: begin, until } of lasting) changes.add(begin).add(until);
  const cut: Passage[] = [];
  let begin = from;
  for (let step = from + 1; step <= to; step++) {
    const same = step < to && meanCAt(step) === meanCAt(begin) && !changes.has(step);
    if (same) continue;
    const active = lasting.filter((l) => l.from <= begin && begin < l.until).map((l) => l.effect);
    cut.push({ from: begin, to: step, rates: ratesOf(layout, sites, meanCAt(begin), dt, active) });
    begin = step;
  }
  return cut;
}

/** Takes the expected numbers `m` forward from step `from` to step `to`, in place. */
export function forward(way: readonly Passage[], eggs: number, m: Float64Array, from: number, to: number): void {
  for (const passage of way) {
    const end = Math.min(passage.to, to);
    for (let step = Math.max(passage.from, from); step < end; step++) stepForward(passage.rates, eggs, m);
  }
}

/** Takes the probabilities `v` backward from step `to` to step `from`, in place. */
export function backward(way: readonly Passage[], eggs: number, v: Float64Array, from: number, to: number): void {
  for (let i = way.length - 1; i >= 0; i--) {
    const passage = way[i]!;
    const begin = Math.max(passage.from, from);
    for (let step = Math.min(passage.to, to) - 1; step >= begin; step--) stepBackward(passage.rates, eggs, v);
  }
}
